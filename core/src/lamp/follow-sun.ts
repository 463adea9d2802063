/** A timer's year that follows the sun of the place: longer days in summer, none shorter or longer than is wished. */
import type { Home, TimerMonths, TimerSpan } from '../facts';
import { RISE_ELEVATION_DEG, sunDay } from '../sun';
import { ALL_MONTHS, MINUTE_MS, minuteOfCivilDay, utcOffsetMinutes } from '../units';
import { yearOfTimer } from './burning';

export const SUN_WAYS = ['all-day', 'ends-of-day'] as const;
export type SunWay = (typeof SUN_WAYS)[number];

export interface SunFollowing {
  /** Hours of light a day, 0..24: where the sun gives fewer, the day is made as long. */
  readonly leastHours: number;
  /** Where the sun gives more, lamps burn no longer than this; at least `leastHours`. */
  readonly mostHours: number;
  /** `ends-of-day`: only before sunrise and after sunset, where a window gives the day itself. */
  readonly way: SunWay;
}

const DAY_MINUTES = 1440;
const STEP_MINUTES = 5;
/** The day that stands for its month. */
const MIDDLE_DAY = 15;

type Place = Pick<Home, 'latitude' | 'longitude' | 'elevationM' | 'timeZone'>;

const toStep = (minute: number): number => Math.round(minute / STEP_MINUTES) * STEP_MINUTES;

/** Sunrise, sunset and noon by the clock on the wall, minutes after midnight; of a polar day or night noon alone. */
function sunOn(home: Place, year: number, month: number) {
  const { timeZone } = home;
  const date = { year, month, day: MIDDLE_DAY };
  const { riseMs, setMs, hoursAbove } = sunDay(date, timeZone, home, RISE_ELEVATION_DEG);
  if (riseMs !== null && setMs !== null && riseMs < setMs) {
    const rise = minuteOfCivilDay(riseMs, timeZone);
    const set = rise + (setMs - riseMs) / MINUTE_MS;
    return { rise, set, noon: (rise + set) / 2, hoursAbove };
  }
  const offset = utcOffsetMinutes(Date.UTC(year, month - 1, MIDDLE_DAY, 12), timeZone);
  return { rise: null, set: null, noon: DAY_MINUTES / 2 + offset - 4 * home.longitude, hoursAbove };
}

/** So many hours about a noon, whole within the day. */
function about(noon: number, hours: number): TimerSpan {
  const minutes = toStep(hours * 60);
  const onMinute = Math.max(0, Math.min(DAY_MINUTES - minutes, toStep(noon - minutes / 2)));
  return { onMinute, offMinute: onMinute + minutes };
}

function spansOf(home: Place, year: number, month: number, { leastHours, mostHours, way }: SunFollowing): TimerSpan[] {
  const { rise, set, noon, hoursAbove } = sunOn(home, year, month);
  const whole = about(noon, Math.min(mostHours, Math.max(leastHours, hoursAbove)));
  const isLong = ({ onMinute, offMinute }: TimerSpan) => offMinute - onMinute >= STEP_MINUTES;
  if (way === 'all-day' || rise === null) return way === 'ends-of-day' && hoursAbove > 0 ? [] : [whole].filter(isLong);
  return [
    { onMinute: whole.onMinute, offMinute: Math.min(whole.offMinute, toStep(rise)) },
    { onMinute: Math.max(whole.onMinute, toStep(set)), offMinute: whole.offMinute },
  ].filter(isLong);
}

/**
 * What a timer does in each month so that it follows the sun, by the middle day of each: months of the same times stand
 * together. In the north and the south, and where the sun does not rise or set.
 * @param year which year's clock changes count
 */
export function followingSun(home: Place, year: number, wish: SunFollowing): TimerMonths[] {
  const programme = ALL_MONTHS.map((month) => ({ months: [month], spans: spansOf(home, year, month, wish), level: 1 }));
  return yearOfTimer({ onMinute: 0, offMinute: 0, months: [], programme });
}
