/** When a timer burns: one time for some months, or its programme. */
import fc from 'fast-check';
import type { TimerMonths } from '../facts';
import { ALL_MONTHS } from '../units';
import {
  burningAtFull,
  burningFor,
  burningIn,
  circuitHours,
  fullHours,
  hoursOf,
  isBurning,
  yearOfTimer,
} from './burning';

const WINTER = [11, 12, 1, 2];
const plain = { onMinute: 480, offMinute: 960, months: WINTER };
const split: TimerMonths = {
  months: [12, 1],
  spans: [
    { onMinute: 360, offMinute: 480 },
    { onMinute: 1020, offMinute: 1260 },
  ],
  level: 0.5,
};
const programmed = { ...plain, programme: [split] };

it('of one time burns in its months alone', () => {
  expect(ALL_MONTHS.filter((month) => circuitHours(plain, month) > 0)).toEqual([1, 2, 11, 12]);
  expect(circuitHours(plain, 1)).toBe(8);
  expect(isBurning(plain, 1, 480)).toBe(true);
  expect(isBurning(plain, 1, 960)).toBe(false);
  expect(isBurning(plain, 6, 600)).toBe(false);
});

it('that is off before it is on burns never', () => {
  expect(circuitHours({ ...plain, offMinute: 480 }, 1)).toBe(0);
});

it('of a programme follows it, and is off in months that it does not name', () => {
  expect(circuitHours(programmed, 12)).toBe(6);
  expect(fullHours(programmed, 12)).toBe(3);
  expect(circuitHours(programmed, 2)).toBe(0);
  expect([400, 500, 1100].map((minute) => isBurning(programmed, 1, minute))).toEqual([true, false, true]);
});

describe('lamps that fade', () => {
  const fading = { ...plain, fadeMinutes: 30 };

  it('are on as long, and give what they would at full for as long less one fade', () => {
    expect(circuitHours(fading, 1)).toBe(8);
    expect(fullHours(fading, 1)).toBeCloseTo(7.5, 9);
    expect(burningAtFull(fading, 1).spans).toEqual([{ onMinute: 495, offMinute: 945 }]);
  });

  it('give half of a stretch that is all fade, and never less', () => {
    const short = { ...fading, offMinute: 500 };
    expect(fullHours(short, 1)).toBeCloseTo(10 / 60, 9);
    expect(fullHours({ ...short, fadeMinutes: 120 }, 1)).toBeCloseTo(10 / 60, 9);
  });

  it('give the integral of a trapezoid, whatever the fade', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 700 }), fc.integer({ min: 0, max: 120 }), (minutes, fadeMinutes) => {
        const fade = Math.min(fadeMinutes, minutes / 2);
        const power = (at: number) => (fade === 0 ? 1 : Math.min(1, at / fade, (minutes - at) / fade));
        const steps = 2000;
        let sum = 0;
        for (let i = 0; i < steps; i++) sum += (power(((i + 0.5) / steps) * minutes) * minutes) / steps / 60;
        const timer = { ...plain, offMinute: plain.onMinute + minutes, fadeMinutes };
        expect(Math.abs(fullHours(timer, 1) - sum)).toBeLessThan(1e-3 * sum + 1e-6);
      }),
      { numRuns: 60 },
    );
  });
});

describe('the year of a timer', () => {
  it('puts months together that burn alike', () => {
    expect(yearOfTimer(plain).map(({ months }) => months)).toEqual([
      [1, 2, 11, 12],
      [3, 4, 5, 6, 7, 8, 9, 10],
    ]);
    expect(yearOfTimer(programmed).map(({ months, level }) => [months.length, level])).toEqual([
      [2, 0.5],
      [10, 1],
    ]);
  });

  it('does in each month what the timer does', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 700 }), fc.integer({ min: 1, max: 700 }));
    const entry = fc.record({ of: fc.nat(11), span, level: fc.constantFrom(1, 0.5) });
    fc.assert(
      fc.property(fc.uniqueArray(entry, { maxLength: 12, selector: ({ of }) => of }), (entries) => {
        const programme = entries.map(({ of, span: [on, minutes], level }) => ({
          ...{ months: [of + 1], level, spans: [{ onMinute: on, offMinute: on + minutes }] },
        }));
        const timer = { ...plain, programme };
        const year = yearOfTimer(timer);
        expect(year.flatMap(({ months }) => months).sort((p, q) => p - q)).toEqual([...ALL_MONTHS]);
        for (const { months, spans, level } of year)
          for (const month of months) expect(burningIn(timer, month)).toMatchObject({ spans, level });
      }),
    );
  });
});

it('burns so long about the same middle of the day, in steps of five minutes', () => {
  expect(burningFor({ onMinute: 480, offMinute: 960 }, 4)).toEqual({ onMinute: 600, offMinute: 840 });
  fc.assert(
    fc.property(fc.double({ min: 0, max: 24, noNaN: true }), fc.integer({ min: 0, max: 1440 }), (hours, middle) => {
      const found = burningFor({ onMinute: middle, offMinute: middle }, hours);
      expect(found.onMinute).toBeGreaterThanOrEqual(0);
      expect(found.offMinute).toBeLessThanOrEqual(1440);
      expect(found.onMinute % 5).toBe(0);
      expect(hoursOf([found])).toBeGreaterThanOrEqual(Math.max(hours, 1 / 12) - 1e-9);
      expect(hoursOf([found])).toBeLessThan(Math.max(hours, 1 / 12) + 1 / 12);
    }),
  );
});
