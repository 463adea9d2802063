/** Boxes along a room's axes around flat things, to tell quickly what may stand between two of them. */
import type { Occluder } from './occluder';
import { pointOn, type Rectangle } from './rectangle';

/** A part of space along the axes, m. */
export interface Span {
  readonly x0: number;
  readonly y0: number;
  readonly z0: number;
  readonly x1: number;
  readonly y1: number;
  readonly z1: number;
}

const spans = new WeakMap<Rectangle, Span>();

/** The box around a rectangle, whichever way it lies. */
export function spanOf(r: Rectangle): Span {
  let span = spans.get(r);
  if (!span) {
    const all = [r.corner, pointOn(r, 1, 0), pointOn(r, 0, 1), pointOn(r, 1, 1)];
    const xs = all.map(({ x }) => x);
    const ys = all.map(({ y }) => y);
    const zs = all.map(({ z }) => z);
    span = {
      x0: Math.min(...xs),
      y0: Math.min(...ys),
      z0: Math.min(...zs),
      x1: Math.max(...xs),
      y1: Math.max(...ys),
      z1: Math.max(...zs),
    };
    spans.set(r, span);
  }
  return span;
}

const NONE: Occluder[] = [];

/** What of a list may stand between two spans: what reaches into the box around both. */
export function mayStandBetween(solids: readonly Occluder[], p: Span, q: Span): readonly Occluder[] {
  const x0 = Math.min(p.x0, q.x0);
  const y0 = Math.min(p.y0, q.y0);
  const z0 = Math.min(p.z0, q.z0);
  const x1 = Math.max(p.x1, q.x1);
  const y1 = Math.max(p.y1, q.y1);
  const z1 = Math.max(p.z1, q.z1);
  let found = NONE;
  for (let i = 0; i < solids.length; i++) {
    const o = solids[i]!;
    if (o.x0 >= x1 || o.x1 <= x0 || o.y0 >= y1 || o.y1 <= y0 || o.z0 >= z1 || o.z1 <= z0) continue;
    if (found === NONE) found = [];
    found.push(o);
  }
  return found;
}
