/** The sun's beam straight on a level leaf through one window, run by run of the year's steps. */
import { HOUR_BINS, type SkyYear } from '../sky/year';
import { clearWay, firstBetween, type Occluder } from '../room/occluder';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Pane } from './pane';
import type { PaneYear } from './pane-year';
import { addPlace, addStep, emptyTally, type SunTally } from './sun-tally';

/** A leaf as the opening sees it: where straight out of the opening it lies, and how far away, m. */
interface Stance {
  readonly u: number;
  readonly v: number;
  readonly away: number;
}

function stanceOf({ corner, edgeU, edgeV, normal }: Rectangle, leaf: Vec): Stance {
  const x = leaf.x - corner.x;
  const y = leaf.y - corner.y;
  const z = leaf.z - corner.z;
  return {
    u: x * edgeU.x + y * edgeU.y + z * edgeU.z,
    v: x * edgeV.x + y * edgeV.y + z * edgeV.z,
    away: -(x * normal.x + y * normal.y + z * normal.z),
  };
}

/** A box on an opening's plane, from its near corner along its edges, m. */
interface Span {
  readonly u0: number;
  readonly u1: number;
  readonly v0: number;
  readonly v1: number;
}

/** The least and most of an offset divided by how far ahead it lies. */
function slopes(from: number, to: number, near: number, far: number): [number, number] {
  const low = from >= 0 ? from / far : near > 0 ? from / near : -Infinity;
  const high = to <= 0 ? to / far : near > 0 ? to / near : Infinity;
  return [low, high];
}

/** Where on an opening's plane an occluder can stand in a leaf's way at all: too large rather than too small; null when nowhere. */
function shadowOf(o: Occluder, { edgeU, edgeV, normal }: Rectangle, leaf: Vec, { u, v, away }: Stance): Span | null {
  const along = (axis: Vec): [number, number] => {
    const x = [(o.x0 - leaf.x) * axis.x, (o.x1 - leaf.x) * axis.x];
    const y = [(o.y0 - leaf.y) * axis.y, (o.y1 - leaf.y) * axis.y];
    const z = [(o.z0 - leaf.z) * axis.z, (o.z1 - leaf.z) * axis.z];
    return [Math.min(...x) + Math.min(...y) + Math.min(...z), Math.max(...x) + Math.max(...y) + Math.max(...z)];
  };
  const [near, far] = along(normal);
  if (far <= 0 || near >= away) return null;
  const reach = Math.min(far, away);
  const [u0, u1] = slopes(...along(edgeU), near, reach);
  const [v0, v1] = slopes(...along(edgeV), near, reach);
  return { u0: u + away * u0, u1: u + away * u1, v0: v + away * v0, v1: v + away * v1 };
}

/**
 * Follows the sun through a year, summed by bin. A run of steps whose beams all miss the leaf is passed over; one that reaches it whole
 * is added at once; the rest is followed step by step.
 */
export function sunOnLeaf(
  pane: Pane,
  leaf: Vec,
  occluders: readonly Occluder[],
  sky: SkyYear,
  outside: PaneYear,
): SunTally {
  const sum = emptyTally(HOUR_BINS, sky.dayTypes);
  const { opening } = pane;
  const stance = stanceOf(opening, leaf);
  const { away } = stance;
  if (away <= 0) return sum;
  // The sun comes from above: what ends below the leaf hides nothing of it.
  const above = occluders.filter((occluder) => occluder.z1 > leaf.z);
  const solids = above.filter((occluder) => occluder.extinction === Infinity);
  const shadows = above.flatMap((occluder) => shadowOf(occluder, opening, leaf, stance) ?? []);
  const { starts, along, parts, whole } = outside.runs;
  for (let run = 0; run + 1 < starts.length; run++) {
    const u0 = stance.u + along[4 * run]! * away;
    const u1 = stance.u + along[4 * run + 1]! * away;
    if (u0 > opening.sizeU || u1 < 0) continue;
    const v0 = stance.v + along[4 * run + 2]! * away;
    const v1 = stance.v + along[4 * run + 3]! * away;
    if (v0 > opening.sizeV || v1 < 0) continue;
    const shaded = shadows.some((shadow) => u1 >= shadow.u0 && u0 <= shadow.u1 && v1 >= shadow.v0 && v0 <= shadow.v1);
    const reachesWhole =
      !shaded &&
      u0 >= parts[4 * run]! &&
      u1 <= parts[4 * run + 1]! &&
      v0 >= parts[4 * run + 2]! &&
      v1 <= parts[4 * run + 3]!;
    if (reachesWhole) {
      addPlace(sum, sky.bin[outside.steps[starts[run]!]!]!, whole, run, sky.dayTypes);
    } else if (!shaded || !hiddenWhole(solids, opening, leaf, { u0, u1, v0, v1 })) {
      addSteps(sum, opening, leaf, stance, shaded ? above : [], sky, outside, starts[run]!, starts[run + 1]!);
    }
  }
  return sum;
}

/** Whether one solid thing hides all of a box on the opening's plane: it does when it hides the corners, since its shadow is convex. */
function hiddenWhole(
  solids: readonly Occluder[],
  { corner, edgeU, edgeV }: Rectangle,
  leaf: Vec,
  { u0, u1, v0, v1 }: Span,
): boolean {
  const hiddenBy = (u: number, v: number) =>
    firstBetween(
      solids,
      leaf.x,
      leaf.y,
      leaf.z,
      corner.x + edgeU.x * u + edgeV.x * v,
      corner.y + edgeU.y * u + edgeV.y * v,
      corner.z + edgeU.z * u + edgeV.z * v,
    );
  const first = hiddenBy(u0, v0);
  return first >= 0 && hiddenBy(u1, v0) === first && hiddenBy(u0, v1) === first && hiddenBy(u1, v1) === first;
}

function addSteps(
  sum: SunTally,
  { corner, edgeU, edgeV }: Rectangle,
  leaf: Vec,
  stance: Stance,
  above: readonly Occluder[],
  sky: SkyYear,
  outside: PaneYear,
  from: number,
  to: number,
): void {
  const { alongU, alongV, parts } = outside;
  let before = -1;
  let hourSum = 0;
  for (let i = from; i < to; i++) {
    const u = stance.u + alongU[i]! * stance.away;
    if (u < parts[4 * i]! || u > parts[4 * i + 1]!) continue;
    const v = stance.v + alongV[i]! * stance.away;
    if (v < parts[4 * i + 2]! || v > parts[4 * i + 3]!) continue;
    let passed = outside.passed[i]!;
    let shine = outside.treeShare[i]!;
    if (above.length > 0) {
      // Under a tree or a crown the sun shines in flecks: what is left of it counts.
      const way = clearWay(
        above,
        leaf.x,
        leaf.y,
        leaf.z,
        corner.x + edgeU.x * u + edgeV.x * v,
        corner.y + edgeU.y * u + edgeV.y * v,
        corner.z + edgeU.z * u + edgeV.z * v,
      );
      if (way === 0) continue;
      passed *= way;
      shine *= way;
    }
    const step = outside.steps[i]!;
    hourSum = addStep(sum, sky.bin[step]!, sky, step, passed * outside.height[i]!, shine, before, hourSum);
    before = step;
  }
}
