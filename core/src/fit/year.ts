/** The fit of a plant to a spot through the year, and what is wrong put into stretches of months. */
import { FACTORS, type Aspect, type Direction, type Factor, type FactorFit, type MonthFit, type Severity } from './fit';

/** One thing wrong over a stretch of months. */
export interface Trouble {
  readonly factor: Factor;
  readonly aspect: Aspect;
  readonly direction: Exclude<Direction, 'right'>;
  readonly severity: Exclude<Severity, 'fine'>;
  /** Months of the stretch in order, round the turn of the year. */
  readonly months: readonly number[];
  /** The reading of its worst month. */
  readonly worst: FactorFit;
  readonly worstMonth: number;
}

export interface YearFit {
  readonly months: readonly MonthFit[];
  /** 0..1: half the mean of the year, half its worst month, since a plant can die in one. */
  readonly whole: number;
  /** The factor that costs most over the year; null when nothing is wrong. */
  readonly limiting: Factor | null;
  /** Worst first. */
  readonly troubles: readonly Trouble[];
}

/** The year in one number, from the wholes of its months. */
export function wholeOfYear(wholes: readonly number[]): number {
  const mean = wholes.reduce((sum, whole) => sum + whole, 0) / wholes.length;
  return (mean + Math.min(...wholes)) / 2;
}

/** Sums up twelve months, given January first. */
export function fitYear(months: readonly MonthFit[]): YearFit {
  const troubles = FACTORS.flatMap((factor) => troublesOf(factor, months)).sort((p, q) => weight(q) - weight(p));
  return {
    months,
    whole: wholeOfYear(months.map((month) => month.whole)),
    limiting: troubles[0]?.factor ?? null,
    troubles,
  };
}

function weight(trouble: Trouble): number {
  return (trouble.severity === 'danger' ? 10 : 0) + (1 - trouble.worst.score) * 5 + trouble.months.length / 12;
}

function readingIn(month: MonthFit, factor: Factor): FactorFit {
  return month.factors.find((fit) => fit.factor === factor)!;
}

/** Scores this near to 1 are not worth a word. */
const NEGLIGIBLE = 0.93;

function troublesOf(factor: Factor, months: readonly MonthFit[]): Trouble[] {
  const readings = months.map((month) => readingIn(month, factor));
  const kindOf = (fit: FactorFit) =>
    fit.direction === 'right' || (fit.score > NEGLIGIBLE && fit.severity !== 'danger') ? null : fit.direction;
  const kinds = readings.map(kindOf);
  const count = kinds.length;
  // Start where the kind changes, so that a stretch across the new year stays whole.
  const start = Math.max(
    0,
    kinds.findIndex((kind, i) => kind !== kinds[(i + count - 1) % count]),
  );
  const troubles: Trouble[] = [];
  let i = 0;
  while (i < count) {
    const kind = kinds[(start + i) % count]!;
    let end = i + 1;
    while (end < count && kinds[(start + end) % count] === kind) end++;
    if (kind) {
      const indexes = Array.from({ length: end - i }, (_, k) => (start + i + k) % count);
      const worstIndex = indexes.reduce((p, q) => (readings[q]!.score < readings[p]!.score ? q : p));
      const worst = readings[worstIndex]!;
      const dangerous = indexes.some((index) => readings[index]!.severity === 'danger');
      troubles.push({
        factor,
        aspect: worst.aspect,
        direction: kind,
        severity: dangerous ? 'danger' : 'short',
        months: indexes.map((index) => months[index]!.month),
        worst,
        worstMonth: months[worstIndex]!.month,
      });
    }
    i = end;
  }
  return troubles;
}
