/**
 * Between plan and light: a plan is found, the light worked out anew with the plants where it has them, and where that
 * differs from what was planned by, it takes its place and the home is planned again.
 */
import { planRounds, solvePlan, type Plan, type PlanOutcome, type PlanProblem } from '../plan';
import { lightOf, tableScore, worthTogether, type Desk } from './desk';
import { problemOfHome, WorthTable } from './home-problem';
import { lightUnder } from './light-under';
import { plannedHome, scoreThrough, timerYears, type PlannedHome } from './planned-home';
import type { PlanInterim } from './proposal';
import { proposalSoFar } from './propose';

/** So often is a home planned anew as the light tells of the plants where they would stand. */
const MOST_ROUNDS = { whole: 4, least: 1 } as const;
/** The light that is found agrees with what was planned by when verdicts differ by no more. */
const SAME_VERDICT = 0.01;
/** For each round: gap at which a plan is good enough, rounds of search and prices, seconds for the solver. */
const WANTED = { gap: 0.01, rounds: 12, seconds: 2 } as const;
/** The plan that is kept is proven for longer. */
const PROVEN = { ...WANTED, rounds: 30, seconds: 8 } as const;

/** A round's plan with what it comes to. */
export interface Tried {
  readonly plan: Plan;
  readonly problem: PlanProblem;
  readonly found: Extract<PlanOutcome, { state: 'found' }>;
  readonly home: PlannedHome;
  readonly scores: readonly number[];
  readonly total: number;
  /** How far the verdicts were from what was planned by, at most. */
  readonly off: number;
}

/** The plan that is worth most in the home as the engines find it, and how often it was planned; or why there is none. */
export type Rounds =
  | { readonly state: 'found'; readonly tried: Tried; readonly rounds: number }
  | Exclude<PlanOutcome, { state: 'found' }>;

/** Yields the share of the rounds that is done, 0..1, with the best plan so far. */
export function* inRounds(desk: Desk): Generator<number | PlanInterim, Rounds, void> {
  const { engine, layout, wanting, lights, asked } = desk;
  const most = MOST_ROUNDS[asked.effort];
  const table = new WorthTable({
    menus: layout.menus,
    years: layout.settings.years,
    fromMonth: asked.month,
    seasons: layout.seasons,
  });
  let best: Tried | null = null;
  for (let round = 0; ; round++) {
    const share = round / most;
    yield share;
    const problem = problemOfHome(layout, wanting, lights, lightOf(desk), table);
    const solving = planRounds(engine.solver, problem, WANTED);
    let step = solving.next();
    for (; !step.done; step = solving.next()) {
      const { plan, found, bound } = step.value;
      const proof = { objective: found!, bound: bound ?? Infinity };
      yield { share, interim: proposalSoFar(desk, problem, plan, proof) };
    }
    if (step.value.state !== 'found') return step.value;
    const tried = tryPlan(desk, problem, step.value);
    if (!best || tried.total > best.total) best = tried;
    if (tried.off <= SAME_VERDICT || round + 1 === most)
      return { state: 'found', tried: asked.effort === 'whole' ? proven(desk, best) : best, rounds: round + 1 };
    yield* ownLights(desk, tried, share);
  }
}

/** The same plan with a bound that was looked for longer, where it is not near enough yet. */
function proven({ engine }: Desk, tried: Tried): Tried {
  const { objective, bound } = tried.found;
  if (bound - objective <= WANTED.gap * Math.abs(objective)) return tried;
  const again = solvePlan(engine.solver, tried.problem, PROVEN);
  return again.state === 'found' ? { ...tried, found: { ...tried.found, bound: Math.min(bound, again.bound) } } : tried;
}

/** Works out what a plan comes to in the changed home. */
function tryPlan(desk: Desk, problem: PlanProblem, found: Tried['found']): Tried {
  const { engine, layout, wanting, asked } = desk;
  const { plan } = found;
  const home = plannedHome(engine, layout, plan, { timers: timerYears(layout, plan), year: asked.year, on: asked.on });
  const scores = wanting.map((one, p) => scoreThrough(layout, one, home.years[p]!, asked.month));
  const expected = wanting.map((_, p) => tableScore(desk, plan, p));
  const off = Math.max(...scores.map((score, p) => Math.abs(score - expected[p]!)));
  return {
    plan,
    problem,
    found,
    home,
    scores,
    total: found.objective - worthTogether(wanting, expected) + worthTogether(wanting, scores),
    off,
  };
}

/** Takes the light of plants where the plan has them into account from now on, where it is not what was planned by. */
function* ownLights(desk: Desk, { plan, home, scores }: Tried, share: number): Generator<number, void, void> {
  const { engine, layout, lights, asked } = desk;
  for (const [season, at] of plan.spots.entries()) {
    const differing = at.flatMap((spot, plant) =>
      Math.abs(scores[plant]! - tableScore(desk, plan, plant)) > SAME_VERDICT / 2 ? [{ spot, plant }] : [],
    );
    const spotIds = [...new Set(differing.map(({ spot }) => spot))];
    const working = lightUnder(engine, home.homes[season]!, {
      year: asked.year,
      menus: layout.menus,
      spotIds: spotIds.map((spot) => layout.spots[spot]!.spot.id),
      timers: spotIds.map((spot) => lights[spot]!.timers),
      airOf: home.homes[season]!,
    });
    let step = working.next();
    for (; !step.done; step = working.next()) yield share;
    const found = step.value;
    for (const { spot, plant } of differing)
      desk.own.set(plant * layout.spots.length + spot, found[spotIds.indexOf(spot)]!);
  }
}
