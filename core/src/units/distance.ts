/** Distances over the earth. */
import { RADIANS } from './angle';

const KM_PER_DEGREE = 111;

interface OnEarth {
  readonly latitude: number;
  readonly longitude: number;
}

/** Kilometres between two places, near enough for weather: a plane map at the first one's latitude. */
export function distanceKm(here: OnEarth, there: OnEarth): number {
  const east = ((there.longitude - here.longitude + 540) % 360) - 180;
  return Math.hypot(there.latitude - here.latitude, east * Math.cos(here.latitude * RADIANS)) * KM_PER_DEGREE;
}
