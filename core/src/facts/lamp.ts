/** A fixture over the spots of a tier. */
import type { LampSpectrum } from '../units';
import type { Side } from './room';

export const LAMP_FORMS = ['point', 'bar', 'panel', 'spot'] as const;
export type LampForm = (typeof LAMP_FORMS)[number];

/** The figure on its label that a lamp's light is known by. */
export const LAMP_RATINGS = ['ppf', 'lumens', 'watts'] as const;
export type LampRating = (typeof LAMP_RATINGS)[number];

export interface Lamp {
  readonly id: string;
  readonly circuitId: string;
  /** The tier it hangs over. */
  readonly tierId: string;
  readonly name: string;
  readonly form: LampForm;
  /** Photons in 400-700 nm, umol/s, at full power. */
  readonly ppf: number;
  /** Electrical power at full power, W. */
  readonly powerW: number;
  readonly spectrum: LampSpectrum;
  /** Full angle between the directions of half the peak intensity; 120 is Lambertian. */
  readonly beamDeg: number;
  /** Size of the lit part, along x and y of the room. */
  readonly lengthM: number;
  readonly breadthM: number;
  /** Centre, from the stand's corner, and height of the lit face above the tier's board. */
  readonly alongM: number;
  readonly acrossM: number;
  readonly aboveM: number;
  /** Share of full power, 0..1. */
  readonly dimming: number;
  readonly ratedBy: LampRating;
  /** Luminous flux at full power; null where it is not known. */
  readonly lumens: number | null;
  /** Turned from straight down by this much, toward a side of the room. */
  readonly tiltDeg: number;
  readonly tiltToward: Side;
  /** Hours burnt, and the hours after which its maker says that 70 % of its light is left; null is not known. */
  readonly burntHours: number;
  readonly lifeHours: number | null;
  /** A photometric file of the home that tells how its light is spread; null follows form and beam. */
  readonly photometryId: string | null;
}

/** A lamp of which nothing more was said than its photons: it shines straight down, and has not aged. */
export const PLAIN_LAMP = {
  ratedBy: 'ppf',
  lumens: null,
  tiltDeg: 0,
  tiltToward: 'a',
  burntHours: 0,
  lifeHours: null,
  photometryId: null,
} as const satisfies Partial<Lamp>;
