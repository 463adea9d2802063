/** What light readings say of a model: one factor that brings it nearest to them, and how far they lie apart. */

/** A reading set against what was computed for its place and instant. */
export interface Compared {
  readonly readingId: string;
  /** Measured over computed, above 0. */
  readonly ratio: number;
  /** Relative doubt of the comparison, one standard deviation: the meter, and how well the sky is known. */
  readonly doubt: number;
  /** How far it counts here, 0..1: 1 at its own spot, less at a neighbour. */
  readonly nearness: number;
}

export interface LightCalibration {
  /** What the computed light is multiplied by. */
  readonly factor: number;
  /** Relative doubt of the factor, one standard deviation. */
  readonly doubt: number;
  /** Relative spread of the readings round the factor; null with fewer than two. */
  readonly spread: number | null;
  readonly readings: readonly (Compared & { readonly outlier: 'yes' | 'no' })[];
}

/** How far the model is trusted before anything is measured, relative: cloud, glass and dirt as stated. */
export const MODEL_DOUBT = 0.35;

/** A reading is called an outlier when it lies farther from the factor than this many of its own doubts. */
const OUTLIER_AT = 2.5;

/** Factors beyond these are held: something other than the model is wrong. */
export const FACTOR_LIMITS = { from: 0.3, to: 3.3 } as const;

/**
 * Least squares on the logarithms of the ratios, weighted by nearness over doubt squared, with the model itself as one
 * more reading of ratio 1. Outliers are named and still count. No readings give null.
 */
export function calibrationOf(compared: readonly Compared[]): LightCalibration | null {
  const used = compared.filter(({ nearness, ratio }) => nearness > 0.01 && ratio > 0 && Number.isFinite(ratio));
  if (used.length === 0) return null;
  let weights = 1 / MODEL_DOUBT ** 2;
  let sum = 0;
  for (const { ratio, doubt, nearness } of used) {
    const weight = nearness / doubt ** 2;
    weights += weight;
    sum += weight * Math.log(ratio);
  }
  const mean = sum / weights;
  const factor = Math.min(FACTOR_LIMITS.to, Math.max(FACTOR_LIMITS.from, Math.exp(mean)));
  // Three or more are held against their median, which one odd reading does not move.
  const middle = used.length < 3 ? mean : medianOf(used.map(({ ratio }) => Math.log(ratio)));
  const readings = used.map((reading) => ({
    ...reading,
    outlier:
      Math.abs(Math.log(reading.ratio) - middle) > OUTLIER_AT * reading.doubt ? ('yes' as const) : ('no' as const),
  }));
  const spread =
    used.length < 2
      ? null
      : Math.sqrt(used.reduce((all, { ratio }) => all + (Math.log(ratio) - mean) ** 2, 0) / (used.length - 1));
  return { factor, doubt: 1 / Math.sqrt(weights), spread, readings };
}

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((p, q) => p - q);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
