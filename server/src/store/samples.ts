/** A day of samples as bytes: the samples one by one, compressed, and what each hour of them comes to. */
import { DAY_MS, HOUR_MS } from '@dulvan/core';
import { deflateRawSync, inflateRawSync } from 'node:zlib';

/** Samples in the order of time, times and values side by side. */
export interface DaySamples {
  readonly at: number[];
  readonly values: number[];
}

/** Fast: it is packed anew with every batch. */
const LEVEL = 1;

/** Times as steps from one to the next (the first from midnight), then values in four bytes each. */
export function packSamples({ at, values }: DaySamples): Buffer {
  const steps = new Uint32Array(at.length);
  let before = Math.floor((at[0] ?? 0) / DAY_MS) * DAY_MS;
  at.forEach((time, i) => {
    steps[i] = time - before;
    before = time;
  });
  const bytes = Buffer.concat([bytesOf(steps), bytesOf(Float32Array.from(values))]);
  return deflateRawSync(bytes, { level: LEVEL });
}

const bytesOf = (array: Uint32Array | Float32Array) => Buffer.from(array.buffer, array.byteOffset, array.byteLength);

export function unpackSamples(packed: Uint8Array, day: number): DaySamples {
  const bytes = inflateRawSync(packed);
  const count = bytes.length / 8;
  const whole = bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length);
  const steps = new Uint32Array(whole, 0, count);
  const values = new Float32Array(whole, count * 4, count);
  let time = day * DAY_MS;
  return { at: Array.from(steps, (step) => (time += step)), values: Array.from(values) };
}

/** What the samples of an hour come to. */
export interface HourSum {
  /** Beginning of the hour, UTC epoch milliseconds. */
  readonly at: number;
  count: number;
  sum: number;
  least: number;
  most: number;
}

const HOURS = 24;
const NUMBERS = 4;

/** The sums of each hour of a day, UTC; an hour without samples counts none. */
export function packHours({ at, values }: DaySamples, day: number): Buffer {
  const numbers = new Float64Array(HOURS * NUMBERS);
  for (let hour = 0; hour < HOURS; hour++) numbers.set([0, 0, Infinity, -Infinity], hour * NUMBERS);
  at.forEach((time, i) => {
    const from = Math.floor((time - day * DAY_MS) / HOUR_MS) * NUMBERS;
    const value = Math.fround(values[i]!);
    numbers[from]! += 1;
    numbers[from + 1]! += value;
    numbers[from + 2] = Math.min(numbers[from + 2]!, value);
    numbers[from + 3] = Math.max(numbers[from + 3]!, value);
  });
  return Buffer.from(numbers.buffer);
}

/** The sums of those hours of a day that have samples, in their order. */
export function unpackHours(bytes: Uint8Array, day: number): HourSum[] {
  const numbers = new Float64Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length));
  const sums: HourSum[] = [];
  for (let hour = 0, i = 0; hour < HOURS; hour++, i += NUMBERS) {
    if (numbers[i] === 0) continue;
    const at = day * DAY_MS + hour * HOUR_MS;
    sums.push({ at, count: numbers[i]!, sum: numbers[i + 1]!, least: numbers[i + 2]!, most: numbers[i + 3]! });
  }
  return sums;
}

/** Two runs of samples as one, in order; at the same time the later run's value stands. */
export function mergedSamples(first: DaySamples, second: DaySamples): DaySamples {
  const last = first.at[first.at.length - 1];
  const isSorted = second.at.every((time, i) => i === 0 || time > second.at[i - 1]!);
  if (isSorted && (last === undefined || second.at[0]! > last)) {
    return { at: [...first.at, ...second.at], values: [...first.values, ...second.values] };
  }
  const byTime = new Map<number, number>();
  for (const { at, values } of [first, second]) at.forEach((time, i) => byTime.set(time, values[i]!));
  const at = [...byTime.keys()].sort((p, q) => p - q);
  return { at, values: at.map((time) => byTime.get(time)!) };
}
