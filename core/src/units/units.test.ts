import fc from 'fast-check';
import {
  DAY_MS,
  celsiusToFahrenheit,
  civilDateOf,
  compassWord,
  daysInMonth,
  dliOfSteadyLight,
  fahrenheitToCelsius,
  isTimeZone,
  nextCivilDate,
  startOfCivilDay,
  utcOffsetMinutes,
  wrapDegrees,
} from './index';

describe('civil days', () => {
  it('have 23, 24 or 25 hours where clocks change', () => {
    const hours = (month: number, day: number) => {
      const date = { year: 2026, month, day };
      return (
        (startOfCivilDay(nextCivilDate(date), 'Europe/London') - startOfCivilDay(date, 'Europe/London')) / 3_600_000
      );
    };
    expect([hours(3, 29), hours(6, 1), hours(10, 25)]).toEqual([23, 24, 25]);
  });

  it('begin at the midnight of their own place', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('UTC', 'Europe/London', 'America/Argentina/Buenos_Aires', 'Asia/Kolkata', 'Pacific/Auckland'),
        fc.integer({ min: 0, max: 364 }),
        (zone, day) => {
          const date = civilDateOf(Date.UTC(2026, 0, 1, 12) + day * DAY_MS, zone);
          const start = startOfCivilDay(date, zone);
          expect(civilDateOf(start, zone)).toEqual(date);
          expect(civilDateOf(start - 1000, zone)).not.toEqual(date);
        },
      ),
    );
  });

  it('follow one another over the ends of months and years', () => {
    expect(nextCivilDate({ year: 2026, month: 12, day: 31 })).toEqual({ year: 2027, month: 1, day: 1 });
    expect(nextCivilDate({ year: 2028, month: 2, day: 28 })).toEqual({ year: 2028, month: 2, day: 29 });
    expect([daysInMonth(2026, 2), daysInMonth(2028, 2), daysInMonth(2026, 12)]).toEqual([28, 29, 31]);
  });

  it('know zones and refuse others', () => {
    expect(utcOffsetMinutes(Date.UTC(2026, 6, 1), 'Asia/Kolkata')).toBe(330);
    expect(utcOffsetMinutes(Date.UTC(2026, 6, 1), 'Etc/GMT+3')).toBe(-180);
    expect(isTimeZone('Europe/London')).toBe(true);
    expect(isTimeZone('Nowhere/Harbour')).toBe(false);
  });
});

describe('angles, warmth and light', () => {
  it('wrap once round', () => {
    expect([wrapDegrees(-90), wrapDegrees(360), wrapDegrees(725)]).toEqual([270, 0, 5]);
    expect([0, 44, 181, 350].map(compassWord)).toEqual(['north', 'north-east', 'south', 'north']);
  });

  it('turn Celsius to Fahrenheit and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -60, max: 60, noNaN: true }), (celsius) =>
        expect(fahrenheitToCelsius(celsiusToFahrenheit(celsius))).toBeCloseTo(celsius, 9),
      ),
    );
  });

  it('make 0.36 mol of 100 for an hour', () => {
    expect(dliOfSteadyLight(100, 1)).toBeCloseTo(0.36, 12);
  });
});
