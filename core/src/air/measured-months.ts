/** What a logger's hours come to month by month, by day and by night, as a grower states the air of a room. */
import { civilDateOf, minuteOfCivilDay } from '../units';
import { isDay, isNight, meanOf } from './day-night';

/** The mean of one hour. */
export interface HourMean {
  /** Beginning of the hour, UTC epoch milliseconds. */
  readonly at: number;
  readonly mean: number;
}

export interface MeasuredMonth {
  /** 1..12; hours of several years go together. */
  readonly month: number;
  readonly dayC: number;
  readonly nightC: number;
  readonly dayRh: number;
  readonly nightRh: number;
  /** Means by the hour of the day; null where it was never measured. */
  readonly celsiusByHour: readonly (number | null)[];
  readonly rhByHour: readonly (number | null)[];
  /** Days of which most hours were measured. */
  readonly days: number;
}

/** Fewer days tell of a spell, not of a month. */
export const LEAST_DAYS = 7;
/** A day counts from so many measured hours on. */
const HOURS_OF_A_DAY = 18;

interface Sums {
  /** Values by the hour of the day. */
  readonly byHour: readonly number[][];
  readonly byDate: Map<string, number>;
  lastAt: number;
}

function sumsOf(hours: readonly HourMean[], timeZone: string): Map<number, Sums> {
  const months = new Map<number, Sums>();
  for (const { at, mean } of hours) {
    const middle = at + HALF_HOUR_MS;
    const { year, month, day } = civilDateOf(middle, timeZone);
    const hour = Math.floor(minuteOfCivilDay(middle, timeZone) / 60);
    let sums = months.get(month);
    if (!sums)
      months.set(month, (sums = { byHour: Array.from({ length: 24 }, () => []), byDate: new Map(), lastAt: at }));
    const date = `${year}-${day}`;
    sums.byDate.set(date, (sums.byDate.get(date) ?? 0) + 1);
    sums.lastAt = Math.max(sums.lastAt, at);
    sums.byHour[hour]!.push(mean);
  }
  return months;
}

const dayOf = ({ byHour }: Sums) => byHour.filter((_, hour) => isDay(hour)).flat();
const nightOf = ({ byHour }: Sums) => byHour.filter((_, hour) => isNight(hour)).flat();
const meansByHour = ({ byHour }: Sums) => byHour.map((values) => (values.length === 0 ? null : meanOf(values)));

const HALF_HOUR_MS = 1_800_000;

/**
 * Months of which warmth and humidity were measured on `LEAST_DAYS` days or more.
 * @param celsius hourly means, and @param rh those of the humidity, per cent, at the same place
 */
export function measuredMonths(
  celsius: readonly HourMean[],
  rh: readonly HourMean[],
  timeZone: string,
): MeasuredMonth[] {
  const [warm, moist] = [sumsOf(celsius, timeZone), sumsOf(rh, timeZone)];
  return Array.from({ length: 12 }, (_, i) => i + 1).flatMap((month): MeasuredMonth[] => {
    const [one, other] = [warm.get(month), moist.get(month)];
    if (!one || !other || [one, other].some((sums) => dayOf(sums).length === 0 || nightOf(sums).length === 0))
      return [];
    const days = Math.min(
      ...[one, other].map(({ byDate }) => [...byDate.values()].filter((n) => n >= HOURS_OF_A_DAY).length),
    );
    if (days < LEAST_DAYS) return [];
    return [
      {
        month,
        dayC: meanOf(dayOf(one)),
        nightC: meanOf(nightOf(one)),
        dayRh: meanOf(dayOf(other)),
        nightRh: meanOf(nightOf(other)),
        celsiusByHour: meansByHour(one),
        rhByHour: meansByHour(other),
        days,
      },
    ];
  });
}

/** A month's light by a logger. */
export interface MeasuredLight {
  /** 1..12. */
  readonly month: number;
  /** Mean over whole days, nights included, in the unit that was measured. */
  readonly mean: number;
  readonly days: number;
  /** A moment in its latest such month, UTC epoch milliseconds. */
  readonly atMs: number;
}

/** Months of which light was measured on `LEAST_DAYS` days or more, in every hour of the day. */
export function measuredLight(light: readonly HourMean[], timeZone: string): MeasuredLight[] {
  const months = sumsOf(light, timeZone);
  return [...months].flatMap(([month, sums]): MeasuredLight[] => {
    const days = [...sums.byDate.values()].filter((hours) => hours >= HOURS_OF_A_DAY).length;
    if (days < LEAST_DAYS || sums.byHour.some((values) => values.length === 0)) return [];
    return [{ month, mean: meanOf(sums.byHour.map(meanOf)), days, atMs: sums.lastAt }];
  });
}

/** How far apart two instruments were at first and of late, one less the other. */
export interface ApartOverTime {
  readonly early: number;
  readonly late: number;
}

/** The two are compared over so many hours that both measured, at the beginning and at the end. */
const COMPARED_HOURS = 30 * 24;

/** Whether one of two instruments at one place drifts; null where they have too little time in common. */
export function apartOverTime(one: readonly HourMean[], other: readonly HourMean[]): ApartOverTime | null {
  const beside = new Map(other.map(({ at, mean }) => [at, mean]));
  const apart = one.flatMap(({ at, mean }) => {
    const theirs = beside.get(at);
    return theirs === undefined ? [] : [mean - theirs];
  });
  if (apart.length < 3 * COMPARED_HOURS) return null;
  return { early: meanOf(apart.slice(0, COMPARED_HOURS)), late: meanOf(apart.slice(-COMPARED_HOURS)) };
}
