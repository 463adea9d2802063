/**
 * Remedies for dry air, tried on a room's own day: what helps, by how much, at what cost, and how well that is known.
 */
import fc from 'fast-check';
import { vapourPressureDeficit } from '../air';
import type { HomeFacts } from '../facts';
import { airRemedy, type RemedyEffect, type RoomRemedy } from './air-remedies';
import { climateWith, thingWith } from './air-things.fixture';
import { HomeEngine } from './engine';
import { smallHome, smallKnowledge } from './small-home.fixture';

const engine = new HomeEngine(smallKnowledge);
const winter: HomeFacts = { ...smallHome, air: [], climates: [climateWith({ dayC: 21, nightC: 18 })] };
const asked = { roomId: 'r', year: 2026, month: 1, targetRh: 50 };
const answer = (remedy: RoomRemedy | null, facts = winter, given: Partial<typeof asked> = {}) =>
  airRemedy(engine, facts, { ...asked, ...given, remedy })!;
const middle = ([least, most]: readonly [number, number]) => (least + most) / 2;
const gained = (remedy: RoomRemedy, of: 'dayRh' | 'nightRh' = 'dayRh', facts = winter) => {
  const { before, after } = answer(remedy, facts);
  return middle(after[of]) - middle(before[of]);
};

it('leaves the room as it is where nothing is tried', () => {
  const { before, after } = answer(null);
  expect(after).toEqual(before);
  expect(after.litresADay).toEqual([0, 0]);
  const here = engine.roomAirOf(winter, 2026).get('r')![0]!;
  expect(middle(before.dayRh)).toBeCloseTo(here.dayRh, 6);
});

it('tells what growers argue about: a tray and misting hardly move a room, a humidifier does', () => {
  expect(gained({ kind: 'tray', areaM2: 0.1 })).toBeGreaterThan(0.2);
  expect(gained({ kind: 'tray', areaM2: 0.1 })).toBeLessThan(5);
  expect(gained({ kind: 'mist', timesADay: 2 })).toBeLessThan(5);
  expect(gained({ kind: 'humidifier', gramsH: 200 })).toBeGreaterThan(15);
});

it.each([
  { kind: 'mist', timesADay: 3 },
  { kind: 'tray', areaM2: 0.3 },
  { kind: 'group' },
  { kind: 'humidifier', gramsH: 100 },
  { kind: 'cooler', byK: 1 },
  { kind: 'less-airing', share: 0.5 },
] as const)('$kind never dries, nor does a drier leaf follow but where it grows warmer', (remedy) => {
  const { before, after } = answer(remedy);
  expect(after.dayRh[0]).toBeGreaterThanOrEqual(before.dayRh[0] - 0.05);
  // Less cold air from outdoors leaves the room a little warmer, and its leaves a little thirstier.
  const warmer = remedy.kind === 'less-airing' ? 0.05 : 0.005;
  expect(after.vpdDay[1]).toBeLessThanOrEqual(before.vpdDay[1] + warmer);
  for (const key of ['dayRh', 'nightRh', 'vpdDay', 'hoursAtTarget', 'litresADay', 'kWhADay'] as const)
    expect(after[key][0]).toBeLessThanOrEqual(after[key][1]);
});

it('gives more the more of it there is', () => {
  fc.assert(
    fc.property(fc.integer({ min: 25, max: 300 }), (gramsH) => {
      const [one, two] = [gramsH, gramsH * 1.5].map((dose) => answer({ kind: 'humidifier', gramsH: dose }).after);
      expect(two!.dayRh[0]).toBeGreaterThanOrEqual(one!.dayRh[0]);
      expect(two!.litresADay[0]).toBeGreaterThan(one!.litresADay[0]);
    }),
    { numRuns: 6 },
  );
  const trays = [0.1, 0.4].map((areaM2) => gained({ kind: 'tray', areaM2 }));
  expect(trays[1]!).toBeGreaterThan(trays[0]!);
  const airing = [0.8, 0.3].map((share) => gained({ kind: 'less-airing', share }));
  expect(airing[1]!).toBeGreaterThan(airing[0]!);
});

it('uses the water that is filled in, and makes the heating pay for what evaporates', () => {
  const { litresADay, kWhADay } = answer({ kind: 'humidifier', gramsH: 150 }).after;
  expect(middle(litresADay)).toBeCloseTo(3.6, 1);
  // The machine itself takes 0.36 kWh; to evaporate a litre takes 0.68.
  expect(middle(kWhADay)).toBeGreaterThan(1);
  expect(middle(kWhADay)).toBeLessThan(3.6);
});

