/** Plans bettered by exchanges: never worse, never against the rules, and best where pots are alike. */
import fc from 'fast-check';
import { Arrangement } from './arrangement';
import { Exchanges } from './exchange';
import { polished } from './polish';
import { lightStates, type Plan, type PlanProblem } from './problem';
import { bestByEnumeration, smallProblems } from './small-problems.fixture';
import { solvePlan } from './solve-plan';
import { breachesOf, valueOfPlan } from './value';

const everyTurn = { rounds: 3, isLikely: () => true, goOn: () => true };

/** Some plan within the rules, without a solver. */
function somePlan(problem: PlanProblem): Plan | null {
  const found = solvePlan(null, problem, { gap: 1, rounds: 0, seconds: 0 });
  return found.state === 'found' ? found.plan : null;
}

it('never makes a plan worse, nor breaks a rule', () => {
  fc.assert(
    fc.property(smallProblems, (problem) => {
      const start = somePlan(problem);
      if (!start) return;
      const after = polished(problem, start, everyTurn);
      expect(breachesOf(problem, after)).toEqual([]);
      expect(valueOfPlan(problem, after).objective).toBeGreaterThan(valueOfPlan(problem, start).objective - 1e-9);
    }),
    { numRuns: 60 },
  );
});

/** So many alike pots, a spot for each and some more, one season, no lamps. */
const alike: fc.Arbitrary<PlanProblem> = fc
  .record({
    plants: fc.integer({ min: 2, max: 5 }),
    more: fc.integer({ min: 0, max: 1 }),
    moveCost: fc.integer({ min: 0, max: 8 }),
    worths: fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 11, maxLength: 40 }),
  })
  .map(({ plants, more, moveCost, worths }) => {
    const spots = Array.from({ length: plants + more }, () => ({
      stand: 0,
      widthCm: 20,
      heightCm: 30,
      loadG: 100,
      circuits: [],
    }));
    const made = {
      seasons: [1],
      plants: Array.from({ length: plants }, (_, now) => ({
        widthCm: 15,
        heightCm: 10,
        loadG: 1,
        moveCost: moveCost / 100,
        now,
      })),
      spots,
      stands: [{ loadG: 1000 }],
      circuits: [],
      wishes: [],
    };
    const size = plants * lightStates(made).all;
    return { ...made, worth: Float64Array.from({ length: size }, (_, i) => worths[(7 * i) % worths.length]! / 100) };
  });

it('finds the best there is where pots are alike', () => {
  fc.assert(
    fc.property(alike, (problem) => {
      const asTheyStand: Plan = { spots: [problem.plants.map(({ now }) => now!)], settings: [[]] };
      const after = polished(problem, asTheyStand);
      expect(valueOfPlan(problem, after).objective).toBeCloseTo(bestByEnumeration(problem)!, 9);
    }),
    { numRuns: 40 },
  );
});

it('takes a whole ring when no two of its plants could change places with gain', () => {
  // Each of three wants the place of the next, and is worth nothing on that of the one before.
  const worth = Float64Array.from([0.2, 1, 0, 0, 0.2, 1, 1, 0, 0.2]);
  const spot = { stand: 0, widthCm: 20, heightCm: 30, loadG: 100, circuits: [] };
  const plant = { widthCm: 15, heightCm: 10, loadG: 1, moveCost: 0.1 };
  const problem: PlanProblem = {
    seasons: [1],
    plants: [0, 1, 2].map((now) => ({ ...plant, now })),
    spots: [spot, spot, spot],
    stands: [{ loadG: 1000 }],
    circuits: [],
    wishes: [],
    worth,
  };
  const arrangement = new Arrangement(problem, { spots: [[0, 1, 2]], settings: [[]] });
  new Exchanges(problem, arrangement).better(0, 0);
  expect(arrangement.plan().spots).toEqual([[1, 2, 0]]);
  expect(arrangement.objective).toBeCloseTo(3 - 0.3, 9);
});

it('keeps plants of a group on one stand', () => {
  const spot = (stand: number) => ({ stand, widthCm: 20, heightCm: 30, loadG: 100, circuits: [] });
  const plant = { widthCm: 15, heightCm: 10, loadG: 1, moveCost: 0 };
  const problem: PlanProblem = {
    seasons: [1],
    plants: [0, 1].map((now) => ({ ...plant, now })),
    spots: [spot(0), spot(0), spot(1)],
    stands: [{ loadG: 1000 }, { loadG: 1000 }],
    circuits: [],
    wishes: [{ id: 'g', kind: 'group', plants: [0, 1] }],
    worth: Float64Array.from([0.1, 0.3, 1, 0.3, 0.1, 1]),
  };
  const after = polished(problem, { spots: [[0, 1]], settings: [[]] });
  expect(after.spots).toEqual([[1, 0]]);
});
