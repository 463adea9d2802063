/** What holds of every joint plan, over small ones drawn at random and gone through whole. */
import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { placesOf, responder } from './bound';
import { solveProgramme } from './highs-solver';
import { lightStates, type PlanProblem } from './problem';
import { planProgramme } from './programme';
import { bestByEnumeration, smallProblems } from './small-problems.fixture';
import { solvePlan } from './solve-plan';
import { breachesOf, valueOfPlan } from './value';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const WANTED = { gap: 1e-9, rounds: 1, seconds: 60 } as const;
const NEAR = 1e-6;

it('the programme’s best is the best of all plans, and none where there is none', () => {
  fc.assert(
    fc.property(smallProblems, (problem) => {
      const best = bestByEnumeration(problem);
      const { programme, planOf } = planProgramme(problem);
      const outcome = solveProgramme(highs, programme, { gap: 0, seconds: 60 });
      if (best === null) {
        expect(outcome.state).toBe('impossible');
        return;
      }
      if (outcome.state !== 'solved') throw new Error(outcome.state);
      const plan = planOf(outcome.columns);
      expect(breachesOf(problem, plan)).toEqual([]);
      expect(Math.abs(valueOfPlan(problem, plan).objective - best)).toBeLessThan(NEAR);
    }),
    { numRuns: 60 },
  );
});

it('search, prices and solver find the best, keep every rule, and the same each time', () => {
  fc.assert(
    fc.property(smallProblems, (problem) => {
      const best = bestByEnumeration(problem);
      const outcome = solvePlan(highs, problem, WANTED);
      if (best === null || outcome.state === 'impossible') {
        expect([best, outcome.state]).toEqual([null, 'impossible']);
        return;
      }
      expect(breachesOf(problem, outcome.plan)).toEqual([]);
      expect(Math.abs(outcome.objective - best)).toBeLessThan(NEAR);
      expect(outcome.bound).toBeGreaterThan(best - NEAR);
      expect(solvePlan(highs, problem, WANTED)).toEqual(outcome);
    }),
    { numRuns: 15 },
  );
});

it('no plan is worth more than the bound, whatever the prices', () => {
  const prices = fc.array(fc.double({ min: -1, max: 1.5, noNaN: true }), { minLength: 13, maxLength: 30 });
  fc.assert(
    fc.property(smallProblems, prices, fc.double({ min: 0, max: 0.5, noNaN: true }), (problem, drawn, bearing) => {
      const best = bestByEnumeration(problem);
      if (best === null) return;
      const places = placesOf(problem);
      const { seasons, stands } = problem;
      const place = Float64Array.from(
        { length: seasons.length * places.spot.length },
        (_, i) => drawn[(5 * i) % drawn.length]!,
      );
      const { bound } = responder(
        problem,
        places,
      )({
        place,
        bearing: new Float64Array(seasons.length * stands.length).fill(bearing),
      });
      expect(bound).toBeGreaterThan(best - 1e-9);
    }),
    { numRuns: 100 },
  );
});

/** The same with a spot more, on which every plant is worth what it is on another. */
function withAnotherSpot(problem: PlanProblem): PlanProblem {
  const before = lightStates(problem);
  const spots = [...problem.spots, { ...problem.spots[0]!, circuits: [] }];
  const after = lightStates({ ...problem, spots });
  const rows = problem.worth.length / before.all;
  const worth = new Float64Array(rows * after.all);
  for (let row = 0; row < rows; row++) {
    worth.set(problem.worth.subarray(row * before.all, (row + 1) * before.all), row * after.all);
    worth[row * after.all + before.all] = problem.worth[row * before.all]!;
  }
  return { ...problem, spots, worth };
}

it('one more spot never makes the best worse, and dearer energy never better', () => {
  fc.assert(
    fc.property(smallProblems, (problem) => {
      const best = bestByEnumeration(problem);
      if (best === null) return;
      const objectiveOf = (changed: PlanProblem) => {
        const outcome = solvePlan(highs, changed, WANTED);
        return outcome.state === 'found' ? outcome.objective : -Infinity;
      };
      expect(objectiveOf(withAnotherSpot(problem))).toBeGreaterThan(best - NEAR);
      const dearer = problem.circuits.map(({ costs }) => ({ costs: costs.map((cost) => cost * 2) }));
      expect(objectiveOf({ ...problem, circuits: dearer })).toBeLessThan(best + NEAR);
    }),
    { numRuns: 15 },
  );
});
