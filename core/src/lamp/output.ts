/** How many photons a lamp gives, by whatever its label states, and how much of them age has left. */
import type { Lamp } from '../facts';
import { LUX_PER_PPFD } from '../units';

/** Photons for each joule of electricity of a white LED whose label tells watts alone: 1.2 to 2.4, most about this. */
export const TYPICAL_UMOL_PER_JOULE = 1.7;

/**
 * Lumens for each umol/s of red and blue diodes: the eye hardly sees them, and how little depends on the shares. 5 to 40.
 */
const LUMENS_PER_UMOL_RED_BLUE = 18;

/** Share of its first light that a lamp has left at the end of its rated life (L70). */
const LEFT_AT_LIFE = 0.7;

export interface LampOutput {
  /** Photons in 400-700 nm at full power, umol/s, as the lamp is now. */
  readonly ppf: number;
  /** The same when it was new. */
  readonly newPpf: number;
  /** Relative doubt of the conversion, one standard deviation. */
  readonly doubt: number;
  /** Share of its first light that is left. */
  readonly left: number;
}

/** Lumens for each umol/s by spectrum. */
export function lumensPerUmol(spectrum: Lamp['spectrum']): number {
  return spectrum === 'red-blue' ? LUMENS_PER_UMOL_RED_BLUE : LUX_PER_PPFD[spectrum];
}

/**
 * What a lamp gives at full power.
 * A PPF on the label is taken as it stands (5 %); lumens by the factor of the spectrum (8 %, red-blue 60 %); watts by a
 * typical efficacy (30 %). Age follows an exponential through the maker's hours to 70 %: IES TM-21.
 */
export function lampOutput(
  lamp: Pick<Lamp, 'ratedBy' | 'ppf' | 'lumens' | 'powerW' | 'spectrum' | 'burntHours' | 'lifeHours'>,
): LampOutput {
  const left = lamp.lifeHours === null ? 1 : LEFT_AT_LIFE ** (lamp.burntHours / lamp.lifeHours);
  const rated = ratedOutput(lamp);
  return { ppf: rated.ppf * left, newPpf: rated.ppf, doubt: rated.doubt, left };
}

function ratedOutput({
  ratedBy,
  ppf,
  lumens,
  powerW,
  spectrum,
}: Pick<Lamp, 'ratedBy' | 'ppf' | 'lumens' | 'powerW' | 'spectrum'>): { ppf: number; doubt: number } {
  if (ratedBy === 'lumens' && lumens !== null)
    return { ppf: lumens / lumensPerUmol(spectrum), doubt: spectrum === 'red-blue' ? 0.6 : 0.08 };
  if (ratedBy === 'watts') return { ppf: powerW * TYPICAL_UMOL_PER_JOULE, doubt: 0.3 };
  return { ppf, doubt: 0.05 };
}
