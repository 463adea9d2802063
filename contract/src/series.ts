/** Series: samples of an instrument over time; appended in batches, asked by range and step, answered as numbers in a row. */
import { z } from 'zod';
import { NAME_LIMIT, id, instant, line } from './fields';

/** What a series measures, each with its unit and what is possible for it. */
export const QUANTITIES = {
  temperature: { unit: '°C', from: -60, to: 90 },
  humidity: { unit: '%', from: 0, to: 100 },
  ppfd: { unit: 'µmol/m²s', from: 0, to: 5000 },
  illuminance: { unit: 'lx', from: 0, to: 300_000 },
  weight: { unit: 'g', from: 0, to: 500_000 },
  moisture: { unit: '%', from: 0, to: 100 },
} as const;
export type Quantity = keyof typeof QUANTITIES;

export const newSeriesSchema = z.strictObject({
  id,
  name: line(NAME_LIMIT).min(1, 'Give it a name.'),
  quantity: z.enum(Object.keys(QUANTITIES) as [Quantity, ...Quantity[]]),
  roomId: id.nullable(),
  spotId: id.nullable(),
  plantId: id.nullable(),
});
export type NewSeries = z.infer<typeof newSeriesSchema>;

export const seriesSchema = newSeriesSchema.extend({
  samples: z.number().int().min(0),
  firstAt: instant.nullable(),
  lastAt: instant.nullable(),
});
export type Series = z.infer<typeof seriesSchema>;

export const MOST_SERIES = 200;
export const MOST_SAMPLES_A_BATCH = 50_000;

/** Times and values side by side; a sample at a time that is there already takes its place. */
export const samplesSchema = z
  .strictObject({
    at: z.array(instant).min(1).max(MOST_SAMPLES_A_BATCH, `At most ${MOST_SAMPLES_A_BATCH} samples at once.`),
    values: z.array(z.number('A number.')).max(MOST_SAMPLES_A_BATCH),
  })
  .refine(({ at, values }) => at.length === values.length, { path: ['values'], message: 'One value for each time.' });
export type Samples = z.infer<typeof samplesSchema>;

export const STEPS = ['raw', 'hour', 'day'] as const;
export type SeriesStep = (typeof STEPS)[number];

export const seriesQuerySchema = z.object({
  from: z.string().regex(/^\d{1,13}$/, 'A time in milliseconds.'),
  to: z.string().regex(/^\d{1,13}$/, 'A time in milliseconds.'),
  step: z.enum(STEPS),
});

/** Most samples that one answer holds one by one; sums have no limit but the range. */
export const MOST_RAW_SAMPLES = 200_000;

/** Numbers of one row of an answer: time and value, or time, count, sum, least and most. */
export const ROW_NUMBERS: Readonly<Record<SeriesStep, number>> = { raw: 2, hour: 5, day: 5 };

export interface Sample {
  readonly at: number;
  readonly value: number;
}

/** What an hour or a day of samples comes to. */
export interface SampleSum {
  readonly at: number;
  readonly count: number;
  readonly mean: number;
  readonly least: number;
  readonly most: number;
}

/** Reads an answer's rows: little-endian numbers of eight bytes. */
function rowsOf(buffer: ArrayBuffer, step: SeriesStep): number[][] {
  const width = ROW_NUMBERS[step];
  const view = new DataView(buffer);
  const rows = Math.floor(buffer.byteLength / 8 / width);
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: width }, (_unused, i) => view.getFloat64((row * width + i) * 8, true)),
  );
}

/** Samples one by one, from the bytes of an answer. */
export const samplesIn = (buffer: ArrayBuffer): Sample[] =>
  rowsOf(buffer, 'raw').map(([at, value]) => ({ at: at!, value: value! }));

/** Sums by hour or day, from the bytes of an answer. */
export const sumsIn = (buffer: ArrayBuffer, step: 'hour' | 'day'): SampleSum[] =>
  rowsOf(buffer, step).map(([at, count, sum, least, most]) => ({
    at: at!,
    count: count!,
    mean: sum! / count!,
    least: least!,
    most: most!,
  }));
