/** Series of a home: samples appended in batches, asked by range and step. */
import {
  MOST_RAW_SAMPLES,
  MOST_SERIES,
  QUANTITIES,
  ROW_NUMBERS,
  type NewSeries,
  type Samples,
  type Series,
  type SeriesStep,
} from '@dulvan/contract';
import { DAY_MS, HOUR_MS, civilDateOf, nextCivilDate, startOfCivilDay } from '@dulvan/core';
import { and, asc, between, count, eq, max, min, sum } from 'drizzle-orm';
import type { Reader, Writer } from './database';
import { refuse } from './refused';
import {
  mergedSamples,
  packHours,
  packSamples,
  unpackHours,
  unpackSamples,
  type DaySamples,
  type HourSum,
} from './samples';
import { samples, series } from './schema';

type SeriesRow = typeof series.$inferSelect;

const metaOf = ({ sequence: _sequence, homeId: _home, ...meta }: SeriesRow): NewSeries => meta;

function rowOf(reader: Reader, homeId: string, id: string): SeriesRow {
  const row = reader
    .select()
    .from(series)
    .where(and(eq(series.homeId, homeId), eq(series.id, id)))
    .get();
  if (!row) throw refuse(404, 'There is no such series.');
  return row;
}

function describedOf(reader: Reader, row: SeriesRow): Series {
  const [held] = reader
    .select({ samples: sum(samples.count), firstAt: min(samples.firstAt), lastAt: max(samples.lastAt) })
    .from(samples)
    .where(eq(samples.series, row.sequence))
    .all();
  return {
    ...metaOf(row),
    samples: Number(held?.samples ?? 0),
    firstAt: held?.firstAt ?? null,
    lastAt: held?.lastAt ?? null,
  };
}

export function listSeries(reader: Reader, homeId: string): Series[] {
  const rows = reader.select().from(series).where(eq(series.homeId, homeId)).orderBy(asc(series.sequence)).all();
  return rows.map((row) => describedOf(reader, row));
}

/** Begins a series. The same one sent twice is one. */
export function addSeries(writer: Writer, homeId: string, given: NewSeries): Series {
  const known = writer
    .select()
    .from(series)
    .where(and(eq(series.homeId, homeId), eq(series.id, given.id)))
    .get();
  if (known) {
    if (known.quantity !== given.quantity) throw refuse(409, 'A series with this key measures something else.');
    return describedOf(writer, known);
  }
  const [held] = writer.select({ series: count() }).from(series).where(eq(series.homeId, homeId)).all();
  if (held!.series >= MOST_SERIES) throw refuse(413, `A home keeps at most ${MOST_SERIES} series.`);
  return describedOf(
    writer,
    writer
      .insert(series)
      .values({ ...given, homeId })
      .returning()
      .get(),
  );
}

/** Appends samples. A sample at a time that is there already takes its place, so that a batch sent twice counts once. */
export function appendSamples(writer: Writer, homeId: string, id: string, { at, values }: Samples): Series {
  const row = rowOf(writer, homeId, id);
  const { from, to, unit } = QUANTITIES[row.quantity];
  const wrong = values.findIndex((value) => value < from || value > to);
  if (wrong >= 0) {
    throw refuse(422, `Sample ${wrong + 1} is ${values[wrong]}; from ${from} to ${to} ${unit} is possible.`);
  }
  const days = new Map<number, DaySamples>();
  at.forEach((time, i) => {
    const day = Math.floor(time / DAY_MS);
    let group = days.get(day);
    if (!group) days.set(day, (group = { at: [], values: [] }));
    group.at.push(time);
    group.values.push(values[i]!);
  });
  for (const [day, group] of days) mergeDay(writer, row.sequence, day, group);
  return describedOf(writer, row);
}

function mergeDay(writer: Writer, sequence: number, day: number, group: DaySamples): void {
  const key = and(eq(samples.series, sequence), eq(samples.day, day));
  const known = writer.select({ packed: samples.packed }).from(samples).where(key).get();
  const all = mergedSamples(known ? unpackSamples(known.packed, day) : { at: [], values: [] }, group);
  const row = {
    count: all.at.length,
    firstAt: all.at[0]!,
    lastAt: all.at[all.at.length - 1]!,
    packed: packSamples(all),
    hours: packHours(all, day),
  };
  if (known) writer.update(samples).set(row).where(key).run();
  else
    writer
      .insert(samples)
      .values({ ...row, series: sequence, day })
      .run();
}

