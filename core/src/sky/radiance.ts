/** How bright each part of the sky is, for one unit of diffuse irradiance on open level ground. */
import { RADIANS } from '../units/angle';
import { HORIZONTAL_WEIGHTS, SKY_NODES, nodeDirection } from './nodes';

/** CIE S 011 / ISO 15469 coefficients of gradation (a, b) and indicatrix (c, d, e). */
interface SkyType {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
}

/** ISO 15469 type 12: clear sky, low turbidity. */
const CLEAR: SkyType = { a: -1, b: -0.32, c: 10, d: -3, e: 0.45 };

const CLEAR_GRADATION = new Float64Array(SKY_NODES);

/** The clear sky's indicatrix by cosine of the angle to the sun, -1..1, tabled since it is asked for millions of times. */
const INDICATRIX_STEPS = 2048;
const CLEAR_INDICATRIX = Float64Array.from({ length: INDICATRIX_STEPS + 2 }, (_, i) => {
  const cosine = Math.min(1, (2 * i) / INDICATRIX_STEPS - 1);
  const { c, d, e } = CLEAR;
  return 1 + c * (Math.exp(d * Math.acos(cosine)) - Math.exp((d * Math.PI) / 2)) + e * cosine * cosine;
});

const NODE_SIN = new Float64Array(SKY_NODES);
const NODE_COS = new Float64Array(SKY_NODES);
const NODE_AZIMUTH = new Float64Array(SKY_NODES);
for (let node = 0; node < SKY_NODES; node++) {
  const { azimuthDeg, elevationDeg } = nodeDirection(node);
  NODE_SIN[node] = Math.sin(elevationDeg * RADIANS);
  NODE_COS[node] = Math.cos(elevationDeg * RADIANS);
  NODE_AZIMUTH[node] = azimuthDeg * RADIANS;
  const sin = NODE_SIN[node]!;
  CLEAR_GRADATION[node] = sin > 0 ? 1 + CLEAR.a * Math.exp(CLEAR.b / sin) : 1;
}

function normalised(field: Float64Array): Float64Array {
  let horizontal = 0;
  const weights = HORIZONTAL_WEIGHTS;
  const { length } = field;
  for (let node = 0; node < length; node++) horizontal += field[node]! * weights[node]!;
  for (let node = 0; node < length; node++) field[node]! /= horizontal;
  return field;
}

/** A sky equally bright everywhere: 1/pi. */
export const ISOTROPIC_SKY: Float64Array = normalised(new Float64Array(SKY_NODES).fill(1));

/** CIE overcast sky, (1 + 2 sin elevation) / 3 of the zenith. Moon and Spencer 1942. */
export const OVERCAST_SKY: Float64Array = normalised(NODE_SIN.map((sin) => (1 + 2 * sin) / 3));

/**
 * CIE clear sky (ISO 15469 type 12) for a position of the sun.
 * @returns radiance at each node per unit of horizontal diffuse irradiance, sr-1
 */
export function clearSky(sunAzimuthDeg: number, sunElevationDeg: number): Float64Array {
  const field = new Float64Array(SKY_NODES);
  const sunSin = Math.sin(sunElevationDeg * RADIANS);
  const sunCos = Math.cos(sunElevationDeg * RADIANS);
  const sunAzimuth = sunAzimuthDeg * RADIANS;
  for (let node = 0; node < field.length; node++) {
    const cosToSun = NODE_SIN[node]! * sunSin + NODE_COS[node]! * sunCos * Math.cos(NODE_AZIMUTH[node]! - sunAzimuth);
    const at = Math.max(0, Math.min(1, (cosToSun + 1) / 2)) * INDICATRIX_STEPS;
    const below = Math.floor(at);
    const low = CLEAR_INDICATRIX[below]!;
    field[node] = CLEAR_GRADATION[node]! * (low + (CLEAR_INDICATRIX[below + 1]! - low) * (at - below));
  }
  return normalised(field);
}
