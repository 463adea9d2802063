/** Which share of one patch another sees: what stands between them, and the openings of reveals, take the rest. */
import { firstBetween, type Occluder } from '../room/occluder';
import { pointOn } from '../room/rectangle';
import { mayStandBetween, spanOf, type Span } from '../room/span';
import { passesOpening } from './reveal';
import type { Patch } from './cells';

/** Places of one patch, and those of the other to which each looks, along their edges: rows and columns of both are met. */
const FROM_PLACES = [
  [0.25, 0.25],
  [0.75, 0.25],
  [0.25, 0.75],
  [0.75, 0.75],
] as const;
const TO_PLACES = [
  [0.25, 0.75],
  [0.25, 0.25],
  [0.75, 0.75],
  [0.75, 0.25],
] as const;

/** Ways looked along from one patch to another. */
export const LOOKS_BETWEEN = FROM_PLACES.length;

/** Tells how many of the ways between two patches, by their index, are clear: 0 to `LOOKS_BETWEEN`. */
export type Sight = (i: number, j: number) => number;

/** @param solids whatever stands in the room */
export function sightAmong(patches: readonly Patch[], solids: readonly Occluder[]): Sight {
  const spans: Span[] = patches.map(({ rectangle }) => spanOf(rectangle));
  const from = placesOf(patches, FROM_PLACES);
  const to = placesOf(patches, TO_PLACES);
  return (i, j) => {
    const p = patches[i]!;
    const q = patches[j]!;
    const throughP = p.behind === q.behind ? null : p.behind;
    const throughQ = p.behind === q.behind ? null : q.behind;
    const between = mayStandBetween(solids, spans[i]!, spans[j]!);
    if (between.length === 0 && !throughP && !throughQ) return LOOKS_BETWEEN;
    let clear = 0;
    for (let look = 0; look < LOOKS_BETWEEN; look++) {
      const a = 3 * (i * LOOKS_BETWEEN + look);
      const b = 3 * (j * LOOKS_BETWEEN + look);
      const ax = from[a]!;
      const ay = from[a + 1]!;
      const az = from[a + 2]!;
      const bx = to[b]!;
      const by = to[b + 1]!;
      const bz = to[b + 2]!;
      if (throughP && !passesOpening(throughP, ax, ay, az, bx, by, bz)) continue;
      if (throughQ && !passesOpening(throughQ, ax, ay, az, bx, by, bz)) continue;
      if (firstBetween(between, ax, ay, az, bx, by, bz) < 0) clear++;
    }
    return clear;
  };
}

function placesOf(patches: readonly Patch[], places: readonly (readonly [number, number])[]): Float64Array {
  const points = new Float64Array(3 * places.length * patches.length);
  let at = 0;
  for (const { rectangle } of patches) {
    for (const [u, v] of places) {
      const { x, y, z } = pointOn(rectangle, u, v);
      points[at++] = x;
      points[at++] = y;
      points[at++] = z;
    }
  }
  return points;
}
