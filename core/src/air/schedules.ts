/** Schedules made of hours, of minutes of the day, and of one another. */
import { scheduledAt, type Schedule } from './zones';

/** A value between two hours, nothing else. */
export const part = ({ fromH, toH }: { readonly fromH: number; readonly toH: number }, value: number): Schedule => ({
  base: 0,
  parts: value > 0 ? [{ fromH, toH, value }] : [],
});

/** A day's amount spread over hours. */
export const spreadOver = (hours: { readonly fromH: number; readonly toH: number }, amount: number): Schedule =>
  part(hours, amount / (hours.toH - hours.fromH));

/** From one minute of the day to another, over midnight where it ends earlier. */
export function between(fromMinute: number, toMinute: number, value: number, base = 0): Schedule {
  const [fromH, toH] = [fromMinute / 60, toMinute / 60];
  if (fromH < toH) return { base, parts: [{ fromH, toH, value }] };
  return {
    base,
    parts: [
      { fromH: 0, toH, value },
      { fromH, toH: 24, value },
    ],
  };
}

/** A schedule whose every value is so many times as large. */
export const timesAsMuch = ({ base, parts }: Schedule, factor: number): Schedule => ({
  base: base * factor,
  parts: parts.map((one) => ({ ...one, value: one.value * factor })),
});

/** A schedule whose every value is so much more. */
export const raisedBy = ({ base, parts }: Schedule, more: number): Schedule => ({
  base: base + more,
  parts: parts.map((one) => ({ ...one, value: one.value + more })),
});

/** The sum of schedules, as one that is looked up once. */
export function summed(schedules: readonly Schedule[]): Schedule {
  const edges = [...new Set([0, 24, ...schedules.flatMap(({ parts }) => parts.flatMap((p) => [p.fromH, p.toH]))])].sort(
    (p, q) => p - q,
  );
  const parts = edges.slice(0, -1).map((fromH, i) => {
    const toH = edges[i + 1]!;
    return { fromH, toH, value: schedules.reduce((sum, one) => sum + scheduledAt(one, (fromH + toH) / 2), 0) };
  });
  return { base: 0, parts };
}
