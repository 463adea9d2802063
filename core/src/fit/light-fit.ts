/** A month's light: what it leaves of growth, and whether it burns. */
import type { Target } from '../plant';
import type { Condition } from './condition';
import { factorFit, harmFit, worse, type FactorFit } from './factor-fit';
import { along, type Line } from './piecewise';

/** What is looked at of a month for slow decline. */
export type LitMonth = Pick<Condition, 'dli'> & { readonly air: Pick<Condition['air'], 'dayC' | 'nightC'> };

/** Maintenance respiration doubles with 10 K. Atkin and Tjoelker 2003 give 1.4 to 4, near 2 at room warmth. */
export const RESPIRATION_Q10 = 2;
export const REFERENCE_C = 20;
/** Where upkeep comes near to the light it thrives by, the way between is no shorter than this share of it. */
const SHORTEST_WAY = 0.05;
/** A night of months is taken for this much light, mol a day, since it is counted by its ratio. */
const DARKEST_MOL = 1e-6;

export const meanC = ({ air }: Pick<LitMonth, 'air'>): number => (air.dayC + air.nightC) / 2;

/** Light that a month's respiration takes, mol a day: what the plant survives by, at the month's warmth. */
export const upkeep = ({ light }: Pick<Target, 'light'>, month: Pick<LitMonth, 'air'>): number =>
  light.survives * RESPIRATION_Q10 ** ((meanC(month) - REFERENCE_C) / 10);

/** How far a month's light goes from upkeep (0) to where it thrives (1): twice the light is one step further, whatever the plant. */
export function wayToThriving(dli: number, needed: number, thrivesFrom: number): number {
  if (dli >= thrivesFrom) return 1;
  if (dli <= needed || thrivesFrom <= needed) return 0;
  return Math.log(Math.max(dli, DARKEST_MOL) / needed) / Math.log(thrivesFrom / needed);
}

/** Weeks of reserve that one week of light takes or gives, before the pace of refilling. */
export function balance(dli: number, needed: number, thrivesFrom: number): number {
  if (dli < needed) return dli / needed - 1;
  return Math.min(1, (dli - needed) / Math.max(thrivesFrom - needed, needed * SHORTEST_WAY, DARKEST_MOL));
}

/** More than it thrives by makes it pale and slows it: by half where it scorches, and no further, since what burns is the hour. */
const overLight = ({ light: { thrivesTo, scorches } }: Pick<Target, 'light'>, dli: number): number =>
  dli <= thrivesTo ? 1 : Math.max(0.4, 1 - (0.5 * (dli - thrivesTo)) / Math.max(scorches - thrivesTo, 1e-6));

/** In the cool a plant does not stretch, C. */
const STRETCHES_FROM_C = 15;
/** Form is lost little by little about the light that keeps it: from a quarter more, wholly at a quarter less. */
const FORM_EDGE = 0.25;

/** How far a month's light is from keeping its form, 0..1. */
export function formLoss({ light: { keepsForm }, isDormant }: Target, month: LitMonth): number {
  if (isDormant || meanC(month) < STRETCHES_FROM_C) return 0;
  const under = (keepsForm * (1 + FORM_EDGE) - month.dli) / (2 * FORM_EDGE * keepsForm);
  return Math.max(0, Math.min(1, under));
}

/** Growth that stretches is worth half. */
const STRETCHED_WORTH = 0.5;

/** Light whose brightest hour stays under this share of what the leaf tolerates is weak for it, however long the day. */
const WEAK_SHARE = 0.15;
/** Weak light over long hours makes soft growth; it costs no more than this. Judgement. */
const WEAK_COSTS_AT_MOST = 0.3;

/** What the weakness of a month's light leaves: the same sum in stronger light makes firmer growth. */
const firmness = ({ light }: Target, { peakPpfd }: Pick<Condition, 'peakPpfd'>): number =>
  1 - WEAK_COSTS_AT_MOST * Math.max(0, 1 - peakPpfd / (WEAK_SHARE * light.peakPpfd));

/** What a month's light leaves of full growth, 0..1. */
export const lightGrowth = (target: Target, c: LitMonth & Pick<Condition, 'peakPpfd'>): number =>
  wayToThriving(c.dli, upkeep(target, c), target.light.thrivesFrom) *
  (1 - (1 - STRETCHED_WORTH) * formLoss(target, c)) *
  firmness(target, c) *
  overLight(target, c.dli);

/** A leaf not used to the sun burns at half of what it tolerates later. */
const UNUSED_SHARE = 0.5;

/** The PPFD at which a leaf is marked, umol m-2 s-1. */
export const burnsFrom = ({ light, isUsedToSun }: Target, c: Pick<Condition, 'sunHoursPossible'>): number =>
  isUsedToSun || c.sunHoursPossible <= light.sunHoursUsed ? light.peakPpfd : light.peakPpfd * UNUSED_SHARE;

/**
 * The dose that burns: light beyond the limit, as shares of it, over the hours of a clear day. An hour at twice the limit
 * is 1.
 */
export function burnDose(clearDay: readonly number[], limitPpfd: number): number {
  let dose = 0;
  for (const ppfd of clearDay) if (ppfd > limitPpfd) dose += ppfd / limitPpfd - 1;
  return dose;
}

/** What a dose leaves: judgement of growers; up to 1 nothing is seen, to 3 it may pale, to 6 pale patches, beyond it burns within days. */
const BURNT: Line = [
  [1, 1],
  [3, 0.8],
  [6, 0.5],
  [12, 0.25],
  [30, 0.12],
];

/** What the sun of a clear day leaves of the plant, 1 to 0.12. */
export function burnScore(target: Target, c: Condition): number {
  const limit = burnsFrom(target, c);
  return c.peakPpfd <= limit ? 1 : along(BURNT, burnDose(c.clearDay, limit));
}

type Judgement = 'low' | 'right' | 'high';
const judge = (value: number, from: number, to: number): Judgement =>
  value < from ? 'low' : value > to ? 'high' : 'right';

function dliFit(target: Target, c: Condition): FactorFit {
  const { thrivesFrom, thrivesTo } = target.light;
  const judged = (dli: number) => judge(dli, thrivesFrom, thrivesTo);
  return factorFit({
    factor: 'light',
    aspect: 'dli',
    score: target.isDormant ? 1 : lightGrowth(target, c),
    gets: c.dli,
    wantsFrom: target.isDormant ? 0 : thrivesFrom,
    wantsTo: thrivesTo,
    depends: judged(c.dliPoorYear) === judged(c.dliGoodYear) ? 'no' : 'on-the-year',
  });
}

function peakFit(target: Target, c: Condition): FactorFit {
  return harmFit({
    factor: 'light',
    aspect: 'peak',
    score: burnScore(target, c),
    gets: c.peakPpfd,
    wantsFrom: 0,
    wantsTo: burnsFrom(target, c),
  });
}

/** The light of a month: its sum or its brightest hours, whichever leaves less. */
export const lightFit = (target: Target, c: Condition): FactorFit => {
  const sum = dliFit(target, c);
  return c.peakPpfd <= burnsFrom(target, c) ? sum : worse(sum, peakFit(target, c));
};
