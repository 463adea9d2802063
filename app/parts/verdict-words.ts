/**
 * A verdict as a grower would say it: how long it lives, whether it grows and flowers, what it would look like first.
 */
import {
  IN_DANGER,
  WEEKS_A_MONTH,
  type Decisive,
  type Flowers,
  type LackForFlowers,
  type LifeClass,
  type Nature,
  type Verdict,
  type YearFit,
} from '@dulvan/core';
import type { Units } from '../state/settings';
import { monthName } from '../ui/months';
import { runsOf } from './season-words';
import { degrees, monthsInWords } from './words';

const WEEKS_A_YEAR = 52.18;
/** Spans are told in weeks up to here, and in months up to there. */
const IN_WEEKS_UP_TO = 10;
const IN_MONTHS_UP_TO = 78;

/** "about 3 weeks", "about 7 months", "about 2 years". */
export function spanInWords(weeks: number): string {
  const [thing, length] =
    weeks < IN_WEEKS_UP_TO
      ? ['week', 1]
      : weeks < IN_MONTHS_UP_TO
        ? ['month', WEEKS_A_MONTH]
        : (['year', WEEKS_A_YEAR] as const);
  const number = Math.max(1, Math.round(weeks / Number(length)));
  return `about ${number === 1 ? `one ${thing}` : `${number} ${thing}s`}`;
}

type Harm = Exclude<Decisive, 'reserve' | 'growth' | 'form' | 'winter'>;
const isHarm = (decidedBy: Decisive): decidedBy is Harm =>
  decidedBy !== 'reserve' && decidedBy !== 'growth' && decidedBy !== 'form' && decidedBy !== 'winter';

/** What a harm does where it endangers, and where it merely marks. */
const HARM_WORDS: Readonly<Record<Harm, readonly [danger: string, mark: string]>> = {
  burn: ['burns', 'may be paled by the sun'],
  cold: ['is harmed by cold nights', 'may be marked by cold nights'],
  heat: ['is harmed by hot afternoons', 'may wilt on hot afternoons'],
  rot: ['rots in the damp of the night', 'may be spotted by damp nights'],
  drying: ['dries out', 'gets brown edges'],
};

const LIVES: Readonly<Record<LifeClass, string>> = {
  weeks: 'Declines within weeks',
  months: 'Declines within months',
  years: 'Lives on, but does not grow',
  slow: 'Lives on, grows slowly',
  grows: 'Grows',
  thrives: 'Thrives',
};

/**
 * A month or two at a time are listed, longer runs told from their first to their last: "in March, September and
 * October".
 */
export function whenInWords(months: readonly number[]): string {
  const runs = runsOf(months);
  if (months.length === 12 || runs.some((run) => run.length > 2)) return runs.map(monthsInWords).join(' and ');
  const names = runs.flat().map(monthName);
  return `in ${names.slice(0, -1).join(', ')}${names.length > 1 ? ' and ' : ''}${names[names.length - 1] ?? ''}`;
}

/** The verdict in one sentence without a full stop: "Declines within about 9 weeks", "Burns in June", "Grows". */
export function verdictSentence(verdict: Verdict): string {
  const { decidedBy, life, weeks, score, harmMonths } = verdict;
  if (decidedBy === 'reserve' && weeks !== null)
    return life === 'years'
      ? `Lives on for ${spanInWords(weeks)}, but does not grow`
      : `Will decline within ${spanInWords(weeks)}`;
  if (decidedBy === 'form') return 'Lives on, but stretches and loses its form for good';
  if (decidedBy === 'winter') return 'Weakens over two or three years without a cold winter rest';
  if (!isHarm(decidedBy)) return LIVES[life];
  const [danger, mark] = HARM_WORDS[decidedBy];
  const when = whenInWords(harmMonths);
  if (score <= IN_DANGER) return `In danger: ${danger} ${when}`;
  return life === 'thrives' ? LIVES.thrives : `${LIVES[life]}, but ${mark} ${when}`;
}

const SHORT_HARM: Readonly<Record<Harm, string>> = {
  burn: 'Burns',
  cold: 'Too cold',
  heat: 'Too hot',
  rot: 'Rots',
  drying: 'Dries out',
};

