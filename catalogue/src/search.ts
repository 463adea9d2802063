/** Finds taxa by any of their names, however roughly written. */
import MiniSearch from 'minisearch';
import abroadData from '../data/names-abroad.json';
import { bestMatch, pairsOf, typedOf, waysOf, type FoldedName } from './name-match';
import { folded, softlyFolded, wordsOf } from './spelling';

/** What is searched of a taxon, of the catalogue or of the grower's own. */
export interface Named {
  readonly id: string;
  readonly name: string;
  readonly common: readonly string[];
  readonly synonyms: readonly string[];
  readonly cultivars: readonly string[];
}

/** Common names in other languages, by taxon and language. */
export const namesAbroad: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = abroadData;

export interface TaxonFinder<T extends Named> {
  /** Taxa for what was typed, best first; none for an empty text. */
  find(text: string, limit?: number): T[];
}

const LONGEST_QUERY = 80;
/** Words of it that are looked at; the longest name has no more. */
const MOST_WORDS = 8;

/** Taxa that are looked at name by name, of all that share a word or the beginning of one with what was typed. */
const CANDIDATES = 70;

/** Accepted and common names before older and foreign ones; what "trade" calls by a wrong name comes last. */
const WORTH = { accepted: 1, common: 1, synonym: 0.97, cultivar: 0.96, abroad: 0.98, misnomer: 0.85 } as const;

const IN_TRADE = / of (?:trade|gardens|florists)$/;

/** What a name loses beside the one listed before it: better known names stand first. */
const LATER = 0.002;

const genusOf = (name: string) => name.replace('× ', '').split(' ')[0]!;

function namesOf(taxon: Named): { readonly text: string; readonly worth: number }[] {
  const genus = genusOf(taxon.name);
  const plain = (worth: number) => (text: string, place: number) => ({
    text: text.replace(IN_TRADE, ''),
    worth: IN_TRADE.test(text) ? WORTH.misnomer : worth - LATER * place,
  });
  return [
    { text: taxon.name, worth: WORTH.accepted },
    { text: genus, worth: WORTH.accepted },
    ...taxon.common.map(plain(WORTH.common)),
    ...taxon.synonyms.map(plain(WORTH.synonym)),
    ...taxon.cultivars.flatMap((cultivar) =>
      [`${genus} ${cultivar}`, cultivar].map((text) => ({ text, worth: WORTH.cultivar })),
    ),
    ...Object.values(namesAbroad[taxon.id] ?? {}).flatMap((list) => list.map(plain(WORTH.abroad))),
  ];
}

interface Indexed<T> {
  readonly index: MiniSearch<{ id: string; words: string }>;
  /** The taxa by id, in their order, with their names folded. */
  readonly places: ReadonlyMap<
    string,
    { readonly taxon: T; readonly place: number; readonly names: readonly FoldedName[] }
  >;
  /** How much a word tells: rare ones most. */
  readonly weigh: (word: string) => number;
}

function indexed<T extends Named>(taxa: readonly T[]): Indexed<T> {
  const fold = remembered(folded);
  const foldSoftly = remembered(softlyFolded);
  const foldedNames = (taxon: Named): FoldedName[] =>
    namesOf(taxon).map(({ text, worth }) => {
      const words = wordsOf(text);
      return { words: words.map(fold), soft: words.map(foldSoftly), plain: text.toLowerCase(), worth };
    });
  const places = new Map(taxa.map((taxon, place) => [taxon.id, { taxon, place, names: foldedNames(taxon) }]));
  const bearers = new Map<string, number>();
  const index = new MiniSearch<{ id: string; words: string }>({
    fields: ['words'],
    // Words are folded and joined before they come here.
    tokenize: (text) => text.split(' '),
    processTerm: (term) => term,
    searchOptions: { prefix: (term) => term.length > 1, weights: { fuzzy: 0.6, prefix: 0.8 }, maxFuzzy: 3 },
  });
  for (const [id, { names }] of places) {
    const own = new Set(names.flatMap(({ words }) => words));
    for (const word of own) bearers.set(word, (bearers.get(word) ?? 0) + 1);
    const joined = names.flatMap(({ words }) => [...pairsOf(words), words.join('')]);
    index.add({ id, words: [...new Set([...own, ...joined, ...names.flatMap(({ soft }) => soft)])].join(' ') });
  }
  return { index, places, weigh: (word) => Math.log(1 + taxa.length / (bearers.get(word) ?? 0.5)) };
}

/** Finds by accepted, common, older and foreign names and cultivars; the index is built when it is first asked. */
export function taxonFinder<T extends Named>(taxa: readonly T[]): TaxonFinder<T> {
  let built: Indexed<T> | null = null;
  return {
    find(text, limit = 12) {
      const raw = wordsOf(text.slice(0, LONGEST_QUERY)).slice(0, MOST_WORDS);
      const typed = raw.map(typedOf).filter(({ word }) => word.length > 0);
      if (typed.length === 0) return [];
      const { index, places, weigh } = (built ??= indexed(taxa));
      const soft = softlyFolded(raw[raw.length - 1]!);
      const plain = text.trim().toLowerCase();
      const ways = waysOf(typed);
      const slacks = new Map([{ word: soft, slack: 0 }, ...ways.flat()].map((one) => [one.word, one.slack]));
      return index
        .search([...slacks.keys()].join(' '), { fuzzy: (term) => slacks.get(term) ?? 0 })
        .slice(0, CANDIDATES)
        .map(({ id }) => places.get(id as string)!)
        .map(({ taxon, place, names }) => {
          const asWritten = names.some((name) => name.plain.startsWith(plain)) ? AS_WRITTEN : 0;
          return { taxon, score: bestMatch(names, ways, soft, weigh) + asWritten - place * TIE };
        })
        .sort((p, q) => q.score - p.score)
        .filter(({ score }, _, [best]) => score >= LEAST_OF_BEST * best!.score)
        .slice(0, limit)
        .map(({ taxon }) => taxon);
    },
  };
}

/** Names share most of their words: each is folded once. */
function remembered(fold: (word: string) => string): (word: string) => string {
  const known = new Map<string, string>();
  return (word) => {
    let value = known.get(word);
    if (value === undefined) known.set(word, (value = fold(word)));
    return value;
  };
}

/** What a name gains that begins, letter by letter, as was typed. */
const AS_WRITTEN = 0.005;

/** What matches less well than this share of the best is not shown. */
const LEAST_OF_BEST = 0.7;

/** Where names match alike, the one listed first in its group is better known. */
const TIE = 1e-6;
