/** Finds taxa by any of their names, however roughly written. */
import MiniSearch from 'minisearch';

/** What is searched of a taxon, of the catalogue or of the grower's own. */
export interface Named {
  readonly id: string;
  readonly name: string;
  readonly common: readonly string[];
  readonly synonyms: readonly string[];
  readonly cultivars: readonly string[];
}

/** Letters that growers and languages swap in Latin names, folded to one spelling: ph/f, th/t, y/i, k/c, x/ks, doubled letters. */
function folded(term: string): string {
  return term
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]/g, '')
    .replace(/ph/g, 'f')
    .replace(/([ctr])h/g, '$1')
    .replace(/qu|kw/g, 'c')
    .replace(/x/g, 'cs')
    .replace(/k/g, 'c')
    .replace(/z/g, 's')
    .replace(/[yj]/g, 'i')
    .replace(/ae|oe/g, 'e')
    .replace(/(.)\1+/g, '$1');
}

/** Words of a name with an apostrophe inside stay one: growers leave it out. */
const wordsOf = (text: string) => text.replace(/['’]/g, '').split(/[\s\-×.()]+/);

/** Names written in one word are found too. */
const joined = (name: string) => {
  const words = wordsOf(name);
  return words.length > 1 && words.length < 4 ? [words.join('')] : [];
};

export interface TaxonFinder<T extends Named> {
  /** Taxa for what was typed, best first; none for an empty text. */
  find(text: string, limit?: number): T[];
}

const LONGEST_QUERY = 80;

/** Letters that may differ in a word of a length. */
const slack = (length: number) => (length > 8 ? 3 : length > 4 ? 2 : length > 2 ? 1 : 0);

/** Builds an index over names, synonyms, common names and cultivars. */
export function taxonFinder<T extends Named>(taxa: readonly T[]): TaxonFinder<T> {
  const byId = new Map(taxa.map((taxon) => [taxon.id, taxon]));
  const index = new MiniSearch<{
    id: string;
    name: string;
    common: string;
    synonyms: string;
    cultivars: string;
    joined: string;
  }>({
    fields: ['name', 'common', 'synonyms', 'cultivars', 'joined'],
    tokenize: wordsOf,
    processTerm: (term) => folded(term) || null,
    searchOptions: {
      boost: { name: 2, common: 2, synonyms: 1.6, joined: 0.8 },
      prefix: (term) => term.length > 1,
      fuzzy: (term) => slack(term.length),
      weights: { fuzzy: 0.6, prefix: 0.8 },
      maxFuzzy: 3,
    },
  });
  index.addAll(
    taxa.map(({ id, name, common, synonyms, cultivars }) => ({
      id,
      name,
      common: common.join(' '),
      synonyms: synonyms.join(' '),
      cultivars: cultivars.join(' '),
      joined: [name, ...common, ...synonyms].flatMap(joined).join(' '),
    })),
  );
  return {
    find(text, limit = 12) {
      const hits = index.search(text.slice(0, LONGEST_QUERY));
      return hits.slice(0, limit).map((hit) => byId.get(hit.id as string)!);
    },
  };
}
