/** The air at a pane: colder by night, hotter in the sun, and neither away from it. */
import { placedSpots } from '../room';
import { AttachmentShelf } from './knowledge';
import { extremesAt, nearGlass, type NearGlass } from './near-glass';
import { smallHome, smallKnowledge } from './small-home.fixture';

const shelf = new AttachmentShelf();
const sources = {
  ...smallKnowledge,
  weatherHours: (key: string) => shelf.weatherHours(key),
  intensities: (key: string) => shelf.intensities(key),
};
const at = (spotId: string) =>
  nearGlass(
    smallHome,
    placedSpots(smallHome).find(({ spot }) => spot.id === spotId)!,
    sources,
  );
const room = { dayC: 21, nightC: 18 };
const pane = (given: Partial<NearGlass> = {}): NearGlass => ({
  share: 1,
  uValue: 2.8,
  coldNights: Array<number>(12).fill(-5),
  ...given,
});

it('is felt on the sill, and neither across the room nor in a cabinet', () => {
  expect(at('bright').share).toBeGreaterThan(0.8);
  expect(at('dim').share).toBe(0);
  expect(at('boxed').share).toBe(0);
});

it('is colder by a cold night behind thin glass than behind thick, and never warmer than the room', () => {
  const night = (given: Partial<NearGlass>) => extremesAt(room, pane(given), 0, 0).coldNightC;
  expect(night({ share: 0 })).toBe(16);
  // Room at 16, outdoors at -5: the pane's face falls by 21 x 2.8 / 7.7, of which 0.6 is felt.
  expect(night({})).toBeCloseTo(16 - 0.6 * 21 * (2.8 / 7.7), 9);
  expect(night({ uValue: 5.7 })).toBeLessThan(night({}));
  expect(night({ uValue: 0.7 })).toBeGreaterThan(night({}));
  expect(night({ coldNights: Array<number>(12).fill(25) })).toBe(16);
  expect(night({ coldNights: null })).toBe(16);
});

it('is hotter by the hours of sun on it, up to six degrees', () => {
  const afternoon = (hours: number, share = 1) => extremesAt(room, pane({ share }), 6, hours).hotDayC;
  expect([0, 3, 12].map((hours) => afternoon(hours))).toEqual([24, 27, 30]);
  expect(afternoon(12, 0)).toBe(24);
});
