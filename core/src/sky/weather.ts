/** Sources of weather: what a step of the year has of beam and diffuse light, by day type. */
import { SOLAR_CONSTANT, RADIANS } from '../units';
import { extraterrestrialIrradiance } from '../sun';
import { clearnessProfile, dayTypeClearness, DAY_TYPES } from './clearness';
import { clearSkyIrradiance, haurwitzGlobal, splitGlobal } from './irradiance';

/** One instant's weather by day type, in arrays that are used again for each step of the year. */
export interface WeatherStep {
  /** Direct normal and diffuse horizontal irradiance, W m-2. */
  readonly dni: Float64Array;
  readonly dhi: Float64Array;
  /** Share of the diffuse light that comes as from a clear sky (the rest as from an overcast one). */
  readonly clearShare: Float64Array;
}

/** What a weather is asked for one step. */
export interface StepQuestion {
  /** UTC epoch milliseconds, to within the step. */
  readonly instantMs: number;
  readonly month0: number;
  readonly dayOfYear: number;
  readonly sinElevation: number;
  readonly elevationDeg: number;
  /** Cosine of the sun's hour angle and its hour angle at sunset (radians). */
  readonly cosHourAngle: number;
  readonly sunsetHourAngle: number;
  readonly latitude: number;
  readonly declinationDeg: number;
}

/** A source of weather: the number of day types it tells apart, and each step's light, which it writes into `step`. */
export interface Weather {
  readonly dayTypes: number;
  write(step: WeatherStep, question: StepQuestion): void;
}

/** Hour angle of sunset, radians: 0 in the polar night, pi in the polar day. */
export function sunsetAngle(latitude: number, declinationDeg: number): number {
  const cosine = -Math.tan(latitude * RADIANS) * Math.tan(declinationDeg * RADIANS);
  return Math.acos(Math.max(-1, Math.min(1, cosine)));
}

/** Every day clear: Haurwitz's global irradiance split after Erbs, all diffuse light as from a clear sky. */
export const CLEAR_WEATHER: Weather = {
  dayTypes: 1,
  write(step, question) {
    const outside = extraterrestrialIrradiance(question.dayOfYear, SOLAR_CONSTANT);
    const { dni, dhi } = splitGlobal(haurwitzGlobal(question.sinElevation), outside, question.sinElevation);
    step.dni[0] = dni;
    step.dhi[0] = dhi;
    step.clearShare[0] = 1;
  },
};

/** Clearness at and above which the diffuse light comes wholly as from a clear sky, and below which as from an overcast one. */
const CLEAR_FROM = 0.65;
const OVERCAST_TO = 0.3;

/**
 * Weather of a climate: five day types a month, from dull to bright, whose mean is the month's clearness.
 * @param monthlyClearness mean daily clearness index by calendar month, each 0.1..0.8
 * @param altitudeM of the place above the sea
 * @param linkeTurbidity sets the clear-sky beam that no day exceeds
 */
export function climateWeather(
  monthlyClearness: readonly number[],
  altitudeM: number,
  linkeTurbidity: number,
): Weather {
  const daily = monthlyClearness.map(dayTypeClearness);
  return {
    dayTypes: DAY_TYPES,
    write(step, question) {
      const outside = extraterrestrialIrradiance(question.dayOfYear, SOLAR_CONSTANT);
      const { a, b } = clearnessProfile(question.sunsetHourAngle);
      const shape = (a + b * question.cosHourAngle) / profileMean(a, b, question);
      const ceiling = clearSkyIrradiance(question.elevationDeg, altitudeM, linkeTurbidity, outside);
      const today = daily[question.month0]!;
      for (let type = 0; type < DAY_TYPES; type++) {
        const now = Math.max(0, today[type]! * shape);
        const global = now * outside * question.sinElevation;
        const split = splitGlobal(global, outside, question.sinElevation);
        // A low sun divides by almost nothing: no beam is stronger than the clear sky's, what is over comes as diffuse.
        const dni = Math.min(split.dni, ceiling.dni);
        step.dni[type] = dni;
        step.dhi[type] = global - dni * question.sinElevation;
        step.clearShare[type] = clearShareOf(now);
      }
    },
  };
}

/** Mean of a + b cos(hour angle) over the day, weighted with the light outside the atmosphere. */
function profileMean(a: number, b: number, { sunsetHourAngle: w, latitude, declinationDeg }: StepQuestion): number {
  const level = Math.sin(latitude * RADIANS) * Math.sin(declinationDeg * RADIANS);
  const swing = Math.cos(latitude * RADIANS) * Math.cos(declinationDeg * RADIANS);
  const total = level * w + swing * Math.sin(w);
  const weighted = level * Math.sin(w) + swing * (w / 2 + Math.sin(2 * w) / 4);
  return total > 1e-6 ? a + (b * weighted) / total : a + b;
}

/** How much of the diffuse light comes as from a clear sky, by clearness index. */
export function clearShareOf(clearness: number): number {
  return smoothStep((clearness - OVERCAST_TO) / (CLEAR_FROM - OVERCAST_TO));
}

function smoothStep(share: number): number {
  const x = Math.max(0, Math.min(1, share));
  return x * x * (3 - 2 * x);
}
