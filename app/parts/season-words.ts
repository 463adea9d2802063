/** A plant's season in words: stretches of months under one rule. */
import type { Target } from '@dulvan/core';
import { monthName } from '../ui/months';

export const PHASE_WORD: Record<Target['phase'], string> = {
  growing: 'grows',
  tapering: 'winds down toward rest',
  resting: 'rests',
  waking: 'wakes',
  inducing: 'sets buds in long nights',
};

export interface Stretch {
  readonly months: readonly number[];
  readonly phase: Target['phase'];
  readonly rule: string;
}

/** Runs of months with the same phase and rule, the one that holds January whole, in the order of the year. */
export function stretchesOf(targets: readonly Target[]): Stretch[] {
  const alike = (p: Target, q: Target) => p.phase === q.phase && p.seasonRule === q.seasonRule;
  const count = targets.length;
  const start = Math.max(
    0,
    targets.findIndex((target, i) => !alike(target, targets[(i + count - 1) % count]!)),
  );
  const stretches: { months: number[]; phase: Target['phase']; rule: string }[] = [];
  for (let i = 0; i < count; i++) {
    const target = targets[(start + i) % count]!;
    const before = targets[(start + i + count - 1) % count]!;
    if (i > 0 && alike(target, before)) stretches[stretches.length - 1]!.months.push(target.month);
    else stretches.push({ months: [target.month], phase: target.phase, rule: target.seasonRule });
  }
  return stretches;
}

/** "November to February", "June", "All year". */
export function spanWords(months: readonly number[]): string {
  if (months.length === 12) return 'All year';
  const first = monthName(months[0]!);
  return months.length === 1 ? first : `${first} to ${monthName(months[months.length - 1]!)}`;
}

/** Months in runs, the one that holds December and January whole: 11, 12, 1, then 6. Months are 1..12. */
export function runsOf(months: readonly number[]): number[][] {
  const held = new Set(months);
  if (held.size === 12) return [Array.from({ length: 12 }, (_, i) => i + 1)];
  const next = (month: number) => (month % 12) + 1;
  return [...held]
    .filter((month) => !held.has(((month + 10) % 12) + 1))
    .sort((p, q) => p - q)
    .map((first) => {
      const run = [first];
      for (let month = next(first); held.has(month); month = next(month)) run.push(month);
      return run;
    });
}

/** Words as they begin a line. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** In a sentence: "March to October, December", "all year", "no month". */
export const monthsWords = (months: readonly number[]): string =>
  months.length === 12 ? 'all year' : runsOf(months).map(spanWords).join(', ') || 'no month';
