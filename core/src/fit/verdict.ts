/** How a plant does on a spot in one verdict: how long it lives there, whether it grows, and what decides. */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { WORTH_A_WORD } from './factor-fit';
import { formLoss } from './light-fit';
import { HARMS_DONE, growthIn, harmScore, leftByHarm, type HarmDone } from './month-fit';
import { FULL, reserveChange, reserveOf, weeksOnReserve } from './reserve';

/** In falling order of harm: declines within weeks, within months, lives on for years without growing, and better. */
export const LIFE_CLASSES = ['weeks', 'months', 'years', 'slow', 'grows', 'thrives'] as const;
export type LifeClass = (typeof LIFE_CLASSES)[number];

/** What decides a verdict. */
export type Decisive = 'reserve' | 'growth' | 'form' | 'winter' | HarmDone;

export interface Verdict {
  /** 0..1, the same scale for all taxa. */
  readonly score: number;
  readonly life: LifeClass;
  /**
   * Weeks from the month that is on until its reserve is used up; null where it lives on. And if all months are poor.
   */
  readonly weeks: number | null;
  readonly weeksInPoorYears: number | null;
  /** How much it grows over a year, of what it could, 0..1. */
  readonly growth: number;
  readonly decidedBy: Decisive;
  /** Months (1..12) in which the harm that is worst is worth a word; none where nothing harms. */
  readonly harmMonths: readonly number[];
  /** What each way of judging alone would say, 0..1: the least is the score. */
  readonly parts: VerdictParts;
  /** Months (1..12) in which it stretches and loses its form. */
  readonly losesForm: readonly number[];
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

/** The scale of decline: 2 weeks are worth this much, and five years as much as living on without growth. */
const SOONEST_SCORE = 0.1;
export const LIVES_ON = 0.5;
export const SOONEST_WEEKS = 2;
export const FIVE_YEARS_TO_SOONEST = 130;

/** A decline of so many weeks on the scale of verdicts: each doubling of the time is one step. */
export const scoreOfWeeks = (weeks: number): number =>
  SOONEST_SCORE +
  ((LIVES_ON - SOONEST_SCORE) * Math.log(Math.max(weeks, SOONEST_WEEKS) / SOONEST_WEEKS)) /
    Math.log(FIVE_YEARS_TO_SOONEST);

/** Living on is worth half; the other half is growth. */
export const scoreOfGrowth = (growth: number): number => LIVES_ON + (1 - LIVES_ON) * growth;

/** Where one class of verdicts ends and the next begins. */
const CLASS_FROM: readonly (readonly [number, LifeClass])[] = [
  [0.9, 'thrives'],
  [0.75, 'grows'],
  [0.5, 'slow'],
  [0.4, 'years'],
  [0.25, 'months'],
];

/** Classes of plants that will be dead within about a year and a half. */
export const DYING_CLASSES: ReadonlySet<LifeClass> = new Set(['weeks', 'months']);
/** Classes of plants that grow as one could wish. */
export const GROWING_CLASSES: ReadonlySet<LifeClass> = new Set(['grows', 'thrives']);

export const lifeClass = (score: number): LifeClass => CLASS_FROM.find(([from]) => score >= from)?.[1] ?? 'weeks';

/** A month of full rest counts for this much in a year's growth, one asleep without leaves for nothing. */
const RESTING_WEIGHT = 0.3;
export const weightOf = ({ isDormant, restDepth }: Target): number =>
  isDormant ? 0 : 1 - (1 - RESTING_WEIGHT) * restDepth;

/** A plant of compact form that stretches all year keeps this much: it lives, and is spoilt. */
export const FORM_LOST = 0.45;
/** From here on a month is told as one in which it loses its form: that is under the light that keeps it. */
const FORM_LOST_FROM = 0.5;
/** Without the cold winter it needs, a plant weakens over two or three years. */
export const WITHOUT_WINTER = 0.45;
/** A winter of so many months counts. */
export const WINTER_MONTHS = 2;
/** Nights so little above those of its rest still count as its winter, K. */
const MILD_WINTER_K = 2;

/** Whether a month counts as part of the cold winter that a plant needs. */
export const isItsWinter = ({ phase, warmth }: Target, { air }: Pick<Condition, 'air'>): boolean =>
  phase === 'resting' && air.nightC <= warmth.nightTo + MILD_WINTER_K;

/** Whether a year holds the cold winter that a plant needs. */
export const hasWinter = (targets: readonly Target[], year: readonly Condition[]): boolean =>
  targets.filter((target, i) => isItsWinter(target, year[i]!)).length >= WINTER_MONTHS;

const changes = new Float64Array(12);

function weeksAt(
  targets: readonly Target[],
  year: readonly Condition[],
  fromMonth: number,
  kind: Years,
  leftNow: number,
): number | null {
  for (let i = 0; i < 12; i++) {
    const { air, dli, dliPoorYear } = year[i]!;
    changes[i] = reserveChange(targets[i]!, { air, dli: kind === 'poor' ? dliPoorYear : dli });
  }
  return weeksOnReserve(changes, reserveOf(targets), fromMonth, leftNow);
}

type Years = 'usual' | 'poor';

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

const yearsGrowth = (targets: readonly Target[], year: readonly Condition[]): number =>
  weightedMean(targets, (target, i) => growthIn(target, year[i]!)) ?? 0;

/** What stretching leaves where form does not grow back, by the share of the growing year in which it stretches. */
function formScore(targets: readonly Target[], year: readonly Condition[]): number {
  if (!targets[0]!.nature.growsCompact) return 1;
  return 1 - (1 - FORM_LOST) * (weightedMean(targets, (target, i) => formLoss(target, year[i]!)) ?? 0);
}

const winterScore = (targets: readonly Target[], year: readonly Condition[]): number =>
  targets[0]!.nature.needsWinter && !hasWinter(targets, year) ? WITHOUT_WINTER : 1;

function worstHarm(targets: readonly Target[], year: readonly Condition[]): number {
  let least = 1;
  for (let i = 0; i < 12; i++) least = Math.min(least, leftByHarm(targets[i]!, year[i]!));
  return least;
}

/**
 * The verdict of a plant on a spot.
 * @param targets twelve, January first; @param year twelve months of the spot, January first
 * @param fromMonth 1..12, the month that is on; @param leftNow share of its reserve that it has now
 */
export function verdictOf(
  targets: readonly Target[],
  year: readonly Condition[],
  fromMonth: number,
  leftNow = FULL,
): Verdict {
  const weeks = weeksAt(targets, year, fromMonth, 'usual', leftNow);
  const growth = yearsGrowth(targets, year);
  const parts: VerdictParts = {
    slow: weeks === null ? scoreOfGrowth(growth) : scoreOfWeeks(weeks),
    harm: worstHarm(targets, year),
    form: formScore(targets, year),
    winter: winterScore(targets, year),
  };
  const score = Math.min(parts.slow, parts.harm, parts.form, parts.winter);
  const harm = parts.harm < 1 ? harmOf(targets, year, parts.harm) : null;
  const decidedBy: Decisive =
    parts.slow === score
      ? weeks === null
        ? 'growth'
        : 'reserve'
      : parts.harm === score
        ? harm!.harm
        : parts.winter === score
          ? 'winter'
          : 'form';
  return {
    score,
    life: lifeClass(score),
    weeks,
    weeksInPoorYears: weeksAt(targets, year, fromMonth, 'poor', leftNow),
    growth,
    decidedBy,
    harmMonths: harm?.months ?? [],
    parts,
    losesForm: targets.filter((target, i) => formLoss(target, year[i]!) > FORM_LOST_FROM).map(({ month }) => month),
  };
}

/** The harm that leaves least, and the months in which it is worth a word. */
function harmOf(targets: readonly Target[], year: readonly Condition[], left: number) {
  for (const harm of HARMS_DONE) {
    const scores = targets.map((target, i) => harmScore(harm, target, year[i]!));
    if (!scores.includes(left)) continue;
    const from = Math.max(left, WORTH_A_WORD);
    return { harm, months: targets.flatMap(({ month }, i) => (scores[i]! <= from ? [month] : [])) };
  }
  return null;
}
