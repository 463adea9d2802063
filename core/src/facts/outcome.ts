/** What came of a plant on a spot, as its grower saw it: it overrules what is computed. */

export const OUTCOME_KINDS = ['well', 'died'] as const;
export type OutcomeKind = (typeof OUTCOME_KINDS)[number];

/** That a plant has stood on a spot from one day to another, and was well at its end, or dead. */
export interface Outcome {
  readonly id: string;
  readonly homeId: string;
  /** It outlives plant and spot: it tells of something that was. */
  readonly plantId: string;
  readonly spotId: string;
  /** The taxon the plant was taken for. What died tells of its kind, what is well of the plant alone. */
  readonly taxonId: string;
  readonly kind: OutcomeKind;
  /** YYYY-MM-DD. */
  readonly since: string;
  readonly on: string;
  /** What it got there as it was computed on that day, by month, January first: mol a day, brightest hour, mean C. */
  readonly dli: readonly number[];
  readonly peakPpfd: readonly number[];
  readonly meanC: readonly number[];
}
