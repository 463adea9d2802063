/** When a timer burns. */
import type { Circuit, TimerMonths, TimerSpan } from '../facts';
import { ALL_MONTHS } from '../units';

/** What tells when a timer burns: one time for some months, or a programme month by month. */
export type TimerTimes = Pick<Circuit, 'onMinute' | 'offMinute' | 'months'> &
  Partial<Pick<Circuit, 'programme' | 'fadeMinutes'>>;

export type Burning = Pick<TimerMonths, 'spans' | 'level'>;

const OFF: Burning = { spans: [], level: 1 };

/** What a timer does in a month (1..12). */
export function burningIn({ onMinute, offMinute, months, programme = [] }: TimerTimes, month: number): Burning {
  if (programme.length > 0) return programme.find((entry) => entry.months.includes(month)) ?? OFF;
  return months.includes(month) && offMinute > onMinute ? { spans: [{ onMinute, offMinute }], level: 1 } : OFF;
}

/** What a timer does in a year, January first: months that burn alike stand together. */
export function yearOfTimer(timer: TimerTimes): TimerMonths[] {
  const byWay = new Map<string, TimerMonths>();
  for (const month of ALL_MONTHS) {
    const { spans, level } = burningIn(timer, month);
    const key = JSON.stringify([spans.map(({ onMinute, offMinute }) => [onMinute, offMinute]), level]);
    byWay.set(key, { spans, level, months: [...(byWay.get(key)?.months ?? []), month] });
  }
  return [...byWay.values()];
}

/** Hours of some stretches of a day. */
export const hoursOf = (spans: readonly TimerSpan[]): number =>
  spans.reduce((sum, { onMinute, offMinute }) => sum + (offMinute - onMinute) / 60, 0);

/**
 * Stretches at full power that give the same light, heat and power as stretches with fades: each fade counts half.
 * Where two fades would meet, each takes half of the stretch.
 */
export const faded = (spans: readonly TimerSpan[], fadeMinutes: number): TimerSpan[] =>
  spans.map(({ onMinute, offMinute }) => {
    const half = Math.min(fadeMinutes, (offMinute - onMinute) / 2) / 2;
    return { onMinute: onMinute + half, offMinute: offMinute - half };
  });

/** What a timer does in a month, its fades counted half. */
export function burningAtFull(timer: TimerTimes, month: number): Burning {
  const { spans, level } = burningIn(timer, month);
  return { spans: faded(spans, timer.fadeMinutes ?? 0), level };
}

/** Hours a day a timer is on in a month (1..12). */
export const circuitHours = (timer: TimerTimes, month: number): number => hoursOf(burningIn(timer, month).spans);

/** Hours a day at full power that its light of a month comes to. */
export function fullHours(timer: TimerTimes, month: number): number {
  const { spans, level } = burningAtFull(timer, month);
  return hoursOf(spans) * level;
}

/** Whether a timer is on at a minute of the day in a month (1..12). */
export const isBurning = (timer: TimerTimes, month: number, minute: number): boolean =>
  burningIn(timer, month).spans.some(({ onMinute, offMinute }) => minute >= onMinute && minute < offMinute);

const TIMER_STEP_MINUTES = 5;

/**
 * When a timer burns so long about the same middle of the day, within it, in steps that timers have.
 * @param hoursADay 0..24
 */
export function burningFor({ onMinute, offMinute }: TimerSpan, hoursADay: number): TimerSpan {
  const steps = Math.min(
    1440 / TIMER_STEP_MINUTES,
    Math.max(1, Math.ceil((hoursADay * 60) / TIMER_STEP_MINUTES - 1e-9)),
  );
  const minutes = steps * TIMER_STEP_MINUTES;
  const earliest = Math.max(0, Math.min(1440 - minutes, (onMinute + offMinute - minutes) / 2));
  const on = Math.floor(earliest / TIMER_STEP_MINUTES) * TIMER_STEP_MINUTES;
  return { onMinute: on, offMinute: on + minutes };
}
