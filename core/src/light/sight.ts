/** Which share of one patch another sees: what stands between them, and the openings of reveals, take the rest. */
import { firstBetween, type Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import { mayStandBetween, spanOf } from '../room/span';
import type { Vec } from '../room/vector';
import { passesOpening } from './reveal';
import type { Patch } from './surfaces';

/** Places of one patch, and those of the other to which each looks: so that rows and columns of both are met. */
const PLACES: readonly (readonly [number, number, number, number])[] = [
  [0.25, 0.25, 0.25, 0.75],
  [0.75, 0.25, 0.25, 0.25],
  [0.25, 0.75, 0.75, 0.75],
  [0.75, 0.75, 0.75, 0.25],
];

/** Tells the share of the way between two patches that is clear, 0..1. */
export type Sight = (p: Patch, q: Patch) => number;

/** @param solids whatever stands in the room */
export function sightAmong(solids: readonly Occluder[]): Sight {
  return (p, q) => {
    const throughP = p.behind === q.behind ? null : p.behind;
    const throughQ = p.behind === q.behind ? null : q.behind;
    const between = solids.length > 0 ? mayStandBetween(solids, spanOf(p.rectangle), spanOf(q.rectangle)) : solids;
    if (between.length === 0 && !throughP && !throughQ) return 1;
    let clear = 0;
    for (const [pu, pv, qu, qv] of PLACES) {
      if (isClear(between, throughP, throughQ, pointOn(p.rectangle, pu, pv), pointOn(q.rectangle, qu, qv))) clear++;
    }
    return clear / PLACES.length;
  };
}

function isClear(
  solids: readonly Occluder[],
  throughP: Rectangle | null,
  throughQ: Rectangle | null,
  a: Vec,
  b: Vec,
): boolean {
  if (throughP && !passesOpening(throughP, a.x, a.y, a.z, b.x, b.y, b.z)) return false;
  if (throughQ && !passesOpening(throughQ, a.x, a.y, a.z, b.x, b.y, b.z)) return false;
  return firstBetween(solids, a.x, a.y, a.z, b.x, b.y, b.z) < 0;
}
