/** What a spot's light would do to a plant in a month, in one word. */
import type { LightNeed } from '../taxon';
import type { Condition } from './condition';

/** In rising order of light. */
export const LIGHT_BANDS = ['fades', 'survives', 'thrives', 'bears', 'scorches'] as const;
export type LightBand = (typeof LIGHT_BANDS)[number];

/** A leaf bears this much more than its brightest wanted hour before it is marked. */
const PEAK_BORNE = 1.25;

/**
 * Where a month's light lies among what a plant wants: by its daily sum, and by its brightest hour, which alone can burn.
 * @returns `fades` below what it survives, `bears` above what it thrives by, `scorches` beyond what its leaf tolerates
 */
export function lightBand(need: LightNeed, { dli, peakPpfd }: Pick<Condition, 'dli' | 'peakPpfd'>): LightBand {
  if (dli > need.scorches || peakPpfd > PEAK_BORNE * need.peakPpfd) return 'scorches';
  if (dli > need.thrivesTo) return 'bears';
  if (dli >= need.thrivesFrom) return 'thrives';
  return dli >= need.survives ? 'survives' : 'fades';
}
