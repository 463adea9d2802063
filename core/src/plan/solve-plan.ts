/**
 * The best joint plan that can be found, and what no plan surpasses. Prices lower the bound, round by round; what they
 * lean to is made a plan and bettered by exchanges, and that tells the prices how far to go. What is left open of a
 * small home is then settled by a solver.
 */
import type { Highs } from 'highs';
import { smallestClash } from './clash';
import { solveProgramme } from './highs-solver';
import { meanWorth } from './mean-worth';
import { choiceRegrets, type IsOpen } from './open-choices';
import { possibleSpots, unlit, widthOn, type Plan, type PlanProblem, type PlanWish } from './problem';
import { planProgramme } from './programme';
import { Race, type PlanFound, type PlanKnown, type PlanProgress, type RaceWanted } from './race';
import { breachesOf, valueOfPlan } from './value';

export interface PlanWanted extends RaceWanted {
  /** For the solver, at the end. */
  readonly seconds: number;
}

export type PlanOutcome =
  | PlanKnown
  /** The smallest set of wishes that cannot hold together; none where the rules alone cannot be met. */
  | { readonly state: 'impossible'; readonly clash: readonly PlanWish[] }
  /** No arrangement was found in time, and nothing shows that there is none. */
  | { readonly state: 'undecided' };

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
  const race = new Race(problem, first, wanted);
  yield race.told();
  while (race.goesOn()) {
    race.round();
    yield race.told();
  }
  race.finish();
  return highs && !race.isNear() && race.asks() === 'go-on' ? settle(highs, problem, race, wanted) : race.outcome();
}

/** More open choices than this are left to the search: the solver gets nowhere with them. */
const SETTLED_CHOICES = 12_000;
/** So that the plan in hand itself stays open. */
const ROUNDING = 1e-9;

/** The solver on what the prices leave open to a plan that is better, if it is not too much. */
function settle(
  highs: Highs,
  problem: PlanProblem,
  { plan, objective, bounding, places }: Race,
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