it('saves heat in a cooler room and in one that is aired less', () => {
  expect(middle(answer({ kind: 'cooler', byK: 2 }).after.kWhADay)).toBeLessThan(-0.3);
  expect(middle(answer({ kind: 'less-airing', share: 0.4 }).after.kWhADay)).toBeLessThan(-0.3);
  const unheated = { ...winter, climates: [climateWith({ heating: 'none' })] };
  expect(Math.abs(middle(answer({ kind: 'less-airing', share: 0.4 }, unheated).after.kWhADay))).toBe(0);
});

it('knows a tray to a factor of two, and leaves that stand together within a span', () => {
  const tray = answer({ kind: 'tray', areaM2: 0.4 }).after;
  expect(tray.litresADay[1] / tray.litresADay[0]).toBeGreaterThan(1.6);
  expect(tray.litresADay[1] / tray.litresADay[0]).toBeLessThan(2.1);
  const group = answer({ kind: 'group' });
  expect(group.after.dayRh[1]).toBeGreaterThan(group.after.dayRh[0]);
  // It moistens the air among the leaves alone: the room, its panes and its corners stay as they are.
  expect(group.after.mouldH).toBe(group.before.mouldH);
  expect(group.after.nightRh[0]).toBeCloseTo(group.before.nightRh[0], 1);
});

it('does nothing for leaves where there are none', () => {
  const bare = { ...winter, plants: [] };
  for (const remedy of [{ kind: 'group' }, { kind: 'mist', timesADay: 4 }] as const)
    expect(gained(remedy, 'dayRh', bare)).toBeCloseTo(0, 3);
});

it('tells dryness and humidity of the same air', () => {
  const { after } = answer({ kind: 'humidifier', gramsH: 250 });
  const here = engine.roomAirOf(winter, 2026).get('r')![0]!;
  expect(middle(after.vpdDay)).toBeCloseTo(vapourPressureDeficit(here.dayC, middle(after.dayRh)), 1);
});

it('finds the humidifier that holds a target, and says where none is needed or none would do', () => {
  const { humidifier } = answer(null);
  expect(humidifier.within).toBe('reach');
  const held = answer({ kind: 'humidifier', gramsH: humidifier.gH }).after;
  expect(Math.abs(middle(held.dayRh) - 50)).toBeLessThan(6);
  expect(answer(null, winter, { targetRh: 10 }).humidifier.gH).toBe(0);
  const open = { ...winter, climates: [climateWith({ airing: 'fan' })] };
  expect(answer(null, open, { targetRh: 90 }).humidifier.within).toBe('no-sensible-size');
});

it('wets panes and corners the more, the moister it makes the room', () => {
  const thin = { ...winter, climates: [climateWith({ envelope: 'thin', airing: 'closed' })] };
  const wet = (effect: RemedyEffect) => effect.paneWetH + effect.mouldH;
  const { before, after } = answer({ kind: 'humidifier', gramsH: 600 }, thin);
  expect(wet(after)).toBeGreaterThan(wet(before));
});

it('is asked of a cabinet too, and of no room that is not there', () => {
  const moss = thingWith({ kind: 'open-water', roomId: 'box', areaM2: 0.02, xM: 0.3, yM: 0.2, zM: 0.1 });
  const cabinet = { ...winter, airThings: [moss] };
  const { before, after } = answer({ kind: 'less-airing', share: 0.5 }, cabinet, { roomId: 'box' });
  expect(before.dayRh[0]).toBeGreaterThan(answer(null, winter, { roomId: 'box' }).before.dayRh[0]);
  expect(after.dayRh[0]).toBeGreaterThanOrEqual(before.dayRh[0] - 0.05);
  expect(airRemedy(engine, winter, { ...asked, roomId: 'attic', remedy: null })).toBeNull();
  const nowhere = { ...winter, home: { ...winter.home, climateId: 'unknown' } };
  expect(airRemedy(engine, nowhere, { ...asked, remedy: null })).toBeNull();
});

it('moves the grower’s own figures by what it moves the computed ones', () => {
  const measured = { ...winter, air: [{ ...smallHome.air[0]!, dayRh: 38, nightRh: 41 }] };
  const { before, after } = answer({ kind: 'humidifier', gramsH: 100 }, measured);
  expect(middle(before.dayRh)).toBeCloseTo(38, 6);
  expect(middle(after.dayRh) - 38).toBeCloseTo(gained({ kind: 'humidifier', gramsH: 100 }), 1);
});
