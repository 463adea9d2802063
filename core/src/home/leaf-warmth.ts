/** How much warmer than the air a leaf is by day, and what that makes of the dryness it feels. */
import { DAY, vapourPressureDeficit, type SpotAirMonth } from '../air';
import type { AirMovement, Circuit } from '../facts';
import { fullHours } from '../lamp';
import type { DaylightYear } from '../light';

/**
 * Heat a leaf takes up for each W m-2 of daylight (half of it infrared, of which it takes little), and of lamp light.
 */
const TAKES_OF_DAYLIGHT = 0.5;
const TAKES_OF_LAMP = 0.85;
/** Lamp light carries so many umol for each joule in 400-700 nm. */
const LAMP_UMOL_J = 4.6;
/** Heat that a leaf's two sides give to air and surroundings, W m-2 K-1. Campbell and Norman 1998, a leaf of 5 cm. */
const GIVES: Readonly<Record<AirMovement, number>> = { still: 18, gentle: 25, brisk: 40, strong: 65 };
/**
 * Part of the heat that goes into water instead, in a leaf that breathes. Judgement, between a third and two thirds.
 */
const INTO_WATER = 0.4;
const DAY_H = DAY.to - DAY.from;

/** @param daylight on the leaf, W m-2 of broadband by hour bin */
export function leafOffset({
  daylight,
  lit,
  month0,
  air,
}: {
  readonly daylight: DaylightYear['byHour'];
  readonly lit: readonly { readonly ppfd: number; readonly circuit: Circuit }[];
  readonly month0: number;
  readonly air: Pick<SpotAirMonth, 'dayC' | 'dayRh' | 'movement'>;
}): { readonly leafK: number; readonly vpdLeaf: number } {
  let watts = 0;
  for (let bin = month0 * 24 + DAY.from; bin < month0 * 24 + DAY.to; bin++)
    for (const field of Object.values(daylight)) watts += (TAKES_OF_DAYLIGHT * field[bin]!) / DAY_H;
  for (const { ppfd, circuit } of lit) {
    const share = Math.min(1, fullHours(circuit, month0 + 1) / DAY_H);
    watts += (TAKES_OF_LAMP * share * ppfd) / LAMP_UMOL_J;
  }
  const leafK = (watts * (1 - INTO_WATER)) / GIVES[air.movement];
  return { leafK, vpdLeaf: vapourPressureDeficit(air.dayC, air.dayRh, leafK) };
}
