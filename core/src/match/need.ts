/** How soon a plant needs something, by what its grower wants of it. */
import type { Goal } from '../facts';
import { DYING_CLASSES, GROWING_CLASSES, LIVES_ON, type Trouble, type YearFit } from '../fit';

/** This week, this season, when it suits, or hardly worth a word. */
export const URGENCIES = ['week', 'season', 'later', 'mild', 'none'] as const;
export type Urgency = (typeof URGENCIES)[number];

/** What counts as this week, and as this season, weeks to damage. */
const THIS_WEEK = 2;
const THIS_SEASON = 13;
/** Whether a plant does on its spot what its grower wants of it. */
export function meetsGoal(goal: Goal, { verdict, flowers }: Pick<YearFit, 'verdict' | 'flowers'>): boolean {
  switch (goal) {
    case 'alive':
      return !DYING_CLASSES.has(verdict.life);
    case 'form':
      return verdict.score >= LIVES_ON && verdict.losesForm.length === 0;
    case 'grow':
      return GROWING_CLASSES.has(verdict.life);
    case 'flower':
      return GROWING_CLASSES.has(verdict.life) && (flowers === null || flowers.likely === 'yes');
  }
}

/** What is trouble for a plant of this goal: one that need only live is not troubled by slow growth. */
export function troublesFor(
  goal: Goal,
  { troubles, verdict }: Pick<YearFit, 'troubles' | 'verdict'>,
): readonly Trouble[] {
  if (goal === 'grow' || goal === 'flower') return troubles;
  const stretches = ({ aspect, direction }: Trouble) =>
    goal === 'form' && aspect === 'dli' && direction === 'too-little' && verdict.losesForm.length > 0;
  return troubles.filter((trouble) => trouble.weeks !== null || stretches(trouble));
}

/** How soon a plant needs something where it stands. */
export function urgencyOf(goal: Goal, fit: YearFit): Urgency {
  const troubles = troublesFor(goal, fit);
  const soonest = Math.min(...troubles.map(({ weeks }) => weeks ?? Infinity));
  if (soonest <= THIS_WEEK) return 'week';
  if (soonest <= THIS_SEASON) return 'season';
  if (soonest < Infinity || !meetsGoal(goal, fit)) return 'later';
  return troubles.length > 0 ? 'mild' : 'none';
}
