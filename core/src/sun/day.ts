/** When the sun rises and sets on a civil day, and how long the light lasts. */
import { DAY_MS, HOUR_MS, RADIANS, MINUTE_MS, nextCivilDate, startOfCivilDay, type CivilDate } from '../units';
import { sunPosition, type Place } from './position';

/** Elevation of the sun's centre at rise and set: 16' of radius and 34' of refraction. */
export const RISE_ELEVATION_DEG = -0.833;
/** Elevation of the sun's centre at the ends of civil twilight. */
export const CIVIL_ELEVATION_DEG = -6;

/** One civil day seen against one elevation of the sun. */
export interface SunDay {
  /** `usual`: the sun crosses the elevation; otherwise it stays above or below it all day. */
  readonly kind: 'usual' | 'always-above' | 'always-below';
  /** UTC epoch ms of the crossing upward within the civil day; null when there is none. */
  readonly riseMs: number | null;
  /** UTC epoch ms of the crossing downward within the civil day; null when there is none. */
  readonly setMs: number | null;
  /** Hours of the civil day with the sun above the elevation. */
  readonly hoursAbove: number;
}

const SCAN_STEP_MS = 10 * MINUTE_MS;
const CROSSING_PRECISION_MS = 500;

/**
 * The sun's day at a place against an elevation, in the place's own civil day (23, 24 or 25 hours long).
 * Rise and set are found by scanning and bisection of the position itself, so they agree with it at any latitude.
 * @param elevationDeg which elevation counts as rise: -0.833 for the sun, -6 for civil twilight
 */
export function sunDay(date: CivilDate, timeZone: string, place: Place, elevationDeg: number): SunDay {
  const startMs = startOfCivilDay(date, timeZone);
  const endMs = startOfCivilDay(nextCivilDate(date), timeZone);
  return sunBetween(startMs, endMs, place, elevationDeg);
}

/** As `sunDay`, between any two instants (UTC epoch ms). */
export function sunBetween(startMs: number, endMs: number, place: Place, elevationDeg: number): SunDay {
  const height = (at: number) => sunPosition(at, place).elevationDeg - elevationDeg;
  let riseMs: number | null = null;
  let setMs: number | null = null;
  let aboveMs = 0;
  let fromMs = startMs;
  let fromHeight = height(startMs);
  const startedAbove = fromHeight > 0;
  while (fromMs < endMs) {
    const toMs = Math.min(fromMs + SCAN_STEP_MS, endMs);
    const toHeight = height(toMs);
    if (fromHeight > 0 === toHeight > 0) {
      if (toHeight > 0) aboveMs += toMs - fromMs;
    } else {
      const crossingMs = bisect(height, fromMs, toMs);
      if (toHeight > 0) {
        riseMs ??= crossingMs;
        aboveMs += toMs - crossingMs;
      } else {
        setMs = crossingMs;
        aboveMs += crossingMs - fromMs;
      }
    }
    fromMs = toMs;
    fromHeight = toHeight;
  }
  const crossed = riseMs !== null || setMs !== null;
  const kind = crossed ? 'usual' : startedAbove ? 'always-above' : 'always-below';
  return { kind, riseMs, setMs, hoursAbove: aboveMs / HOUR_MS };
}

function bisect(height: (at: number) => number, fromMs: number, toMs: number): number {
  const risesThrough = height(fromMs) <= 0;
  let low = fromMs;
  let high = toMs;
  while (high - low > CROSSING_PRECISION_MS) {
    const middle = (low + high) / 2;
    if (height(middle) > 0 === risesThrough) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/**
 * Minutes from the sun's noon until it sinks to an elevation: 0 when it never reaches it, 720 when it never sinks to it.
 * Holds the day's declination still: within two minutes up to 60 degrees of latitude.
 */
export function halfDayMinutes(latitude: number, declinationDeg: number, elevationDeg: number): number {
  const p = latitude * RADIANS;
  const d = declinationDeg * RADIANS;
  const cosine = (Math.sin(elevationDeg * RADIANS) - Math.sin(p) * Math.sin(d)) / (Math.cos(p) * Math.cos(d));
  return (Math.acos(Math.max(-1, Math.min(1, cosine))) / Math.PI) * 720;
}

/** Ordinal of a date within its year, 1..366. */
export function dayOfYear(date: CivilDate): number {
  return Math.round((Date.UTC(date.year, date.month - 1, date.day) - Date.UTC(date.year, 0, 0)) / DAY_MS);
}
