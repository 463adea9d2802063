import { seeded } from '../sky';
import { chooseSettings, circuitBlocks, valuesWithSettings } from './circuit-blocks';

/** Circuits in a row, each sharing a spot with the next one, and one spot of its own. */
function row(length: number, settings: number, seed: number) {
  const random = seeded(seed);
  const circuits = Array.from({ length }, () => ({ costs: Array.from({ length: settings }, () => random()) }));
  const place = { stand: 0, widthCm: 10, heightCm: 10, loadG: 10 };
  const spots = circuits.flatMap((_, c) => [
    { ...place, circuits: [c] },
    ...(c + 1 < length ? [{ ...place, circuits: c % 2 === 0 ? [c, c + 1] : [c + 1, c] }] : []),
  ]);
  const values = spots.map(({ circuits: lit }) => Array.from({ length: settings ** lit.length }, () => 2 * random()));
  return { circuits, spots, values };
}

/** Every combination of settings, gone through. */
function byEnumeration({ circuits, spots, values }: ReturnType<typeof row>, weight: number) {
  const settings = circuits[0]!.costs.length;
  let best = -Infinity;
  const bestWith = circuits.map(({ costs }) => costs.map(() => -Infinity));
  for (let index = 0; index < settings ** circuits.length; index++) {
    const set = circuits.map((_, c) => Math.floor(index / settings ** c) % settings);
    const gained = spots.reduce(
      (sum, { circuits: lit }, s) => sum + values[s]![lit.reduce((state, c) => state * settings + set[c]!, 0)]!,
      -circuits.reduce((sum, { costs }, c) => sum + weight * costs[set[c]!]!, 0),
    );
    best = Math.max(best, gained);
    set.forEach((k, c) => (bestWith[c]![k] = Math.max(bestWith[c]![k]!, gained)));
  }
  return { best, bestWith };
}

it.each([1, 2, 3, 4])('joined circuits are set as going through all of them would, row %i', (seed) => {
  const given = row(4, 3, seed);
  const [block] = circuitBlocks(given);
  const { best, bestWith } = byEnumeration(given, 0.5);
  const { value, chosen } = chooseSettings(block!, given.circuits, 0.5, given.values, given.spots);
  expect(value).toBeCloseTo(best, 9);
  chosen.forEach((k, c) => expect(bestWith[c]![k]).toBeCloseTo(best, 9));
  valuesWithSettings(block!, given.circuits, 0.5, given.values, given.spots).forEach((own, c) =>
    own.forEach((one, k) => expect(one).toBeCloseTo(bestWith[c]![k]!, 9)),
  );
});

it('a row of twelve joined circuits of ten settings each is chosen from, though they have a million million combinations', () => {
  const given = row(12, 10, 7);
  const [block] = circuitBlocks(given);
  expect(block!.circuits).toHaveLength(12);
  const { value, chosen } = chooseSettings(block!, given.circuits, 1, given.values, given.spots);
  const together = given.spots.reduce(
    (sum, { circuits: lit }, s) => sum + given.values[s]![lit.reduce((state, c) => state * 10 + chosen[c]!, 0)]!,
    -given.circuits.reduce((sum, { costs }, c) => sum + costs[chosen[c]!]!, 0),
  );
  expect(together).toBeCloseTo(value, 9);
});
