/** What passes: stages that a plant grows out of, and leaves that get used to the sun. */
import type { Plant, Stage } from '../facts';
import type { LightNeed } from '../taxon';
import { DAY_MS } from '../units';

/** Stages that pass: for how many weeks what was seen holds, and what the plant is taken for after. Common practice. */
export const PASSING_STAGES: Readonly<Partial<Record<Stage, { readonly weeks: number; readonly then: Stage }>>> = {
  seed: { weeks: 6, then: 'seedling' },
  cutting: { weeks: 6, then: 'rooted-cutting' },
  'rooted-cutting': { weeks: 16, then: 'juvenile' },
  seedling: { weeks: 16, then: 'juvenile' },
  'in-bud': { weeks: 12, then: 'adult' },
  'in-bloom': { weeks: 12, then: 'adult' },
  recovering: { weeks: 8, then: 'adult' },
  'just-arrived': { weeks: 6, then: 'adult' },
};

/** After so many weeks in stronger light a leaf has got used to it. */
export const HARDENS_IN_WEEKS = 6;

const MID_MONTH = 15;
const WEEK_MS = 7 * DAY_MS;
/** Months before a date are told as those of the next year; the month it lies in is its own. */
const HALF_A_MONTH_WEEKS = 2;

/**
 * Weeks from a date to the middle of a month; null for a month that lies before it, which is told as one of the next year.
 * @param date YYYY-MM-DD; @param month 1..12
 */
export function weeksSince(date: string, year: number, month: number): number | null {
  const weeks = (Date.UTC(year, month - 1, MID_MONTH) - Date.parse(`${date}T00:00:00Z`)) / WEEK_MS;
  return weeks < -HALF_A_MONTH_WEEKS ? null : Math.max(0, weeks);
}

type Staged = Pick<Plant, 'stage'> & Partial<Pick<Plant, 'stageSeenOn' | 'arrivedOn'>>;

/** When a plant was seen at its stage; an arrival is dated by itself. Null where it is not known. */
export const stageSeen = ({ stage, stageSeenOn, arrivedOn }: Staged): string | null =>
  stageSeenOn ?? (stage === 'just-arrived' ? (arrivedOn ?? null) : null);

/**
 * The stage a plant is at in a month: what was seen holds for its weeks, and then it is taken for grown out of it.
 * @param year that the months are of; where it is not known what was seen holds all year
 */
export function stageIn(month: number, plant: Staged, year: number | undefined): Stage {
  const seen = stageSeen(plant);
  const passes = PASSING_STAGES[plant.stage];
  if (!passes || seen === null || year === undefined) return plant.stage;
  const weeks = weeksSince(seen, year, month);
  return weeks === null || weeks > passes.weeks ? passes.then : plant.stage;
}

/** More direct sun a plant tolerates with each week in it, hours a day: how growers harden plants off. */
const SUN_A_WEEK_H = 0.5;

/** Direct sun that a plant tolerates after some weeks of getting used to it, hours a day. @param weeks 0 and more */
export const sunAfter = ({ sunHoursFresh, sunHoursUsed }: LightNeed, weeks: number): number =>
  Math.min(sunHoursUsed, sunHoursFresh + SUN_A_WEEK_H * weeks);
