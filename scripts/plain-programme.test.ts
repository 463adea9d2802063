/** The plain form that the bench sets beside the tight one says the same of small plans. */
import loadHighs, { type Highs } from 'highs';
import fc from 'fast-check';
import { solveProgramme } from '../core/src/plan/highs-solver';
import { bestByEnumeration, smallProblems } from '../core/src/plan/small-problems.fixture';
import { plainProgramme } from './plain-programme';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

it('has the same best as going through all plans, and none where there is none', () => {
  fc.assert(
    fc.property(smallProblems, (problem) => {
      const best = bestByEnumeration(problem);
      const outcome = solveProgramme(highs, plainProgramme(problem), { gap: 0, seconds: 120 });
      if (best === null) expect(outcome.state).toBe('impossible');
      else {
        if (outcome.state !== 'solved') throw new Error(outcome.state);
        expect(outcome.bound).toBeCloseTo(best, 5);
      }
    }),
    { numRuns: 40 },
  );
});
