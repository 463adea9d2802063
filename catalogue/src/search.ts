/** Finds taxa by any of their names, however roughly written. */
import type { Taxon } from '@dulvan/core';
import MiniSearch from 'minisearch';

/** Letters that growers swap in Latin names, folded to one spelling: ph/f, th/t, y/i, k/c, doubled letters. */
function folded(term: string): string {
  return term
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]/g, '')
    .replace(/ph/g, 'f')
    .replace(/[ct]h/g, (pair) => pair[0]!)
    .replace(/k/g, 'c')
    .replace(/[yj]/g, 'i')
    .replace(/ae|oe/g, 'e')
    .replace(/(.)\1+/g, '$1');
}

export interface TaxonFinder {
  /** Taxa for what was typed, best first; none for an empty text. */
  find(text: string, limit?: number): Taxon[];
}

/** Builds an index over names, synonyms and common names. */
export function taxonFinder(taxa: readonly Taxon[]): TaxonFinder {
  const byId = new Map(taxa.map((taxon) => [taxon.id, taxon]));
  const index = new MiniSearch<{ id: string; name: string; common: string; synonyms: string }>({
    fields: ['name', 'common', 'synonyms'],
    processTerm: (term) => folded(term) || null,
    searchOptions: {
      boost: { name: 2, common: 2 },
      prefix: true,
      fuzzy: (term) => (term.length > 7 ? 3 : term.length > 4 ? 2 : term.length > 2 ? 1 : 0),
      weights: { fuzzy: 0.6, prefix: 0.8 },
      maxFuzzy: 3,
    },
  });
  index.addAll(
    taxa.map(({ id, name, common, synonyms }) => ({ id, name, common: common.join(' '), synonyms: synonyms.join(' ') })),
  );
  return {
    find: (text, limit = 12) => index.search(text).slice(0, limit).map((hit) => byId.get(hit.id as string)!),
  };
}
