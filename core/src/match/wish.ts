/** What the plants under one lamp want of light together. */
import type { Target } from '../plant';

export interface SharedWish {
  /** mol m-2 d-1: the middle of the band that suits all, or of what is nearest to it. */
  readonly dli: number;
  /** No brighter than the tenderest tolerates, umol m-2 s-1. */
  readonly peakPpfd: number;
}

/** The light that suits several plants in one month; null for none. @param targets of that month */
export function sharedWish(targets: readonly Target[]): SharedWish | null {
  if (targets.length === 0) return null;
  const from = Math.max(...targets.map(({ light }) => light.thrivesFrom));
  const to = Math.min(...targets.map(({ light }) => light.thrivesTo));
  return { dli: (from + Math.max(from, to)) / 2, peakPpfd: Math.min(...targets.map(({ light }) => light.peakPpfd)) };
}
