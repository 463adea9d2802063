/** Which wishes cannot hold together, the fewest first: what to ask the grower when no plan keeps them all. */
import type { Highs } from 'highs';
import { solveProgramme } from './highs-solver';
import { unlit, type PlanProblem, type PlanWish } from './problem';
import { planProgramme } from './programme';

/** Whether something can be placed is not worth longer, s. */
const DECIDED_WITHIN_S = 30;

/** Rules are those of every season, and moves do not matter to them. */
function oneArrangement(problem: PlanProblem, wishes: readonly PlanWish[]): PlanProblem {
  const plants = problem.plants.map((plant) => ({ ...plant, moveCost: 0 }));
  return unlit({ ...problem, plants, wishes }, new Float64Array(plants.length * problem.spots.length));
}

const canHold = (highs: Highs, problem: PlanProblem, wishes: readonly PlanWish[]): boolean =>
  solveProgramme(highs, planProgramme(oneArrangement(problem, wishes)).programme, { gap: 1, seconds: DECIDED_WITHIN_S })
    .state !== 'impossible';

/** All sets of so many of a list, in its order. */
function* choices<T>(list: readonly T[], size: number, from = 0): Generator<readonly T[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (let i = from; i <= list.length - size; i++)
    for (const rest of choices(list, size - 1, i + 1)) yield [list[i]!, ...rest];
}

/** Leaves out, one after another, what the clash does not need: what is left clashes, and nothing less of it does. */
function narrowed(highs: Highs, problem: PlanProblem, wishes: readonly PlanWish[]): readonly PlanWish[] {
  let left = wishes;
  for (const wish of wishes) {
    const without = left.filter((one) => one !== wish);
    if (!canHold(highs, problem, without)) left = without;
  }
  return left;
}

/**
 * One of the smallest sets of wishes that cannot hold together with the rules: empty where the rules alone cannot be
 * met, null where all hold. A set found by leaving out bounds the size; fewer are then tried from one upwards.
 */
export function smallestClash(highs: Highs, problem: PlanProblem): readonly PlanWish[] | null {
  if (canHold(highs, problem, problem.wishes)) return null;
  if (!canHold(highs, problem, [])) return [];
  const found = narrowed(highs, problem, problem.wishes);
  for (let size = 1; size < found.length; size++)
    for (const some of choices(problem.wishes, size)) if (!canHold(highs, problem, some)) return some;
  return found;
}
