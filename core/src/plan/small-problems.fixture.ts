/** Joint plans small enough to go through all of them. */
import fc from 'fast-check';
import { lightStates, type Plan, type PlanProblem, type PlanWish } from './problem';
import { breachesOf, valueOfPlan } from './value';

interface Drawn {
  readonly plants: readonly (readonly [widthCm: number, heightCm: number, loadG: number, move: number, now: number])[];
  readonly spots: readonly (readonly [
    stand: number,
    widthCm: number,
    heightCm: number,
    loadG: number,
    circuits: number,
  ])[];
  readonly seasons: number;
  readonly costs: readonly number[];
  readonly wish: number;
  readonly worths: readonly number[];
}

const LIT = [[], [0], [1], [0, 1]] as const;
const STANDS = 2;

function wishesFrom(kind: number, plants: number, spots: number): PlanWish[] {
  const last = plants - 1;
  switch (kind) {
    case 1:
      return [{ id: 'w', kind: 'fix', plant: last, spot: spots - 1 }];
    case 2:
      return [{ id: 'w', kind: 'forbid', plant: 0, spots: [0] }];
    case 3:
      return plants > 1 ? [{ id: 'w', kind: 'group', plants: [0, last] }] : [];
    case 4:
      return [{ id: 'w', kind: 'quarantine', plant: last }];
    default:
      return [];
  }
}

function problemFrom({ plants, spots, seasons, costs, wish, worths }: Drawn): PlanProblem {
  const made = {
    seasons: Array.from({ length: seasons }, () => 1 / seasons),
    plants: plants.map(([widthCm, heightCm, loadG, move, now]) => ({
      widthCm,
      heightCm,
      loadG,
      moveCost: move / 100,
      now: now < spots.length ? now : null,
    })),
    spots: spots.map(([stand, widthCm, heightCm, loadG, lit]) => ({
      stand,
      widthCm,
      heightCm,
      loadG,
      circuits: LIT[lit]!,
    })),
    stands: Array.from({ length: STANDS }, () => ({ loadG: 9 })),
    circuits: [0, 1].map((c) => ({ costs: [0, (costs[c] ?? 1) / 20] })),
    wishes: wishesFrom(wish, plants.length, spots.length),
  };
  const size = seasons * plants.length * lightStates(made).all;
  const worth = Float64Array.from({ length: size }, (_, i) => worths[(7 * i) % worths.length]! / (100 * seasons));
  return { ...made, worth };
}

const whole = (min: number, max: number) => fc.integer({ min, max });

/** One to four plants, spots and seasons, two circuits, at most one wish. */
export const smallProblems: fc.Arbitrary<PlanProblem> = fc
  .record({
    plants: fc.array(fc.tuple(whole(10, 30), whole(5, 40), whole(1, 4), whole(0, 8), whole(0, 5)), {
      minLength: 1,
      maxLength: 3,
    }),
    spots: fc.array(fc.tuple(whole(0, STANDS - 1), whole(20, 60), whole(20, 50), whole(3, 8), whole(0, 3)), {
      minLength: 1,
      maxLength: 4,
    }),
    seasons: whole(1, 2),
    costs: fc.array(whole(0, 6), { minLength: 2, maxLength: 2 }),
    wish: whole(0, 4),
    worths: fc.array(whole(0, 100), { minLength: 11, maxLength: 40 }),
  })
  .map(problemFrom);

/** All ways to choose one of so many, so often. */
const choices = (of: number, times: number): number[][] =>
  times === 0 ? [[]] : choices(of, times - 1).flatMap((some) => Array.from({ length: of }, (_, one) => [...some, one]));

/** Every plan of one season, whatever the rules say. */
const seasonPlans = ({ plants, spots }: PlanProblem) => choices(spots.length, plants.length);

/** The best plan within the rules, by going through all of them; null where there is none. */
export function bestPlan(problem: PlanProblem): Plan | null {
  const rules = seasonPlans(problem).filter((at) => breachesOf(problem, { spots: [at] }).length === 0);
  const settings = choices(2, problem.circuits.length);
  let best: Plan | null = null;
  let most = -Infinity;
  const all = problem.seasons.reduce<Plan[]>(
    (plans) =>
      plans.flatMap((plan) =>
        rules.flatMap((at) =>
          settings.map((set) => ({ spots: [...plan.spots, at], settings: [...plan.settings, set] })),
        ),
      ),
    [{ spots: [], settings: [] }],
  );
  for (const plan of all) {
    const { objective } = valueOfPlan(problem, plan);
    if (objective > most) [best, most] = [plan, objective];
  }
  return best;
}

/** What it is worth. */
export function bestByEnumeration(problem: PlanProblem): number | null {
  const plan = bestPlan(problem);
  return plan && valueOfPlan(problem, plan).objective;
}
