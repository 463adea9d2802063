/** Schedules by hours and minutes of the day, and what a day of them comes to. */
import fc from 'fast-check';
import {
  always,
  between,
  dayMean,
  dayShare,
  nightMean,
  part,
  scheduledAt,
  spreadOver,
  summed,
  type Schedule,
} from './index';

const STEPS = 24 * 12;
const sumOfDay = (schedule: Schedule) =>
  Array.from({ length: STEPS }, (_, i) => scheduledAt(schedule, (i + 0.5) / 12)).reduce(
    (sum, one) => sum + one / 12,
    0,
  );

it('spreads a day’s amount over its hours, all of it', () => {
  expect(sumOfDay(spreadOver({ fromH: 16, toH: 23 }, 420))).toBeCloseTo(420, 6);
  expect(scheduledAt(spreadOver({ fromH: 16, toH: 23 }, 420), 15)).toBe(0);
  expect(part({ fromH: 8, toH: 9 }, 0).parts).toEqual([]);
});

it('runs over midnight where it ends at an earlier minute', () => {
  const night = between(1320, 360, 5, 1);
  expect([23, 2, 12].map((hour) => scheduledAt(night, hour))).toEqual([5, 5, 1]);
  expect(sumOfDay(night)).toBeCloseTo(8 * 5 + 16, 6);
});

it('sums schedules to what they come to at every hour', () => {
  const minute = fc.integer({ min: 0, max: 143 }).map((ten) => ten * 10);
  const any = fc.record({ from: minute, to: minute, value: fc.integer({ min: 0, max: 50 }) });
  fc.assert(
    fc.property(fc.array(any, { minLength: 1, maxLength: 5 }), (given) => {
      const own = given.filter(({ from, to }) => from !== to).map(({ from, to, value }) => between(from, to, value));
      const all = summed([always(2), ...own]);
      for (let i = 0; i < 144; i++) {
        const hour = (i + 0.5) / 6;
        const wanted = own.reduce((sum, one) => sum + scheduledAt(one, hour), 2);
        expect(scheduledAt(all, hour)).toBeCloseTo(wanted, 9);
      }
    }),
    { numRuns: 40 },
  );
});

it('tells day and night apart, and goes from one to the other along a line', () => {
  const hours = Array.from({ length: 24 }, (_, hour) =>
    hour >= 8 && hour < 20 ? 10 : hour >= 22 || hour < 6 ? 4 : 99,
  );
  expect([dayMean(hours), nightMean(hours)]).toEqual([10, 4]);
  const shares = Array.from({ length: 24 }, (_, hour) => dayShare(hour));
  expect([shares[12], shares[2]]).toEqual([1, 0]);
  expect(shares[7]!).toBeGreaterThan(shares[6]!);
  expect(shares[20]!).toBeGreaterThan(shares[21]!);
  expect(shares.every((share) => share >= 0 && share <= 1)).toBe(true);
});
