/** Questions that begin with "what if", as changes that are tried and not stored. */
import { drop, fallenWith, patch, put, type Change, type FactKey, type HomeFacts, type Plant } from '@dulvan/core';
import { newId } from '../../parts/new-id';

/** What is taken out with a fact, and what pointed at it. */
export function without(facts: HomeFacts, taken: FactKey): Change[] {
  const { gone, cleared } = fallenWith(facts, [taken]);
  return [
    ...cleared.map(({ list, id, field }) => patch(list, id, { [field]: null })),
    ...gone.map(({ list, id }) => drop(list, id)),
  ];
}

/** Plants of another home, each without a spot here; those of its own kinds stay, since this home does not know them. */
export function movingIn(facts: HomeFacts, other: HomeFacts): { readonly changes: Change[]; readonly left: Plant[] } {
  const own = new Set(other.ownTaxa.map(({ id }) => id));
  const isOwn = ({ taxonId, parents }: Plant) => own.has(taxonId) || parents.some((parent) => own.has(parent.taxonId));
  const comes = other.plants.filter((plant) => !isOwn(plant));
  return {
    changes: comes.map((plant) =>
      put('plants', {
        ...plant,
        id: newId(),
        homeId: facts.home.id,
        spotId: null,
        cameFromSpotId: null,
        movedOn: null,
      }),
    ),
    left: other.plants.filter(isOwn),
  };
}
