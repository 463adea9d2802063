/** The air at a pane: colder by night, hotter in the sun, and neither away from it. */
import { placedSpots } from '../room';
import { AttachmentShelf } from './knowledge';
import { nearGlass, paneFelt, paneWarmed } from './near-glass';
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

it('is felt on the sill, and neither across the room nor in a cabinet', () => {
  expect(at('bright').share).toBeGreaterThan(0.8);
  expect(at('dim').share).toBe(0);
  expect(at('boxed').share).toBe(0);
});

it('is colder by a cold night behind thin glass than behind thick, and never warmer than the room', () => {
  const night = (uValue: number, outdoorC = -5, share = 1) => paneFelt({ share, uValue }, 16, outdoorC, 'cold-night');
  expect(night(2.8, -5, 0)).toBe(0);
  // Room at 16, outdoors at -5: the pane's face falls by 21 x 2.8 / 7.7, of which 0.6 is felt.
  expect(night(2.8)).toBeCloseTo(-0.6 * 21 * (2.8 / 7.7), 9);
  expect(night(5.7)).toBeLessThan(night(2.8));
  expect(night(0.7)).toBeGreaterThan(night(2.8));
  expect(night(2.8, 25)).toBe(0);
  expect(paneFelt({ share: 1, uValue: 2.8 }, 16, -5, 'usual')).toBeGreaterThan(night(2.8));
});

it('is hotter by the hours of sun on it, up to six degrees', () => {
  const afternoon = (hours: number, share = 1) => paneWarmed({ share, uValue: 2.8 }, hours);
  expect([0, 3, 12].map((hours) => afternoon(hours))).toEqual([0, 3, 6]);
  expect(afternoon(12, 0)).toBe(0);
});
