/** Which share of each piece of a room's surfaces boards, blocks and crowns leave in a receiver's view. */
import { clearWay, firstBetween, type Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Receiver } from './pane';
import { passesOpening } from './reveal';
import type { Piece } from './cells';
import type { Lines, Surface } from './surfaces';

/** The corners of a surface's pieces, x, y, z in turn, row by row. */
export interface Lattice {
  readonly surface: Pick<Surface, 'rectangle' | 'behind'>;
  readonly points: Float64Array;
  readonly across: number;
  readonly up: number;
}

export function latticeOf(surface: Lattice['surface'], { u, v }: Lines): Lattice {
  const face = surface.rectangle;
  const points = u.flatMap((atU) =>
    v.flatMap((atV) => {
      const { x, y, z } = pointOn(face, atU / face.sizeU, atV / face.sizeV);
      return [x, y, z];
    }),
  );
  return { surface, points: Float64Array.from(points), across: u.length, up: v.length };
}

/** Points along each edge of a piece by which the shade of something that hides a part of it is told. */
const SHADE_POINTS = 5;

/**
 * The share of each piece that is left in view: a piece whose corners are all behind one solid thing is hidden, since
 * its shadow is convex; one with some corners hidden is looked at more closely. The sides of a reveal are seen through
 * their opening alone. Crowns are told by the way to a piece's middle.
 * @returns null when nothing is in the way
 */
export function shadeOf(
  lattices: readonly Lattice[],
  pieces: readonly Piece[],
  { point, normal }: Receiver,
  occluders: readonly Occluder[],
): Float64Array | null {
  const ahead = occluders.filter((o) => farthestAhead(o, point, normal) > 0);
  if (ahead.length === 0 && lattices.every(({ surface }) => surface.behind === null)) return null;
  const solids = ahead.filter((o) => o.extinction === Infinity);
  const crowns = ahead.filter((o) => o.extinction !== Infinity);
  const shade = new Float64Array(pieces.length);
  let first = 0;
  for (const lattice of lattices) {
    const count = (lattice.across - 1) * (lattice.up - 1);
    if (isBefore(lattice.surface.rectangle, point)) shadeSurface(shade, first, lattice, pieces, point, solids, crowns);
    first += count;
  }
  return shade;
}

/** Whether a point lies on the side of a surface that its normal shows. */
function isBefore({ corner, normal }: Rectangle, { x, y, z }: Vec): boolean {
  return (x - corner.x) * normal.x + (y - corner.y) * normal.y + (z - corner.z) * normal.z > 0;
}

/** What `firstBetween` cannot answer: the way does not lead through the opening. */
const PAST_OPENING = -2;

function shadeSurface(
  shade: Float64Array,
  firstPiece: number,
  { surface, points, across, up }: Lattice,
  pieces: readonly Piece[],
  point: Vec,
  solids: readonly Occluder[],
  crowns: readonly Occluder[],
): void {
  const { x, y, z } = point;
  const opening =
    surface.behind && isBefore({ ...surface.behind, normal: reversed(surface.behind.normal) }, point)
      ? surface.behind
      : null;
  const hiding = (toX: number, toY: number, toZ: number): number =>
    opening && !passesOpening(opening, x, y, z, toX, toY, toZ)
      ? PAST_OPENING
      : firstBetween(solids, x, y, z, toX, toY, toZ);
  if (!opening && solids.length === 0 && crowns.length === 0) {
    shade.fill(1, firstPiece, firstPiece + (across - 1) * (up - 1));
    return;
  }
  const hiddenBy = new Int16Array(across * up);
  for (let i = 0; i < hiddenBy.length; i++)
    hiddenBy[i] = hiding(points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!);
  let piece = firstPiece;
  for (let i = 0; i + 1 < across; i++) {
    for (let j = 0; j + 1 < up; j++, piece++) {
      const corner = hiddenBy[i * up + j]!;
      const alike =
        corner !== PAST_OPENING &&
        corner === hiddenBy[i * up + j + 1] &&
        corner === hiddenBy[(i + 1) * up + j] &&
        corner === hiddenBy[(i + 1) * up + j + 1];
      let left = alike ? (corner === -1 ? 1 : 0) : shareSeen(pieces[piece]!.rectangle, hiding);
      if (left > 0 && crowns.length > 0) {
        const middle = pieces[piece]!.centre;
        left *= clearWay(crowns, x, y, z, middle.x, middle.y, middle.z);
      }
      shade[piece] = left;
    }
  }
}

const reversed = ({ x, y, z }: Vec): Vec => ({ x: -x, y: -y, z: -z });

/** How far an occluder reaches to the side that a receiver looks to. */
function farthestAhead(o: Occluder, point: Vec, normal: Vec): number {
  const x = normal.x > 0 ? o.x1 : o.x0;
  const y = normal.y > 0 ? o.y1 : o.y0;
  const z = normal.z > 0 ? o.z1 : o.z0;
  return (x - point.x) * normal.x + (y - point.y) * normal.y + (z - point.z) * normal.z;
}

/** The share of a piece to which the way is open. */
function shareSeen(piece: Rectangle, hiding: (x: number, y: number, z: number) => number): number {
  let open = 0;
  for (let i = 0; i < SHADE_POINTS; i++) {
    for (let j = 0; j < SHADE_POINTS; j++) {
      const at = pointOn(piece, (i + 0.5) / SHADE_POINTS, (j + 0.5) / SHADE_POINTS);
      if (hiding(at.x, at.y, at.z) === -1) open++;
    }
  }
  return open / SHADE_POINTS ** 2;
}
