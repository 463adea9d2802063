/** The outdoors at one instant under a stated sky: what a reading or a drawing of a moment needs. */
import { RADIANS, SOLAR_CONSTANT, civilDateOf, type CivilDate, type MonthShare } from '../units';
import { dayOfYear, extraterrestrialIrradiance, sunEquatorial, sunPosition, type Place } from '../sun';
import { clearSkyIrradiance } from './irradiance';
import { OVERCAST_SKY, clearSky } from './radiance';
import { sunsetAngle, type Weather, type WeatherStep } from './weather';

export const SKY_KINDS = ['typical', 'clear', 'overcast'] as const;
export type SkyKind = (typeof SKY_KINDS)[number];

/** The outdoors at an instant. Irradiances in W m-2 (or any unit: what is computed from them is in the same). */
export interface Moment {
  /** Month (1..12), for snow and leaves. */
  readonly month: number;
  readonly dni: number;
  readonly dhi: number;
  /** Radiance of each node of the fine net per unit of `dhi`. */
  readonly skyShape: Float64Array;
  readonly sunAzimuthDeg: number;
  readonly sunElevationDeg: number;
}

export interface MomentQuestion {
  readonly atMs: number;
  readonly place: Place & { readonly elevationM: number };
  readonly timeZone: string;
  /** Its local date, where that is known: zones are slow to ask. */
  readonly date?: CivilDate;
  readonly sky: SkyKind;
  readonly turbidity: number;
  /** What a typical sky is the mean of. */
  readonly weather: Weather;
  /** Of which months' weather; of its own where none are given. */
  readonly months?: readonly MonthShare[];
}

/**
 * Share of a clear sky's global light that an evenly overcast one lets through; 0.1 (dark) to 0.45 (bright cloud).
 * Kasten and Czeplak 1980.
 */
export const OVERCAST_SHARE = 0.25;

const steps = new WeakMap<Weather, WeatherStep>();

/** Computes the outdoors at an instant; a sun below the horizon leaves nothing. */
export function momentAt(question: MomentQuestion): Moment {
  const { atMs, place, timeZone, date: known, sky, turbidity } = question;
  const date = known ?? civilDateOf(atMs, timeZone);
  const sun = sunPosition(atMs, place);
  const at = { month: date.month, sunAzimuthDeg: sun.azimuthDeg, sunElevationDeg: sun.elevationDeg };
  if (sun.elevationDeg <= 0) return { ...at, dni: 0, dhi: 0, skyShape: OVERCAST_SKY };
  const ordinal = dayOfYear(date);
  const sinElevation = Math.sin(sun.elevationDeg * RADIANS);
  const outside = extraterrestrialIrradiance(ordinal, SOLAR_CONSTANT);
  const clear = clearSkyIrradiance(sun.elevationDeg, place.elevationM, turbidity, outside);
  if (sky === 'clear')
    return { ...at, dni: clear.dni, dhi: clear.dhi, skyShape: clearSky(sun.azimuthDeg, sun.elevationDeg) };
  if (sky === 'overcast')
    return { ...at, dni: 0, dhi: OVERCAST_SHARE * (clear.dhi + clear.dni * sinElevation), skyShape: OVERCAST_SKY };
  const { dni, dhi, clearDiffuse } = typical(question, date, sun.elevationDeg);
  const clearShape = clearSky(sun.azimuthDeg, sun.elevationDeg);
  const share = dhi > 0 ? clearDiffuse / dhi : 0;
  return {
    ...at,
    dni,
    dhi,
    skyShape: clearShape.map((radiance, node) => radiance * share + OVERCAST_SKY[node]! * (1 - share)),
  };
}

/** The mean of a month's days at an instant, and what of its diffuse light comes from clear sky. */
function typical({ atMs, place, weather, months }: MomentQuestion, date: CivilDate, elevationDeg: number) {
  const { declinationDeg, greenwichHourAngleDeg } = sunEquatorial(atMs);
  const step = stepOf(weather);
  const mean = { dni: 0, dhi: 0, clearDiffuse: 0 };
  for (const { month0, share } of months ?? [{ month0: date.month - 1, share: 1 }]) {
    weather.write(step, {
      instantMs: atMs,
      month0,
      dayOfYear: dayOfYear(date),
      sinElevation: Math.sin(elevationDeg * RADIANS),
      elevationDeg,
      cosHourAngle: Math.cos((greenwichHourAngleDeg + place.longitude) * RADIANS),
      sunsetHourAngle: sunsetAngle(place.latitude, declinationDeg),
      latitude: place.latitude,
      declinationDeg,
    });
    const weight = share / weather.dayTypes;
    for (let type = 0; type < weather.dayTypes; type++) {
      mean.dni += step.dni[type]! * weight;
      mean.dhi += step.dhi[type]! * weight;
      mean.clearDiffuse += step.dhi[type]! * step.clearShare[type]! * weight;
    }
  }
  return mean;
}

function stepOf(weather: Weather): WeatherStep {
  let step = steps.get(weather);
  if (!step) {
    const make = () => new Float64Array(weather.dayTypes);
    step = { dni: make(), dhi: make(), clearShare: make() };
    steps.set(weather, step);
  }
  return step;
}
