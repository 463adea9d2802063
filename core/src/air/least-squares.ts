/** Guesses moved by what was measured as far as they were unsure: least squares with a prior (Gauss and Newton). */
import { factored, solved } from './linear';

/** Something that was measured: how far what is computed lies from it, each difference in parts of its own spread. */
export interface Evidence {
  /**
   * @param shared what all evidence hangs on, in parts of their prior spreads; 0 is the guess
   * @param own what this evidence alone hangs on, likewise
   */
  readonly off: (shared: readonly number[], own: readonly number[]) => readonly number[];
  /** How many values are this evidence's own. */
  readonly owns: number;
}

/**
 * Values in parts of their prior spreads, and the spread that is left of each, likewise: below 1 where it was learnt.
 */
export interface Learnt {
  readonly values: readonly number[];
  readonly spreads: readonly number[];
}

const ROUNDS = 5;
/** Slopes are taken over so much of a spread. */
const SLOPE = 0.2;
/** No step is longer, spreads; and one that makes it worse is halved so often. */
const LONGEST = 1.5;
const HALVINGS = 4;
const SETTLED = 0.01;
/** A spread that is left of a value by so much shows that nothing was learnt of it. */
const NO_TRACE = 0.95;

const squares = (list: readonly number[]) => list.reduce((sum, one) => sum + one * one, 0);

/** Rows of what each evidence is off by, and how that changes with its values: the shared ones first. */
function slopesOf({ off, owns }: Evidence, shared: readonly number[], own: readonly number[]) {
  const here = off(shared, own);
  const moved = (list: readonly number[], place: number) => list.map((one, i) => (i === place ? one + SLOPE : one));
  const change = (there: readonly number[]) => there.map((one, row) => (one - here[row]!) / SLOPE);
  return {
    here,
    slopes: [
      ...shared.map((_, i) => change(off(moved(shared, i), own))),
      ...Array.from({ length: owns }, (_, i) => change(off(shared, moved(own, i)))),
    ],
  };
}

/**
 * The most likely values of what was guessed, by all evidence together; a generator that yields the share done.
 * @param starts shared values it is looked for from, each with mean 0 and spread 1 before: further ones as long as a
 * value shows no trace, since what makes no difference at one start may make all of it at another; the best counts
 * @example finish(learnt([[0, 0]], [{ owns: 0, off: ([a, b]) => [10 * (a! + b! - 1)] }])).values // about [0.5, 0.5]
 */
export function* learnt(
  starts: readonly (readonly number[])[],
  evidence: readonly Evidence[],
): Generator<number, Learnt, void> {
  let best: (Learnt & { readonly cost: number }) | null = null;
  for (const [i, start] of starts.entries()) {
    const steps = learntFrom(start, evidence);
    let step = steps.next();
    while (!step.done) {
      yield (i + step.value) / starts.length;
      step = steps.next();
    }
    if (!best || step.value.cost < best.cost) best = step.value;
    if (best.spreads.every((spread) => spread < NO_TRACE)) break;
  }
  return best!;
}

function* learntFrom(
  start: readonly number[],
  evidence: readonly Evidence[],
): Generator<number, Learnt & { readonly cost: number }, void> {
  const count = start.length;
  const owned = evidence.map((_, e) => count + evidence.slice(0, e).reduce((sum, { owns }) => sum + owns, 0));
  const size = count + evidence.reduce((sum, { owns }) => sum + owns, 0);
  const partsOf = (values: readonly number[], e: number) =>
    [values.slice(0, count), values.slice(owned[e], owned[e]! + evidence[e]!.owns)] as const;
  const cost = (values: readonly number[]) =>
    squares(values) + evidence.reduce((sum, one, e) => sum + squares(one.off(...partsOf(values, e))), 0);
  let values: readonly number[] = [...start, ...Array<number>(size - count).fill(0)];
  let best = cost(values);
  let normal = new Float64Array(size * size);
  for (let round = 0; round < ROUNDS; round++) {
    normal = new Float64Array(size * size);
    const pull = Float64Array.from(values, (one) => -one);
    for (let i = 0; i < size; i++) normal[i * size + i] = 1;
    for (const [e, one] of evidence.entries()) {
      yield (round + e / evidence.length) / ROUNDS;
      const { here, slopes } = slopesOf(one, ...partsOf(values, e));
      const placeOf = (i: number) => (i < count ? i : owned[e]! + i - count);
      slopes.forEach((slope, i) => {
        pull[placeOf(i)]! -= slope.reduce((sum, value, row) => sum + value * here[row]!, 0);
        slopes.forEach((other, j) => {
          normal[placeOf(i) * size + placeOf(j)]! += slope.reduce((sum, value, row) => sum + value * other[row]!, 0);
        });
      });
    }
    const step = stepOf(normal, pull);
    const next = improved(values, step, best, cost);
    if (!next) break;
    [values, best] = [next.values, next.cost];
    if (Math.max(...step.map(Math.abs)) < SETTLED) break;
  }
  return { values: values.slice(0, count), spreads: spreadsOf(normal, size).slice(0, count), cost: best };
}

function stepOf(normal: Float64Array, pull: Float64Array): readonly number[] {
  const factors = { matrix: Float64Array.from(normal), order: new Int32Array(pull.length) };
  factored(factors);
  const step = Float64Array.from(pull);
  solved(factors, step);
  const most = Math.max(...step.map(Math.abs));
  return Array.from(step, (one) => (most > LONGEST ? (one * LONGEST) / most : one));
}

/** The step, or as much of it as makes things better; null where nothing of it does. */
function improved(
  values: readonly number[],
  step: readonly number[],
  before: number,
  cost: (values: readonly number[]) => number,
): { readonly values: readonly number[]; readonly cost: number } | null {
  for (let halving = 0, share = 1; halving <= HALVINGS; halving++, share /= 2) {
    const next = values.map((one, i) => one + share * step[i]!);
    const after = cost(next);
    if (after < before) return { values: next, cost: after };
  }
  return null;
}

/** What is left of each spread: the roots of the diagonal of the inverse. */
function spreadsOf(normal: Float64Array, size: number): number[] {
  const factors = { matrix: Float64Array.from(normal), order: new Int32Array(size) };
  factored(factors);
  return Array.from({ length: size }, (_, i) => {
    const unit = new Float64Array(size);
    unit[i] = 1;
    solved(factors, unit);
    return Math.sqrt(Math.max(0, unit[i]!));
  });
}
