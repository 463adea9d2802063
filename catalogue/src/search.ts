/** Finds taxa by any of their names, however roughly written. */
import { distance } from 'fastest-levenshtein';
import MiniSearch from 'minisearch';
import abroadData from '../data/names-abroad.json';
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

/** Letters that may differ in a word of a length. */
const slack = (length: number) => (length > 8 ? 3 : length > 4 ? 2 : length > 3 ? 1 : 0);

/** One name of a taxon, its words folded, and as softly as they may be half typed. */
interface FoldedName {
  readonly words: readonly string[];
  readonly soft: readonly string[];
  /** As it is written. */
  readonly plain: string;
  /** How much a name of its kind counts beside the others. */
  readonly worth: number;
}

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

/** A word that was typed, folded; how many letters may differ follows from its length before. */
interface Typed {
  readonly word: string;
  readonly slack: number;
}

const typedOf = (typed: string): Typed => {
  const word = folded(typed);
  return { word, slack: Math.min(slack(typed.length), Math.floor(word.length / 2)) };
};

const run = ({ word, slack: mine }: Typed, next: Typed): Typed => ({
  word: word + next.word,
  slack: Math.max(mine, next.slack, slack(word.length + next.word.length)),
});

/** Builds an index over accepted, common, older and foreign names and cultivars. */
export function taxonFinder<T extends Named>(taxa: readonly T[]): TaxonFinder<T> {
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
  const weigh = (word: string) => Math.log(1 + taxa.length / (bearers.get(word) ?? 0.5));
  return {
    find(text, limit = 12) {
      const raw = wordsOf(text.slice(0, LONGEST_QUERY)).slice(0, MOST_WORDS);
      const typed = raw.map(typedOf).filter(({ word }) => word.length > 0);
      if (typed.length === 0) return [];
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

const foldedNames = (taxon: Named): FoldedName[] =>
  namesOf(taxon).map(({ text, worth }) => {
    const words = wordsOf(text);
    return { words: words.map(folded), soft: words.map(softlyFolded), plain: text.toLowerCase(), worth };
  });

/** What a name gains that begins, letter by letter, as was typed. */
const AS_WRITTEN = 0.005;

/** What matches less well than this share of the best is not shown. */
const LEAST_OF_BEST = 0.7;

/** Where names match alike, the one listed first in its group is better known. */
const TIE = 1e-6;

/** Neighbouring words run together: names are written in one word or in two. */
const pairsOf = (words: readonly string[]): string[] => words.slice(1).map((word, i) => words[i]! + word);

/** What was typed, as it stands and with two neighbours run together. */
function waysOf(typed: readonly Typed[]): Typed[][] {
  const joined = typed.slice(1).map((word, i) => [...typed.slice(0, i), run(typed[i]!, word), ...typed.slice(i + 2)]);
  return [[...typed], ...joined];
}

/** What a name typed in one word counts beside one typed as it is written. */
const JOINED = 0.97;

function bestMatch(
  names: readonly FoldedName[],
  ways: readonly (readonly Typed[])[],
  soft: string,
  weigh: (word: string) => number,
): number {
  const [asTyped] = ways;
  const lone = asTyped!.length === 1;
  let best = 0;
  for (const { words, soft: softWords, worth } of names) {
    if (worth <= best) continue;
    for (const way of ways) best = Math.max(best, worth * nameMatch(words, way, weigh));
    if (!lone) continue;
    if (words.length > 1) best = Math.max(best, worth * JOINED * nameMatch([words.join('')], asTyped!, weigh));
    // The first half of an ae or oe.
    if (softWords.some((word) => word.startsWith(soft)))
      best = Math.max(best, worth * nameMatch(softWords, [{ word: soft, slack: 0 }], weigh));
  }
  return best;
}

/** Share of a full match that hangs on the name having no more words than were typed, and on them standing first. */
const BREVITY = 0.2;
const PLACE = 0.01;

/** How well a name matches what was typed, 0..1: rare words count for more than "plant" and "tree". */
function nameMatch(name: readonly string[], typed: readonly Typed[], weigh: (word: string) => number): number {
  let found = 0;
  let asked = 0;
  const taken = new Set<number>();
  typed.forEach((word, i) => {
    const place = i < typed.length - 1 ? 'whole' : typed.length === 1 ? 'lone' : 'last';
    let best = 0;
    let at = -1;
    name.forEach((candidate, k) => {
      const match = taken.has(k) ? 0 : wordMatch(word, candidate, place);
      if (match > best) [best, at] = [match, k];
    });
    const weight = weigh(at >= 0 ? name[at]! : word.word);
    asked += weight;
    found += weight * best;
    if (at >= 0) taken.add(at);
  });
  if (taken.size === 0) return 0;
  const whole = name.reduce((sum, word) => sum + weigh(word), 0);
  const covered = name.reduce((sum, word, k) => sum + (taken.has(k) ? weigh(word) : 0), 0);
  const late = PLACE * Math.min(...taken);
  return (found / asked) * (1 - BREVITY - late + (BREVITY * covered) / whole);
}

/** What a beginning counts beside a whole word, a near spelling at its best, and a beginning with a slip in it. */
const BEGINNING = 0.92;
const NEAR = 0.9;
const NEAR_BEGINNING = 0.75;

/** @param place the last word may still be being typed; alone, its first letter says nothing */
function wordMatch({ word: typed, slack: most }: Typed, word: string, place: 'whole' | 'last' | 'lone'): number {
  if (typed === word) return 1;
  const last = place !== 'whole';
  if (last && (typed.length > 1 || place === 'last') && word.startsWith(typed)) return BEGINNING;
  if (most === 0) return 0;
  if (Math.abs(typed.length - word.length) <= most) {
    const apart = distance(typed, word);
    if (apart <= most) return NEAR * (1 - apart / (Math.min(typed.length, word.length) + 1));
  }
  if (last && typed.length > 4 && word.length > typed.length) {
    const apart = distance(typed, word.slice(0, typed.length));
    if (apart < most) return NEAR_BEGINNING * (1 - apart / (typed.length + 1));
  }
  return 0;
}
