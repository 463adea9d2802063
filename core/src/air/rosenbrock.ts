/**
 * A stiff system carried over one step: ROS2, a Rosenbrock method of order 2 that damps what is faster than its step
 * (Verwer and others 1999). Sums that follow from the state are carried along, so that what is kept in the rates is
 * kept in the step, to rounding.
 */
import { factored, solved, type Factors } from './linear';

/** L-stable, with the smaller error of the two. */
const GAMMA = 1 - Math.SQRT1_2;
/** By how much a state is moved to see what its rates do: a thousandth of a kelvin, a millionth of a kg/kg. */
const NUDGE = [1e-3, 1e-6] as const;

/** No step need be shorter: a second is well under what any zone takes to change. */
export const SHORTEST_S = 1;

/** Writes the rates at values, at the beginning or the end of the step. */
export type Rates = (values: Float64Array, part: 'from' | 'to', rates: Float64Array) => void;

/**
 * Carries values over a step of so many seconds, in place, and says how far off the states may be, in parts of what is
 * borne: beside the same step of order 1. More than 1 is too far, and the values are left as they were.
 */
export type Step = (values: Float64Array, seconds: number, rates: Rates) => number;

/** What a state may be off in one step, reckoned at order 1: a fiftieth of a kelvin, a fiftieth of a gram to a kg. */
const BORNE = [0.02, 2e-5] as const;

/** A step for values of a length, of which the first are states and the others sums; its room to work is taken once. */
export function stepFor(states: number, length: number): Step {
  const room = () => new Float64Array(length);
  const [first, second, moved] = [room(), room(), room()];
  const slopes = Array.from({ length: states }, room);
  const factors: Factors = { matrix: new Float64Array(states * states), order: new Int32Array(states) };
  return (values, seconds, rates) => {
    rates(values, 'from', first);
    writeSlopes(values, first, slopes, moved, rates);
    factorStep(slopes, GAMMA * seconds, factors);
    damp(first, slopes, GAMMA * seconds, factors);
    for (let i = 0; i < length; i++) moved[i] = values[i]! + seconds * first[i]!;
    rates(moved, 'to', second);
    for (let i = 0; i < length; i++) second[i]! -= 2 * first[i]!;
    damp(second, slopes, GAMMA * seconds, factors);
    let off = 0;
    for (let i = 0; i < states; i++) {
      const apart = Math.abs(0.5 * seconds * (first[i]! + second[i]!)) / BORNE[i % BORNE.length]!;
      if (!(apart <= off)) off = apart;
    }
    if (!(off <= 1) && seconds > SHORTEST_S) return off;
    for (let i = 0; i < length; i++) values[i]! += seconds * (1.5 * first[i]! + 0.5 * second[i]!);
    return Math.min(1, off);
  };
}

/** By state: how all rates change with it. */
function writeSlopes(
  values: Float64Array,
  atStart: Float64Array,
  slopes: readonly Float64Array[],
  moved: Float64Array,
  rates: Rates,
): void {
  for (let i = 0; i < moved.length; i++) moved[i] = values[i]!;
  for (const [state, slope] of slopes.entries()) {
    const nudge = NUDGE[state % NUDGE.length]!;
    moved[state] = values[state]! + nudge;
    rates(moved, 'from', slope);
    moved[state] = values[state]!;
    for (let i = 0; i < slope.length; i++) slope[i] = (slope[i]! - atStart[i]!) / nudge;
  }
}

/** 1 - reach x slopes of the states, factored. */
function factorStep(slopes: readonly Float64Array[], reach: number, factors: Factors): void {
  const states = slopes.length;
  for (let row = 0; row < states; row++)
    for (let column = 0; column < states; column++)
      factors.matrix[row * states + column] = (row === column ? 1 : 0) - reach * slopes[column]![row]!;
  factored(factors);
}

/**
 * Rates as the implicit step takes them, in place: the states' solved, the sums' with what the states' own change
 * adds.
 */
function damp(rates: Float64Array, slopes: readonly Float64Array[], reach: number, factors: Factors): void {
  const states = slopes.length;
  solved(factors, rates);
  for (let row = states; row < rates.length; row++)
    for (let column = 0; column < states; column++) rates[row]! += reach * slopes[column]![row]! * rates[column]!;
}
