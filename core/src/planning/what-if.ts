/** Questions that begin with "what if", as changes that are tried and not stored. */
import { clearedBy, drop, fallenWith, put, type Change, type FactKey, type HomeFacts, type Plant } from '../facts';

/** A home without one of its facts: what goes with it, and what pointed at it points at nothing. */
export function without(facts: HomeFacts, taken: FactKey): Change[] {
  const { gone, cleared } = fallenWith(facts, [taken]);
  return [...cleared.map(clearedBy), ...gone.map(({ list, id }) => drop(list, id))];
}

export interface MovingIn {
  readonly changes: readonly Change[];
  /** Plants of kinds that only the other home knows: they stay there. */
  readonly left: readonly Plant[];
}

/** The plants of another home come into this one, each without a spot. @param newId of each */
export function movingIn(facts: HomeFacts, other: HomeFacts, newId: () => string): MovingIn {
  const own = new Set(other.ownTaxa.map(({ id }) => id));
  const isOwn = ({ taxonId, parents }: Plant) => own.has(taxonId) || parents.some((parent) => own.has(parent.taxonId));
  const unplaced = { homeId: facts.home.id, spotId: null, cameFromSpotId: null, movedOn: null };
  return {
    changes: other.plants
      .filter((plant) => !isOwn(plant))
      .map((plant) => put('plants', { ...plant, ...unplaced, id: newId() })),
    left: other.plants.filter(isOwn),
  };
}
