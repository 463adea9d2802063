/** What answers need to know beyond a home's own facts: looked up by key in the catalogue. */
import type { Glass, Veil } from '../light';
import type { Taxon } from '../plant';

export interface ClimateFamily {
  readonly id: string;
  readonly name: string;
  /** Northern calendar, January first: mean daily clearness index, outdoor day and night temperature (C), relative humidity (%). */
  readonly clearness: readonly number[];
  readonly dayC: readonly number[];
  readonly nightC: readonly number[];
  readonly rh: readonly number[];
  /** Linke turbidity of its clear days. */
  readonly turbidity: number;
}

/** Each look-up gives null for a key the catalogue does not hold. */
export interface Knowledge {
  taxon(id: string): Taxon | null;
  glazing(id: string): Glass | null;
  curtain(id: string): Veil | null;
  climate(id: string): ClimateFamily | null;
}
