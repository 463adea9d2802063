import fc from 'fast-check';
import { hoursWithin, spellShape } from './spell';

const HOURS = Array.from({ length: 24 }, (_, hour) => hour);
/** 10 °C at its coldest, 22 °C at its warmest, straight up and down. */
const ramp = HOURS.map((hour) => 10 + Math.min(hour, 23 - hour));

it('a night that stays at its coldest for eight hours is below any limit above that for at least as long', () => {
  const shape = spellShape(
    HOURS.map((hour) => (hour < 8 ? 12 : 20)),
    'coldest',
  );
  expect(hoursWithin(shape, 0)).toBe(0);
  expect(hoursWithin(shape, 0.5)).toBeGreaterThanOrEqual(6);
  expect(hoursWithin(shape, 0.5)).toBeLessThanOrEqual(8);
  expect(hoursWithin(shape, 8)).toBe(24);
});

it('an afternoon is measured from its hottest hour downwards', () => {
  const shape = spellShape(ramp, 'hottest');
  expect(shape[0]).toBe(0);
  expect(hoursWithin(shape, 1)).toBeCloseTo(3, 0);
  expect(hoursWithin(shape, 20)).toBe(24);
});

it('is never out by more than the hours it does not tell of, and never fewer for a farther limit', () => {
  const day = fc.array(fc.double({ min: -10, max: 40, noNaN: true }), { minLength: 24, maxLength: 24 });
  fc.assert(
    fc.property(day, fc.double({ min: 0.001, max: 30, noNaN: true }), (celsius, kelvin) => {
      const least = Math.min(...celsius);
      const counted = celsius.filter((one) => one <= least + kelvin).length;
      const told = hoursWithin(spellShape(celsius, 'coldest'), kelvin);
      const next = [3, 6, 12, 24].find((hours) => hours > counted) ?? 24;
      const before = [12, 6, 3, 1].find((hours) => hours <= counted)!;
      expect(told).toBeGreaterThanOrEqual(before);
      expect(told).toBeLessThanOrEqual(next);
      expect(hoursWithin(spellShape(celsius, 'coldest'), kelvin + 1)).toBeGreaterThanOrEqual(told);
    }),
  );
});
