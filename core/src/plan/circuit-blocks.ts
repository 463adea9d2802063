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
}

/** What settings of some circuits are worth together: by their combinations, the last circuit's fastest. */
interface Factor {
  /** Places in the block. */
  readonly of: readonly number[];
  readonly table: Float64Array;
}

interface Block {
  readonly counts: readonly number[];
  readonly factors: readonly Factor[];
}

/** What the spots of a block and the costs of its circuits are worth, by the circuits that light them together. */
function factorsOf(
  { circuits: own, spots: lit }: CircuitBlock,
  circuits: readonly PlanCircuit[],
  weight: number,
  values: readonly ArrayLike<number>[],
  spots: readonly PlanSpot[],
): Block {
  const place = new Map(own.map((c, i) => [c, i]));
  const counts = own.map((c) => circuits[c]!.costs.length);
  const byPlaces = new Map<string, Factor>(
    own.map((c, i) => [`${i}`, { of: [i], table: Float64Array.from(circuits[c]!.costs, (cost) => -weight * cost) }]),
  );
  for (const spot of lit) {
    const of = spots[spot]!.circuits.map((c) => place.get(c)!);
    let factor = byPlaces.get(`${of}`);
    if (!factor) byPlaces.set(`${of}`, (factor = { of, table: new Float64Array(values[spot]!.length) }));
    for (let state = 0; state < factor.table.length; state++) factor.table[state]! += values[spot]![state]!;
  }
  return { counts, factors: [...byPlaces.values()] };
}

/** Where a combination of settings stands in a factor's table. */
const at = ({ of }: Factor, counts: readonly number[], settings: ArrayLike<number>): number =>
  of.reduce((index, i) => index * counts[i]! + settings[i]!, 0);

/** A circuit taken out: what remains of the best of its settings for each combination of its neighbours'. */
interface Eliminated {
  readonly circuit: number;
  readonly rest: Factor;
  readonly best: Int32Array;
}

function eliminate(circuit: number, touching: readonly Factor[], counts: readonly number[]): Eliminated {
  const of = [...new Set(touching.flatMap((factor) => factor.of))].filter((i) => i !== circuit);
  const size = of.reduce((product, i) => product * counts[i]!, 1);
  const table = new Float64Array(size).fill(-Infinity);
  const best = new Int32Array(size);
  const settings = new Int32Array(counts.length);
  for (let index = 0; index < size; index++) {
    let left = index;
    for (let i = of.length - 1; i >= 0; i--) {
      settings[of[i]!] = left % counts[of[i]!]!;
      left = Math.floor(left / counts[of[i]!]!);
    }
    for (let k = 0; k < counts[circuit]!; k++) {
      settings[circuit] = k;
      let sum = 0;
      for (const factor of touching) sum += factor.table[at(factor, counts, settings)]!;
      if (sum > table[index]!) [table[index], best[index]] = [sum, k];
    }
  }
  return { circuit, rest: { of, table }, best };
}

/** Takes circuits out one after another, those that are joined to fewest others first; all but one where it is kept. */
function takenOut({ counts, factors }: Block, kept: number | null) {
  const order: Eliminated[] = [];
  let left = [...factors];
  const open = new Set(counts.map((_, i) => i));
  if (kept !== null) open.delete(kept);
  const joined = (i: number) => new Set(left.filter(({ of }) => of.includes(i)).flatMap(({ of }) => of)).size;
  while (open.size > 0) {
    const next = [...open].reduce((p, q) => (joined(q) < joined(p) ? q : p));
    open.delete(next);
    const touching = left.filter(({ of }) => of.includes(next));
    const out = eliminate(next, touching, counts);
    order.push(out);
    left = [...left.filter(({ of }) => !of.includes(next)), out.rest];
  }
  return { order, left };
}

/**
 * The settings of a block that pay most. Circuits are taken out one by one (dynamic programming over the graph of those
 * that light spots together), so that a long row of joined circuits costs no more than its pairs.
 * @param values by spot and light state
 */
export function chooseSettings(
  block: CircuitBlock,
  circuits: readonly PlanCircuit[],
  weight: number,
  values: readonly ArrayLike<number>[],
  spots: readonly PlanSpot[],
): Chosen {
  const whole = factorsOf(block, circuits, weight, values, spots);
  const { order, left } = takenOut(whole, null);
  const chosen = new Array<number>(whole.counts.length).fill(0);
  for (const { circuit, rest, best } of [...order].reverse()) chosen[circuit] = best[at(rest, whole.counts, chosen)]!;
  return { value: left.reduce((sum, { table }) => sum + table[0]!, 0), chosen };
}

/** The most that is gained with each setting of each circuit of a block. */
export function valuesWithSettings(
  block: CircuitBlock,
  circuits: readonly PlanCircuit[],
  weight: number,
  values: readonly ArrayLike<number>[],
  spots: readonly PlanSpot[],
): number[][] {
  const whole = factorsOf(block, circuits, weight, values, spots);
  return block.circuits.map((_, i) => {
    const { left } = takenOut(whole, i);
    return Array.from({ length: whole.counts[i]! }, (_setting, k) =>
      left.reduce((sum, { of, table }) => sum + table[of.length === 0 ? 0 : k]!, 0),
    );
  });
}
