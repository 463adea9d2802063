/** What turns one light quantity into another: the constants stand here and nowhere else. */

/** Share of broadband solar energy that lies in 400-700 nm. McCree 1972; Monteith and Unsworth, Principles of Environmental Physics. */
export const PAR_SHARE_OF_BROADBAND = 0.45;

/** Photons per joule of PAR in daylight, umol/J. McCree 1972. */
export const UMOL_PER_JOULE_PAR = 4.57;

/** PPFD (umol m-2 s-1) given by one W m-2 of broadband daylight. */
export const PPFD_PER_WATT = PAR_SHARE_OF_BROADBAND * UMOL_PER_JOULE_PAR;

/** Total solar irradiance outside the atmosphere, W m-2. Kopp and Lean 2011. */
export const SOLAR_CONSTANT = 1361;

/** Lux given by one umol m-2 s-1 of PPFD, by spectrum. Integrated over the CIE 1924 V(lambda) curve. */
export const LUX_PER_PPFD = {
  daylight: 55.5,
  'white-warm': 68,
  'white-neutral': 66,
  'white-cool': 67,
  sodium: 82,
} as const;

export type LampSpectrum = keyof typeof LUX_PER_PPFD | 'red-blue';

/** Seconds in an hour, times mol per umol: DLI (mol m-2) of one hour at one umol m-2 s-1. */
export const MOL_PER_UMOL_HOUR = 3600e-6;

/**
 * Daily light integral of a steady light.
 * @param ppfd umol m-2 s-1, not negative
 * @param hours hours a day it lasts, 0..24
 * @returns mol m-2 d-1
 */
export function dliOfSteadyLight(ppfd: number, hours: number): number {
  return ppfd * hours * MOL_PER_UMOL_HOUR;
}
