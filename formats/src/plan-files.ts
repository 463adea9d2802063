/** A plan's steps and its timers' programmes as files that other programs read: a calendar (RFC 5545) and tables. */
import { ALL_MONTHS, burningIn, clockOf, hoursOf, yearOfTimer, type Circuit, type TimerSpan } from '@dulvan/core';
import { createEvents, type EventAttributes } from 'ics';
import Papa from 'papaparse';

/** A step as it is told. */
export interface ToldStep {
  readonly id: string;
  /** YYYY-MM-DD. */
  readonly on: string;
  readonly title: string;
}

export interface CalendarGiven {
  readonly steps: readonly ToldStep[];
  readonly circuits: readonly Circuit[];
  /** The day it is made, YYYY-MM-DD: a timer's event begins on the first day from then on which it burns. */
  readonly on: string;
  readonly name: string;
}

/** A stretch of the day in which a timer burns alike in some months. */
interface Stretch extends TimerSpan {
  readonly months: readonly number[];
  readonly level: number;
}

/** What a timer does in a year, months of the same stretch together. */
function stretchesOf(circuit: Circuit): Stretch[] {
  const found = new Map<string, Stretch>();
  for (const { months, spans, level } of yearOfTimer(circuit))
    for (const { onMinute, offMinute } of spans) {
      const key = `${onMinute}-${offMinute}-${level}`;
      const known = found.get(key)?.months ?? [];
      found.set(key, { months: [...known, ...months].sort((p, q) => p - q), onMinute, offMinute, level });
    }
  return [...found.values()];
}

type Day = [year: number, month: number, day: number];

const dayOf = (on: string): Day => on.split('-').map(Number) as Day;

/** The first day from one on that lies in one of some months. */
function firstIn(months: readonly number[], on: string): Day {
  const [year, month, day] = dayOf(on);
  if (months.includes(month)) return [year, month, day];
  const later = months.find((one) => one > month);
  return later === undefined ? [year + 1, Math.min(...months), 1] : [year, later, 1];
}

const LINE_OF_TIMER = 'Set by hand, or by its timer';

/**
 * A calendar of the steps, each a whole day, and of the timers, each stretch an event that comes back every day of its
 * months. Times are local to whoever reads it, as clocks on timers are. @throws Error when a title cannot be written
 */
export function planCalendar({ steps, circuits, on, name }: CalendarGiven): string {
  const ofSteps = steps.map(({ id, on: day, title }): EventAttributes => ({
    uid: `${id}@dulvan`,
    title,
    start: dayOf(day),
    duration: { days: 1 },
    calName: name,
    productId: 'dulvan',
  }));
  const ofTimers = circuits.flatMap((circuit) =>
    stretchesOf(circuit).map(({ months, onMinute, offMinute, level }, i): EventAttributes => {
      const [year, month, day] = firstIn(months, on);
      const minutes = offMinute - onMinute;
      return {
        uid: `${circuit.id}-${i}@dulvan`,
        title: level < 1 ? `${circuit.name} (${Math.round(100 * level)} %)` : circuit.name,
        description: LINE_OF_TIMER,
        start: [year, month, day, Math.floor(onMinute / 60), onMinute % 60],
        startInputType: 'local',
        startOutputType: 'local',
        duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
        recurrenceRule: `FREQ=DAILY;BYMONTH=${months.join(',')}`,
        busyStatus: 'FREE',
        calName: name,
        productId: 'dulvan',
      };
    }),
  );
  const { error, value } = createEvents([...ofSteps, ...ofTimers]);
  if (error) throw error;
  return value ?? '';
}

const table = (fields: string[], data: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse({ fields, data: data.map((row) => [...row]) }, { newline: '\n', escapeFormulae: true })}\n`;

/** Timers month by month: when each is on and off, how it fades, how far it is dimmed, and its hours. */
export const timersTable = (circuits: readonly Circuit[]): string =>
  table(
    ['timer', 'month', 'on', 'off', 'fade_minutes', 'level_percent', 'hours_a_day'],
    circuits.flatMap((circuit) =>
      ALL_MONTHS.flatMap((month) => {
        const { spans, level } = burningIn(circuit, month);
        const percent = Math.round(100 * level);
        return spans.length === 0
          ? [[circuit.name, month, '', '', circuit.fadeMinutes, percent, 0]]
          : spans.map((span) => [
              circuit.name,
              month,
              clockOf(span.onMinute),
              clockOf(span.offMinute),
              circuit.fadeMinutes,
              percent,
              Number(hoursOf([span]).toFixed(2)),
            ]);
      }),
    ),
  );

/** Steps in their order. */
export const stepsTable = (steps: readonly ToldStep[]): string =>
  table(
    ['day', 'step'],
    steps.map(({ on, title }) => [on, title]),
  );
