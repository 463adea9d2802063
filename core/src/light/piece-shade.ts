/** Which share of each piece of a room's surfaces boards, blocks and crowns leave in a receiver's view. */
import { clearWay, firstBetween, type Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Receiver } from './pane';
import type { Lines, Piece } from './surfaces';

/** The corners of a face's pieces, x, y, z in turn, row by row. */
export interface Lattice {
  readonly points: Float64Array;
  readonly across: number;
  readonly up: number;
}

export function latticeOf(face: Rectangle, { u, v }: Lines): Lattice {
  const points = u.flatMap((atU) =>
    v.flatMap((atV) => {
      const { x, y, z } = pointOn(face, atU / face.sizeU, atV / face.sizeV);
      return [x, y, z];
    }),
  );
  return { points: Float64Array.from(points), across: u.length, up: v.length };
}

/** Points along each edge of a piece by which the shade of something that hides a part of it is told. */
const SHADE_POINTS = 5;

/**
 * The share of each piece that is left in view: a piece whose corners are all behind one solid thing is hidden, since
 * its shadow is convex; one with some corners hidden is looked at more closely. Crowns are told by the way to its middle.
 * @returns null when nothing is in the way
 */
export function shadeOf(
  lattices: readonly Lattice[],
  pieces: readonly Piece[],
  { point, normal }: Receiver,
  occluders: readonly Occluder[],
): Float64Array | null {
  const ahead = occluders.filter((o) => farthestAhead(o, point, normal) > 0);
  if (ahead.length === 0) return null;
  const solids = ahead.filter((o) => o.extinction === Infinity);
  const crowns = ahead.filter((o) => o.extinction !== Infinity);
  const shade = new Float64Array(pieces.length);
  let piece = 0;
  for (const { points, across, up } of lattices) {
    const hiddenBy = new Int16Array(across * up);
    for (let i = 0; i < hiddenBy.length; i++) {
      hiddenBy[i] = firstBetween(
        solids,
        point.x,
        point.y,
        point.z,
        points[3 * i]!,
        points[3 * i + 1]!,
        points[3 * i + 2]!,
      );
    }
    for (let i = 0; i + 1 < across; i++) {
      for (let j = 0; j + 1 < up; j++, piece++) {
        const first = hiddenBy[i * up + j]!;
        const alike =
          first === hiddenBy[i * up + j + 1] &&
          first === hiddenBy[(i + 1) * up + j] &&
          first === hiddenBy[(i + 1) * up + j + 1];
        let left = alike ? (first < 0 ? 1 : 0) : shareSeen(pieces[piece]!.rectangle, point, solids);
        if (left > 0 && crowns.length > 0) {
          const { x, y, z } = pieces[piece]!.centre;
          left *= clearWay(crowns, point.x, point.y, point.z, x, y, z);
        }
        shade[piece] = left;
      }
    }
  }
  return shade;
}

/** How far an occluder reaches to the side that a receiver looks to. */
function farthestAhead(o: Occluder, point: Vec, normal: Vec): number {
  const x = normal.x > 0 ? o.x1 : o.x0;
  const y = normal.y > 0 ? o.y1 : o.y0;
  const z = normal.z > 0 ? o.z1 : o.z0;
  return (x - point.x) * normal.x + (y - point.y) * normal.y + (z - point.z) * normal.z;
}

/** The share of a piece that solid things leave in view. */
function shareSeen(piece: Rectangle, from: Vec, solids: readonly Occluder[]): number {
  let open = 0;
  for (let i = 0; i < SHADE_POINTS; i++) {
    for (let j = 0; j < SHADE_POINTS; j++) {
      const at = pointOn(piece, (i + 0.5) / SHADE_POINTS, (j + 0.5) / SHADE_POINTS);
      if (firstBetween(solids, from.x, from.y, from.z, at.x, at.y, at.z) < 0) open++;
    }
  }
  return open / SHADE_POINTS ** 2;
}
