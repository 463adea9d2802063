/** How well a name matches what was typed: whole words, beginnings, near spellings, words run together. */
import { distance } from 'fastest-levenshtein';
import { folded } from './spelling';

/** Letters that may differ in a word of a length. */
const slack = (length: number) => (length > 8 ? 3 : length > 4 ? 2 : length > 3 ? 1 : 0);

/** One name of a taxon, its words folded, and as softly as they may be half typed. */
export interface FoldedName {
  readonly words: readonly string[];
  readonly soft: readonly string[];
  /** As it is written. */
  readonly plain: string;
  /** How much a name of its kind counts beside the others. */
  readonly worth: number;
}

/** A word that was typed, folded; how many letters may differ follows from its length before. */
export interface Typed {
  readonly word: string;
  readonly slack: number;
}

export const typedOf = (typed: string): Typed => {
  const word = folded(typed);
  return { word, slack: Math.min(slack(typed.length), Math.floor(word.length / 2)) };
};

const run = ({ word, slack: mine }: Typed, next: Typed): Typed => ({
  word: word + next.word,
  slack: Math.max(mine, next.slack, slack(word.length + next.word.length)),
});

/** Neighbouring words run together: names are written in one word or in two. */
export const pairsOf = (words: readonly string[]): string[] => words.slice(1).map((word, i) => words[i]! + word);

/** What was typed, as it stands and with two neighbours run together. */
export function waysOf(typed: readonly Typed[]): Typed[][] {
  const joined = typed.slice(1).map((word, i) => [...typed.slice(0, i), run(typed[i]!, word), ...typed.slice(i + 2)]);
  return [[...typed], ...joined];
}

/** What a name typed in one word counts beside one typed as it is written. */
const JOINED = 0.97;

export function bestMatch(
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
