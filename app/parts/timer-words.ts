/** When timers burn, as one would say it. */
import { burningIn, type Circuit, type TimerMonths } from '@dulvan/core';
import { TIMER_WORDS as WORDS } from './part-words';
import { whenInWords } from './verdict-words';
import { clock } from './words';

const spansWords = ({ spans, level }: Pick<TimerMonths, 'spans' | 'level'>): string =>
  spans.length === 0
    ? WORDS.off
    : `${spans.map(({ onMinute, offMinute }) => `${clock(onMinute)}–${clock(offMinute)}`).join(', ')}${
        level < 1 ? WORDS.dimmed(Math.round(100 * level)) : ''
      }`;

/** A year of a timer, months of the same times together. */
export const programmeWords = (programme: readonly TimerMonths[]): string =>
  programme
    .filter(({ months }) => months.length > 0)
    .map((entry) =>
      entry.months.length === 12 ? spansWords(entry) : `${spansWords(entry)} ${whenInWords(entry.months)}`,
    )
    .join('; ');

/** A timer's year as it is set. */
export const timerWords = (circuit: Circuit): string => {
  const byWay = new Map<string, TimerMonths>();
  for (let month = 1; month <= 12; month++) {
    const way = burningIn(circuit, month);
    const key = JSON.stringify(way);
    const known = byWay.get(key);
    byWay.set(key, { ...way, months: [...(known?.months ?? []), month] });
  }
  return programmeWords([...byWay.values()]);
};
