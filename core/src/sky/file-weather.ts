/** Weather from a file of measured or typical hours, brought down to the steps of a year. */
import { YEAR_HOURS, type WeatherHour } from '../facts';
import { DAY_MS, HOUR_MS, RADIANS, SOLAR_CONSTANT } from '../units';
import { dayOfYear, extraterrestrialIrradiance, sunPosition, type Place } from '../sun';
import { DAY_TYPES } from './clearness';
import { clearSkyIrradiance } from './irradiance';
import { clearShareOf, type Weather } from './weather';

const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Clear air, against which a file's hours are held so that they can be read at any minute. */
const LINKE_TURBIDITY = 3;
const SUBSTEPS = 12;

/** Beam and diffuse light over the clear sky's, by `(month0 * DAY_TYPES + type) * 24 + hour`. */
interface Ratios {
  readonly beam: Float64Array;
  readonly diffuse: Float64Array;
}

/**
 * A weather of five day types a month: the file's days of the month, put in order of their light and parted into five.
 * Within an hour beam and diffuse light follow the clear sky's, so that the sun's disc can be traced at steps of
 * minutes; each month keeps the file's mean of beam and of diffuse light.
 */
export function fileWeather(
  hours: readonly WeatherHour[],
  utcOffsetH: number,
  place: Place & { readonly elevationM: number },
): Weather {
  const clear = clearHours(utcOffsetH, place);
  const ratios = ratiosOf(hours, clear);
  return {
    dayTypes: DAY_TYPES,
    write(step, { instantMs, month0, dayOfYear: ordinal, elevationDeg, sinElevation }) {
      const outside = extraterrestrialIrradiance(ordinal, SOLAR_CONSTANT);
      const now = clearSkyIrradiance(elevationDeg, place.elevationM, LINKE_TURBIDITY, outside);
      const hour = Math.floor((((instantMs / HOUR_MS + utcOffsetH) % 24) + 24) % 24);
      for (let type = 0; type < DAY_TYPES; type++) {
        const at = (month0 * DAY_TYPES + type) * 24 + hour;
        const dni = now.dni * ratios.beam[at]!;
        const dhi = now.dhi * ratios.diffuse[at]!;
        step.dni[type] = dni;
        step.dhi[type] = dhi;
        step.clearShare[type] = clearShareOf((dhi + dni * sinElevation) / Math.max(1, outside * sinElevation));
      }
    },
  };
}

/** The clear sky's mean over each hour of the file's clock, in a year without a leap day. */
function clearHours(utcOffsetH: number, place: Place & { readonly elevationM: number }): WeatherHour[] {
  const startMs = Date.UTC(2025, 0, 1) - utcOffsetH * HOUR_MS;
  return Array.from({ length: YEAR_HOURS }, (_, i) => {
    let dni = 0;
    let dhi = 0;
    let global = 0;
    for (let sub = 0; sub < SUBSTEPS; sub++) {
      const atMs = startMs + (i + (sub + 0.5) / SUBSTEPS) * HOUR_MS;
      const { elevationDeg } = sunPosition(atMs, place);
      if (elevationDeg <= 0) continue;
      const date = new Date(atMs + utcOffsetH * HOUR_MS);
      const ordinal = dayOfYear({ year: 2025, month: date.getUTCMonth() + 1, day: date.getUTCDate() });
      const light = clearSkyIrradiance(
        elevationDeg,
        place.elevationM,
        LINKE_TURBIDITY,
        extraterrestrialIrradiance(ordinal, SOLAR_CONSTANT),
      );
      dni += light.dni / SUBSTEPS;
      dhi += light.dhi / SUBSTEPS;
      global += (light.dhi + light.dni * Math.sin(elevationDeg * RADIANS)) / SUBSTEPS;
    }
    return { dni, dhi, global };
  });
}

