/** A set of coefficients under the mean skies of a year, hour bin by hour bin. */
import { coarsened } from '../sky/nodes';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import type { Coefficients } from './coefficients';

/** Scalars by bin that a set of coefficients gives under the mean skies of a year. */
export interface BinnedCoefficients {
  /** Per unit of clear-sky diffuse irradiance, by bin. */
  readonly clear: Float64Array;
  readonly overcast: number;
  readonly ground: number;
  readonly obstruction: number;
}

/** @param even shape of the part of the sky that is not clear */
export function binned(
  { sky: field, net, ground, obstruction }: Coefficients,
  sky: SkyYear,
  even: Float64Array,
  months: readonly number[],
): BinnedCoefficients {
  const clear = new Float64Array(HOUR_BINS);
  const fine = net.count === even.length;
  const shapes = fine ? sky.clearShape : sky.coarseClearShape;
  const evenShape = fine ? even : coarsened(even);
  let overcast = 0;
  for (let node = 0; node < net.count; node++) {
    const value = field[node]!;
    if (value === 0) continue;
    overcast += value * evenShape[node]!;
    const row = node * HOUR_BINS;
    for (let bin = 0; bin < HOUR_BINS; bin++) clear[bin]! += value * shapes[row + bin]!;
  }
  if (months.length < 12)
    for (let bin = 0; bin < HOUR_BINS; bin++) if (!months.includes(Math.floor(bin / 24) + 1)) clear[bin] = 0;
  return { clear, overcast, ground: ground / Math.PI, obstruction: obstruction / Math.PI };
}
