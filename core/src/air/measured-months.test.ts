/** A logger's hours as months: by day and by night of the clock on the wall, and only of months that were measured. */
import { HOUR_MS } from '../units';
import { LEAST_DAYS, apartOverTime, measuredLight, measuredMonths, type HourMean } from './measured-months';

const ZONE = 'Europe/London';
/** Warm by day of the wall clock, cold by night, through some days. */
const hours = (from: number, days: number, value: (localHour: number) => number, offsetH = 0): HourMean[] =>
  Array.from({ length: days * 24 }, (_, i) => ({ at: from + i * HOUR_MS, mean: value((i + offsetH) % 24) }));
const warmth = (hour: number) => (hour >= 8 && hour < 20 ? 22 : hour >= 22 || hour < 6 ? 16 : 19);
const moisture = (hour: number) => (hour >= 8 && hour < 20 ? 40 : hour >= 22 || hour < 6 ? 60 : 50);
const DAY_HOURS = Array.from({ length: 24 }, (_, hour) => hour);
const january = Date.UTC(2026, 0, 3);
const july = Date.UTC(2026, 6, 3);

it('has means of day and night by the clock on the wall, in summer too', () => {
  const celsius = [...hours(january, 20, warmth), ...hours(july, 20, warmth, 1)];
  const rh = [...hours(january, 20, moisture), ...hours(july, 20, moisture, 1)];
  const byHour = { celsiusByHour: DAY_HOURS.map(warmth), rhByHour: DAY_HOURS.map(moisture) };
  expect(measuredMonths(celsius, rh, ZONE)).toEqual([
    { month: 1, dayC: 22, nightC: 16, dayRh: 40, nightRh: 60, ...byHour, days: 20 },
    // The first and the last of its days begin and end an hour apart from the clock's.
    { month: 7, dayC: 22, nightC: 16, dayRh: 40, nightRh: 60, ...byHour, days: 20 },
  ]);
});

it('leaves an hour out that was never measured', () => {
  const noon = ({ at }: HourMean) => new Date(at).getUTCHours() !== 12;
  const [month] = measuredMonths(
    hours(january, 20, warmth).filter(noon),
    hours(january, 20, moisture).filter(noon),
    ZONE,
  );
  expect(month!.celsiusByHour[12]).toBeNull();
  expect(month!.celsiusByHour[13]).toBe(22);
});

it('says nothing of months with fewer days, or of which one quantity alone is known', () => {
  const few = LEAST_DAYS - 1;
  expect(measuredMonths(hours(january, few, warmth), hours(january, few, moisture), ZONE)).toEqual([]);
  expect(measuredMonths(hours(january, 20, warmth), [], ZONE)).toEqual([]);
  expect(measuredMonths(hours(january, LEAST_DAYS, warmth), hours(january, LEAST_DAYS, moisture), ZONE)).toHaveLength(
    1,
  );
});

it('tells two instruments that part from each other over time, and none of too short a time', () => {
  const steady = hours(january, 120, moisture);
  const drifting = steady.map(({ at, mean }, i) => ({ at, mean: mean + (8 * i) / steady.length }));
  const { early, late } = apartOverTime(drifting, steady)!;
  expect(early).toBeCloseTo(1, 1);
  expect(late).toBeCloseTo(7, 1);
  expect(apartOverTime(steady, steady)).toEqual({ early: 0, late: 0 });
  expect(apartOverTime(drifting.slice(0, 1000), steady)).toBeNull();
});

it('has the mean of whole days of light, nights included, whatever hours are missing', () => {
  const light = (hour: number) => (hour >= 9 && hour < 15 ? 200 : 0);
  const [month] = measuredLight(hours(january, 20, light), ZONE);
  expect(month).toMatchObject({ month: 1, days: 20, mean: 50 });
  expect(new Date(month!.atMs).toISOString()).toBe('2026-01-22T23:00:00.000Z');
  const someNoonsGone = hours(january, 20, light).filter((_, i) => i % 24 !== 12 || i > 100);
  expect(measuredLight(someNoonsGone, ZONE)[0]!.mean).toBeCloseTo(50, 9);
  expect(
    measuredLight(
      hours(january, 20, light).filter((_, i) => i % 24 !== 12),
      ZONE,
    ),
  ).toEqual([]);
  expect(measuredLight(hours(january, LEAST_DAYS - 1, light), ZONE)).toEqual([]);
});
