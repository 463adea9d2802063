/** A month's warmth: what its usual days and nights leave of growth, and what its coldest night and hottest afternoon do. */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { factorFit, harmFit, worse, type FactorFit } from './factor-fit';
import { along, type Line } from './piecewise';
import { trapezoid } from './trapezoid';

/** Warmth that is merely not right takes no more of growth than this. */
const COSTS_AT_MOST = 0.5;

const within = ({ warmth }: Target, gets: number, from: number, to: number) =>
  1 -
  COSTS_AT_MOST * (1 - trapezoid(gets, Math.min(warmth.lowest, from - 1), from, to, Math.max(warmth.highest, to + 1)));

/** Nights at rest are judged by what they must not be: cold. */
const nightsTo = ({ warmth, isDormant }: Target) => (isDormant ? warmth.highest : warmth.nightTo);
const daysTo = ({ warmth, isDormant }: Target) => (isDormant ? warmth.highest : warmth.dayTo);

/** What a month's usual days and nights leave of growth, 0.5 to 1. */
export const warmthGrowth = (target: Target, { air }: Pick<Condition, 'air'>): number =>
  Math.min(
    within(target, air.dayC, target.warmth.dayFrom, daysTo(target)),
    within(target, air.nightC, target.warmth.nightFrom, nightsTo(target)),
  );

/** What a night so many degrees below what it survives leaves: hardiness is given in whole degrees, and a night is short. */
const FROZEN: Line = [
  [0, 1],
  [1, 0.5],
  [3, 0.25],
  [8, 0.1],
];
/** An afternoon above what it survives harms less than a night below it: it can be shaded and lasts hours. */
const SCORCHED: Line = [
  [0, 1],
  [2, 0.6],
  [5, 0.3],
  [12, 0.12],
];

export const coldScore = ({ warmth }: Target, { coldNightC }: Pick<Condition, 'coldNightC'>): number =>
  along(FROZEN, warmth.lowest - coldNightC);
/** What sleeps without leaves minds no heat. */
export const heatScore = ({ warmth, isDormant }: Target, { hotDayC }: Pick<Condition, 'hotDayC'>): number =>
  isDormant ? 1 : along(SCORCHED, hotDayC - warmth.highest);

/** The warmth of a month: its usual days and nights, or its extremes where they harm. */
export function warmthFit(target: Target, c: Condition): FactorFit {
  const { warmth } = target;
  const { air, coldNightC, hotDayC } = c;
  const usual = (aspect: 'day' | 'night', gets: number, wantsFrom: number, wantsTo: number) =>
    factorFit({ factor: 'warmth', aspect, score: within(target, gets, wantsFrom, wantsTo), gets, wantsFrom, wantsTo });
  const means = worse(
    usual('day', air.dayC, warmth.dayFrom, daysTo(target)),
    usual('night', air.nightC, warmth.nightFrom, nightsTo(target)),
  );
  if (coldNightC >= warmth.lowest && heatScore(target, c) === 1) return means;
  const extreme = (aspect: 'cold-night' | 'hot-day', score: number, gets: number) =>
    harmFit({ factor: 'warmth', aspect, score, gets, wantsFrom: warmth.lowest, wantsTo: warmth.highest });
  return worse(
    means,
    worse(extreme('cold-night', coldScore(target, c), coldNightC), extreme('hot-day', heatScore(target, c), hotDayC)),
  );
}
