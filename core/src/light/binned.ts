/** A set of coefficients under the mean skies of a year, hour bin by hour bin. */
import { coarsened } from '../sky/nodes';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import type { Coefficients } from './coefficients';

/** Scalars by bin that a set of coefficients gives under the mean skies of a year. */
export interface BinnedCoefficients {
  /** Per unit of clear-sky diffuse irradiance, by bin. */
  readonly clear: Float32Array;
  readonly overcast: number;
  readonly ground: number;
  readonly obstruction: number;
}

/** @param even shape of the part of the sky that is not clear */
export function binned({ sky: field, net, ground, obstruction }: Coefficients, sky: SkyYear, even: Float64Array, months: readonly number[]): BinnedCoefficients {
  const clear = new Float32Array(HOUR_BINS);
  const fine = net.count === even.length;
  const shapes = fine ? sky.clearShape : sky.coarseClearShape;
  const evenShape = fine ? even : coarsened(even);
  const nodes = net.count;
  let count = 0;
  const at = new Uint16Array(nodes);
  const weight = new Float64Array(nodes);
  let overcast = 0;
  for (let node = 0; node < nodes; node++) {
    const value = field[node]!;
    if (value === 0) continue;
    at[count] = node;
    weight[count] = value;
    overcast += value * evenShape[node]!;
    count++;
  }
  for (const month of months) {
    for (let bin = (month - 1) * 24; bin < month * 24; bin++) {
      if (sky.lit[bin] === 0) continue;
      const base = bin * nodes;
      let sum = 0;
      for (let i = 0; i < count; i++) sum += weight[i]! * shapes[base + at[i]!]!;
      clear[bin] = sum;
    }
  }
  return { clear, overcast, ground: ground / Math.PI, obstruction: obstruction / Math.PI };
}
