export { breachesOf, valueOfPlan, type Breach } from './value';
export { planRounds, solvePlan, type PlanOutcome } from './solve-plan';
export { lightStates, stateUnder, widthOn, worthAt, type Plan, type PlanProblem, type PlanWish } from './problem';