export interface Range {
  /** UTC epoch milliseconds; the end is left out. */
  readonly from: number;
  readonly to: number;
  readonly step: SeriesStep;
}

/**
 * Samples of a range as rows of little-endian numbers of eight bytes.
 * Days are those of a time zone; an hour (of UTC) belongs to the day in which its middle lies.
 */
export function samplesBetween(reader: Reader, homeId: string, id: string, range: Range, timeZone: string): Buffer {
  const row = rowOf(reader, homeId, id);
  if (range.to <= range.from) throw refuse(422, 'The range must end after it begins.');
  if (range.step === 'raw') return rawSamples(reader, row.sequence, range);
  const hours = hourSums(reader, row.sequence, range);
  return rowsOf(range.step === 'hour' ? hours : daySums(hours, timeZone));
}

const inDays = (sequence: number, { from, to }: Range) =>
  and(eq(samples.series, sequence), between(samples.day, Math.floor(from / DAY_MS), Math.floor((to - 1) / DAY_MS)));

function rawSamples(reader: Reader, sequence: number, range: Range): Buffer {
  const [held] = reader
    .select({ samples: sum(samples.count) })
    .from(samples)
    .where(inDays(sequence, range))
    .all();
  if (Number(held?.samples ?? 0) > MOST_RAW_SAMPLES) {
    throw refuse(413, `More than ${MOST_RAW_SAMPLES} samples lie in this range: ask for less, or by hour or day.`);
  }
  const rows: number[][] = [];
  for (const { day, packed } of packedDays(reader, sequence, range)) {
    const { at, values } = unpackSamples(packed, day);
    at.forEach((time, i) => {
      if (time >= range.from && time < range.to) rows.push([time, values[i]!]);
    });
  }
  return numbersOf(rows, ROW_NUMBERS.raw);
}

function packedDays(reader: Reader, sequence: number, range: Range) {
  return reader
    .select({ day: samples.day, packed: samples.packed })
    .from(samples)
    .where(inDays(sequence, range))
    .orderBy(asc(samples.day))
    .all();
}

function hourSums(reader: Reader, sequence: number, range: Range): HourSum[] {
  const rows = reader
    .select({ day: samples.day, hours: samples.hours })
    .from(samples)
    .where(inDays(sequence, range))
    .orderBy(asc(samples.day))
    .all();
  return rows
    .flatMap(({ day, hours }) => unpackHours(hours, day))
    .filter(({ at }) => at + HOUR_MS > range.from && at < range.to);
}

function daySums(hours: readonly HourSum[], timeZone: string): HourSum[] {
  const days: HourSum[] = [];
  let endsAt = -Infinity;
  for (const hour of hours) {
    const middle = hour.at + HOUR_MS / 2;
    if (middle >= endsAt) {
      const date = civilDateOf(middle, timeZone);
      endsAt = startOfCivilDay(nextCivilDate(date), timeZone);
      days.push({ ...hour, at: startOfCivilDay(date, timeZone) });
      continue;
    }
    const day = days[days.length - 1]!;
    day.count += hour.count;
    day.sum += hour.sum;
    day.least = Math.min(day.least, hour.least);
    day.most = Math.max(day.most, hour.most);
  }
  return days;
}

const rowsOf = (sums: readonly HourSum[]) =>
  numbersOf(
    sums.map(({ at, count: held, sum: all, least, most }) => [at, held, all, least, most]),
    ROW_NUMBERS.hour,
  );

function numbersOf(rows: readonly (readonly number[])[], width: number): Buffer {
  const bytes = Buffer.alloc(rows.length * width * 8);
  let at = 0;
  for (const row of rows) for (const value of row) at = bytes.writeDoubleLE(value, at);
  return bytes;
}

/** Days of samples that are read at a time for an export. */
const DAYS_A_BATCH = 60;

/** All samples of a series in order, some days at a time. */
export function* allSamples(reader: Reader, homeId: string, id: string): Generator<DaySamples> {
  const { sequence } = rowOf(reader, homeId, id);
  const [ends] = reader
    .select({ first: min(samples.day), last: max(samples.day) })
    .from(samples)
    .where(eq(samples.series, sequence))
    .all();
  if (ends?.first == null || ends.last == null) return;
  for (let day = ends.first; day <= ends.last; day += DAYS_A_BATCH) {
    const range = { from: day * DAY_MS, to: (day + DAYS_A_BATCH) * DAY_MS, step: 'raw' } as const;
    for (const held of packedDays(reader, sequence, range)) yield unpackSamples(held.packed, held.day);
  }
}
