/** Verdicts as a grower would say them. */
import type { Flowers, LifeClass, Nature, Verdict } from '@dulvan/core';
import type { Units } from '../state/settings';
import {
  firstSign,
  flowersSentence,
  lifeWord,
  poorYearWords,
  spanInWords,
  verdictSentence,
  whenInWords,
} from './verdict-words';

const METRIC: Units = { temperature: 'C', length: 'cm', light: 'ppfd' };
const verdict = (given: Partial<Verdict>): Verdict => ({
  score: 0.3,
  life: 'months',
  weeks: null,
  weeksInPoorYears: null,
  growth: 0,
  decidedBy: 'growth',
  harmMonths: [],
  parts: { slow: 0.3, harm: 1, form: 1, winter: 1 },
  losesForm: [],
  ...given,
});
const nature: Nature = { storesWater: false, growsCompact: false, needsWinter: false, flowers: null };

describe('spans', () => {
  it.each([
    [0.4, 'about one week'],
    [8.7, 'about 9 weeks'],
    [26, 'about 6 months'],
    [70, 'about 16 months'],
    [112, 'about 2 years'],
  ])('of %f weeks are %s', (weeks, words) => expect(spanInWords(weeks)).toBe(words));

  it('of months are listed where short, told from first to last where long', () => {
    expect(whenInWords([6])).toBe('in June');
    expect(whenInWords([3, 9, 10])).toBe('in March, September and October');
    expect(whenInWords([11, 12, 1, 2])).toBe('from November to February');
  });
});

describe('a verdict', () => {
  it.each<[Partial<Verdict>, string, string]>([
    [{ decidedBy: 'reserve', weeks: 9 }, 'Will decline within about 9 weeks', 'Lives about 9 weeks'],
    [
      { decidedBy: 'reserve', weeks: 104, life: 'years' },
      'Lives on for about 2 years, but does not grow',
      'Lives about 2 years',
    ],
    [{ life: 'slow' }, 'Lives on, grows slowly', 'Grows slowly'],
    [{ life: 'thrives', score: 0.95 }, 'Thrives', 'Thrives'],
    [{ decidedBy: 'burn', harmMonths: [6] }, 'In danger: burns in June', 'Burns'],
    [
      { decidedBy: 'burn', life: 'grows', score: 0.8, harmMonths: [6, 7] },
      'Grows, but may be paled by the sun in June and July',
      'Grows',
    ],
    [{ decidedBy: 'form' }, 'Lives on, but stretches and loses its form for good', 'Loses its form'],
    [{ decidedBy: 'winter' }, 'Weakens over two or three years without a cold winter rest', 'Lacks its winter'],
  ])('%j is “%s”', (given, sentence, word) => {
    expect(verdictSentence(verdict(given))).toBe(sentence);
    expect(lifeWord(verdict(given))).toBe(word);
  });

  it('says what poor years change, and nothing where they change nothing', () => {
    expect(poorYearWords(verdict({}))).toBeNull();
    expect(poorYearWords(verdict({ weeksInPoorYears: 150 }))).toContain('would decline within about 3 years');
    expect(poorYearWords(verdict({ weeks: 9, weeksInPoorYears: 9.2 }))).toBeNull();
  });

  it('tells what it would look like first, and nothing of a plant that grows', () => {
    const sign = (life: LifeClass, given: Partial<Nature> = {}) =>
      firstSign({ verdict: verdict({ life }) }, { ...nature, ...given });
    expect(sign('thrives')).toBeNull();
    expect(sign('months')).toContain('no new leaf');
    expect(sign('months', { growsCompact: true })).toContain('does not grow back');
    expect(firstSign({ verdict: verdict({ decidedBy: 'drying' }) }, nature)).toContain('crisp brown edges');
  });
});

describe('flowers', () => {
  it('say what would do it', () => {
    const lacks: Flowers = {
      likely: 'no',
      lacks: [{ lack: 'long-nights', gets: 10, wants: 14, weeks: 8, months: [9, 10, 11] }],
    };
    expect(flowersSentence(lacks, METRIC)).toBe(
      'Flowers: no. Its longest night there is 10.0 h; dark from 18:00 to 8:00 for 8 weeks from September to November would set buds.',
    );
    expect(flowersSentence({ likely: 'yes', lacks: [] }, METRIC)).toBe('Flowers: likely.');
  });
});
