/**
 * The best joint plan that can be found, and what no plan surpasses. A search betters the plan while prices lower the
 * bound, round by round: the prices tell the search which spots and settings are worth trying, the plan tells the
 * prices how far to go. What is left open of a small home is then settled by a solver.
 */
import type { Highs } from 'highs';
import { seeded } from '../sky';
import { lowered, placesOf, pricesFrom, type Bounding, type Places, type Prices } from './bound';
import { smallestClash } from './clash';
import { choiceRegrets, type IsOpen } from './open-choices';
import { solveProgramme } from './highs-solver';
import {
  lightStates,
  possibleSpots,
  unlit,
  widthOn,
  worthAt,
  type Plan,
  type PlanProblem,
  type PlanWish,
} from './problem';
import { planProgramme } from './programme';
import { bettered } from './search';
import { breachesOf, valueOfPlan } from './value';

export interface PlanProgress {
  /** What the best plan so far is worth; null before the first. */
  readonly found: number | null;
  /** What no plan surpasses; null before it is known. */
  readonly bound: number | null;
}

export interface PlanWanted {
  /** A plan proven to be within this share of the best is good enough. */
  readonly gap: number;
  readonly rounds: number;
  /** For the solver, at the end. */
  readonly seconds: number;
  readonly onProgress?: (progress: PlanProgress) => 'go-on' | 'stop';
}

export type PlanOutcome =
  | { readonly state: 'found'; readonly plan: Plan; readonly objective: number; readonly bound: number }
  /** The smallest set of wishes that cannot hold together; none where the rules alone cannot be met. */
  | { readonly state: 'impossible'; readonly clash: readonly PlanWish[] }
  /** No arrangement was found in time, and nothing shows that there is none. */
  | { readonly state: 'undecided' };

const SEED = 20_260_321;
/** Tries of a round for each plant and season, and steps of prices. The first round only gives the prices a start. */
const TRIES_EACH = 4_000;
const FIRST_TRIES_EACH = 400;
const FEWEST_TRIES = 10_000;
const PRICE_STEPS = 120;
/** Spots of each plant that are tried most. */
const FAVOURITES = 12;

/** A plan and what no plan surpasses, while better ones are looked for. */
export interface PlanFound extends PlanProgress {
  readonly plan: Plan;
}

/** Runs the rounds to their end, or to where `onProgress` stops them. */
export function solvePlan(highs: Highs | null, problem: PlanProblem, wanted: PlanWanted): PlanOutcome {
  const rounds = planRounds(highs, problem, wanted);
  let step = rounds.next();
  while (!step.done) step = rounds.next();
  return step.value;
}

/**
 * The best plan, round by round: between two rounds it tells the best so far.
 * @param highs the solver; without it large or small homes are planned by search and prices alone
 */
export function* planRounds(
  highs: Highs | null,
  problem: PlanProblem,
  wanted: PlanWanted,
): Generator<PlanFound, PlanOutcome, void> {
  const first = firstPlan(highs, problem);
  if (!first) {
    const clash = highs && smallestClash(highs, problem);
    return clash ? { state: 'impossible', clash } : { state: 'undecided' };
  }
  const places = placesOf(problem);
  const random = seeded(SEED);
  let best = first;
  let objective = valueOfPlan(problem, best).objective;
  let bounding: Bounding | null = null;
  const told = (): 'go-on' | 'stop' =>
    wanted.onProgress?.({ found: objective, bound: bounding?.bound ?? null }) ?? 'go-on';
  const isNear = () => bounding !== null && bounding.bound - objective <= wanted.gap * Math.abs(objective);
  for (let round = 0; round < wanted.rounds && !isNear() && told() === 'go-on'; round++) {
    const favourites = bounding ? byPrice(problem, places, bounding.prices) : byWorth(problem);
    const each = bounding ? TRIES_EACH : FIRST_TRIES_EACH;
    const tries = Math.max(FEWEST_TRIES, each * problem.plants.length * problem.seasons.length);
    const plan = bettered({ problem, start: best, favourites, random, tries, onProgress: told });
    const value = valueOfPlan(problem, plan).objective;
    if (value > objective) [best, objective] = [plan, value];
    yield { plan: best, found: objective, bound: bounding?.bound ?? null };
    if (told() === 'stop') break;
    const prices = bounding?.prices ?? pricesFrom(problem, places, best);
    bounding = lowered(problem, prices, { least: objective, gap: wanted.gap, tries: PRICE_STEPS });
    yield { plan: best, found: objective, bound: bounding.bound };
  }
  if (highs && !isNear() && bounding && told() === 'go-on') {
    return settle(highs, problem, { plan: best, objective, bounding, places }, wanted);
  }
  return { state: 'found', plan: best, objective, bound: bounding?.bound ?? Infinity };
}

interface InHand {
  readonly plan: Plan;
  readonly objective: number;
  readonly bounding: Bounding;
  readonly places: Places;
}

/** More open choices than this are left to the search: the solver gets nowhere with them. */
const SETTLED_CHOICES = 12_000;
/** So that the plan in hand itself stays open. */
const ROUNDING = 1e-9;

