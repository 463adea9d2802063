import reference from '../../reference/solar.json';
import { civilDateOf, DAY_MS } from '../units';
import {
  CIVIL_ELEVATION_DEG,
  RISE_ELEVATION_DEG,
  dayOfYear,
  sunBetween,
  sunDay,
  sunMonths,
  sunPosition,
} from './index';

const turn = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);

describe('sun position', () => {
  it.each(reference.positions)('$id agrees with the ephemeris', (c) => {
    const sun = sunPosition(Date.parse(c.utc), { latitude: c.lat, longitude: c.lon });
    expect(Math.abs(sun.elevationDeg - c.elevation_deg)).toBeLessThan(0.02);
    const slack = 0.02 / Math.cos((c.elevation_deg * Math.PI) / 180);
    expect(turn(sun.azimuthDeg, c.azimuth_deg)).toBeLessThan(slack);
  });

  it('stands overhead at noon on the equator at the equinox', () => {
    const sun = sunPosition(Date.UTC(2026, 2, 20, 12, 7, 24), { latitude: 0, longitude: 0 });
    expect(sun.elevationDeg).toBeGreaterThan(89.5);
  });
});

describe('rise, set and day length', () => {
  const days = reference.days.flatMap((day) => [
    { ...day, what: 'sun', at: RISE_ELEVATION_DEG, wanted: day.sun },
    { ...day, what: 'civil twilight', at: CIVIL_ELEVATION_DEG, wanted: day.civil },
  ]);
  it.each(days)('$place $local_date: $what', ({ lat, lon, utc_offset_h, local_date, at, wanted }) => {
    const startMs = Date.parse(`${local_date}T00:00:00Z`) - utc_offset_h * 3_600_000;
    const found = sunBetween(startMs, startMs + DAY_MS, { latitude: lat, longitude: lon }, at);
    const polar = Math.abs(lat) > 65;
    const seconds = polar ? 180 : 60;
    if (wanted.always_above) expect(found.kind).toBe('always-above');
    else if (wanted.always_below) expect(found.kind).toBe('always-below');
    else expect(found.kind).toBe('usual');
    if (wanted.rise_utc) expect(Math.abs(found.riseMs! - Date.parse(wanted.rise_utc))).toBeLessThan(seconds * 1000);
    if (wanted.set_utc) expect(Math.abs(found.setMs! - Date.parse(wanted.set_utc))).toBeLessThan(seconds * 1000);
    if (wanted.length_h !== null) expect(Math.abs(found.hoursAbove - wanted.length_h)).toBeLessThan(polar ? 0.1 : 0.02);
  });

  it('follows the home’s own civil day when the clocks change', () => {
    const place = { latitude: 56.4, longitude: -3 };
    const before = sunDay({ year: 2026, month: 3, day: 28 }, 'Europe/London', place, RISE_ELEVATION_DEG);
    const after = sunDay({ year: 2026, month: 3, day: 29 }, 'Europe/London', place, RISE_ELEVATION_DEG);
    expect(after.hoursAbove - before.hoursAbove).toBeGreaterThan(0.05);
    expect(after.hoursAbove - before.hoursAbove).toBeLessThan(0.1);
    expect(civilDateOf(after.riseMs!, 'Europe/London')).toEqual({ year: 2026, month: 3, day: 29 });
  });

  it('numbers the days of a leap year to 366', () => {
    expect(dayOfYear({ year: 2024, month: 12, day: 31 })).toBe(366);
    expect(dayOfYear({ year: 2026, month: 1, day: 1 })).toBe(1);
  });
});

describe('the sun through the year', () => {
  const equator = { latitude: 0, longitude: 0 };

  it('stands at noon as high as it does half way between its rise and set', () => {
    const place = { latitude: 52, longitude: -3 };
    for (const { riseMs, setMs, noonDeg } of sunMonths(2026, 'Europe/London', place)) {
      const middle = sunPosition((riseMs! + setMs!) / 2, place).elevationDeg;
      expect(Math.abs(noonDeg - middle)).toBeLessThan(0.05);
    }
  });

  it('is up about half the day at the equator, and turns the year round in the south', () => {
    for (const { hoursAbove } of sunMonths(2026, 'UTC', equator)) expect(hoursAbove).toBeCloseTo(12.1, 1);
    const south = sunMonths(2026, 'UTC', { latitude: -52, longitude: 0 });
    expect(south[11]!.noonDeg).toBeGreaterThan(south[5]!.noonDeg + 40);
  });

  it('has a height at noon where it does not set, and one below 0 where it does not rise', () => {
    const north = sunMonths(2026, 'UTC', { latitude: 80, longitude: 0 });
    expect(north[5]).toMatchObject({ kind: 'always-above', noonDeg: expect.closeTo(33.3, 0) as number });
    expect(north[11]).toMatchObject({ kind: 'always-below', noonDeg: expect.closeTo(-13.3, 0) as number });
  });
});
