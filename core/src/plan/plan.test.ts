/** The joint plan against plans whose optimum is known. */
import loadHighs, { type Highs } from 'highs';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { smallestClash } from './clash';
import { solveProgramme } from './highs-solver';
import { problemOf, type PlanCase } from './plan-case.fixture';
import { planProgramme } from './programme';
import { solvePlan } from './solve-plan';
import { breachesOf, valueOfPlan } from './value';

const { cases } = JSON.parse(readFileSync(path.join(__dirname, '../../reference/plan.json'), 'utf8')) as {
  cases: PlanCase[];
};
const [possible, impossible] = [cases.filter(({ best }) => best), cases.filter(({ best }) => !best)];

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

it.each(possible.map((one) => [one.name, one] as const))('%s: the best there is, within the rules', (_, given) => {
  const problem = problemOf(given);
  const { programme, planOf } = planProgramme(problem);
  const outcome = solveProgramme(highs, programme, { gap: 0, seconds: 120 });
  if (outcome.state !== 'solved') throw new Error(outcome.state);
  const plan = planOf(outcome.columns);
  expect(breachesOf(problem, plan)).toEqual([]);
  expect(Math.abs(valueOfPlan(problem, plan).objective - given.best!.objective)).toBeLessThan(1e-6);
  expect(outcome.bound).toBeGreaterThan(given.best!.objective - 1e-6);
});

it.each(impossible.map((one) => [one.name, one] as const))('%s: one of the smallest clashes', (_, given) => {
  const problem = problemOf(given);
  expect(solveProgramme(highs, planProgramme(problem).programme, { gap: 0, seconds: 120 }).state).toBe('impossible');
  const clash = smallestClash(highs, problem)!.map(({ id }) => id);
  expect(given.smallest_clashes!.map((ids) => [...ids].sort())).toContainEqual([...clash].sort());
});

const asWhole = { gap: 1e-9, rounds: 3, seconds: 120 } as const;

it.each(possible.map((one) => [one.name, one] as const))('%s: found by search, prices and solver', (_, given) => {
  const problem = problemOf(given);
  const outcome = solvePlan(highs, problem, asWhole);
  if (outcome.state !== 'found') throw new Error(outcome.state);
  expect(breachesOf(problem, outcome.plan)).toEqual([]);
  expect(Math.abs(outcome.objective - given.best!.objective)).toBeLessThan(1e-6);
  expect(valueOfPlan(problem, outcome.plan).objective).toBeCloseTo(outcome.objective, 9);
  expect(outcome.bound).toBeGreaterThan(given.best!.objective - 1e-6);
});

it.each(impossible.map((one) => [one.name, one] as const))('%s: told as impossible, with what clashes', (_, given) => {
  const outcome = solvePlan(highs, problemOf(given), asWhole);
  if (outcome.state !== 'impossible') throw new Error(outcome.state);
  expect(given.smallest_clashes!.map((ids) => [...ids].sort())).toContainEqual(
    outcome.clash.map(({ id }) => id).sort(),
  );
});
