/** The sky as a net of nodes: a radiance is stated at each node and read between them by bilinear interpolation. */
import { RADIANS } from '../units/angle';

/**
 * A net of nodes over the sky, `row * columns + column`. Nodes with interpolation converge faster than the same number
 * of flat patches.
 */
export interface SkyNet {
  readonly altitudeStepDeg: number;
  readonly azimuthStepDeg: number;
  readonly rows: number;
  readonly columns: number;
  readonly count: number;
}

function netOf(altitudeStepDeg: number, azimuthStepDeg: number): SkyNet {
  const rows = 90 / altitudeStepDeg + 1;
  const columns = 360 / azimuthStepDeg;
  return { altitudeStepDeg, azimuthStepDeg, rows, columns, count: rows * columns };
}

/** For light that comes straight: 5 by 10 degrees, finer than Tregenza's 145 patches where the sky changes most, near the horizon. */
export const FINE_NET = netOf(5, 10);

/** For light that has met a wall first, which blurs the sky: 10 by 20 degrees. */
export const COARSE_NET = netOf(10, 20);

export const SKY_NODES = FINE_NET.count;

/** Direction of a node of a net, degrees. */
export function nodeDirection(node: number, net: SkyNet = FINE_NET): { azimuthDeg: number; elevationDeg: number } {
  return {
    azimuthDeg: (node % net.columns) * net.azimuthStepDeg,
    elevationDeg: Math.floor(node / net.columns) * net.altitudeStepDeg,
  };
}

/** The four nodes around a direction and the shares by which interpolation reads them; kept and used again. */
export interface Around {
  readonly nodes: Int32Array;
  readonly shares: Float64Array;
}

export const emptyAround = (): Around => ({ nodes: new Int32Array(4), shares: new Float64Array(4) });

/** Finds the nodes around a direction. @param azimuthDeg any; @param elevationDeg 0..90 */
export function findAround(around: Around, net: SkyNet, azimuthDeg: number, elevationDeg: number): void {
  const row = Math.min(Math.max(elevationDeg, 0) / net.altitudeStepDeg, net.rows - 1.000001);
  const low = Math.floor(row);
  const up = row - low;
  const column = azimuthDeg / net.azimuthStepDeg;
  const left = Math.floor(column);
  const right = column - left;
  const { columns } = net;
  const c0 = ((left % columns) + columns) % columns;
  const c1 = c0 + 1 === columns ? 0 : c0 + 1;
  const base = low * columns;
  const { nodes, shares } = around;
  nodes[0] = base + c0;
  nodes[1] = base + c1;
  nodes[2] = base + columns + c0;
  nodes[3] = base + columns + c1;
  shares[0] = (1 - up) * (1 - right);
  shares[1] = (1 - up) * right;
  shares[2] = up * (1 - right);
  shares[3] = up * right;
}

const scratch = emptyAround();

/** Adds `weight` to the nodes around a direction, in the shares by which interpolation reads them. */
export function scatterToNodes(
  target: Float64Array,
  azimuthDeg: number,
  elevationDeg: number,
  weight: number,
  net: SkyNet = FINE_NET,
): void {
  findAround(scratch, net, azimuthDeg, elevationDeg);
  const { nodes, shares } = scratch;
  target[nodes[0]!]! += weight * shares[0]!;
  target[nodes[1]!]! += weight * shares[1]!;
  target[nodes[2]!]! += weight * shares[2]!;
  target[nodes[3]!]! += weight * shares[3]!;
}

/** What each node's radiance adds to the irradiance of open level ground: sums to pi over a sky of radiance 1. */
function horizontalWeights(net: SkyNet): Float64Array {
  const weights = new Float64Array(net.count);
  const stepDeg = 1;
  for (let elevation = stepDeg / 2; elevation < 90; elevation += stepDeg) {
    const band = Math.sin(elevation * RADIANS) * Math.cos(elevation * RADIANS) * (stepDeg * RADIANS) ** 2;
    for (let azimuth = stepDeg / 2; azimuth < 360; azimuth += stepDeg)
      scatterToNodes(weights, azimuth, elevation, band, net);
  }
  return weights;
}

export const HORIZONTAL_WEIGHTS = horizontalWeights(FINE_NET);
const COARSE_WEIGHTS = horizontalWeights(COARSE_NET);

/** For each fine node the coarse nodes around it, and its solid angle. */
const GATHERED = Array.from({ length: SKY_NODES }, (_, node) => {
  const { azimuthDeg, elevationDeg } = nodeDirection(node);
  const around = emptyAround();
  findAround(around, COARSE_NET, azimuthDeg, elevationDeg);
  const halfStep = FINE_NET.altitudeStepDeg / 2;
  const low = Math.sin(Math.max(0, elevationDeg - halfStep) * RADIANS);
  const high = Math.sin(Math.min(90, elevationDeg + halfStep) * RADIANS);
  return { around, solidAngle: high - low };
});

const coarseOf = new WeakMap<Float64Array, Float64Array>();

/**
 * A radiance on the fine net as one on the coarse net: each coarse node takes the mean around it, and the whole still
 * gives open ground the same. Remembered for the field it was made from.
 */
export function coarsened(field: Float64Array): Float64Array {
  const known = coarseOf.get(field);
  if (known) return known;
  const coarse = new Float64Array(COARSE_NET.count);
  coarsenInto(coarse, field, 0);
  coarseOf.set(field, coarse);
  return coarse;
}

const weightSum = new Float64Array(COARSE_NET.count);

/** As `coarsened`, from a stretch of a longer array that begins at `base`. */
export function coarsenInto(coarse: Float64Array, field: ArrayLike<number>, base: number): void {
  coarse.fill(0);
  weightSum.fill(0);
  let before = 0;
  for (let node = 0; node < SKY_NODES; node++) {
    const { around, solidAngle } = GATHERED[node]!;
    const radiance = field[base + node]!;
    before += radiance * HORIZONTAL_WEIGHTS[node]!;
    for (let i = 0; i < 4; i++) {
      const share = around.shares[i]! * solidAngle;
      coarse[around.nodes[i]!]! += share * radiance;
      weightSum[around.nodes[i]!]! += share;
    }
  }
  let after = 0;
  for (let node = 0; node < COARSE_NET.count; node++) {
    coarse[node] = weightSum[node]! > 0 ? coarse[node]! / weightSum[node]! : 0;
    after += coarse[node]! * COARSE_WEIGHTS[node]!;
  }
  if (after > 0) for (let node = 0; node < COARSE_NET.count; node++) coarse[node]! *= before / after;
}
