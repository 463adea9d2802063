/** What a grower knows better than the catalogue. */
import type { Figure } from '../taxon';

/** A figure of a taxon or of one plant that the grower knows better, with the reason. */
export interface Correction {
  readonly id: string;
  readonly homeId: string;
  /** One of the two is null. A plant's own correction comes after its taxon's. */
  readonly taxonId: string | null;
  readonly plantId: string | null;
  readonly figure: Figure;
  readonly value: number;
  readonly reason: string;
  /** YYYY-MM-DD. */
  readonly on: string;
}
