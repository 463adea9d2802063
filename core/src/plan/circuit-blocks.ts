/** Circuits that light a spot together are set together; others each by itself. */
import type { PlanCircuit, PlanProblem, PlanSpot } from './problem';

export interface CircuitBlock {
  readonly circuits: readonly number[];
  readonly spots: readonly number[];
}

/** Circuits joined by the spots they light. */
export function circuitBlocks({ spots, circuits }: Pick<PlanProblem, 'spots' | 'circuits'>): CircuitBlock[] {
  const blockOf = circuits.map((_, c) => c);
  const root = (c: number): number => (blockOf[c] === c ? c : root(blockOf[c]!));
  for (const { circuits: lit } of spots) for (const c of lit.slice(1)) blockOf[root(c)] = root(lit[0]!);
  const roots = [...new Set(circuits.map((_, c) => root(c)))];
  return roots.map((block) => ({
    circuits: circuits.flatMap((_, c) => (root(c) === block ? [c] : [])),
    spots: spots.flatMap(({ circuits: lit }, s) => (lit.length > 0 && root(lit[0]!) === block ? [s] : [])),
  }));
}

export interface Chosen {
  readonly value: number;
  /** By circuit of the block. */
  readonly chosen: readonly number[];
  /** The most that is gained with each setting of each circuit. */
  readonly valueWith: readonly (readonly number[])[];
}

/**
 * The settings of a block that pay most, by going through all of them, the last circuits inmost.
 * @param values by spot and light state
 */
export function chooseSettings(
  { circuits: own, spots: lit }: CircuitBlock,
  circuits: readonly PlanCircuit[],
  weight: number,
  values: readonly ArrayLike<number>[],
  spots: readonly PlanSpot[],
): Chosen {
  const settings = new Array<number>(own.length).fill(0);
  const position = new Map(own.map((c, i) => [c, i]));
  // A spot is counted as soon as all that light it are set.
  const counted = own.map((_, i) =>
    lit.filter((spot) => Math.max(...spots[spot]!.circuits.map((c) => position.get(c)!)) === i),
  );
  let best = { value: -Infinity, chosen: [] as readonly number[] };
  const valueWith = own.map((c) => circuits[c]!.costs.map(() => -Infinity));
  const go = (i: number, sum: number): void => {
    if (i === own.length) {
      if (sum > best.value) best = { value: sum, chosen: [...settings] };
      settings.forEach((k, at) => {
        if (sum > valueWith[at]![k]!) valueWith[at]![k] = sum;
      });
      return;
    }
    const { costs } = circuits[own[i]!]!;
    for (let k = 0; k < costs.length; k++) {
      settings[i] = k;
      let gained = -weight * costs[k]!;
      for (const spot of counted[i]!) {
        const state = spots[spot]!.circuits.reduce(
          (at, c) => at * circuits[c]!.costs.length + settings[position.get(c)!]!,
          0,
        );
        gained += values[spot]![state]!;
      }
      go(i + 1, sum + gained);
    }
  };
  go(0, 0);
  return { ...best, valueWith };
}
