import fc from 'fast-check';
import {
  ALL_MONTHS,
  DAY_MS,
  celsiusToFahrenheit,
  civilDateOf,
  compassWord,
  daysInMonth,
  distanceKm,
  dliOfSteadyLight,
  fahrenheitToCelsius,
  instantOfWallClock,
  isTimeZone,
  minuteOfCivilDay,
  monthShares,
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

  it.each(['America/Santiago', 'America/Havana', 'Atlantic/Azores', 'Africa/Cairo', 'Asia/Beirut', 'Pacific/Easter'])(
    'begin with their first instant where clocks change at midnight: %s',
    (zone) => {
      for (let day = 0; day < 365; day++) {
        const date = civilDateOf(Date.UTC(2026, 0, 1, 12) + day * DAY_MS, zone);
        const start = startOfCivilDay(date, zone);
        expect(civilDateOf(start, zone)).toEqual(date);
        expect(civilDateOf(start - 1000, zone)).not.toEqual(date);
      }
    },
  );

  it('begin at one in the morning where midnight is skipped', () => {
    const minute = (zone: string, month: number, day: number) =>
      minuteOfCivilDay(startOfCivilDay({ year: 2026, month, day }, zone), zone);
    expect(minute('America/Santiago', 9, 6)).toBe(60);
    expect(minute('America/Havana', 3, 8)).toBe(60);
    expect(minute('Atlantic/Azores', 3, 29)).toBe(60);
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

describe('the clock on the wall', () => {
  const newYork = 'America/New_York';
  const london = 'Europe/London';
  const clockOf = (instant: number, timeZone: string) => {
    const minute = minuteOfCivilDay(instant, timeZone);
    return `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
  };

  it('is what is read off it on the day the clocks go back, not the minutes since midnight', () => {
    // 1 November 2026, 12:00 EST: thirteen hours after midnight EDT.
    expect(clockOf(Date.UTC(2026, 10, 1, 17), newYork)).toBe('12:00');
    expect(clockOf(Date.UTC(2026, 10, 1, 5, 30), newYork)).toBe('1:30');
    expect(clockOf(Date.UTC(2026, 10, 1, 6, 30), newYork)).toBe('1:30');
  });

  it('leads back to the instant at which it shows a minute, the first where it shows it twice', () => {
    expect(instantOfWallClock({ year: 2026, month: 11, day: 1 }, 12 * 60, newYork)).toBe(Date.UTC(2026, 10, 1, 17));
    expect(instantOfWallClock({ year: 2026, month: 11, day: 1 }, 90, newYork)).toBe(Date.UTC(2026, 10, 1, 5, 30));
    expect(instantOfWallClock({ year: 2026, month: 3, day: 29 }, 12 * 60, london)).toBe(Date.UTC(2026, 2, 29, 11));
  });

  it('jumps over an hour in spring: what it never shows is the moment after the jump', () => {
    const skipped = instantOfWallClock({ year: 2026, month: 3, day: 29 }, 90, london);
    expect(skipped).toBeGreaterThanOrEqual(Date.UTC(2026, 2, 29, 1));
    expect(skipped).toBeLessThanOrEqual(Date.UTC(2026, 2, 29, 2));
  });

  it('gives back every minute that it shows, in any zone, on any day', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(newYork, london, 'Asia/Kolkata', 'Australia/Lord_Howe', 'Etc/GMT'),
        fc.integer({ min: 0, max: 364 }),
        fc.integer({ min: 0, max: 1439 }),
        (timeZone, day, minute) => {
          const noon = new Date(Date.UTC(2026, 0, 1 + day, 12));
          const date = { year: noon.getUTCFullYear(), month: noon.getUTCMonth() + 1, day: noon.getUTCDate() };
          const shown = minuteOfCivilDay(instantOfWallClock(date, minute, timeZone), timeZone);
          // An hour that is jumped over is shown as the one after it.
          expect([minute, minute + 60, minute + 30, minute - 60]).toContain(shown);
        },
      ),
    );
  });
});

describe('distance', () => {
  it('is a degree of latitude for 111 km, and shrinks with it eastward', () => {
    expect(distanceKm({ latitude: 50, longitude: 0 }, { latitude: 51, longitude: 0 })).toBeCloseTo(111, 6);
    expect(distanceKm({ latitude: 60, longitude: 0 }, { latitude: 60, longitude: 1 })).toBeCloseTo(55.5, 1);
    expect(distanceKm({ latitude: 0, longitude: 179.5 }, { latitude: 0, longitude: -179.5 })).toBeCloseTo(111, 6);
  });
});

describe('the months around a date', () => {
  const shareOf = (month: number, date: Parameters<typeof monthShares>[0]) =>
    monthShares(date).find(({ month0 }) => month0 === month - 1)?.share ?? 0;

  it('share it wholly, and only its own month has the middle of a month', () => {
    for (const month of ALL_MONTHS)
      for (let day = 1; day <= daysInMonth(2027, month); day++)
        expect(monthShares({ year: 2027, month, day }).reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(shareOf(3, { year: 2027, month: 3, day: 16 })).toBe(1);
  });

  it('change by no more than a day’s part over the turn of a month and of a year', () => {
    const last = { year: 2026, month: 12, day: 31 };
    const first = { year: 2027, month: 1, day: 1 };
    expect(shareOf(1, first) - shareOf(1, last)).toBeCloseTo(1 / 31, 12);
    expect(shareOf(12, last) - shareOf(12, first)).toBeCloseTo(1 / 31, 12);
  });
});
