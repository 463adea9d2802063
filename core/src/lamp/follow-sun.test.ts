/** A timer that follows the sun: by the place's own days, within what is wished. */
import fc from 'fast-check';
import { RISE_ELEVATION_DEG, sunDay } from '../sun';
import { ALL_MONTHS } from '../units';
import { circuitHours, isBurning } from './burning';
import { followingSun, type SunFollowing } from './follow-sun';

const LOFT = { latitude: 56.4, longitude: -3, elevationM: 5, timeZone: 'Europe/London' };
const SHOP = { latitude: -34.6, longitude: 150, elevationM: 5, timeZone: 'Australia/Sydney' };
const ARCTIC = { latitude: 70, longitude: 20, elevationM: 5, timeZone: 'Europe/Oslo' };
const FREE: SunFollowing = { leastHours: 0, mostHours: 24, way: 'all-day' };

const timerOf = (programme: ReturnType<typeof followingSun>) => ({ onMinute: 0, offMinute: 0, months: [], programme });
const hoursOver = (place: typeof LOFT, wish: SunFollowing) => {
  const timer = timerOf(followingSun(place, 2026, wish));
  return ALL_MONTHS.map((month) => circuitHours(timer, month));
};

it('burns as long as the sun is up on the middle day of each month', () => {
  hoursOver(LOFT, FREE).forEach((hours, month0) => {
    const date = { year: 2026, month: month0 + 1, day: 15 };
    const { hoursAbove } = sunDay(date, LOFT.timeZone, LOFT, RISE_ELEVATION_DEG);
    expect(Math.abs(hours - hoursAbove)).toBeLessThan(0.1);
  });
});

it('is longest in June in the north, and in December in the south', () => {
  const longest = (place: typeof LOFT) => {
    const hours = hoursOver(place, FREE);
    return hours.indexOf(Math.max(...hours)) + 1;
  };
  expect([longest(LOFT), longest(SHOP)]).toEqual([6, 12]);
});

it('is never shorter or longer than is wished, where the sun does not rise or set either', () => {
  const wish = fc
    .tuple(fc.integer({ min: 0, max: 24 }), fc.integer({ min: 0, max: 24 }))
    .map(([p, q]): SunFollowing => ({ leastHours: Math.min(p, q), mostHours: Math.max(p, q), way: 'all-day' }));
  fc.assert(
    fc.property(fc.constantFrom(LOFT, SHOP, ARCTIC), wish, (place, given) => {
      for (const hours of hoursOver(place, given)) {
        expect(hours).toBeGreaterThanOrEqual(given.leastHours - 0.05);
        expect(hours).toBeLessThanOrEqual(given.mostHours + 0.05);
      }
    }),
    { numRuns: 30 },
  );
});

it('at the ends of the day burns only while the sun is down, and makes the day as long as is wished', () => {
  const timer = timerOf(followingSun(LOFT, 2026, { leastHours: 12, mostHours: 16, way: 'ends-of-day' }));
  expect(isBurning(timer, 12, 12 * 60)).toBe(false);
  expect(isBurning(timer, 12, 7 * 60)).toBe(true);
  expect(isBurning(timer, 12, 17 * 60)).toBe(true);
  expect(circuitHours(timer, 6)).toBe(0);
  const december = sunDay({ year: 2026, month: 12, day: 15 }, LOFT.timeZone, LOFT, RISE_ELEVATION_DEG).hoursAbove;
  expect(circuitHours(timer, 12) + december).toBeCloseTo(12, 0);
});

it('in the polar night gives the least day, and in the polar day nothing at its ends', () => {
  const wish = { leastHours: 10, mostHours: 16 };
  const hours = (way: SunFollowing['way']) => hoursOver(ARCTIC, { ...wish, way });
  expect(hours('all-day')[11]).toBe(10);
  expect(hours('ends-of-day')[11]).toBe(10);
  expect(hours('ends-of-day')[5]).toBe(0);
});

it('lies about the noon of the place, not of the clock', () => {
  const [span] = followingSun(LOFT, 2026, { leastHours: 10, mostHours: 10, way: 'all-day' })[0]!.spans;
  // At 3 degrees west the sun stands highest a quarter of an hour late, later still in January.
  expect((span!.onMinute + span!.offMinute) / 2).toBeGreaterThan(12 * 60 + 10);
  expect((span!.onMinute + span!.offMinute) / 2).toBeLessThan(12 * 60 + 30);
});
