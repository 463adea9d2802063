/** Water that leaves give off. */
import fc from 'fast-check';
import { transpiration, type LeafClimate, type LeafCover } from './index';

const leaf: LeafCover = { areaM2: 1, dries: 'medium', stomataOpen: 'by-day' };
const room: LeafClimate = { ppfd: 60, vpd: 1, air: 'gentle', pressurePa: 101_325 };

it('is of the size that pot plants give off indoors: some tens of grams an hour from a square metre of leaves', () => {
  expect(transpiration(leaf, room)).toBeGreaterThan(8);
  expect(transpiration(leaf, room)).toBeLessThan(30);
  expect(transpiration({ ...leaf, dries: 'fast' }, { ...room, ppfd: 300, air: 'brisk' })).toBeLessThan(100);
  expect(transpiration(leaf, { ...room, ppfd: 0 })).toBeLessThan(4);
});

it('is more by night than by day for those that open then', () => {
  const cactus = { ...leaf, stomataOpen: 'by-night' } as const;
  expect(transpiration(cactus, { ...room, ppfd: 0 })).toBeGreaterThan(
    2 * transpiration(cactus, { ...room, ppfd: 300 }),
  );
  expect(transpiration({ ...leaf, stomataOpen: 'either' }, { ...room, ppfd: 0 })).toBeGreaterThan(
    transpiration(leaf, { ...room, ppfd: 0 }),
  );
});

it('never falls with dryness, light, wind or leaves, and stops where the air wets the leaf', () => {
  const positive = (max: number) => fc.double({ min: 0.01, max, noNaN: true });
  fc.assert(
    fc.property(positive(4), positive(800), positive(3), (vpd, ppfd, areaM2) => {
      const given = transpiration({ ...leaf, areaM2 }, { ...room, vpd, ppfd });
      expect(transpiration({ ...leaf, areaM2 }, { ...room, vpd: vpd * 1.2, ppfd })).toBeGreaterThanOrEqual(given);
      expect(transpiration({ ...leaf, areaM2 }, { ...room, vpd, ppfd: ppfd * 1.2 })).toBeGreaterThanOrEqual(
        given - 1e-12,
      );
      expect(transpiration({ ...leaf, areaM2 }, { ...room, vpd, ppfd, air: 'brisk' })).toBeGreaterThan(given);
      expect(transpiration({ ...leaf, areaM2: areaM2 * 2 }, { ...room, vpd, ppfd })).toBeCloseTo(2 * given, 9);
    }),
  );
  expect(transpiration(leaf, { ...room, vpd: -0.2 })).toBe(0);
});
