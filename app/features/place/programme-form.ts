/** A timer's programme as it is typed: for each part of the year its months, its times of the day, its level. */
import { programmeSchema } from '@dulvan/contract';
import { ALL_MONTHS, type TimerMonths, type TimerSpan } from '@dulvan/core';
import { minuteOfClock } from '../../parts/clock';
import { timesWords } from '../../parts/timer-words';
import { typedNumber } from '../../parts/typed-number';
import type { Tell } from '../../parts/typed-schema';
import type { FormValues } from '../../parts/use-draft-form';
import { PROGRAMME as WORDS } from './place-words';

/** Each month stands in one part, so that there are no more. */
export const MOST_PARTS = 12;

/** The fields of one part. */
export const fieldsOf = (i: number) => ({ months: `months${i}`, times: `times${i}`, level: `level${i}` });

/** What the form begins with; a timer without a programme begins with one part of the whole year. */
export function programmeValues(programme: readonly TimerMonths[]): FormValues {
  const values: Record<string, string> = { count: String(Math.max(1, programme.length)) };
  for (let i = 0; i < MOST_PARTS; i++) {
    const part = programme[i];
    const { months, times, level } = fieldsOf(i);
    values[months] = (part ? part.months : programme.length === 0 && i === 0 ? ALL_MONTHS : []).join();
    values[times] = part ? timesWords(part.spans) : '';
    values[level] = String(Math.round(100 * (part?.level ?? 1)));
  }
  return values;
}

export const monthsIn = (text: string | undefined): number[] =>
  (text ?? '')
    .split(',')
    .filter(Boolean)
    .map(Number)
    .sort((p, q) => p - q);

const DAY_MINUTES = 1440;

const SPAN = /^(\S+)\s*(?:-|–|—|to)\s*(\S+)$/;

/** Times as "6:00–9:00, 17–21:30"; nothing is off. Null where a piece cannot be read. */
export function typedTimes(text: string): TimerSpan[] | null {
  const pieces = text.split(/[,;]/).map((piece) => piece.trim());
  const spans: TimerSpan[] = [];
  for (const piece of pieces.filter(Boolean)) {
    const [, on, off] = SPAN.exec(piece) ?? [];
    const [onMinute, offMinute] = [minuteOfClock(on ?? ''), minuteOfClock(off ?? '')];
    // What is no time is not at most a day either.
    if (!(onMinute <= DAY_MINUTES && offMinute <= DAY_MINUTES)) return null;
    spans.push({ onMinute, offMinute });
  }
  return spans;
}

/** Reads what is typed; what is wrong is told beside the part it is about. */
export function typedProgramme(values: FormValues, tell: Tell): TimerMonths[] | null {
  const parts = Array.from({ length: Number(values.count) }, (_, i) => {
    const fields = fieldsOf(i);
    const spans = typedTimes(values[fields.times] ?? '');
    if (!spans) tell(fields.times, WORDS.timesAs);
    const months = monthsIn(values[fields.months]);
    if (months.length === 0) tell(fields.months, WORDS.oneMonth);
    return { months, spans: spans ?? [], level: typedNumber(values[fields.level] ?? '') / 100, isRead: spans !== null };
  });
  const parsed = programmeSchema.safeParse(parts.map(({ isRead: _read, ...part }) => part));
  const issues = parsed.success ? [] : parsed.error.issues;
  for (const { path, message } of issues) {
    const [i, what] = path;
    if (typeof i === 'number') tell(fieldsOf(i)[what === 'spans' ? 'times' : (what as 'months' | 'level')], message);
    else tell(fieldsOf(doubledIn(parts)).months, message);
  }
  const isWhole = parts.every(({ isRead, months }) => isRead && months.length > 0);
  return parsed.success && isWhole ? [...parsed.data] : null;
}

/** The part that names a month which an earlier one has. */
function doubledIn(parts: readonly Pick<TimerMonths, 'months'>[]): number {
  const seen = new Set<number>();
  const found = parts.findIndex(({ months }) => {
    const isDoubled = months.some((month) => seen.has(month));
    for (const month of months) seen.add(month);
    return isDoubled;
  });
  return Math.max(0, found);
}
