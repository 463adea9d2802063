/** Water that leaves give to the air, by their area, their light, the air's dryness and how it moves. */

import type { AirMovement } from '../facts';
import type { WaterNeed } from '../taxon';

export interface LeafCover extends Pick<WaterNeed, 'dries' | 'stomataOpen'> {
  /** Of all leaves, one side, m2. */
  readonly areaM2: number;
}

export interface LeafClimate {
  /** At the leaves, umol m-2 s-1. */
  readonly ppfd: number;
  /** Of the leaf, kPa. */
  readonly vpd: number;
  readonly air: AirMovement;
  readonly pressurePa: number;
}

/**
 * Wide open pores, mol m-2 s-1. Judgement, within what porometers read on pot plants indoors (0.01 to 0.15), most of
 * which live by a tenth of the light that field crops have.
 */
const WIDE_OPEN = { slow: 0.02, medium: 0.06, fast: 0.12 } as const;
/** Shut pores leak through the skin of the leaf, mol m-2 s-1. Kerstiens 1996: 0.002 to 0.01. */
const THROUGH_SKIN = 0.004;
/** Light at which pores of shade plants are half open, umol m-2 s-1. */
const HALF_OPEN_PPFD = 60;
/** Darker is night to a leaf. */
const NIGHT_PPFD = 1;
/**
 * Open by this much of their most: those that open by night, then and by day; those that open either way, in the dark.
 */
const BY_NIGHT = { dark: 0.6, lit: 0.1 } as const;
const EITHER_IN_DARK = 0.3;
/** Dryness at which pores have closed by half, kPa. Leuning 1995. */
const HALF_SHUT_VPD = 1.5;
/**
 * Vapour through the air that clings to a leaf of a hand's width, mol m-2 s-1. Campbell and Norman 1998, for 0.05, 0.2,
 * 1 and 2 m/s.
 */
export const CLINGING_AIR: Readonly<Record<AirMovement, number>> = {
  still: 0.15,
  gentle: 0.3,
  brisk: 0.7,
  strong: 1,
};

export const GRAMS_A_MOL = 18.015;
export const SECONDS_AN_HOUR = 3600;

/** How far the pores are open for light, 0..1. */
function openFor(stomata: LeafCover['stomataOpen'], ppfd: number): number {
  const byLight = ppfd / (ppfd + HALF_OPEN_PPFD);
  const isDark = ppfd < NIGHT_PPFD;
  if (stomata === 'by-night') return isDark ? BY_NIGHT.dark : BY_NIGHT.lit;
  return stomata === 'either' && isDark ? EITHER_IN_DARK : byLight;
}

/**
 * Water given off by leaves, g/h; none where the leaf is wetted by the air. Good to a factor of two, since kinds, pots
 * and watering differ: a record tells better.
 */
export function transpiration(
  { areaM2, dries, stomataOpen }: LeafCover,
  { ppfd, vpd, air, pressurePa }: LeafClimate,
): number {
  if (vpd <= 0) return 0;
  const open = openFor(stomataOpen, ppfd) / (1 + vpd / HALF_SHUT_VPD);
  const pores = THROUGH_SKIN + (WIDE_OPEN[dries] - THROUGH_SKIN) * open;
  const through = 1 / (1 / pores + 1 / CLINGING_AIR[air]);
  return (areaM2 * through * vpd * 1000 * GRAMS_A_MOL * SECONDS_AN_HOUR) / pressurePa;
}
