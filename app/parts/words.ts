/** Numbers and verdicts in plain words, in the grower's units. */
import { monthName } from '../ui/months';
import {
  LUX_PER_PPFD,
  celsiusToFahrenheit,
  knownPlant,
  type Aspect,
  type Certainty,
  type Factor,
  type FactorFit,
  type Goal,
  type GrowthState,
  type HomeFacts,
  type Plant,
  type Stage,
  type Trouble,
} from '@dulvan/core';
import { knowledge } from '@dulvan/catalogue';
import type { Units } from '../state/settings';

export const FACTOR_WORD: Record<Factor, string> = {
  light: 'Light',
  'day-length': 'Day length',
  warmth: 'Warmth',
  moisture: 'Moisture',
  air: 'Air movement',
};

export const STAGE_WORD: Record<Stage, string> = {
  seed: 'Seed',
  cutting: 'Cutting without roots',
  'rooted-cutting': 'Rooted cutting',
  seedling: 'Seedling',
  juvenile: 'Juvenile',
  adult: 'Grown',
  'in-bud': 'In bud',
  'in-bloom': 'In bloom',
  recovering: 'Recovering',
  'just-arrived': 'Just arrived',
};

export const SURE_WORD: Record<Certainty, string> = {
  trial: 'from trials',
  practice: 'growers’ practice',
  inferred: 'inferred',
};

export const GROWTH_WORD: Record<GrowthState, string> = {
  'by-season': 'Nothing special: go by the season',
  'new-leaf': 'A new leaf',
  'root-tips': 'Growing root tips',
  growing: 'It is still growing',
  finished: 'Its growth is finished',
  resting: 'It is at rest',
};

export const GOAL_WORD: Record<Goal, string> = {
  alive: 'That it lives',
  form: 'That it keeps its form',
  grow: 'That it grows well',
  flower: 'That it flowers',
};

/** A DLI with honest digits: 0.34, 6.4, 18. */
export function mol(dli: number): string {
  return dli < 1 ? dli.toFixed(2) : dli < 10 ? dli.toFixed(1) : Math.round(dli).toString();
}

/**
 * What a day's sum of light is called; the edges lie between what plants of shade, of half shade and of sun thrive at.
 */
const LIGHT_WORDS = [
  [0.5, 'very dim'],
  [2, 'dim'],
  [6, 'medium'],
  [14, 'bright'],
] as const;

/** The words of light with their edges, as a key tells them: "below 0.5 very dim, to 2 dim". */
export const LIGHT_WORDS_TOLD = LIGHT_WORDS.map(
  ([below, word], i) => `${i === 0 ? 'below' : 'to'} ${below} ${word}`,
).join(', ');

/** A DLI in a word: dim, medium, bright. */
export const lightWord = (dli: number): string => LIGHT_WORDS.find(([below]) => dli < below)?.[1] ?? 'very bright';

/** "no windows", "1 window", "3 windows". */
export const count = (number: number, thing: string) =>
  `${number === 0 ? 'no' : number} ${thing}${number === 1 ? '' : 's'}`;

export const hours = (value: number) => `${value.toFixed(1)} h`;

export function degrees(celsius: number, units: Units): string {
  return units.temperature === 'F'
    ? `${Math.round(celsiusToFahrenheit(celsius))} °F`
    : `${Number(celsius.toFixed(1))} °C`;
}

export const CM_PER_INCH = 2.54;

export function length(metres: number, units: Units): string {
  if (units.length === 'in') return `${Number(((metres * 100) / CM_PER_INCH).toFixed(1))} in`;
  return metres < 1 ? `${Math.round(metres * 100)} cm` : `${Number(metres.toFixed(2))} m`;
}

/** A light at an instant, in PPFD or as a lux meter would show it in daylight. */
export function brightness(ppfd: number, units: Units): string {
  if (units.light === 'lux') return `${Math.round((ppfd * LUX_PER_PPFD.daylight) / 100) * 100} lux`;
  return `${Math.round(ppfd)} µmol/m²s`;
}

const MOVEMENT_WORDS = ['still', 'gentle', 'moving', 'strong'] as const;
const STRONGEST = MOVEMENT_WORDS.length - 1;

/** A difference of warmth. */
export const kelvins = (value: number, { temperature }: Units): string =>
  temperature === 'F' ? `${(value * FAHRENHEIT_PER_KELVIN).toFixed(1)} °F` : `${value.toFixed(1)} °C`;
const FAHRENHEIT_PER_KELVIN = 1.8;

/** One value of a factor, with its unit. */
export function valueOf(aspect: Aspect, value: number, units: Units): string {
  switch (aspect) {
    case 'dli':
      return `${mol(value)} mol`;
    case 'peak':
      return brightness(value, units);
    case 'day-length':
      return hours(value);
    case 'day':
    case 'night':
    case 'cold-night':
    case 'hot-day':
      return degrees(value, units);
    case 'swing':
    case 'night-drop':
      return kelvins(value, units);
    case 'dryness':
      return `${value.toFixed(1)} kPa`;
    case 'humidity':
      return `${Math.round(value)} %`;
    case 'movement':
      return MOVEMENT_WORDS[Math.round(value)]!;
  }
}

/** What a spot gives of a factor: "8 °C for about 5 h". */
export function getsWords({ aspect, gets, hoursBeyond }: FactorFit, units: Units): string {
  const lasts = hoursBeyond ? ` for about ${Math.round(hoursBeyond)} h` : '';
  return `${valueOf(aspect, gets, units)}${lasts}`;
}

