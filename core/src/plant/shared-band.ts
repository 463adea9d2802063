/** What suits all of several plants at once. */
import type { Target } from './target';

/** From and to, C or per cent. */
export type SharedBand = readonly [from: number, to: number];

const BAND_OF: Readonly<Record<'warmth' | 'moisture', (target: Target) => SharedBand>> = {
  warmth: ({ warmth }) => [warmth.nightFrom, warmth.dayTo],
  moisture: ({ moisture }) => [moisture.thrivesFrom, moisture.thrivesTo],
};

/** The band of warmth or moisture that suits all of some targets; null where none does, or there are none. */
export function sharedBand(targets: readonly Target[], factor: 'warmth' | 'moisture'): SharedBand | null {
  if (targets.length === 0) return null;
  const bands = targets.map(BAND_OF[factor]);
  const from = Math.max(...bands.map((band) => band[0]));
  const to = Math.min(...bands.map((band) => band[1]));
  return from < to ? [from, to] : null;
}
