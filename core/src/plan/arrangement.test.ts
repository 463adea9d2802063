/** A plan while it is changed: each change brings what the judge of plans says, and taking it back leaves no trace. */
import fc from 'fast-check';
import { Arrangement } from './arrangement';
import { possibleSpots, type Plan, type PlanProblem } from './problem';
import { smallProblems } from './small-problems.fixture';
import { breachesOf, valueOfPlan } from './value';

/** Each plant on some spot of its own, rules aside, settings at their first. */
const somehow = ({ seasons, plants, spots, circuits }: PlanProblem): Plan => ({
  spots: seasons.map(() => plants.map((_, plant) => plant % spots.length)),
  settings: seasons.map(() => circuits.map(() => 0)),
});

interface Step {
  readonly kind: number;
  readonly season: number;
  readonly which: number;
  readonly to: number;
  readonly kept: boolean;
}

const step: fc.Arbitrary<Step> = fc.record({
  kind: fc.nat(1),
  season: fc.nat(9),
  which: fc.nat(9),
  to: fc.nat(9),
  kept: fc.boolean(),
});

function take(arrangement: Arrangement, { seasons, plants, spots, circuits }: PlanProblem, given: Step): void {
  const season = given.season % seasons.length;
  if (given.kind === 0) arrangement.place(season, given.which % plants.length, given.to % spots.length);
  else {
    const circuit = given.which % circuits.length;
    arrangement.setTo(season, circuit, given.to % circuits[circuit]!.costs.length);
  }
}

it('is worth what its plan is worth after any changes, kept or taken back', () => {
  fc.assert(
    fc.property(smallProblems, fc.array(step, { maxLength: 12 }), (problem, steps) => {
      const arrangement = new Arrangement(problem, somehow(problem));
      for (const given of steps) {
        const before = arrangement.plan();
        take(arrangement, problem, given);
        arrangement.end(given.kept ? 'keep' : 'take-back');
        expect(arrangement.objective).toBeCloseTo(valueOfPlan(problem, arrangement.plan()).objective, 9);
        if (!given.kept) expect(arrangement.plan()).toEqual(before);
      }
    }),
  );
});

it('takes back everything of an attempt that fails, and nothing of one that is kept', () => {
  fc.assert(
    fc.property(smallProblems, fc.array(step, { maxLength: 12 }), fc.boolean(), (problem, steps, succeeds) => {
      const arrangement = new Arrangement(problem, somehow(problem));
      const [before, worth] = [arrangement.plan(), arrangement.objective];
      arrangement.attempt();
      for (const given of steps) {
        take(arrangement, problem, given);
        arrangement.end(given.kept ? 'keep' : 'take-back');
      }
      const after = arrangement.plan();
      arrangement.settle(succeeds ? 'keep' : 'take-back');
      expect(arrangement.plan()).toEqual(succeeds ? after : before);
      expect(arrangement.objective).toBeCloseTo(succeeds ? valueOfPlan(problem, after).objective : worth, 9);
    }),
  );
});

it('knows beforehand what turning a circuit brings', () => {
  fc.assert(
    fc.property(smallProblems, step, (problem, { season, which, to }) => {
      const arrangement = new Arrangement(problem, somehow(problem));
      const [s, c] = [season % problem.seasons.length, which % problem.circuits.length];
      const setting = to % problem.circuits[c]!.costs.length;
      const hoped = arrangement.gainOfSetting(s, c, setting);
      const before = arrangement.objective;
      arrangement.setTo(s, c, setting);
      arrangement.end('keep');
      expect(arrangement.objective - before).toBeCloseTo(hoped, 9);
    }),
  );
});

it('brings nothing that breaks a rule of width, load or wish', () => {
  fc.assert(
    fc.property(smallProblems, fc.array(step, { maxLength: 8 }), (problem, steps) => {
      const possible = possibleSpots(problem);
      const arrangement = new Arrangement(problem, somehow(problem));
      for (const given of steps) take(arrangement, problem, given);
      if (!arrangement.brings(-Infinity)) return;
      const broken = breachesOf(problem, arrangement.plan()).filter(
        (breach) => breach.rule === 'width' || breach.rule === 'load' || breach.rule === 'stand-load',
      );
      // A spot that is too low, too narrow or forbidden for one plant alone is never proposed to it.
      const alone = arrangement.plan().spots.every((at) => at.every((spot, plant) => possible[plant]!.includes(spot)));
      if (alone) expect(broken).toEqual([]);
    }),
  );
});
