/** What holds of every joint plan, over small ones drawn at random and gone through whole. */
import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { placesOf, responder, type Places, type Prices } from './bound';
import { solveProgramme } from './highs-solver';
import { choiceRegrets } from './open-choices';
import { gainsByWidth, packedGain, packedKeys, wanting } from './packing';
import { lightStates, stateUnder, type PlanProblem } from './problem';
import { planProgramme } from './programme';
import { bestByEnumeration, bestPlan, smallProblems } from './small-problems.fixture';
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
      if (best === null || outcome.state !== 'found') {
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

/** Prices at random, of places and of what stands bear. */
const somePrices = fc
  .tuple(
    fc.array(fc.double({ min: -1, max: 1.5, noNaN: true }), { minLength: 13, maxLength: 30 }),
    fc.double({ min: 0, max: 0.5, noNaN: true }),
  )
  .map(([drawn, bearing]) => (problem: PlanProblem, places: Places): Prices => {
    const { seasons, stands } = problem;
    const length = seasons.length * places.spot.length;
    return {
      place: Float64Array.from({ length }, (_, i) => drawn[(5 * i) % drawn.length]!),
      bearing: new Float64Array(seasons.length * stands.length).fill(bearing),
    };
  });

it('no plan is worth more than the bound, whatever the prices', () => {
  fc.assert(
    fc.property(smallProblems, somePrices, (problem, pricesOf) => {
      const best = bestByEnumeration(problem);
      if (best === null) return;
      const places = placesOf(problem);
      expect(responder(problem, places)(pricesOf(problem, places)).bound).toBeGreaterThan(best - 1e-9);
    }),
    { numRuns: 100 },
  );
});

it('nothing of the best plan costs the bound more than lies between the two, whatever the prices', () => {
  fc.assert(
    fc.property(smallProblems, somePrices, (problem, pricesOf) => {
      const plan = bestPlan(problem);
      if (plan === null) return;
      const places = placesOf(problem);
      const prices = pricesOf(problem, places);
      const slack = responder(problem, places)(prices).bound - valueOfPlan(problem, plan).objective;
      const regrets = choiceRegrets(problem, places, prices);
      plan.spots.forEach((at, season) =>
        at.forEach((spot, plant) => {
          const state = stateUnder(problem.circuits, problem.spots[spot]!.circuits, plan.settings[season]!);
          expect(regrets.of(season, plant, spot, state)).toBeLessThan(slack + 1e-9);
        }),
      );
    }),
    { numRuns: 100 },
  );
});

it('plants packed side by side gain the most there is, within the width', () => {
  const plants = fc.array(fc.tuple(fc.integer({ min: 5, max: 40 }), fc.double({ min: 0.01, max: 1, noNaN: true })), {
    maxLength: 6,
  });
  fc.assert(
    fc.property(plants, fc.integer({ min: 5, max: 300 }), (given, room) => {
      const wanted = wanting(given.length);
      for (const [width, gain] of given) {
        [wanted.key[wanted.count], wanted.width[wanted.count], wanted.gain[wanted.count]] = [wanted.count, width, gain];
        wanted.count += 1;
      }
      const fitting = given.filter(([width]) => width <= room);
      if (fitting.length < given.length) return;
      const widthOf = (some: readonly (readonly [number, number])[]) => some.reduce((sum, [width]) => sum + width, 0);
      const gainOf = (some: readonly (readonly [number, number])[]) => some.reduce((sum, [, gain]) => sum + gain, 0);
      const all = given.reduce<(readonly [number, number])[][]>(
        (sets, one) => [...sets, ...sets.map((some) => [...some, one])],
        [[]],
      );
      const most = Math.max(...all.filter((some) => widthOf(some) <= room).map(gainOf));
      const chosen = packedKeys(wanted, room).map((key) => given[key]!);
      expect(packedGain(wanted, room)).toBeCloseTo(most, 9);
      expect(gainsByWidth(wanted, room)[room]).toBeCloseTo(most, 9);
      expect(widthOf(chosen)).toBeLessThanOrEqual(room);
      expect(gainOf(chosen)).toBeCloseTo(most, 9);
    }),
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

it('a plant that a wish leaves no spot is told with that wish, and one that fits nowhere with none', () => {
  const spot = { stand: 0, widthCm: 20, heightCm: 20, loadG: 9, circuits: [] };
  const plant = { widthCm: 10, heightCm: 5, loadG: 1, moveCost: 0, now: null };
  const base = { seasons: [1], spots: [spot], stands: [{ loadG: 9 }], circuits: [], worth: new Float64Array(1) };
  const forbidden = { id: 'w', kind: 'forbid', plant: 0, spots: [0] } as const;
  expect(solvePlan(highs, { ...base, plants: [plant], wishes: [forbidden] }, WANTED)).toEqual({
    state: 'impossible',
    clash: [forbidden],
  });
  const tooTall = { ...plant, heightCm: 30 };
  expect(solvePlan(highs, { ...base, plants: [tooTall], wishes: [] }, WANTED)).toEqual({
    state: 'impossible',
    clash: [],
  });
});
