/** The reference's three large joint plans: how near to what is proven, how soon; beside the plain form. */
import loadHighs, { type Highs } from 'highs';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { problemOf, type PlanCase } from '../core/src/plan/plan-case.fixture';
import { lightStates, possibleSpots, stateUnder, worthAt, type Plan, type PlanProblem } from '../core/src/plan/problem';
import { solveProgramme } from '../core/src/plan/highs-solver';
import { solvePlan } from '../core/src/plan/solve-plan';
import { breachesOf, valueOfPlan } from '../core/src/plan/value';
import { plainProgramme } from './plain-programme';

interface LargeCase extends PlanCase {
  readonly best_found: number;
  readonly best_bound: number;
}

const FILE = path.join(__dirname, '../core/reference/plan-large.json');

/** Each plant in turn on the best spot that is left, lamps at their dearest setting, groups and stands ignored. */
function oneByOne(problem: PlanProblem): Plan {
  const { seasons, plants, spots, circuits } = problem;
  const states = lightStates(problem);
  const possible = possibleSpots(problem);
  const full = circuits.map(({ costs }) => costs.indexOf(Math.max(...costs)));
  const left = spots.map(({ widthCm }) => widthCm);
  const at = plants.map(({ widthCm }, plant) => {
    const value = (spot: number) =>
      seasons.reduce(
        (sum, _weight, season) =>
          sum +
          problem.worth[
            worthAt(problem, states, { season, plant, spot }) + stateUnder(circuits, spots[spot]!.circuits, full)
          ]!,
        0,
      );
    const open = possible[plant]!.filter((spot) => left[spot]! >= widthCm);
    const spot = (open.length > 0 ? open : possible[plant]!).reduce((p, q) => (value(q) > value(p) ? q : p));
    left[spot]! -= widthCm;
    return spot;
  });
  return { spots: seasons.map(() => at), settings: seasons.map(() => full) };
}

/** Seconds that the plain form is given. */
const PLAIN_SECONDS = 60;
/** Larger plain programmes fill the solver's memory. */
const MOST_PLAIN_COLUMNS = 400_000;

/** What the same solver makes of the plain form. */
function plainly(highs: Highs, problem: PlanProblem): string {
  const programme = plainProgramme(problem);
  const size = `${programme.gains.length} columns, ${programme.lower.length} rows`;
  if (programme.gains.length > MOST_PLAIN_COLUMNS) return `${size}: not tried`;
  const began = performance.now();
  const outcome = solveProgramme(highs, programme, { gap: 0.01, seconds: PLAIN_SECONDS });
  const after = `after ${((performance.now() - began) / 1000).toFixed(1)} s (${size})`;
  if (!('columns' in outcome)) return `${outcome.state} ${after}`;
  const found = programme.gains.reduce((sum, gain, column) => sum + gain * outcome.columns[column]!, programme.offset);
  return `${found.toFixed(3)}, gap ${percent((outcome.bound - found) / found)} ${after}`;
}

const percent = (share: number) => `${(100 * share).toFixed(2)} %`;

/** Rounds of prices, if the gap is not reached before. */
const ROUNDS = 30;

export async function benchPlan(): Promise<void> {
  console.log('\nJoint plans (worth; gap is what is proven to be open, of the plan)');
  const highs = await loadHighs();
  const { cases } = JSON.parse(readFileSync(FILE, 'utf8')) as { readonly cases: readonly LargeCase[] };
  for (const given of cases) {
    const problem = problemOf(given);
    const greedy = oneByOne(problem);
    const began = performance.now();
    const told: string[] = [];
    let before = 0;
    const outcome = solvePlan(highs, problem, {
      gap: 0.01,
      rounds: ROUNDS,
      seconds: 20,
      onProgress: ({ found, bound }) => {
        if (found !== null && bound !== null && bound !== before) {
          told.push(`${((performance.now() - began) / 1000).toFixed(1)} s ${percent((bound - found) / found)}`);
          before = bound;
        }
        return 'go-on';
      },
    });
    if (outcome.state !== 'found') throw new Error(`${given.id}: ${outcome.state}`);
    if (breachesOf(problem, outcome.plan).length > 0) throw new Error(`${given.id}: a rule is broken`);
    const { objective, bound } = outcome;
    if (bound < given.best_found - 1e-6) throw new Error(`${given.id}: a plan is known above the bound`);
    const seconds = ((performance.now() - began) / 1000).toFixed(1);
    console.log(
      `${given.id.padEnd(4)} ${problem.plants.length} plants, ${problem.spots.length} spots: ${objective.toFixed(3)} ` +
        `of at most ${bound.toFixed(3)}, gap ${percent((bound - objective) / objective)} after ${seconds} s; ` +
        `best known ${given.best_found.toFixed(3)} of ${given.best_bound.toFixed(3)}`,
    );
    console.log(`     on the way: ${told.join(', ')}`);
    console.log(`     plain form: ${plainly(highs, problem)}`);
    console.log(
      `     one by one: ${valueOfPlan(problem, greedy).objective.toFixed(3)} with ` +
        `${breachesOf(problem, greedy).length} rules broken`,
    );
  }
}
