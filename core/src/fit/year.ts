/** The fit of a plant to a spot through the year: its verdict, and what is wrong put into stretches of months. */
import type { Target } from '../plant';
import type { Condition } from './condition';
import {
  FACTORS,
  IN_DANGER,
  WORTH_A_WORD,
  type Aspect,
  type Direction,
  type Factor,
  type FactorFit,
  type Severity,
} from './factor-fit';
import { flowersOf, type Flowers } from './flowers';
import { fitMonth, type MonthFit } from './month-fit';
import { FULL, WEEKS_A_MONTH } from './reserve';
import { DYING_CLASSES, lifeClass, scoreOfWeeks } from './scale';
import { verdictOf, type Verdict } from './verdict';

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
  /** Weeks from the month that is on until damage is done; null where it merely does less well. */
  readonly weeks: number | null;
}

export interface YearFit {
  readonly months: readonly MonthFit[];
  readonly verdict: Verdict;
  /** Whether it flowers here; null where its kind hardly flowers indoors, or it is too young. */
  readonly flowers: Flowers | null;
  /** Soonest damage first, then what costs most. */
  readonly troubles: readonly Trouble[];
}

/**
 * Twelve months of a plant on a spot, and what they come to.
 * @param targets twelve, January first; @param year twelve months of the spot, January first
 * @param fromMonth 1..12, the month that is on; @param leftNow share of its reserve that it has now
 */
export function fitYear(
  targets: readonly Target[],
  year: readonly Condition[],
  fromMonth: number,
  leftNow = FULL,
): YearFit {
  const verdict = verdictOf(targets, year, fromMonth, leftNow);
  const months = year.map((condition, i) => starving(fitMonth(targets[i]!, condition), verdict));
  const troubles = FACTORS.flatMap((factor) => troublesOf(factor, months, verdict, fromMonth));
  return {
    months,
    verdict,
    flowers: flowersOf(targets, year, verdict),
    troubles: troubles.sort((p, q) => (p.weeks ?? Infinity) - (q.weeks ?? Infinity) || weight(q) - weight(p)),
  };
}

const usesUp = ({ weeks }: Verdict): boolean => weeks !== null && DYING_CLASSES.has(lifeClass(scoreOfWeeks(weeks)));

/** A month without growth is no danger to a plant that lives through it; to one whose reserve will be used up it is. */
function starving(month: MonthFit, verdict: Verdict): MonthFit {
  const [light] = month.factors;
  if (!usesUp(verdict) || light!.aspect !== 'dli' || light!.direction !== 'too-little' || light!.score > 0)
    return month;
  return { ...month, factors: [{ ...light!, severity: 'danger' }, ...month.factors.slice(1)] };
}

/** Months of growth lost, a year's at most: how much a trouble matters where nothing is damaged. */
const weight = ({ severity, worst, months }: Trouble): number =>
  (severity === 'danger' ? 12 : 0) + (1 - worst.score) * months.length;

/**
 * Weeks that each kind of harm takes to be seen, where it is as bad as it can be and where it just endangers.
 * Judgement.
 */
const DAMAGE_WEEKS: Readonly<Partial<Record<Aspect, readonly [worst: number, mild: number]>>> = {
  peak: [0.5, 3],
  'cold-night': [0.2, 2],
  'hot-day': [0.5, 3],
  humidity: [2, 8],
  dryness: [4, 16],
};

/** Weeks from the middle of the month that is on to the start of a stretch; none while it is on. */
function weeksUntil(months: readonly number[], fromMonth: number): number {
  if (months.includes(fromMonth)) return 0;
  const ahead = Math.min(...months.map((month) => (month - fromMonth + 12) % 12));
  return (ahead - 0.5) * WEEKS_A_MONTH;
}

function weeksToDamage(trouble: Omit<Trouble, 'weeks'>, verdict: Verdict, fromMonth: number): number | null {
  const { aspect, severity, worst, months } = trouble;
  if (aspect === 'dli' && trouble.direction === 'too-little') return usesUp(verdict) ? verdict.weeks : null;
  const span = DAMAGE_WEEKS[aspect];
  if (!span || severity !== 'danger') return null;
  const share = Math.min(1, worst.score / IN_DANGER);
  return weeksUntil(months, fromMonth) + span[0] + (span[1] - span[0]) * share;
}

const readingIn = (month: MonthFit, factor: Factor): FactorFit => month.factors.find((fit) => fit.factor === factor)!;

function troublesOf(factor: Factor, months: readonly MonthFit[], verdict: Verdict, fromMonth: number): Trouble[] {
  const readings = months.map((month) => readingIn(month, factor));
  const kinds = readings.map((fit) =>
    fit.direction === 'right' || (fit.score >= WORTH_A_WORD && fit.severity !== 'danger') ? null : kindOf(fit),
  );
  return stretches(kinds).map((indexes): Trouble => {
    const worstIndex = indexes.reduce((p, q) => (isWorse(readings[q]!, readings[p]!) ? q : p));
    const worst = readings[worstIndex]!;
    const found = {
      factor,
      aspect: worst.aspect,
      direction: worst.direction as Trouble['direction'],
      severity: indexes.some((index) => readings[index]!.severity === 'danger') ? 'danger' : 'short',
      months: indexes.map((index) => months[index]!.month),
      worst,
      worstMonth: months[worstIndex]!.month,
    } as const;
    return { ...found, weeks: weeksToDamage(found, verdict, fromMonth) };
  });
}

/** The worse of two readings leaves less; of two that leave the same, it is the one farther from what is wanted. */
const isWorse = (p: FactorFit, q: FactorFit): boolean =>
  p.score === q.score ? Math.abs(p.distance) > Math.abs(q.distance) : p.score < q.score;

/** What belongs into one stretch: days and nights too cold are one thing, burning is another than a bright sum. */
const kindOf = ({ aspect, direction }: FactorFit): string => `${APART.has(aspect) ? aspect : ''}${direction}`;

const APART: ReadonlySet<Aspect> = new Set(['peak', 'cold-night', 'hot-day', 'swing', 'night-drop']);

/** Runs of equal kinds round the year, as lists of indexes; nothing for null. */
function stretches(kinds: readonly (string | null)[]): number[][] {
  const count = kinds.length;
  // Start where the kind changes, so that a stretch across the new year stays whole.
  const start = Math.max(
    0,
    kinds.findIndex((kind, i) => kind !== kinds[(i + count - 1) % count]),
  );
  const found: number[][] = [];
  let before: string | null = null;
  for (let i = 0; i < count; i++) {
    const index = (start + i) % count;
    const kind = kinds[index]!;
    if (kind !== null && kind === before) found[found.length - 1]!.push(index);
    else if (kind !== null) found.push([index]);
    before = kind;
  }
  return found;
}
