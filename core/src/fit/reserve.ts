/** How long a plant lives by a spot's light: the reserve it draws on in dim months and fills again in bright ones. */
import type { Target } from '../plant';
import { balance, upkeep, type LitMonth } from './light-fit';

export interface LightOutlook {
  /** Weeks until its reserve is used up; null when it never is within five years. */
  readonly weeks: number | null;
  /** Share of its reserve left at the end of each of the coming months, until it is used up or five years have gone. */
  readonly reserve: readonly number[];
}

export const WEEKS_A_MONTH = 4.35;
const MONTHS_AHEAD = 60;
const MONTHS = 12;
/** A reserve fills faster than it is used: judgement, from how soon starved plants look well again. */
const REFILL_PACE = 2;

/** Weeks of reserve that a month takes or gives; what sleeps without leaves lives on what it has stored for that. */
export function reserveChange(target: Target, month: LitMonth): number {
  if (target.isDormant) return 0;
  return reserveOfBalance(balance(month.dli, upkeep(target, month), target.light.thrivesFrom));
}

/** Weeks of reserve that a month of so much balance takes or gives. */
export const reserveOfBalance = (change: number): number =>
  WEEKS_A_MONTH * (change < 0 ? change : REFILL_PACE * change);

/**
 * The light of a spot as a plant lives through it, month after month.
 * @param targets twelve, January first; @param year twelve months of the spot, January first
 * @param fromMonth 1..12, the month that is on; @param leftNow share of its reserve that it has now
 */
export function lightOutlook(
  targets: readonly Target[],
  year: readonly LitMonth[],
  fromMonth: number,
  leftNow = FULL,
): LightOutlook {
  const changes = targets.map((target, i) => reserveChange(target, year[i]!));
  const most = reserveOf(targets);
  const reserve: number[] = [];
  let left = most * leftNow;
  let weeks: number | null = null;
  for (let ahead = 0; ahead < MONTHS_AHEAD && weeks === null; ahead++) {
    const before = left;
    left = Math.min(most, left + changes[(fromMonth - 1 + ahead) % MONTHS]!);
    if (left <= 0) weeks = WEEKS_A_MONTH * (ahead + before / (before - left));
    reserve.push(Math.max(0, left / most));
  }
  return { weeks, reserve };
}

/** A reserve that nothing has been taken of. */
export const FULL = 1;

/**
 * Share of its reserve that is left after so many months on a spot, full at their start; null where by this account it
 * would have been used up: then it is disproved by the plant that stands there.
 * @param fromMonth 1..12, the month in which it came to stand there; @param months 0..60
 */
export function reserveAfter(
  targets: readonly Target[],
  year: readonly LitMonth[],
  fromMonth: number,
  months: number,
): number | null {
  if (months === 0) return FULL;
  return lightOutlook(targets, year, fromMonth).reserve[months - 1] || null;
}

/** Weeks on its full reserve. */
export const reserveOf = (targets: readonly Target[]): number =>
  Math.max(...targets.map(({ light }) => light.reserveWeeks));

/**
 * The weeks of an outlook alone, for ranking hundreds of spots: once a year passes without loss, none follows.
 * @param changes of twelve months, January first; @param leftNow share of its reserve that it has now
 */
export function weeksOnReserve(
  changes: ArrayLike<number>,
  most: number,
  fromMonth: number,
  leftNow = FULL,
): number | null {
  let left = most * leftNow;
  let yearAgo = left;
  for (let ahead = 0; ahead < MONTHS_AHEAD; ahead++) {
    const before = left;
    left = Math.min(most, left + changes[(fromMonth - 1 + ahead) % MONTHS]!);
    if (left <= 0) return WEEKS_A_MONTH * (ahead + before / (before - left));
    if (ahead % MONTHS === MONTHS - 1) {
      if (left >= yearAgo) return null;
      yearAgo = left;
    }
  }
  return null;
}
