/** A home once a plan is accepted and every step of it done. */
import { applied, type HomeFacts } from '../facts';
import type { FoundPlan } from './proposal';
import { acceptChanges, openSteps, partsOf, stepChanges, workOf } from './steps';

/** @param on YYYY-MM-DD */
export function carriedOut(facts: HomeFacts, plan: FoundPlan, on: string): HomeFacts {
  let ids = 0;
  const chosen = partsOf(plan);
  const work = workOf(facts, plan, chosen, on);
  const newId = () => `new-${(ids += 1)}`;
  let home = applied(facts, acceptChanges(facts, plan, { chosen, work, on, newId }))!;
  for (const step of openSteps(home)) home = applied(home, stepChanges(home, step, on))!;
  return home;
}
