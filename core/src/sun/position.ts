/** Where the sun stands in the sky of a place at an instant. */
import { RADIANS, wrapDegrees } from '../units/angle';

/** Direction of the sun's centre. */
export interface SunPosition {
  /** Degrees clockwise from true north, 0..360. */
  readonly azimuthDeg: number;
  /** Degrees above the horizon, without refraction; negative below. */
  readonly elevationDeg: number;
}

export interface Place {
  /** Degrees, north positive, -90..90. */
  readonly latitude: number;
  /** Degrees, east positive, -180..180. */
  readonly longitude: number;
}

const J2000_MS = Date.UTC(2000, 0, 1, 12);
const CENTURY_MS = 36525 * 86_400_000;

/** Seconds by which uniform time runs ahead of UTC; 70 s holds within 40 s (0.0005 degrees of sun) for 1950-2100. */
const DELTA_T_MS = 70_000;

/** The sun's geocentric declination and its distance east of Greenwich's meridian, both in degrees. */
export function sunEquatorial(instantMs: number): { declinationDeg: number; greenwichHourAngleDeg: number } {
  // Meeus, Astronomical Algorithms, ch. 25, low accuracy (0.01 degrees), with the apparent longitude.
  const t = (instantMs + DELTA_T_MS - J2000_MS) / CENTURY_MS;
  const meanLongitude = 280.46646 + t * (36000.76983 + t * 0.0003032);
  const anomaly = (357.52911 + t * (35999.05029 - t * 0.0001537)) * RADIANS;
  const centre =
    (1.914602 - t * (0.004817 + t * 0.000014)) * Math.sin(anomaly) +
    (0.019993 - t * 0.000101) * Math.sin(2 * anomaly) +
    0.000289 * Math.sin(3 * anomaly);
  const node = (125.04 - 1934.136 * t) * RADIANS;
  const longitude = (meanLongitude + centre - 0.00569 - 0.00478 * Math.sin(node)) * RADIANS;
  const obliquity = (23.4392911 - t * 0.0130042 + 0.00256 * Math.cos(node)) * RADIANS;

  const rightAscension = Math.atan2(Math.cos(obliquity) * Math.sin(longitude), Math.cos(longitude)) / RADIANS;
  const declinationDeg = Math.asin(Math.sin(obliquity) * Math.sin(longitude)) / RADIANS;

  // Meeus ch. 12: sidereal time at Greenwich, from UTC taken as UT1 (within 0.9 s, 0.004 degrees).
  const days = (instantMs - J2000_MS) / 86_400_000;
  const nutation = -0.00478 * Math.sin(node) * Math.cos(obliquity);
  const sidereal = 280.46061837 + 360.98564736629 * days + nutation;
  return { declinationDeg, greenwichHourAngleDeg: wrapDegrees(sidereal - rightAscension) };
}

/**
 * Where the sun's centre is seen from a place.
 * @param instantMs UTC epoch milliseconds, 1950 to 2100
 * @returns azimuth and airless elevation, within 0.02 degrees of an ephemeris (azimuth: over cos elevation)
 * Source: Meeus, Astronomical Algorithms, ch. 12, 13, 25, 40.
 */
export function sunPosition(instantMs: number, place: Place): SunPosition {
  const { declinationDeg, greenwichHourAngleDeg } = sunEquatorial(instantMs);
  return sunSeenFrom(place, declinationDeg, greenwichHourAngleDeg);
}

/** The sky position of a sun whose declination and Greenwich hour angle (degrees) are known. */
export function sunSeenFrom(place: Place, declinationDeg: number, greenwichHourAngleDeg: number): SunPosition {
  const hourAngle = (greenwichHourAngleDeg + place.longitude) * RADIANS;
  const latitude = place.latitude * RADIANS;
  const declination = declinationDeg * RADIANS;
  const sinElevation =
    Math.sin(latitude) * Math.sin(declination) + Math.cos(latitude) * Math.cos(declination) * Math.cos(hourAngle);
  const elevation = Math.asin(Math.max(-1, Math.min(1, sinElevation)));
  const azimuth = Math.atan2(
    -Math.cos(declination) * Math.sin(hourAngle),
    Math.sin(declination) * Math.cos(latitude) - Math.cos(declination) * Math.sin(latitude) * Math.cos(hourAngle),
  );
  // Horizontal parallax: the observer stands on the surface, not at the centre (8.8 arc seconds).
  const parallaxDeg = 0.00244 * Math.cos(elevation);
  return { azimuthDeg: wrapDegrees(azimuth / RADIANS), elevationDeg: elevation / RADIANS - parallaxDeg };
}

/**
 * Irradiance outside the atmosphere on a plane facing the sun, W m-2, by day of the year (1..366).
 * Source: Duffie and Beckman, Solar Engineering of Thermal Processes, eq. 1.4.1a.
 */
export function extraterrestrialIrradiance(dayOfYear: number, solarConstant: number): number {
  return solarConstant * (1 + 0.033 * Math.cos((2 * Math.PI * dayOfYear) / 365));
}
