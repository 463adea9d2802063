/** The sun at a place through the year: its rise, set and height at noon on a day of each month. */
import { ALL_MONTHS } from '../units';
import { RISE_ELEVATION_DEG, sunDay, type SunDay } from './day';
import { sunEquatorial, type Place } from './position';

/** The day of a month that stands for it. */
export const MONTH_STANDS_FOR = 15;

export interface SunMonth extends SunDay {
  /** 1..12. */
  readonly month: number;
  /** Elevation of the sun as it crosses the meridian, degrees; below 0 where it does not rise. */
  readonly noonDeg: number;
}

/** Twelve months, January first, on the 15th of each by the place's own clock. @param year 1950..2100 */
export function sunMonths(year: number, timeZone: string, place: Place): SunMonth[] {
  return ALL_MONTHS.map((month) => {
    const date = { year, month, day: MONTH_STANDS_FOR };
    const noon = Date.UTC(year, month - 1, MONTH_STANDS_FOR, 12) - (place.longitude / 15) * 3_600_000;
    const { declinationDeg } = sunEquatorial(noon);
    const noonDeg = 90 - Math.abs(place.latitude - declinationDeg);
    return { month, noonDeg, ...sunDay(date, timeZone, place, RISE_ELEVATION_DEG) };
  });
}
