/**
 * A month's warmth: what its usual days and nights leave of growth, and what its coldest night and hottest afternoon do.
 */
import { hoursWithin } from '../air';
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

/**
 * A day may swing by so much between its coldest and its warmest hour before it costs growth, K: plants of deserts and
 * mountains, which store water, are used to more. Never less than the night drop a taxon wants and as much again.
 */
const SWING_BORNE = { thin: 10, storing: 16 } as const;
/** What a swing so many degrees beyond that leaves. Judgement. */
const SWUNG: Line = [
  [0, 1],
  [4, 0.9],
  [8, 0.75],
  [14, 0.6],
];
/** A wanted night drop of which nothing is there costs so much: it costs form and flowers rather than growth. */
const NO_DROP_COSTS = 0.06;
/** Drops are known no better, K. */
const DROP_GRACE_K = 1;

const swingOf = ({ air }: Pick<Condition, 'air'>) => air.highC - air.lowC;
const swingBorne = ({ warmth, nature }: Target) =>
  Math.max(nature.storesWater ? SWING_BORNE.storing : SWING_BORNE.thin, 2 * warmth.nightDrop);
const swingScore = (target: Target, c: Pick<Condition, 'air'>) => along(SWUNG, swingOf(c) - swingBorne(target));

const dropOf = ({ air }: Pick<Condition, 'air'>) => air.dayC - air.nightC;
function dropScore({ warmth }: Target, c: Pick<Condition, 'air'>): number {
  if (warmth.nightDrop <= DROP_GRACE_K) return 1;
  const missing = Math.max(0, warmth.nightDrop - DROP_GRACE_K - Math.max(0, dropOf(c)));
  return 1 - (NO_DROP_COSTS * missing) / (warmth.nightDrop - DROP_GRACE_K);
}

/** What a month's usual days and nights, their swing and its night drop leave of growth. */
export const warmthGrowth = (target: Target, c: Pick<Condition, 'air'>): number =>
  Math.min(
    within(target, c.air.dayC, target.warmth.dayFrom, daysTo(target)),
    within(target, c.air.nightC, target.warmth.nightFrom, nightsTo(target)),
    swingScore(target, c),
    dropScore(target, c),
  );

/** Hours of the coldest night, and of the hottest day, in which it is beyond what the plant survives. */
const hoursBelow = ({ warmth }: Target, { air, coldNightC }: Extremes): number =>
  hoursWithin(air.coldSpell, warmth.lowest - coldNightC);
const hoursAbove = ({ warmth }: Target, { air, hotDayC }: Extremes): number =>
  hoursWithin(air.hotSpell, hotDayC - warmth.highest);

type Extremes = Pick<Condition, 'air' | 'coldNightC' | 'hotDayC'>;

/**
 * Harm is a matter of dose: a degree for an hour chills or scorches less than a degree for the whole night. By hours,
 * how much each degree beyond counts; a usual night or afternoon beyond a limit, of about six hours, counts as it is.
 * Judgement.
 */
const COUNTS: Line = [
  [1, 0.6],
  [3, 0.8],
  [6, 1],
  [12, 1.2],
  [24, 1.4],
];
const dose = (kelvin: number, hours: number): number => kelvin * along(COUNTS, hours);

/**
 * What a night so many degrees below what it survives leaves: hardiness is given in whole degrees, a night is short.
 */
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

export const coldScore = (target: Target, c: Extremes): number =>
  along(FROZEN, dose(target.warmth.lowest - c.coldNightC, hoursBelow(target, c)));
/** What sleeps without leaves minds no heat. */
export const heatScore = (target: Target, c: Extremes): number =>
  target.isDormant ? 1 : along(SCORCHED, dose(c.hotDayC - target.warmth.highest, hoursAbove(target, c)));

const swingFit = (target: Target, c: Condition): FactorFit =>
  factorFit({
    factor: 'warmth',
    aspect: 'swing',
    score: swingScore(target, c),
    gets: swingOf(c),
    wantsFrom: 0,
    wantsTo: swingBorne(target),
  });

const dropFit = (target: Target, c: Condition): FactorFit =>
  factorFit({
    factor: 'warmth',
    aspect: 'night-drop',
    score: dropScore(target, c),
    gets: dropOf(c),
    wantsFrom: Math.max(0, target.warmth.nightDrop - DROP_GRACE_K),
    wantsTo: swingBorne(target),
  });

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
  const least = target.isDormant ? means : worse(worse(means, swingFit(target, c)), dropFit(target, c));
  if (coldNightC >= warmth.lowest && heatScore(target, c) === 1) return least;
  const extreme = (
    aspect: 'cold-night' | 'hot-day',
    { score, gets, hoursBeyond }: { readonly score: number; readonly gets: number; readonly hoursBeyond: number },
  ) =>
    harmFit({ factor: 'warmth', aspect, score, gets, hoursBeyond, wantsFrom: warmth.lowest, wantsTo: warmth.highest });
  const cold = { score: coldScore(target, c), gets: coldNightC, hoursBeyond: hoursBelow(target, c) };
  const hot = { score: heatScore(target, c), gets: hotDayC, hoursBeyond: hoursAbove(target, c) };
  return worse(least, worse(extreme('cold-night', cold), extreme('hot-day', hot)));
}
