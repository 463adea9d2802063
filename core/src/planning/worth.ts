/** What a plant is worth on a spot under each year its timers may have. */
import type { Care, Goal, MoveEffort, PlannedYears } from '../facts';
import {
  DOING_FIGURES,
  LIVES_ON,
  YEAR_FIGURES,
  doingsOf,
  flowersOf,
  scoreOfDoings,
  scoreOfGrowth,
  scoreOfWeeks,
  verdictOf,
  weightOf,
  reserveOf,
  WEEKS_A_MONTH,
  type Condition,
} from '../fit';
import type { Target } from '../plant';
import { combinations, type SpotLight } from './light-under';
import type { TimerMenu } from './timer-menu';

/** How much a plant counts, beside one that counts as usual. */
export const CARE_WEIGHTS: Readonly<Record<Care, number>> = { little: 0.4, usual: 1, much: 2.5 };

/** What carrying a plant costs, in verdict points of a plant (1 is a whole verdict). Judgement. */
export const MOVE_COSTS: Readonly<Record<MoveEffort, number>> = { few: 0.08, 'as-it-pays': 0.03, many: 0.01 };

/** A kWh a year at the usual price costs as much worth as this of a verdict: 250 kWh are worth ten points of a plant. */
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
  readonly menus: readonly TimerMenu[];
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
    const ways = waysOf(timers, menus, state);
    ways.forEach((way, month0) => {
      const from = month0 * DOING_FIGURES;
      together.set(doings[way]!.subarray(from, from + DOING_FIGURES), from);
    });
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

/** By month: the combination of ways that a state of a spot burns, January first. */
export function waysOf(timers: readonly number[], menus: readonly TimerMenu[], state: readonly number[]): number[] {
  return Array.from({ length: 12 }, (_, month0) =>
    timers.reduce((way, menu, i) => {
      const { ways, years } = menus[menu]!;
      return way * ways.length + years[state[i]!]![month0]!;
    }, 0),
  );
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

const [RESERVE, GROWTH, HARM] = [0, 1, 2];

/**
 * What some months alone do to a plant, on the scale of verdicts: the worst harm in them, and growth, or where they take
 * more reserve than they give, how long it would last if they went on. By this a year of several arrangements is taken
 * apart; what is promised of it is worked out for the whole year.
 */
export function scoreOfSeason(targets: readonly Target[], doings: Float64Array, months: readonly number[]): number {
  let [harm, reserve, growth, weights] = [1, 0, 0, 0];
  for (const month of months) {
    const at = (month - 1) * DOING_FIGURES;
    const weight = weightOf(targets[month - 1]!);
    harm = Math.min(harm, doings[at + HARM]!);
    reserve += doings[at + RESERVE]!;
    growth += weight * doings[at + GROWTH]!;
    weights += weight;
  }
  const weeks = reserve < 0 ? (reserveOf(targets) * months.length * WEEKS_A_MONTH) / -reserve : Infinity;
  const slow =
    reserve < 0 ? Math.min(LIVES_ON, scoreOfWeeks(weeks)) : scoreOfGrowth(weights > 0 ? growth / weights : 0);
  return Math.min(slow, harm);
}
