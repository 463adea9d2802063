/** Where a home is and the ways of growing that hold in all of it. */
import type { School } from '../taxon';

export interface Home {
  readonly id: string;
  readonly name: string;
  /** North positive. */
  readonly latitude: number;
  /** East positive. */
  readonly longitude: number;
  readonly elevationM: number;
  /** IANA name. */
  readonly timeZone: string;
  /** Key of a climate family in the catalogue. */
  readonly climateId: string;
  /** How plants are rested here; null follows what is usual for each taxon. */
  readonly restSchool: School | null;
  /** Where in the band of light that a plant thrives in the grower aims. */
  readonly lightAim: LightAim;
  /** Months (1..12) in which snow lies. */
  readonly snowMonths: readonly number[];
}

export const LIGHT_AIMS = ['low', 'whole', 'high'] as const;
export type LightAim = (typeof LIGHT_AIMS)[number];
