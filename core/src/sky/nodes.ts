/** The sky as a net of nodes: a radiance is stated at each node and read between them by bilinear interpolation. */
import { RADIANS } from '../units/angle';

const ALTITUDE_STEP_DEG = 5;
const AZIMUTH_STEP_DEG = 10;
const ALTITUDE_ROWS = 90 / ALTITUDE_STEP_DEG + 1;
const AZIMUTH_COLUMNS = 360 / AZIMUTH_STEP_DEG;

/**
 * How many nodes the sky has. Nodes with interpolation converge faster than the same number of flat patches;
 * 5 by 10 degrees is finer than Tregenza's 145 patches where the sky changes most, near the horizon.
 */
export const SKY_NODES = ALTITUDE_ROWS * AZIMUTH_COLUMNS;

/** Direction of a node, degrees. */
export function nodeDirection(node: number): { azimuthDeg: number; elevationDeg: number } {
  return {
    azimuthDeg: (node % AZIMUTH_COLUMNS) * AZIMUTH_STEP_DEG,
    elevationDeg: Math.floor(node / AZIMUTH_COLUMNS) * ALTITUDE_STEP_DEG,
  };
}

/**
 * Adds `weight` to the nodes around a direction, in the shares by which interpolation reads them.
 * @param azimuthDeg any; @param elevationDeg 0..90
 */
export function scatterToNodes(target: Float64Array, azimuthDeg: number, elevationDeg: number, weight: number): void {
  const row = Math.min(Math.max(elevationDeg, 0) / ALTITUDE_STEP_DEG, ALTITUDE_ROWS - 1.000001);
  const low = Math.floor(row);
  const up = row - low;
  const column = azimuthDeg / AZIMUTH_STEP_DEG;
  const left = Math.floor(column);
  const right = column - left;
  const c0 = ((left % AZIMUTH_COLUMNS) + AZIMUTH_COLUMNS) % AZIMUTH_COLUMNS;
  const c1 = (c0 + 1) % AZIMUTH_COLUMNS;
  const base = low * AZIMUTH_COLUMNS;
  target[base + c0]! += weight * (1 - up) * (1 - right);
  target[base + c1]! += weight * (1 - up) * right;
  target[base + AZIMUTH_COLUMNS + c0]! += weight * up * (1 - right);
  target[base + AZIMUTH_COLUMNS + c1]! += weight * up * right;
}

/** Reads a field of node values at a direction. */
export function readAtNodes(field: ArrayLike<number>, azimuthDeg: number, elevationDeg: number): number {
  const row = Math.min(Math.max(elevationDeg, 0) / ALTITUDE_STEP_DEG, ALTITUDE_ROWS - 1.000001);
  const low = Math.floor(row);
  const up = row - low;
  const column = azimuthDeg / AZIMUTH_STEP_DEG;
  const left = Math.floor(column);
  const right = column - left;
  const c0 = ((left % AZIMUTH_COLUMNS) + AZIMUTH_COLUMNS) % AZIMUTH_COLUMNS;
  const c1 = (c0 + 1) % AZIMUTH_COLUMNS;
  const base = low * AZIMUTH_COLUMNS;
  const lower = field[base + c0]! * (1 - right) + field[base + c1]! * right;
  const upper = field[base + AZIMUTH_COLUMNS + c0]! * (1 - right) + field[base + AZIMUTH_COLUMNS + c1]! * right;
  return lower * (1 - up) + upper * up;
}

/** What each node's radiance adds to the irradiance of open level ground: sums to pi over a sky of radiance 1. */
export const HORIZONTAL_WEIGHTS: Float64Array = (() => {
  const weights = new Float64Array(SKY_NODES);
  const stepDeg = 1;
  for (let elevation = stepDeg / 2; elevation < 90; elevation += stepDeg) {
    const band = Math.sin(elevation * RADIANS) * Math.cos(elevation * RADIANS) * (stepDeg * RADIANS) ** 2;
    for (let azimuth = stepDeg / 2; azimuth < 360; azimuth += stepDeg) {
      scatterToNodes(weights, azimuth, elevation, band);
    }
  }
  return weights;
})();
