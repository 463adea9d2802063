/** What a spot does to a plant in one month, factor by factor. */
import type { Target } from '../plant';
import { airFit, airGrowth } from './air-fit';
import type { Condition } from './condition';
import { dayFit, dayGrowth } from './day-fit';
import type { Factor, FactorFit } from './factor-fit';
import { burnScore, lightFit, lightGrowth } from './light-fit';
import { dryGrowth, dryScore, moistureFit, rotScore } from './moisture-fit';
import { coldScore, heatScore, warmthFit, warmthGrowth } from './warmth-fit';

export interface MonthFit {
  readonly month: number;
  readonly factors: readonly FactorFit[];
  /** 0..1: how much it grows, of what it could. */
  readonly growth: number;
  /** The factor that limits most; null when none is worth a word. */
  readonly limiting: Factor | null;
}

/** How harm comes, in the order in which it is told. */
export const HARMS_DONE = ['burn', 'cold', 'heat', 'rot', 'drying'] as const;
export type HarmDone = (typeof HARMS_DONE)[number];

/** What each harm leaves of the plant in a month, 0..1, by `HARMS_DONE`. */
const SCORE_OF: Readonly<Record<HarmDone, (target: Target, c: Condition) => number>> = {
  burn: burnScore,
  cold: coldScore,
  heat: heatScore,
  rot: rotScore,
  drying: dryScore,
};

/** What one harm leaves of the plant in a month. */
export const harmScore = (harm: HarmDone, target: Target, c: Condition): number => SCORE_OF[harm](target, c);

/** What the worst harm of a month leaves of the plant, 0..1: harms do not add up, the worst decides. */
export const leftByHarm = (target: Target, c: Condition): number =>
  Math.min(burnScore(target, c), coldScore(target, c), heatScore(target, c), rotScore(target, c), dryScore(target, c));

/**
 * How much of full growth all factors together leave in a month, 0..1; each takes its share of what the others leave.
 */
export const growthIn = (target: Target, c: Condition): number =>
  target.isDormant
    ? 1
    : lightGrowth(target, c) *
      dayGrowth(target, c) *
      warmthGrowth(target, c) *
      dryGrowth(target, c) *
      airGrowth(target, c);

/** The fit of one target to one condition. */
export function fitMonth(target: Target, condition: Condition): MonthFit {
  const factors = [
    lightFit(target, condition),
    dayFit(target, condition),
    warmthFit(target, condition),
    moistureFit(target, condition),
    airFit(target, condition),
  ];
  let least = factors[0]!;
  for (const fit of factors) if (fit.score < least.score) least = fit;
  return {
    month: condition.month,
    factors,
    growth: growthIn(target, condition),
    limiting: least.severity === 'fine' ? null : least.factor,
  };
}

/** The factor that limits growth in a month, as it fits; null where none costs anything worth a word. */
export const limitingFit = ({ factors, limiting }: Pick<MonthFit, 'factors' | 'limiting'>): FactorFit | null =>
  factors.find(({ factor }) => factor === limiting) ?? null;
