/** What suits several plants at once: never wider than what suits one of them, and nothing where they cannot agree. */
import fc from 'fast-check';
import { sharedBand } from './shared-band';
import type { Target } from './target';

const target = (nightFrom: number, dayTo: number, thrivesFrom: number, thrivesTo: number) =>
  ({ warmth: { nightFrom, dayTo }, moisture: { thrivesFrom, thrivesTo } }) as unknown as Target;

it('is one plant’s own, and of several what all of them share', () => {
  const fern = target(14, 24, 60, 90);
  const cactus = target(8, 34, 20, 65);
  expect(sharedBand([fern], 'warmth')).toEqual([14, 24]);
  expect(sharedBand([fern, cactus], 'warmth')).toEqual([14, 24]);
  expect(sharedBand([fern, cactus], 'moisture')).toEqual([60, 65]);
});

it('is none where they share nothing, and none of nobody', () => {
  expect(sharedBand([target(14, 24, 70, 90), target(8, 34, 20, 60)], 'moisture')).toBeNull();
  expect(sharedBand([], 'warmth')).toBeNull();
});

it('never widens by another plant', () => {
  const any = fc.record({ from: fc.integer({ min: 0, max: 30 }), to: fc.integer({ min: 0, max: 40 }) });
  fc.assert(
    fc.property(fc.array(any, { minLength: 1, maxLength: 6 }), any, (given, more) => {
      const targets = given.map(({ from, to }) => target(from, to, 40, 60));
      const one = sharedBand(targets, 'warmth');
      const two = sharedBand([...targets, target(more.from, more.to, 40, 60)], 'warmth');
      if (!two) return;
      expect(one).not.toBeNull();
      expect(two[0]).toBeGreaterThanOrEqual(one![0]);
      expect(two[1]).toBeLessThanOrEqual(one![1]);
    }),
  );
});
