/** When timers burn, as one would say it. */
import { clockOf, yearOfTimer, type Circuit, type TimerMonths, type TimerSpan } from '@dulvan/core';
import { TIMER_WORDS as WORDS } from './part-words';
import { whenInWords } from './verdict-words';

/** Times of a day, "6:00–9:00, 17:00–21:30". */
export const timesWords = (spans: readonly TimerSpan[]): string =>
  spans.map(({ onMinute, offMinute }) => `${clockOf(onMinute)}–${clockOf(offMinute)}`).join(', ');

const spansWords = ({ spans, level }: Pick<TimerMonths, 'spans' | 'level'>): string =>
  spans.length === 0 ? WORDS.off : `${timesWords(spans)}${level < 1 ? WORDS.dimmed(Math.round(100 * level)) : ''}`;

/** A year of a timer, months of the same times together. */
export const programmeWords = (programme: readonly TimerMonths[]): string =>
  programme
    .filter(({ months }) => months.length > 0)
    .map((entry) =>
      entry.months.length === 12 ? spansWords(entry) : `${spansWords(entry)} ${whenInWords(entry.months)}`,
    )
    .join('; ');

/** A timer's year as it is set, and how its lamps fade. */
export const timerWords = (circuit: Circuit): string =>
  programmeWords(yearOfTimer(circuit)) + (circuit.fadeMinutes > 0 ? WORDS.fading(circuit.fadeMinutes) : '');
