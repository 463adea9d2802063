/**
 * Months taken apart: what each does to a plant, of which a verdict's score is made. Months of several settings can so
 * be put together into one year, and the score of that year is the very score of its verdict.
 */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { formLoss } from './light-fit';
import { growthIn, leftByHarm } from './month-fit';
import { FULL, WEEKS_A_MONTH, reserveChange, reserveOf, weeksOnReserve } from './reserve';
import { LIVES_ON, scoreOfGrowth, scoreOfWeeks } from './scale';

/** A month of full rest counts for this much in a year's growth, one asleep without leaves for nothing. */
const RESTING_WEIGHT = 0.3;
export const weightOf = ({ isDormant, restDepth }: Target): number =>
  isDormant ? 0 : 1 - (1 - RESTING_WEIGHT) * restDepth;

/** A plant of compact form that stretches all year keeps this much: it lives, and is spoilt. */
const FORM_LOST = 0.45;
/** Without the cold winter it needs, a plant weakens over two or three years. */
const WITHOUT_WINTER = 0.45;
/** A winter of so many months counts. */
const WINTER_MONTHS = 2;
/** Nights so little above those of its rest still count as its winter, K. */
const MILD_WINTER_K = 2;

/** Whether a month counts as part of the cold winter that a plant needs. */
const isItsWinter = ({ phase, warmth }: Target, { air }: Pick<Condition, 'air'>): boolean =>
  phase === 'resting' && air.nightC <= warmth.nightTo + MILD_WINTER_K;

/** Whether a year holds the cold winter that a plant needs. */
export const hasWinter = (targets: readonly Target[], year: readonly Condition[]): boolean =>
  targets.filter((target, i) => isItsWinter(target, year[i]!)).length >= WINTER_MONTHS;

/** The mean of a year's months by their weights; null where it sleeps all year. */
export function weightedMean(
  targets: readonly Target[],
  of: (target: Target, month0: number) => number,
): number | null {
  let sum = 0;
  let weights = 0;
  for (let i = 0; i < 12; i++) {
    const weight = weightOf(targets[i]!);
    if (weight === 0) continue;
    sum += weight * of(targets[i]!, i);
    weights += weight;
  }
  return weights === 0 ? null : sum / weights;
}

/** Figures of a month: weeks of reserve that it gives or takes, growth, what harm leaves, loss of form, its winter. */
const DOING_FIGURES = 5;
/** How many figures twelve months have. */
export const YEAR_FIGURES = 12 * DOING_FIGURES;
const [RESERVE, GROWTH, HARM, FORM, WINTER] = [0, 1, 2, 3, 4];

/** Writes what a month does to a plant from place `at` on. */
function writeDoing(target: Target, condition: Condition, into: Float64Array, at: number): void {
  into[at + RESERVE] = reserveChange(target, condition);
  into[at + GROWTH] = growthIn(target, condition);
  into[at + HARM] = leftByHarm(target, condition);
  into[at + FORM] = target.nature.growsCompact ? formLoss(target, condition) : 0;
  into[at + WINTER] = Number(isItsWinter(target, condition));
}

export interface VerdictParts {
  /** By its light, warmth and air as they let it grow or starve. */
  readonly slow: number;
  /** By the worst harm. */
  readonly harm: number;
  /** By its form, where that does not grow back. */
  readonly form: number;
  /** By the cold winter it needs. */
  readonly winter: number;
}

/** What a year comes to. */
export interface Account {
  /** Weeks from the month that is on until its reserve is used up; null where it lives on. */
  readonly weeks: number | null;
  /** How much it grows over the year, of what it could, 0..1. */
  readonly growth: number;
  readonly parts: VerdictParts;
  /** The least of the parts, 0..1. */
  readonly score: number;
}

const changes = new Float64Array(12);

/**
 * What a year comes to by what its months do.
 * @param doings twelve months, January first; @param fromMonth 1..12; @param leftNow share of its reserve it has now
 */
export function accountOf(
  targets: readonly Target[],
  doings: Float64Array,
  fromMonth: number,
  leftNow = FULL,
): Account {
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
  const growth = meanOf(GROWTH);
  const slow = weeks === null ? scoreOfGrowth(growth) : scoreOfWeeks(weeks);
  // What stretches where form does not grow back loses it by the share of the growing year in which it does.
  const form = growsCompact ? 1 - (1 - FORM_LOST) * meanOf(FORM) : 1;
  const winter = needsWinter && winters < WINTER_MONTHS ? WITHOUT_WINTER : 1;
  return { weeks, growth, parts: { slow, harm, form, winter }, score: Math.min(slow, harm, form, winter) };
}

/** The score of a verdict by what its months do, 0..1. */
export const scoreOfDoings = (
  targets: readonly Target[],
  doings: Float64Array,
  fromMonth: number,
  leftNow = FULL,
): number => accountOf(targets, doings, fromMonth, leftNow).score;

/** Takes one month (0..11) of a year over into another year. */
export function takeMonth(into: Float64Array, from: Float64Array, month0: number): void {
  const at = month0 * DOING_FIGURES;
  into.set(from.subarray(at, at + DOING_FIGURES), at);
}

/**
 * What some months alone do to a plant, on the scale of verdicts: the worst harm in them, and growth, or where they take
 * more reserve than they give, how long it would last if they went on. By this a year of several arrangements is taken
 * apart; what is promised of it is worked out for the whole year.
 */
export function scoreOfSeason(targets: readonly Target[], doings: Float64Array, months: readonly number[]): number {
  let [harm, reserve, growth, weights] = [1, 0, 0, 0];
  for (const month of months) {
    const at = (month - 1) * DOING_FIGURES;
    const weight = weightOf(targets[month - 1]!);
    harm = Math.min(harm, doings[at + HARM]!);
    reserve += doings[at + RESERVE]!;
    growth += weight * doings[at + GROWTH]!;
    weights += weight;
  }
  const weeks = reserve < 0 ? (reserveOf(targets) * months.length * WEEKS_A_MONTH) / -reserve : Infinity;
  const slow =
    reserve < 0 ? Math.min(LIVES_ON, scoreOfWeeks(weeks)) : scoreOfGrowth(weights > 0 ? growth / weights : 0);
  return Math.min(slow, harm);
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
