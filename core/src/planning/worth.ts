/** What a plant is worth on a spot under each year its timers may have. */
import type { Care, Goal, MoveEffort, PlannedYears } from '../facts';
import {
  LIVES_ON,
  YEAR_FIGURES,
  doingsOf,
  flowersOf,
  scoreOfDoings,
  scoreOfSeason,
  takeMonth,
  verdictOf,
  type Condition,
} from '../fit';
import type { Target } from '../plant';
import { ALL_MONTHS } from '../units';
import { combinations, wayIn, type SpotLight } from './light-under';
import type { Menu } from './menu';
import type { TimerYear } from './timer-menu';

/** How much a plant counts, beside one that counts as usual. */
export const CARE_WEIGHTS: Readonly<Record<Care, number>> = { little: 0.4, usual: 1, much: 2.5 };

/** What carrying a plant costs, in verdict points of a plant (1 is a whole verdict). Judgement. */
export const MOVE_COSTS: Readonly<Record<MoveEffort, number>> = { few: 0.08, 'as-it-pays': 0.03, many: 0.01 };

/** A kWh a year at the usual price costs so much of a verdict: 250 kWh are worth ten points of a plant. */
export const WORTH_OF_KWH = 0.0004;

/** Buds are worth this much to one who wants flowers. */
const FLOWERS_WORTH = 0.15;

/**
 * Worth of a verdict: what keeps a plant from dying counts more than what lets it grow, and that more than the last of
 * its growth. From one verdict to the next, how much worth a point of it is; judgement. The whole is 1.
 */
const SCALE = [
  { from: 0, to: LIVES_ON, each: 1.4 },
  { from: LIVES_ON, to: 0.75, each: 0.8 },
  { from: 0.75, to: 1, each: 0.4 },
] as const;

/** @param score 0..1 */
export const worthOfVerdict = (score: number): number =>
  SCALE.reduce((sum, { from, to, each }) => sum + each * Math.max(0, Math.min(score, to) - from), 0);

/** The verdict of a worth, 0..1. */
export function verdictOfWorth(worth: number): number {
  let [left, score] = [worth, 0];
  for (const { from, to, each } of SCALE) {
    const step = Math.max(0, Math.min(to - from, left / each));
    score += step;
    left -= step * each;
  }
  return score;
}

/** A plant as its worth is asked. */
export interface Wanting {
  readonly targets: readonly Target[];
  readonly reserveLeft: number;
  readonly goal: Goal;
  readonly weight: number;
}

export interface WorthAsked {
  readonly menus: readonly Menu[];
  readonly years: PlannedYears;
  /** 1..12, the month that is on. */
  readonly fromMonth: number;
  /** Months (1..12) of each season; one season of all months for one arrangement. */
  readonly seasons: readonly (readonly number[])[];
}

/** A month as it is in poor years. */
const poor = (condition: Condition): Condition => ({ ...condition, dli: condition.dliPoorYear });

/** The years of a spot as plants are judged by them. */
export const judgedBy = (years: PlannedYears, year: readonly Condition[]): readonly Condition[] =>
  years === 'poor' ? year.map(poor) : year;

/**
 * Worth by season and light state of the spot (`season * states + state`), the first timer's setting slowest.
 */
export function worthUnder(wanting: Wanting, { timers, years }: SpotLight, asked: WorthAsked): Float64Array {
  const { menus, seasons } = asked;
  const { targets, weight } = wanting;
  const judged = years.map((year) => judgedBy(asked.years, year));
  const doings = judged.map((year) => doingsOf(targets, year));
  const counts = timers.map((menu) => menus[menu]!.years.length);
  const states = combinations(counts);
  const worth = new Float64Array(seasons.length * states.length);
  const together = new Float64Array(YEAR_FIGURES);
  states.forEach((state, at) => {
    const chosen: TimerYear[] = [];
    timers.forEach((menu, i) => (chosen[menu] = menus[menu]!.years[state[i]!]!));
    const ways = ALL_MONTHS.map((month) => wayIn({ timers }, menus, chosen, month - 1));
    ways.forEach((way, month0) => takeMonth(together, doings[way]!, month0));
    seasons.forEach((months, season) => {
      const isWholeYear = months.length === 12;
      const score = isWholeYear
        ? scoreOfDoings(targets, together, asked.fromMonth, wanting.reserveLeft)
        : scoreOfSeason(targets, together, months);
      const flowers = isWholeYear ? flowersWorth(wanting, judged, ways, asked.fromMonth) : 0;
      worth[season * states.length + at] = weight * (worthOfVerdict(score) + flowers) * (months.length / 12);
    });
  });
  return worth;
}

function flowersWorth(
  { goal, targets, reserveLeft }: Wanting,
  judged: readonly (readonly Condition[])[],
  ways: readonly number[],
  fromMonth: number,
): number {
  if (goal !== 'flower') return 0;
  const year = ways.map((way, month0) => judged[way]![month0]!);
  const flowers = flowersOf(targets, year, verdictOf(targets, year, fromMonth, reserveLeft));
  return flowers?.likely === 'yes' ? FLOWERS_WORTH : 0;
}
