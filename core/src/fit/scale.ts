/** The one scale of verdicts, 0..1, and its classes. */

/** In falling order of harm: declines within weeks, within months, lives on for years without growing, and better. */
export const LIFE_CLASSES = ['weeks', 'months', 'years', 'slow', 'grows', 'thrives'] as const;
export type LifeClass = (typeof LIFE_CLASSES)[number];

/** The scale of decline: 2 weeks are worth this much, and five years as much as living on without growth. */
const SOONEST_SCORE = 0.1;
export const LIVES_ON = 0.5;
export const SOONEST_WEEKS = 2;
export const FIVE_YEARS_TO_SOONEST = 130;

/** A decline of so many weeks on the scale of verdicts: each doubling of the time is one step. */
export const scoreOfWeeks = (weeks: number): number =>
  SOONEST_SCORE +
  ((LIVES_ON - SOONEST_SCORE) * Math.log(Math.max(weeks, SOONEST_WEEKS) / SOONEST_WEEKS)) /
    Math.log(FIVE_YEARS_TO_SOONEST);

/** Living on is worth half; the other half is growth. */
export const scoreOfGrowth = (growth: number): number => LIVES_ON + (1 - LIVES_ON) * growth;

/** Where one class of verdicts ends and the next begins. */
const CLASS_FROM: readonly (readonly [number, LifeClass])[] = [
  [0.9, 'thrives'],
  [0.75, 'grows'],
  [0.5, 'slow'],
  [0.4, 'years'],
  [0.25, 'months'],
];

/** Classes of plants that will be dead within about a year and a half. */
export const DYING_CLASSES: ReadonlySet<LifeClass> = new Set(['weeks', 'months']);
/** Classes of plants that grow as one could wish. */
export const GROWING_CLASSES: ReadonlySet<LifeClass> = new Set(['grows', 'thrives']);

export const lifeClass = (score: number): LifeClass => CLASS_FROM.find(([from]) => score >= from)?.[1] ?? 'weeks';
