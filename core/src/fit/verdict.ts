/** How a plant does on a spot in one verdict: how long it lives there, whether it grows, and what decides. */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { accountOf, doingsOf, type VerdictParts } from './doing';
import { WORTH_A_WORD } from './factor-fit';
import { formLoss } from './light-fit';
import { HARMS_DONE, harmScore, type HarmDone } from './month-fit';
import { FULL, reserveChange, reserveOf, weeksOnReserve } from './reserve';
import { lifeClass, type LifeClass } from './scale';

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

/** From here on a month is told as one in which it loses its form: that is under the light that keeps it. */
const FORM_LOST_FROM = 0.5;

function weeksInPoorYears(
  targets: readonly Target[],
  year: readonly Condition[],
  fromMonth: number,
  leftNow: number,
): number | null {
  const changes = targets.map((target, i) => reserveChange(target, { air: year[i]!.air, dli: year[i]!.dliPoorYear }));
  return weeksOnReserve(changes, reserveOf(targets), fromMonth, leftNow);
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
  const { weeks, growth, parts, score } = accountOf(targets, doingsOf(targets, year), fromMonth, leftNow);
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
    weeksInPoorYears: weeksInPoorYears(targets, year, fromMonth, leftNow),
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
