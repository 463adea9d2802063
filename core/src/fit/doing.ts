/**
 * Months taken apart: what each does to a plant, of which a verdict's score is made. Months of several settings can so
 * be put together into one year, and the score of that year is the very score of its verdict.
 */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { formLoss } from './light-fit';
import { growthIn, leftByHarm } from './month-fit';
import { FULL, reserveChange, reserveOf, weeksOnReserve } from './reserve';
import {
  FORM_LOST,
  WINTER_MONTHS,
  WITHOUT_WINTER,
  isItsWinter,
  scoreOfGrowth,
  scoreOfWeeks,
  weightedMean,
} from './verdict';

/** Figures of a month: weeks of reserve that it gives or takes, growth, what harm leaves, loss of form, its winter. */
export const DOING_FIGURES = 5;
export const YEAR_FIGURES = 12 * DOING_FIGURES;
const [RESERVE, GROWTH, HARM, FORM, WINTER] = [0, 1, 2, 3, 4];

/** Writes what a month does to a plant from place `at` on. */
export function writeDoing(target: Target, condition: Condition, into: Float64Array, at: number): void {
  into[at + RESERVE] = reserveChange(target, condition);
  into[at + GROWTH] = growthIn(target, condition);
  into[at + HARM] = leftByHarm(target, condition);
  into[at + FORM] = target.nature.growsCompact ? formLoss(target, condition) : 0;
  into[at + WINTER] = Number(isItsWinter(target, condition));
}

const changes = new Float64Array(12);

/**
 * The score of a verdict by what its months do, 0..1.
 * @param doings twelve months, January first; @param fromMonth 1..12; @param leftNow share of its reserve it has now
 */
export function scoreOfDoings(
  targets: readonly Target[],
  doings: Float64Array,
  fromMonth: number,
  leftNow = FULL,
): number {
  const { growsCompact, needsWinter } = targets[0]!.nature;
  let [harm, winters] = [1, 0];
  for (let month0 = 0; month0 < 12; month0++) {
    const at = month0 * DOING_FIGURES;
    changes[month0] = doings[at + RESERVE]!;
    if (doings[at + HARM]! < harm) harm = doings[at + HARM]!;
    winters += doings[at + WINTER]!;
  }
  const meanOf = (figure: number) =>
    weightedMean(targets, (_target, month0) => doings[month0 * DOING_FIGURES + figure]!) ?? 0;
  const weeks = weeksOnReserve(changes, reserveOf(targets), fromMonth, leftNow);
  const slow = weeks === null ? scoreOfGrowth(meanOf(GROWTH)) : scoreOfWeeks(weeks);
  const form = growsCompact ? 1 - (1 - FORM_LOST) * meanOf(FORM) : 1;
  const winter = needsWinter && winters < WINTER_MONTHS ? WITHOUT_WINTER : 1;
  return Math.min(slow, harm, form, winter);
}

/** What twelve months do to a plant. */
export function doingsOf(targets: readonly Target[], year: readonly Condition[]): Float64Array {
  const doings = new Float64Array(YEAR_FIGURES);
  year.forEach((condition, month0) => writeDoing(targets[month0]!, condition, doings, month0 * DOING_FIGURES));
  return doings;
}

/** The score of a verdict alone, for ranking hundreds of spots. */
export const verdictScore = (
  targets: readonly Target[],
  year: readonly Condition[],
  fromMonth: number,
  leftNow = FULL,
): number => scoreOfDoings(targets, doingsOf(targets, year), fromMonth, leftNow);