function ratiosOf(hours: readonly WeatherHour[], clear: readonly WeatherHour[]): Ratios {
  const beam = new Float64Array(12 * DAY_TYPES * 24);
  const diffuse = new Float64Array(12 * DAY_TYPES * 24);
  let firstDay = 0;
  for (let month0 = 0; month0 < 12; month0++) {
    const days = Array.from({ length: MONTH_DAYS[month0]! }, (_, i) => firstDay + i);
    firstDay += days.length;
    const light = (day: number) => hours.slice(day * 24, day * 24 + 24).reduce((sum, { global }) => sum + global, 0);
    const ranked = [...days].sort((p, q) => light(p) - light(q));
    for (let type = 0; type < DAY_TYPES; type++) {
      const base = (month0 * DAY_TYPES + type) * 24;
      const group = fifthOf(ranked, type);
      for (const field of ['dni', 'dhi'] as const) {
        const into = field === 'dni' ? beam : diffuse;
        for (let hour = 0; hour < 24; hour++) {
          const mean = (list: readonly WeatherHour[]) =>
            group.reduce((all, { day, share }) => all + share * list[day * 24 + hour]![field], 0);
          const bare = mean(clear);
          into[base + hour] = bare > LEAST_CLEAR ? Math.min(MOST_RATIO, mean(hours) / bare) : 0;
        }
      }
      keepMonth(beam, diffuse, base, { days, group, hours, clear });
    }
  }
  return { beam, diffuse };
}

/** A day of a type, with its share in it. */
interface TypeDay {
  readonly day: number;
  readonly share: number;
}

/** One fifth of a month's days in order; a day on the border belongs to both sides in part, so that the five mean what the month does. */
function fifthOf(ranked: readonly number[], type: number): TypeDay[] {
  const size = ranked.length / DAY_TYPES;
  return ranked.flatMap((day, rank) => {
    const overlap = Math.min(rank + 1, (type + 1) * size) - Math.max(rank, type * size);
    return overlap > 0 ? [{ day, share: overlap / size }] : [];
  });
}

/** Hours of which a clear sky has less than this are left dark, W m-2. */
const LEAST_CLEAR = 0.5;

/** More than this many times a clear sky's light does not come, but in the last minutes of a low sun. */
const MOST_RATIO = 4;

interface MonthOfType {
  readonly days: readonly number[];
  readonly group: readonly TypeDay[];
  readonly hours: readonly WeatherHour[];
  readonly clear: readonly WeatherHour[];
}

/**
 * Scales a type's ratios so that, laid over every day of its month, they give the beam of its own days, and level ground
 * the light of those days: where the sun only grazes the horizon, an hour's beam and its height do not go together.
 */
function keepMonth(
  beam: Float64Array,
  diffuse: Float64Array,
  base: number,
  { days, group, hours, clear }: MonthOfType,
): void {
  const summed = (of: (hour: WeatherHour) => number) => {
    let sum = 0;
    for (let hour = 0; hour < 24; hour++)
      for (const { day, share } of group) sum += share * of(hours[day * 24 + hour]!);
    return sum;
  };
  const given = (ratios: Float64Array, of: (hour: WeatherHour) => number) => {
    let sum = 0;
    for (let hour = 0; hour < 24; hour++)
      for (const day of days) sum += (ratios[base + hour]! * of(clear[day * 24 + hour]!)) / days.length;
    return sum;
  };
  const scale = (ratios: Float64Array, factor: number) => {
    for (let hour = 0; hour < 24; hour++) ratios[base + hour]! *= factor;
  };
  const straight = given(beam, ({ dni }) => dni);
  if (straight > 0) scale(beam, summed(({ dni }) => dni) / straight);
  const spread = given(diffuse, ({ dhi }) => dhi);
  const beside = given(beam, ({ global, dhi }) => Math.max(0, global - dhi));
  const wanted = Math.max(0, summed(({ global }) => global) - beside);
  if (spread > 0) scale(diffuse, wanted / spread);
}

/** Sum of an hour list's global light by month, kWh m-2 a day, January first. */
export function monthlyGlobal(hours: readonly WeatherHour[]): number[] {
  let first = 0;
  return MONTH_DAYS.map((days) => {
    const sum = hours.slice(first, first + days * 24).reduce((all, { global }) => all + global, 0);
    first += days * 24;
    return sum / days / 1000;
  });
}

/** The hour of a file that holds an instant, on its own clock; 29 February counts as the 28th. */
export function hourOfFile(atMs: number, utcOffsetH: number): number {
  const date = new Date(atMs + utcOffsetH * HOUR_MS);
  const ordinal = Math.floor(
    (Date.UTC(2025, date.getUTCMonth(), Math.min(date.getUTCDate(), MONTH_DAYS[date.getUTCMonth()]!)) -
      Date.UTC(2025, 0, 1)) /
      DAY_MS,
  );
  return ordinal * 24 + date.getUTCHours();
}
