/** One pot, or a batch of alike pots. */
import type { Parent, School } from '../taxon';

export type Stage =
  | 'seed'
  | 'cutting'
  | 'rooted-cutting'
  | 'seedling'
  | 'juvenile'
  | 'adult'
  | 'in-bud'
  | 'in-bloom'
  | 'recovering'
  | 'just-arrived';

/** What the grower saw last; it rules over the calendar. `by-season` lets the calendar decide. */
export const GROWTH_STATES = ['by-season', 'new-leaf', 'root-tips', 'growing', 'finished', 'resting'] as const;
export type GrowthState = (typeof GROWTH_STATES)[number];

/** What is seen of a plant that shifts its needs against its taxon's. */
export const TRAITS = [
  'variegated',
  'felted',
  'silvered',
  'dark-leaved',
  'thick-leaved',
  'thin-leaved',
  'mounted',
  'juvenile-leaf',
  'mature-climbing',
  'brittle',
] as const;
export type Trait = (typeof TRAITS)[number];

/** How much leaf a plant has over the ground it covers. */
export const FOLIAGES = ['sparse', 'medium', 'dense'] as const;
export type Foliage = (typeof FOLIAGES)[number];

/** What its grower wants of it, from the least to the most. */
export const GOALS = ['alive', 'form', 'grow', 'flower'] as const;
export type Goal = (typeof GOALS)[number];

export interface Plant {
  readonly id: string;
  readonly homeId: string;
  /** Key of a taxon in the catalogue, of a group there (`group-aroids`) while it has no name, or of an own one. */
  readonly taxonId: string;
  /** Parents of a hybrid without a name of its own; with any, they stand in place of the taxon. */
  readonly parents: readonly Parent[];
  readonly traits: readonly Trait[];
  /** The grower's own name for it. */
  readonly name: string;
  readonly goal: Goal;
  readonly stage: Stage;
  /** When it was seen at that stage, YYYY-MM-DD; null is not known. */
  readonly stageSeenOn: string | null;
  readonly growthState: GrowthState;
  /** When that was seen, YYYY-MM-DD; null rules the whole year. */
  readonly stateSeenOn: string | null;
  /** The way it is taken through its rest, where that differs from the home's. */
  readonly restSchool: School | null;
  readonly potCm: number | null;
  readonly heightCm: number | null;
  readonly foliage: Foliage;
  readonly spotId: string | null;
  /** The spot it stood on before, and the day it was moved from there; null where it has not been moved. */
  readonly cameFromSpotId: string | null;
  readonly movedOn: string | null;
  /** Date it arrived, YYYY-MM-DD. */
  readonly arrivedOn: string | null;
  readonly note: string;
}
