/** How long a sprayed leaf stays wet: what disease needs is water on it for hours. */
import type { AirMovement } from '../facts';
import { saturationPressure, vapourPressureDeficit } from './moist';
import { CLINGING_AIR, GRAMS_A_MOL, SECONDS_AN_HOUR } from './transpiration';

/** A film that sprayed leaves hold, g for each m2 of leaf. */
export const SPRAYED_G_M2 = 80;
/** Psychrometric constant at sea level, kPa K-1. */
const PSYCHROMETRIC = 0.066;
const STEP_K = 0.1;
/** Longer is told as all night. */
const LONGEST_H = 48;

/** The air round a wet leaf. */
export interface WetLeafAir {
  readonly celsius: number;
  /** Per cent. */
  readonly rh: number;
  readonly movement: AirMovement;
  readonly pressurePa: number;
}

/**
 * Hours until a sprayed leaf is dry, at most 48. A wet leaf cools toward the wet bulb, so that only a part of the air's
 * dryness drives it (Penman, without sun). Good to a factor of two: drops, hairs and crowns hold more.
 * @example hoursWet({ celsius: 20, rh: 60, movement: 'gentle', pressurePa: 101325 }) // about 1.5
 */
export function hoursWet({ celsius, rh, movement, pressurePa }: WetLeafAir, filmGM2 = SPRAYED_G_M2): number {
  const steeper = (saturationPressure(celsius + STEP_K) - saturationPressure(celsius - STEP_K)) / (2 * STEP_K);
  const drivenBy = (vapourPressureDeficit(celsius, rh) * PSYCHROMETRIC) / (PSYCHROMETRIC + steeper);
  const gM2H = (CLINGING_AIR[movement] * GRAMS_A_MOL * SECONDS_AN_HOUR * 1000 * drivenBy) / pressurePa;
  return gM2H <= 0 ? LONGEST_H : Math.min(LONGEST_H, filmGM2 / gM2H);
}
