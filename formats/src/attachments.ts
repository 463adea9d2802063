/**
 * The content of stored files that answers are made from: a year's weather hours as CSV, a lamp's intensities as
 * JSON.
 */
import { MOST_INTENSITIES, YEAR_HOURS, fluxOf, type Intensities, type WeatherHour } from '@dulvan/core';
import { z } from 'zod';
import { Broken, parseText, type ParsedFile } from './parsed';

const LIGHT_HEAD = 'global_w_m2,direct_normal_w_m2,diffuse_w_m2';
const HOURS_HEAD = `${LIGHT_HEAD},air_c,air_rh`;
const MOST_IRRADIANCE = 2000;

/** A year of hours as CSV: one line an hour, from the first of January; the air where it is known of all. */
export function writeWeatherHours(hours: readonly WeatherHour[]): string {
  const hasAir = hours.every(({ celsius, rh }) => celsius !== undefined && rh !== undefined);
  const line = ({ global, dni, dhi, celsius, rh }: WeatherHour) =>
    [global, dni, dhi, ...(hasAir ? [celsius, rh] : [])].join(',');
  return `${hasAir ? HOURS_HEAD : LIGHT_HEAD}\n${hours.map(line).join('\n')}\n`;
}

/** Reads a year of hours; a broken line is named, and a year without any change of light is none. */
export function readWeatherHours(text: string): ParsedFile<WeatherHour[]> {
  return parseText(text, (content) => {
    const lines = content.trimEnd().split('\n');
    if (lines[0] !== HOURS_HEAD && lines[0] !== LIGHT_HEAD) {
      throw new Broken(1, `The first line must be ${HOURS_HEAD}, or end after diffuse_w_m2.`);
    }
    if (lines.length !== YEAR_HOURS + 1) {
      throw new Broken(lines.length, `${lines.length - 1} hours; a year has ${YEAR_HOURS}.`);
    }
    const hours = lines.slice(1).map((line, i) => hourOf(line, i + 2, lines[0] === HOURS_HEAD));
    const [first] = hours;
    if (hours.every(({ global }) => global === first!.global)) {
      throw new Broken(2, 'Every hour of the year has the same light: such a place is not on this earth.');
    }
    return hours;
  });
}

function hourOf(line: string, number: number, hasAir: boolean): WeatherHour {
  const cells = line.split(',');
  const [global, dni, dhi] = cells.slice(0, 3).map((cell) => (/^\d{1,4}$/.test(cell) ? Number(cell) : NaN));
  const known = (value: number | undefined): value is number => value !== undefined && value <= MOST_IRRADIANCE;
  if (cells.length !== (hasAir ? 5 : 3) || !known(global) || !known(dni) || !known(dhi)) {
    throw new Broken(number, `Three whole numbers from 0 to ${MOST_IRRADIANCE} are due.`);
  }
  return { global, dni, dhi, ...(hasAir ? airOf(cells, number) : {}) };
}

const COLDEST_C = -70;
const HOTTEST_C = 60;

function airOf(cells: readonly string[], number: number): { readonly celsius: number; readonly rh: number } {
  const [celsius, rh] = cells.slice(3).map((cell) => (/^-?\d{1,3}(\.\d{1,2})?$/.test(cell) ? Number(cell) : NaN));
  const within = (value: number | undefined, from: number, to: number): value is number =>
    value !== undefined && value >= from && value <= to;
  if (!within(celsius, COLDEST_C, HOTTEST_C) || !within(rh, 0, 100)) {
    throw new Broken(number, `Air from ${COLDEST_C} to ${HOTTEST_C} °C and from 0 to 100 % is due.`);
  }
  return { celsius, rh };
}

const rising = (list: readonly number[]) => list.every((value, i) => i === 0 || value > list[i - 1]!);
const degrees = (most: number) => z.number().min(0).max(most);

const intensitiesSchema = z
  .strictObject({
    planes: z.array(degrees(360)).min(1).max(361).refine(rising, 'Planes must rise.'),
    angles: z.array(degrees(180)).min(2).max(361).refine(rising, 'Angles must rise.'),
    candela: z.array(z.number().min(0).max(10_000_000)).max(MOST_INTENSITIES),
  })
  .refine(({ planes, angles, candela }) => candela.length === planes.length * angles.length, {
    path: ['candela'],
    message: 'One intensity for each plane and angle.',
  })
  .refine((intensities) => fluxOf(intensities) > 0, { path: ['candela'], message: 'Such a lamp gives no light.' });

/** A lamp's intensities as JSON. */
export function writeIntensities({ planes, angles, candela }: Intensities): string {
  return JSON.stringify({ planes, angles, candela });
}

/** Reads a lamp's intensities. */
export function readIntensities(text: string): ParsedFile<Intensities> {
  return parseText(text, (content) => {
    let raw: unknown;
    try {
      raw = JSON.parse(content);
    } catch {
      throw new Broken(1, 'The file is not whole JSON.');
    }
    const read = intensitiesSchema.safeParse(raw);
    if (read.success) return read.data;
    const [issue] = read.error.issues;
    throw new Broken(1, `${issue!.path.join(' › ') || 'the top'}: ${issue!.message}`);
  });
}
