/** How long a plant lives by a spot's light alone: the reserve it draws on in dim months and fills again in bright ones. */
import type { Target } from '../plant';
import type { Condition } from './condition';

/** What is looked at of a month. */
export type LitMonth = Pick<Condition, 'dli'> & { readonly air: Pick<Condition['air'], 'dayC' | 'nightC'> };

export interface LightOutlook {
  /** Weeks until its reserve is used up; null when it never is within five years. */
  readonly weeks: number | null;
  /** How far it grows where it lives on, 0..1: the year's mean on a scale from surviving to thriving. */
  readonly growth: number;
  /** Months (1..12) in which it stretches and loses its form. */
  readonly losesForm: readonly number[];
  /** Share of its reserve left at the end of each of the coming months. */
  readonly reserve: readonly number[];
}

export const WEEKS_A_MONTH = 4.35;
const MONTHS_AHEAD = 60;

/** Maintenance respiration doubles with 10 K. Atkin and Tjoelker 2003 give 1.4 to 4, near 2 at room warmth. */
const RESPIRATION_Q10 = 2;
const REFERENCE_C = 20;
/** Where upkeep comes near to the light it thrives by, the way between is no shorter than this share of it. */
const SHORTEST_WAY = 0.05;
/** A night of months is taken for this much light, mol a day, since it is counted by its ratio. */
const DARKEST_MOL = 1e-6;
/** A reserve fills faster than it is used: judgement, from how soon starved plants look well again. */
const REFILL_PACE = 2;
/** A resting month counts for this much in a year's growth. */
const RESTING_WEIGHT = 0.3;
/** In the cool a plant does not stretch, C. */
const STRETCHES_FROM_C = 15;

const meanC = ({ air }: LitMonth) => (air.dayC + air.nightC) / 2;

/** Light that a month's respiration takes, mol a day: what the plant survives by, at the month's warmth. */
const upkeep = ({ light }: Target, month: LitMonth) =>
  light.survives * RESPIRATION_Q10 ** ((meanC(month) - REFERENCE_C) / 10);

/**
 * The light of a spot as a plant lives through it, month after month, with a full reserve at the start.
 * @param targets twelve, January first; @param year twelve months of the spot, January first
 * @param fromMonth 1..12, the month that is on
 */
export function lightOutlook(targets: readonly Target[], year: readonly LitMonth[], fromMonth: number): LightOutlook {
  const most = Math.max(...targets.map(({ light }) => light.reserveWeeks));
  const reserve: number[] = [];
  let left = most;
  let weeks: number | null = null;
  for (let ahead = 0; ahead < MONTHS_AHEAD && weeks === null; ahead++) {
    const month0 = (fromMonth - 1 + ahead) % 12;
    const before = left;
    left = Math.min(most, left + change(targets[month0]!, year[month0]!));
    if (left <= 0) weeks = WEEKS_A_MONTH * (ahead + before / (before - left));
    reserve.push(Math.max(0, left / most));
  }
  return { weeks, growth: growthOf(targets, year), losesForm: stretched(targets, year), reserve };
}

/** Weeks of reserve that a month takes or gives. */
function change(target: Target, month: LitMonth): number {
  const needed = upkeep(target, month);
  if (month.dli < needed) return -WEEKS_A_MONTH * (1 - month.dli / needed);
  const wayToThriving = (month.dli - needed) / Math.max(target.light.thrivesFrom - needed, needed * SHORTEST_WAY);
  return REFILL_PACE * WEEKS_A_MONTH * Math.min(1, wayToThriving);
}

/** Twice the light is one step further, whatever the plant: light counts by its ratio. */
function growthOf(targets: readonly Target[], year: readonly LitMonth[]): number {
  let sum = 0;
  let weights = 0;
  targets.forEach((target, i) => {
    const needed = upkeep(target, year[i]!);
    const { thrivesFrom } = target.light;
    const way =
      thrivesFrom > needed
        ? Math.log(Math.max(year[i]!.dli, DARKEST_MOL) / needed) / Math.log(thrivesFrom / needed)
        : Number(year[i]!.dli >= thrivesFrom);
    const weight = target.phase === 'resting' ? RESTING_WEIGHT : 1;
    sum += weight * Math.max(0, Math.min(1, way));
    weights += weight;
  });
  return sum / weights;
}

const stretched = (targets: readonly Target[], year: readonly LitMonth[]): number[] =>
  targets
    .filter(({ light }, i) => year[i]!.dli < light.keepsForm && meanC(year[i]!) >= STRETCHES_FROM_C)
    .map(({ month }) => month);

/** In falling order of harm. */
export const LIGHT_CLASSES = ['weeks', 'months', 'years', 'slow', 'grows', 'thrives'] as const;
export type LightClass = (typeof LIGHT_CLASSES)[number];

/** A decline within this time is one of weeks, or of months. */
const WEEKS_UP_TO = 8;
const MONTHS_UP_TO = 52;
/** Growth from which it is more than slow, and from which the plant thrives. */
const GROWS_FROM = 0.5;
const THRIVES_FROM = 0.8;

/** An outlook in one word: in what time it declines, or how it goes on. */
export function lightClass({ weeks, growth }: LightOutlook): LightClass {
  if (weeks !== null) return weeks < WEEKS_UP_TO ? 'weeks' : weeks < MONTHS_UP_TO ? 'months' : 'years';
  return growth < GROWS_FROM ? 'slow' : growth < THRIVES_FROM ? 'grows' : 'thrives';
}