/** The verdict in two or three words, for lists. */
export function lifeWord({ decidedBy, life, weeks, score }: Verdict): string {
  if (decidedBy === 'form') return 'Loses its form';
  if (decidedBy === 'winter') return 'Lacks its winter';
  if (isHarm(decidedBy) && score <= IN_DANGER) return SHORT_HARM[decidedBy];
  if (decidedBy === 'reserve' && weeks !== null) return `Lives ${spanInWords(weeks)}`;
  return LIVES[life].replace('Lives on, grows', 'Grows');
}

/** What a poor year changes; nothing where it changes nothing worth a word. */
export function poorYearWords({ weeks, weeksInPoorYears: poor }: Verdict): string | null {
  if (poor === null) return null;
  if (weeks === null) return `In a run of poor years it would decline within ${spanInWords(poor)}.`;
  return spanInWords(poor) === spanInWords(weeks) ? null : `In a run of poor years: ${spanInWords(poor)}.`;
}

const FIRST_SIGNS: Readonly<Record<Harm | 'winter', string>> = {
  burn: 'pale, then brown patches on the side toward the light',
  cold: 'dark, glassy patches and dropped leaves after a cold night',
  heat: 'limp leaves by day, then dry edges',
  rot: 'soft brown spots, a dark base or crown',
  drying: 'crisp brown edges, curled leaves',
  winter: 'weak new growth after a winter without rest, smaller each year',
};

/** What it would look like first; nothing where nothing is to be seen. */
export function firstSign({ verdict }: Pick<YearFit, 'verdict'>, nature: Nature): string | null {
  const { decidedBy, life, score } = verdict;
  if (decidedBy === 'winter') return FIRST_SIGNS.winter;
  if (isHarm(decidedBy)) return score < 0.9 ? FIRST_SIGNS[decidedBy] : null;
  if (life === 'thrives' || life === 'grows') return null;
  if (nature.growsCompact) return 'it stretches and pales; that does not grow back';
  if (verdict.losesForm.length > 0) return 'longer gaps between new leaves, each smaller and paler';
  return life === 'slow' ? 'few new leaves' : 'no new leaf, then the oldest leaves yellow';
}

/** Whether it flowers, in one sentence; and what would do it. */
export function flowersSentence({ likely, lacks }: Flowers, units: Units): string {
  if (likely === 'yes') return 'Flowers: likely.';
  const why = lacks.map((lack) => lackWords(lack, units)).join('; ');
  return `Flowers: ${likely}. ${why.charAt(0).toUpperCase()}${why.slice(1)}.`;
}

const EVENING_H = 18;

function lackWords({ lack, gets, wants, weeks, months }: LackForFlowers, units: Units): string {
  const inMonths = months.length > 0 ? ` ${monthsInWords(months)}` : '';
  switch (lack) {
    case 'growth':
      return 'it has nothing to spare for them while it hardly grows';
    case 'light':
      return 'more light would do it';
    case 'long-nights': {
      const end = EVENING_H + Math.ceil(wants! * 2) / 2 - 24;
      const until = `${Math.floor(end)}:${end % 1 === 0 ? '00' : '30'}`;
      return (
        `its longest night there is ${gets!.toFixed(1)} h; dark from ${EVENING_H}:00 to ${until} for ` +
        `${Math.round(weeks!)} weeks${inMonths} would set buds`
      );
    }
    case 'long-days':
      return `days of ${(24 - wants!).toFixed(1)} h and more for ${Math.round(weeks!)} weeks${inMonths} would set buds`;
    case 'cool-nights':
      return (
        `nights of ${degrees(Math.round(wants!), units)} and less for ${Math.round(weeks!)} weeks would ` +
        `set buds; the coolest are ${degrees(Math.round(gets!), units)}`
      );
    case 'cold-rest':
      return `a rest with nights of ${degrees(Math.round(wants!), units)} and less${inMonths} would set buds`;
    case 'dry-rest':
      return 'a dry rest would set buds; it is kept growing';
  }
}
