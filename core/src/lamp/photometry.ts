/** How a lamp's light is spread when a photometric file tells it: intensity by direction, and the light of the whole. */
import type { Intensities } from '../facts';
import { RADIANS } from '../units';

/**
 * Intensity in a direction, candela; between the measured planes and angles by bilinear interpolation.
 * Planes that stop at 0 stand for all; at 90 or 180 they are mirrored. Beyond the measured angles there is no light.
 * @param planeDeg any, round the vertical from the lamp's length; @param angleDeg from straight down, 0..180
 */
export function candelaAt({ planes, angles, candela }: Intensities, planeDeg: number, angleDeg: number): number {
  if (angleDeg < angles[0]! - 1e-9 || angleDeg > angles[angles.length - 1]! + 1e-9) return 0;
  const across = bracket(planes, folded(planes, planeDeg));
  const down = bracket(angles, angleDeg);
  const width = angles.length;
  const at = (plane: number, angle: number) => candela[plane * width + angle]!;
  const near = at(across.low, down.low) * (1 - down.share) + at(across.low, down.high) * down.share;
  const far = at(across.high, down.low) * (1 - down.share) + at(across.high, down.high) * down.share;
  return near * (1 - across.share) + far * across.share;
}

/** A plane's angle brought into the stretch that was measured. */
function folded(planes: readonly number[], planeDeg: number): number {
  const whole = ((planeDeg % 360) + 360) % 360;
  const last = planes[planes.length - 1]!;
  if (last <= 0) return 0;
  if (last > 180) return whole;
  const half = whole > 180 ? 360 - whole : whole;
  return last > 90 ? half : half > 90 ? 180 - half : half;
}

/** Neighbours of a value in a rising list, and how far it lies between them. */
function bracket(list: readonly number[], value: number): { low: number; high: number; share: number } {
  const last = list.length - 1;
  if (value <= list[0]!) return { low: 0, high: 0, share: 0 };
  if (value >= list[last]!) return { low: last, high: last, share: 0 };
  let high = 1;
  let low = 0;
  let top = last;
  while (top - low > 1) {
    const middle = (low + top) >> 1;
    if (list[middle]! <= value) low = middle;
    else top = middle;
  }
  high = low + 1;
  return { low, high, share: (value - list[low]!) / (list[high]! - list[low]!) };
}

const ANGLE_STEP_DEG = 1;
const PLANE_STEP_DEG = 5;

const fluxes = new WeakMap<readonly number[], number>();

/** Luminous flux of a distribution, lm: its intensity over all directions, by zones of one degree. */
export function fluxOf(distribution: Intensities): number {
  const known = fluxes.get(distribution.candela);
  if (known !== undefined) return known;
  let sum = 0;
  for (let angle = ANGLE_STEP_DEG / 2; angle < 180; angle += ANGLE_STEP_DEG) {
    const zone = Math.cos((angle - ANGLE_STEP_DEG / 2) * RADIANS) - Math.cos((angle + ANGLE_STEP_DEG / 2) * RADIANS);
    for (let plane = PLANE_STEP_DEG / 2; plane < 360; plane += PLANE_STEP_DEG) {
      sum += candelaAt(distribution, plane, angle) * zone * PLANE_STEP_DEG * RADIANS;
    }
  }
  fluxes.set(distribution.candela, sum);
  return sum;
}