/** The solver on what the prices leave open to a plan that is better, if it is not too much. */
function settle(
  highs: Highs,
  problem: PlanProblem,
  { plan, objective, bounding, places }: InHand,
  { gap, seconds, onProgress }: PlanWanted,
): PlanOutcome {
  const regrets = choiceRegrets(problem, places, bounding.prices);
  const slack = bounding.bound - objective + ROUNDING;
  if (regrets.upTo(slack) > SETTLED_CHOICES) return { state: 'found', plan, objective, bound: bounding.bound };
  const isOpen: IsOpen = (season, plant, spot, state) => regrets.of(season, plant, spot, state) <= slack;
  const { programme, planOf, columnsOf } = planProgramme(problem, isOpen);
  const told = ({ found }: PlanProgress) =>
    onProgress?.({ found: Math.max(objective, found ?? -Infinity), bound: bounding.bound }) ?? 'go-on';
  const outcome = solveProgramme(highs, programme, { gap, seconds, onProgress: told }, columnsOf(plan));
  // What was left out is worth no more than the plan in hand.
  const bound = Math.min(bounding.bound, 'bound' in outcome ? Math.max(outcome.bound, objective) : objective);
  const found = 'columns' in outcome ? planOf(outcome.columns) : plan;
  const value = valueOfPlan(problem, found).objective;
  return value > objective
    ? { state: 'found', plan: found, objective: value, bound }
    : { state: 'found', plan, objective, bound };
}

/** Where plants stand now, or if that breaks a rule, any arrangement that breaks none; null where there is none. */
function firstPlan(highs: Highs | null, problem: PlanProblem): Plan | null {
  const { seasons, plants, circuits } = problem;
  const settings = seasons.map(() => circuits.map(() => 0));
  const now = plants.map((plant) => plant.now);
  if (!now.includes(null)) {
    const plan = { spots: seasons.map(() => now as number[]), settings };
    if (breachesOf(problem, plan).length === 0) return plan;
  }
  const inTurn = { spots: seasons.map(() => placedInTurn(problem)), settings };
  if (inTurn.spots.every((spots) => !spots.includes(NOWHERE)) && breachesOf(problem, inTurn).length === 0)
    return inTurn;
  if (!highs) return null;
  const { programme, planOf } = planProgramme(unlit(problem, meanWorth(problem)));
  const outcome = solveProgramme(highs, programme, { gap: 0.05, seconds: 60 });
  if (outcome.state === 'impossible' || outcome.state === 'nothing-found') return null;
  const [arrangement] = planOf(outcome.columns).spots;
  return { spots: seasons.map(() => arrangement!), settings };
}

const NOWHERE = -1;

/** Each plant where it stands, those without a place on the best spot that is left, the widest first. */
function placedInTurn(problem: PlanProblem): number[] {
  const { plants, spots } = problem;
  const possible = possibleSpots(problem);
  const worth = meanWorth(problem);
  const widthLeft = spots.map(({ widthCm }) => widthCm);
  const loadLeft = spots.map(({ loadG }) => loadG);
  const at = plants.map(() => NOWHERE);
  const take = (plant: number, spot: number) => {
    at[plant] = spot;
    widthLeft[spot]! -= widthOn(plants[plant]!, spots[spot]!);
    loadLeft[spot]! -= plants[plant]!.loadG;
  };
  const fits = (plant: number) => (spot: number) =>
    widthLeft[spot]! >= widthOn(plants[plant]!, spots[spot]!) && loadLeft[spot]! >= plants[plant]!.loadG;
  const wide = plants.map((_, plant) => plant).sort((p, q) => plants[q]!.widthCm - plants[p]!.widthCm);
  for (const plant of wide) {
    const { now } = plants[plant]!;
    if (now !== null && possible[plant]!.includes(now) && fits(plant)(now)) take(plant, now);
  }
  for (const plant of wide) {
    if (at[plant] !== NOWHERE) continue;
    const open = possible[plant]!.filter(fits(plant));
    const value = (spot: number) => worth[plant * spots.length + spot]!;
    if (open.length > 0)
      take(
        plant,
        open.reduce((p, q) => (value(q) > value(p) ? q : p)),
      );
  }
  return at;
}

/** By plant and spot: what it is worth through the year, each season under its best light. */
function meanWorth(problem: PlanProblem): Float64Array {
  const { seasons, plants, spots, worth } = problem;
  const states = lightStates(problem);
  return Float64Array.from({ length: plants.length * spots.length }, (_, i) => {
    const [plant, spot] = [Math.floor(i / spots.length), i % spots.length];
    return seasons.reduce((sum, _season, season) => {
      const at = worthAt(problem, states, { season, plant, spot });
      return sum + Math.max(...worth.subarray(at, at + states.count[spot]!));
    }, 0);
  });
}

function byWorth(problem: PlanProblem): number[][] {
  const worth = meanWorth(problem);
  const { length } = problem.spots;
  return possibleSpots(problem).map((list, plant) =>
    [...list].sort((p, q) => worth[plant * length + q]! - worth[plant * length + p]!).slice(0, FAVOURITES),
  );
}

/** Spots that the prices leave a plant most on. */
function byPrice({ plants, seasons }: PlanProblem, { first, spot }: Places, { place }: Prices): number[][] {
  return plants.map((_, plant) => {
    const own = Array.from({ length: first[plant + 1]! - first[plant]! }, (_place, i) => first[plant]! + i);
    const leaves = (one: number) =>
      seasons.reduce((sum, _season, season) => sum + place[season * spot.length + one]!, 0);
    return own
      .sort((p, q) => leaves(q) - leaves(p))
      .slice(0, FAVOURITES)
      .map((one) => spot[one]!);
  });
}
