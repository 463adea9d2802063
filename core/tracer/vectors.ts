/** Vectors of the tracer, as plain triples: nothing is shared with the engine it is held against. */

export type V = readonly [number, number, number];

export const add = (a: V, b: V): V => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: V, b: V): V => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const mul = (a: V, s: number): V => [a[0] * s, a[1] * s, a[2] * s];
export const dot = (a: V, b: V): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: V, b: V): V => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const norm = (a: V): number => Math.sqrt(dot(a, a));
export const unit = (a: V): V => mul(a, 1 / norm(a));

/** A stream of even numbers in 0..1 from a seed: mulberry32. */
export type Random = () => number;

export function randomFrom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A direction about a normal with a density proportional to its cosine. */
export function cosineWay(normal: V, random: Random): V {
  const turn = 2 * Math.PI * random();
  const square = random();
  const side = unit(Math.abs(normal[0]) < 0.6 ? cross(normal, [1, 0, 0]) : cross(normal, [0, 1, 0]));
  const other = cross(normal, side);
  const out = Math.sqrt(square);
  return add(
    add(mul(side, out * Math.cos(turn)), mul(other, out * Math.sin(turn))),
    mul(normal, Math.sqrt(1 - square)),
  );
}