/** The wanted band in words: "5 to 9 mol", "up to 300", "at least 12 h". */
export function bandOf(
  { aspect, wantsFrom, wantsTo }: Pick<FactorFit, 'aspect' | 'wantsFrom' | 'wantsTo'>,
  units: Units,
): string {
  const value = (figure: number) => valueOf(aspect, figure, units);
  if (aspect === 'peak' || aspect === 'dryness' || aspect === 'humidity' || aspect === 'swing')
    return `up to ${value(wantsTo)}`;
  if (aspect === 'cold-night') return `down to ${value(wantsFrom)}`;
  if (aspect === 'hot-day') return `up to ${value(wantsTo)}`;
  if (aspect === 'night-drop') return `at least ${value(wantsFrom)}`;
  if (aspect === 'movement') {
    if (wantsFrom === wantsTo) return value(wantsFrom);
    return wantsTo < STRONGEST ? `${value(wantsFrom)} to ${value(wantsTo)}` : `at least ${value(wantsFrom)}`;
  }
  if (aspect === 'dli') return `${mol(wantsFrom)} to ${mol(wantsTo)} mol`;
  return `${value(wantsFrom).replace(/ \S+$/, '')} to ${value(wantsTo)}`;
}

/** Months in words: "from November to January", "in June", "all year". */
export function monthsInWords(months: readonly number[]): string {
  if (months.length === 12) return 'all year';
  if (months.length === 1) return `in ${monthName(months[0]!)}`;
  if (months.length === 2) return `in ${monthName(months[0]!)} and ${monthName(months[1]!)}`;
  return `from ${monthName(months[0]!)} to ${monthName(months[months.length - 1]!)}`;
}

const TROUBLE_WORD: Record<Aspect, readonly [tooLittle: string, tooMuch: string]> = {
  dli: ['Too dim', 'Too bright'],
  peak: ['Too weak at noon', 'Too strong on clear days'],
  'day-length': ['Day too short', 'Day too long'],
  day: ['Days too cold', 'Days too warm'],
  night: ['Nights too cold', 'Nights too warm'],
  'cold-night': ['Cold nights harm it', 'Nights too warm'],
  'hot-day': ['Days too cold', 'Hot afternoons harm it'],
  swing: ['Warmth too steady', 'Warmth swings too far in a day'],
  'night-drop': ['Nights hardly cooler than days', 'Nights much cooler than days'],
  dryness: ['Air too moist', 'Air too dry'],
  humidity: ['Nights too dry', 'Nights too damp'],
  movement: ['Air too still', 'Too draughty'],
};

/** What is wrong, in a few words: "Too dim". */
export function troubleName({ aspect, direction }: Pick<FactorFit, 'aspect' | 'direction'>): string {
  if (direction === 'right') return 'Right';
  return TROUBLE_WORD[aspect][direction === 'too-little' ? 0 : 1];
}

/** Of these a plant wants none: it tolerates so much. */
const TOLERATED: ReadonlySet<Aspect> = new Set(['peak', 'cold-night', 'hot-day', 'swing', 'dryness', 'humidity']);

/** "Too dim from November to January: gets 2.1, wants 5.0 to 9.0 mol a day". */
export function troubleSentence(trouble: Trouble, units: Units): string {
  const { worst } = trouble;
  const band = bandOf(worst, units);
  const perDay = worst.aspect === 'dli' ? ' a day' : '';
  const wants = TOLERATED.has(worst.aspect) ? `tolerates ${band}` : `wants ${band}`;
  const depends = worst.depends === 'on-the-year' ? ' (depends on the year’s cloud)' : '';
  const at = trouble.months.length > 1 ? ` in ${monthName(trouble.worstMonth)}` : '';
  const found = `gets ${getsWords(worst, units)}${at}`;
  return `${troubleName(worst)} ${monthsInWords(trouble.months)}: ${found}, ${wants}${perDay}${depends}`;
}

/** A taxon's first common name, as a title. */
export function commonName(taxon: { readonly common: readonly string[] }): string {
  const [first = ''] = taxon.common;
  return first.charAt(0).toUpperCase() + first.slice(1);
}

/** The grower's own name for a plant, else its common one. */
export function plantName(facts: HomeFacts, plant: Plant): string {
  if (plant.name.trim()) return plant.name;
  const taxon = knownPlant(facts, plant, knowledge)?.taxon;
  return taxon ? commonName(taxon) : 'Plant of unknown name';
}

export const latinName = (facts: HomeFacts, plant: Plant) =>
  knownPlant(facts, plant, knowledge)?.taxon.name ?? 'Name not known';

/** Where a spot is: "Sill, left · Loft room". */
export function spotPlace(facts: HomeFacts, spotId: string | null): string {
  const spot = facts.spots.find((candidate) => candidate.id === spotId);
  const tier = spot && facts.tiers.find((candidate) => candidate.id === spot.tierId);
  const stand = tier && facts.stands.find((candidate) => candidate.id === tier.standId);
  const room = stand && facts.rooms.find((candidate) => candidate.id === stand.roomId);
  return spot && room ? `${spot.name} · ${room.name}` : 'No place yet';
}

/** A fit of 0..1 as a share of a hundred, held together by a space that does not break. */
export const fitShare = (whole: number) => `${Math.round(whole * 100)}\u00a0%`;

/** Where a home's weather comes from, as it is named on every screen that rests on it. */
export function weatherName({ weathers, home }: HomeFacts): string {
  const [file] = weathers;
  return file
    ? `file of ${file.name} (${file.years})`
    : (knowledge.climate(home.climateId)?.name.toLowerCase() ?? 'not chosen, a middling one assumed');
}

const DAY_MS = 86_400_000;

/** How long ago an instant was, in days. */
export function ageOf(atMs: number): string {
  const days = Math.floor((Date.now() - atMs) / DAY_MS);
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
}
