/** Keys that a change names and nobody knows: glazings, curtains, climates and taxa that the catalogue does not hold. */
import type { EntryChange, HomeFacts, HungCurtain, Problem } from '../facts';
import type { Parent } from '../taxon';
import { knownTaxon } from './known';
import type { Knowledge } from './knowledge';

/** What is wrong with the keys in the fields that a change sets; fields it leaves alone are not looked at. */
export function unknownIn(facts: HomeFacts, effect: readonly EntryChange[], knowledge: Knowledge): Problem[] {
  return effect.flatMap((change) => {
    const { list, id, before, after } = change;
    if (!after) return [];
    const at = (field: string, what: string): Problem[] => [
      { list, id, field, message: `There is no such ${what}. Choose one from the list.` },
    ];
    const isTaxon = (key: unknown) => knownTaxon(facts, String(key), knowledge) !== null;
    switch (list) {
      case 'home':
        return 'climateId' in after && !knowledge.climate(String(after.climateId)) ? at('climateId', 'climate') : [];
      case 'windows':
        return [
          ...('glazingId' in after && !knowledge.glazing(String(after.glazingId)) ? at('glazingId', 'pane') : []),
          ...(curtainsOf(after).every(({ curtainId }) => knowledge.curtain(curtainId))
            ? []
            : at('curtains', 'curtain')),
        ];
      case 'plants':
        return [
          ...('taxonId' in after && !isTaxon(after.taxonId) ? at('taxonId', 'taxon') : []),
          ...(parentsOf(after).every(({ taxonId }) => isTaxon(taxonId)) ? [] : at('parents', 'taxon')),
        ];
      case 'ownTaxa':
        return 'basedOn' in after && !knowledge.taxon(String(after.basedOn)) ? at('basedOn', 'taxon') : [];
      case 'corrections':
        return after.taxonId != null && !isTaxon(after.taxonId) ? at('taxonId', 'taxon') : [];
      case 'readings':
      case 'outcomes':
        // It outlives its spot, but it was taken at one.
        return before === null && !facts.spots.some((spot) => spot.id === after.spotId) ? at('spotId', 'spot') : [];
      default:
        return [];
    }
  });
}

const curtainsOf = (fields: Readonly<Record<string, unknown>>) => (fields.curtains ?? []) as readonly HungCurtain[];
const parentsOf = (fields: Readonly<Record<string, unknown>>) => (fields.parents ?? []) as readonly Parent[];
