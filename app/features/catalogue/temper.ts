/** What a taxon forgives and what it does not, in words, from its figures alone. */
import { storesWater, type Taxon } from '@dulvan/core';

interface Judgement {
  readonly holds: (taxon: Taxon) => boolean;
  readonly words: string;
}

const FORGIVEN: readonly Judgement[] = [
  { holds: storesWater, words: 'weeks without water' },
  { holds: (taxon) => !storesWater(taxon) && taxon.care.waterAtShare <= 0.3, words: 'a forgotten watering' },
  { holds: ({ light }) => light.survives <= 1.2, words: 'a dim corner for some months' },
  { holds: ({ light }) => light.sunHoursUsed >= 4, words: 'hours of direct sun, once it is used to them' },
  { holds: ({ warmth }) => warmth.lowest <= 4, words: 'a cold night' },
  { holds: ({ warmth }) => warmth.highest >= 36, words: 'heat' },
  {
    holds: ({ moisture }) => moisture.survives <= 30 && moisture.thrivesFrom <= 45,
    words: 'the dry air of a heated room',
  },
  { holds: ({ water }) => water.mostDissolvedPpm >= 400, words: 'hard tap water' },
];

const NOT_FORGIVEN: readonly Judgement[] = [
  { holds: ({ care }) => care.waterAtShare >= 0.5, words: 'a pot that dries out' },
  { holds: (taxon) => storesWater(taxon), words: 'a pot that stays wet' },
  { holds: ({ light }) => light.sunHoursUsed <= 0.5, words: 'midday sun' },
  { holds: ({ light }) => light.survives >= 6, words: 'a dim place' },
  { holds: ({ warmth }) => warmth.lowest >= 13, words: 'cold below 13 °C' },
  { holds: ({ warmth }) => warmth.highest <= 29, words: 'heat' },
  { holds: ({ moisture }) => moisture.survives >= 45, words: 'the dry air of a heated room' },
  { holds: ({ moisture }) => moisture.tooMoistStill <= 75, words: 'moist air that stands still' },
  { holds: ({ water }) => water.wetLeaves === 'never', words: 'water on its leaves' },
  { holds: ({ water }) => water.mostDissolvedPpm <= 120, words: 'hard or salty water' },
  { holds: ({ water }) => water.minds.includes('fluoride'), words: 'fluoride in its water' },
  { holds: ({ rest }) => rest.isObligate, words: 'a year without its rest' },
  { holds: ({ rest }) => rest.needsWinter, words: 'winters without cold' },
  { holds: ({ handling }) => handling.manners.includes('brittle'), words: 'being knocked: it breaks' },
];

const wordsOf = (judgements: readonly Judgement[], taxon: Taxon) =>
  judgements.filter(({ holds }) => holds(taxon)).map(({ words }) => words);

export const forgives = (taxon: Taxon): string[] => wordsOf(FORGIVEN, taxon);
export const doesNotForgive = (taxon: Taxon): string[] => wordsOf(NOT_FORGIVEN, taxon);
