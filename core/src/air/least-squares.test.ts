/** What was guessed, moved by what was measured: as far as evidence goes, and no further. */
import { learnt, type Evidence } from './least-squares';

function run(starts: readonly (readonly number[])[], evidence: readonly Evidence[]) {
  const steps = learnt(starts, evidence);
  const shares: number[] = [];
  for (;;) {
    const step = steps.next();
    if (step.done) return { ...step.value, shares };
    shares.push(step.value);
  }
}
const NONE: Evidence['off'] = () => [];

it('without evidence a guess stays as it is, and as unsure', () => {
  const { values, spreads } = run([[0, 0]], [{ owns: 0, off: NONE }]);
  expect(values).toEqual([0, 0]);
  expect(spreads).toEqual([1, 1]);
});

it('is the mean of guess and measurement, weighted by how sure each is', () => {
  // Measured 3 with a spread of a half, guessed 0 with one of 1: 3 x 4 / 5, and a spread of 1 / sqrt 5.
  const { values, spreads } = run([[0]], [{ owns: 0, off: ([a]) => [(a! - 3) / 0.5] }]);
  expect(values[0]).toBeCloseTo(2.4, 3);
  expect(spreads[0]).toBeCloseTo(1 / Math.sqrt(5), 6);
});

it('shares what two values cannot be told apart by', () => {
  const { values } = run([[0, 0]], [{ owns: 0, off: ([a, b]) => [10 * (a! + b! - 1)] }]);
  expect(values[0]).toBeCloseTo(0.5, 2);
  expect(values[1]).toBeCloseTo(0.5, 2);
});

it('finds a curved dependence', () => {
  const { values } = run([[0]], [{ owns: 0, off: ([a]) => [100 * (Math.exp(a!) - 2)] }]);
  expect(values[0]).toBeCloseTo(Math.log(2), 3);
});

it('leaves what is one piece of evidence’s own to it', () => {
  const one = (measured: number): Evidence => ({ owns: 1, off: ([a], [b]) => [20 * (a! + b! - measured)] });
  const { values } = run([[0]], [one(1), one(-1)]);
  expect(values).toHaveLength(1);
  expect(values[0]).toBeCloseTo(0, 6);
});

it('tries another start where the first shows no trace of a value', () => {
  // Below 0.5 nothing follows from it.
  const evidence: Evidence = { owns: 0, off: ([a]) => [8 * (Math.max(0.5, a!) - 1.5)] };
  expect(run([[0]], [evidence]).values[0]).toBe(0);
  expect(run([[0], [1]], [evidence]).values[0]).toBeCloseTo(1.5, 1);
});

it('tells how far it is, never going back', () => {
  const { shares } = run([[0, 0]], [{ owns: 0, off: ([a, b]) => [3 * (a! - 1), 2 * (b! + 1)] }]);
  expect(shares.length).toBeGreaterThan(0);
  expect([...shares].sort((p, q) => p - q)).toEqual(shares);
  expect(shares.every((share) => share >= 0 && share <= 1)).toBe(true);
});
