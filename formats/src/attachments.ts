/** The content of stored files that answers are made from: a year's weather hours as CSV, a lamp's intensities as JSON. */
import { MOST_INTENSITIES, YEAR_HOURS, fluxOf, type Intensities, type WeatherHour } from '@dulvan/core';
import { z } from 'zod';
import { Broken, parseText, type ParsedFile } from './parsed';

const HOURS_HEAD = 'global_w_m2,direct_normal_w_m2,diffuse_w_m2';
const MOST_IRRADIANCE = 2000;

/** A year of hours as CSV: one line an hour, from the first of January. */
export function writeWeatherHours(hours: readonly WeatherHour[]): string {
  return `${HOURS_HEAD}\n${hours.map(({ global, dni, dhi }) => `${global},${dni},${dhi}`).join('\n')}\n`;
}

/** Reads a year of hours; a broken line is named, and a year without any change of light is none. */
export function readWeatherHours(text: string): ParsedFile<WeatherHour[]> {
  return parseText(text, (content) => {
    const lines = content.trimEnd().split('\n');
    if (lines[0] !== HOURS_HEAD) throw new Broken(1, `The first line must be ${HOURS_HEAD}.`);
    if (lines.length !== YEAR_HOURS + 1) {
      throw new Broken(lines.length, `${lines.length - 1} hours; a year has ${YEAR_HOURS}.`);
    }
    const hours = lines.slice(1).map((line, i) => hourOf(line, i + 2));
    const [first] = hours;
    if (hours.every(({ global }) => global === first!.global)) {
      throw new Broken(2, 'Every hour of the year has the same light: such a place is not on this earth.');
    }
    return hours;
  });
}

function hourOf(line: string, number: number): WeatherHour {
  const cells = line.split(',');
  const [global, dni, dhi] = cells.map((cell) => (/^\d{1,4}$/.test(cell) ? Number(cell) : NaN));
  const known = (value: number | undefined): value is number => value !== undefined && value <= MOST_IRRADIANCE;
  if (cells.length !== 3 || !known(global) || !known(dni) || !known(dhi)) {
    throw new Broken(number, `Three whole numbers from 0 to ${MOST_IRRADIANCE} are due.`);
  }
  return { global, dni, dhi };
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
