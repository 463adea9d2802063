/** A cabinet or dome tried at a spot of the small home. */
import { HomeEngine } from './engine';
import { smallHome, smallKnowledge } from './small-home.fixture';
import { tryEnclosure, type EnclosureParams } from './try-enclosure';

const engine = new HomeEngine(smallKnowledge);
const dome: EnclosureParams = {
  spotId: 'bright',
  year: 2026,
  month: 6,
  widthM: 0.4,
  depthM: 0.3,
  heightM: 0.4,
  shell: 'acrylic',
  changesH: 0.2,
  lampW: 0,
  lampFromMinute: 480,
  lampToMinute: 1200,
  wetM2: 0.1,
  highestC: 34,
};
const tried = (given: Partial<EnclosureParams> = {}) => tryEnclosure(engine, smallHome, { ...dome, ...given })!;

it('is not there where its spot is not', () => {
  expect(tryEnclosure(engine, smallHome, { ...dome, spotId: 'none' })).toBeNull();
});

it('holds moist air in a dry room, and less of it the more it is aired', () => {
  const shut = tried();
  expect(shut.nightRh).toBeGreaterThan(90);
  const vented = tried({ changesH: 20 });
  expect(vented.nightRh).toBeLessThan(shut.nightRh - 10);
  expect(vented.settlesMin).toBeLessThan(shut.settlesMin);
});

it('overheats in a June sun at the pane, in minutes, and not at a dim place', () => {
  const sunny = tried();
  expect(sunny.overheatsMin).toBeGreaterThan(1);
  expect(sunny.overheatsMin).toBeLessThan(120);
  expect(sunny.clearHighC).toBeGreaterThan(34);
  expect(tried({ spotId: 'dim' }).overheatsMin).toBeNull();
  expect(tried({ highestC: 60 }).overheatsMin).toBeNull();
});

it('is warmed by a lamp while it burns, not in the night', () => {
  const [dark, lit] = [tried({ spotId: 'top' }), tried({ spotId: 'top', lampW: 30 })];
  expect(lit.dayC).toBeGreaterThan(dark.dayC + 3);
  expect(lit.celsius[5]! - dark.celsius[5]!).toBeLessThan(1);
});

it('has its shell run with water where it is moist and the room cooler', () => {
  const lit = { lampW: 20, month: 1, spotId: 'top' };
  expect(tried(lit).shellWetH).toBeGreaterThan(0);
  expect(tried({ ...lit, wetM2: 0, changesH: 10 }).shellWetH).toBe(0);
});
