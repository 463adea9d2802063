import type { FactorFit, Trouble } from '@dulvan/core';
import { smallHome } from '../../core/src/home/small-home.fixture';
import type { Units } from '../state/settings';
import {
  LIGHT_WORDS_TOLD,
  bandOf,
  brightness,
  count,
  degrees,
  length,
  lightWord,
  mol,
  monthsInWords,
  plantName,
  troubleSentence,
} from './words';

const plant = smallHome.plants[0]!;
const METRIC: Units = { temperature: 'C', length: 'cm', light: 'ppfd' };
const OTHER: Units = { temperature: 'F', length: 'in', light: 'lux' };

const dim: FactorFit = {
  factor: 'light',
  aspect: 'dli',
  score: 0.2,
  direction: 'too-little',
  severity: 'danger',
  gets: 2.134,
  wantsFrom: 5,
  wantsTo: 9,
  distance: -2.866,
  hoursBeyond: null,
  depends: 'no',
};
const trouble: Trouble = {
  factor: 'light',
  aspect: 'dli',
  direction: 'too-little',
  severity: 'danger',
  months: [11, 12, 1],
  worst: dim,
  worstMonth: 12,
  weeks: 9,
};

describe('verdicts in plain words', () => {
  it('say what, when, how much and how much is wanted', () => {
    expect(troubleSentence(trouble, METRIC)).toBe(
      'Too dim from November to January: gets 2.1 mol in December, wants 5.0 to 9.0 mol a day',
    );
  });

  it('say when they depend on the year', () => {
    const cold = { ...dim, factor: 'warmth', aspect: 'cold-night', gets: 8, hoursBeyond: 4.7, wantsFrom: 10 } as const;
    expect(troubleSentence({ ...trouble, worst: cold }, METRIC)).toContain('gets 8 °C for about 5 h in');
    expect(troubleSentence({ ...trouble, worst: { ...dim, depends: 'on-the-year' } }, METRIC)).toContain(
      'depends on the year’s cloud',
    );
  });

  it('name months as people do', () => {
    expect(monthsInWords([6])).toBe('in June');
    expect(monthsInWords([6, 7])).toBe('in June and July');
    expect(monthsInWords([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])).toBe('all year');
  });
});

describe('numbers with honest digits and units', () => {
  it('give a DLI two or three digits', () => {
    expect([0.3421, 6.4137, 18.62].map(mol)).toEqual(['0.34', '6.4', '19']);
  });

  it('speak the grower’s units', () => {
    expect([degrees(20, METRIC), degrees(20, OTHER)]).toEqual(['20 °C', '68 °F']);
    expect([length(0.3, METRIC), length(2.54, OTHER)]).toEqual(['30 cm', '100 in']);
    expect([brightness(300, METRIC), brightness(300, OTHER)]).toEqual(['300 µmol/m²s', '16700 lux']);
  });

  it('put a band as it is meant', () => {
    expect(bandOf({ aspect: 'peak', wantsFrom: 0, wantsTo: 300 }, METRIC)).toBe('up to 300 µmol/m²s');
    expect(bandOf({ aspect: 'dryness', wantsFrom: 0, wantsTo: 1.2 }, METRIC)).toBe('up to 1.2 kPa');
    expect(bandOf({ aspect: 'humidity', wantsFrom: 0, wantsTo: 85 }, METRIC)).toBe('up to 85 %');
    expect(bandOf({ aspect: 'cold-night', wantsFrom: 10, wantsTo: 34 }, METRIC)).toBe('down to 10 °C');
    expect(bandOf({ aspect: 'hot-day', wantsFrom: 10, wantsTo: 34 }, METRIC)).toBe('up to 34 °C');
    expect(bandOf({ aspect: 'day', wantsFrom: 19, wantsTo: 27 }, OTHER)).toBe('66 to 81 °F');
  });

  it('call a plant by its own name, then its common one', () => {
    expect(plantName(smallHome, { ...plant, name: 'Old jade', taxonId: 'crassula-ovata' })).toBe('Old jade');
    expect(plantName(smallHome, { ...plant, name: ' ', taxonId: 'crassula-ovata' })).toBe('Jade plant');
    expect(plantName(smallHome, { ...plant, name: '', taxonId: 'unknown' })).toBe('Plant of unknown name');
  });
});

describe('light in a word', () => {
  it('changes at the edges that its key tells of, the edge being the brighter one’s', () => {
    const edges = LIGHT_WORDS_TOLD.split(', ').map((told) => /^(?:below|to) ([\d.]+) (.*)$/.exec(told)!.slice(1));
    expect(edges.length).toBeGreaterThan(3);
    for (const [i, [edge, word]] of edges.entries()) {
      expect(lightWord(Number(edge) - 0.001)).toBe(word);
      expect(lightWord(Number(edge))).toBe(edges[i + 1]?.[1] ?? 'very bright');
    }
  });
});

describe('a number of things', () => {
  it('agrees with them, none included', () => {
    expect([0, 1, 2].map((number) => count(number, 'window'))).toEqual(['no windows', '1 window', '2 windows']);
  });
});
