/** Which share of one patch another sees: what stands between them, and the openings of reveals, take the rest. */
import { firstBetween, type Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { passesOpening } from './reveal';
import type { Patch } from './surfaces';

/** A part of space along the axes. */
interface Span {
  readonly x0: number;
  readonly y0: number;
  readonly z0: number;
  readonly x1: number;
  readonly y1: number;
  readonly z1: number;
}

/** Places of one patch, and those of the other to which each looks: so that rows and columns of both are met. */
const PLACES: readonly (readonly [number, number, number, number])[] = [
  [0.25, 0.25, 0.25, 0.75],
  [0.75, 0.25, 0.25, 0.25],
  [0.25, 0.75, 0.75, 0.75],
  [0.75, 0.75, 0.75, 0.25],
];

const spans = new WeakMap<Rectangle, Span>();

/** The box around a rectangle, along the axes. */
export function spanOf(r: Rectangle): Span {
  let span = spans.get(r);
  if (!span) {
    const far = pointOn(r, 1, 1);
    const { corner } = r;
    span = {
      x0: Math.min(corner.x, far.x),
      y0: Math.min(corner.y, far.y),
      z0: Math.min(corner.z, far.z),
      x1: Math.max(corner.x, far.x),
      y1: Math.max(corner.y, far.y),
      z1: Math.max(corner.z, far.z),
    };
    spans.set(r, span);
  }
  return span;
}

/** What of a list may stand between two spans: what reaches into the box around both. */
export function mayStandBetween(solids: readonly Occluder[], p: Span, q: Span): Occluder[] {
  const x0 = Math.min(p.x0, q.x0);
  const y0 = Math.min(p.y0, q.y0);
  const z0 = Math.min(p.z0, q.z0);
  const x1 = Math.max(p.x1, q.x1);
  const y1 = Math.max(p.y1, q.y1);
  const z1 = Math.max(p.z1, q.z1);
  return solids.filter((o) => o.x0 < x1 && o.x1 > x0 && o.y0 < y1 && o.y1 > y0 && o.z0 < z1 && o.z1 > z0);
}

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
