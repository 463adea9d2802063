/** Light thrown from wall to wall: radiosity between patches of a room's six surfaces. */
import type { Occluder } from '../room/occluder';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { factorise, solve, viewOf } from './exchange';
import type { Receiver } from './pane';
import { latticeOf, shadeOf } from './piece-shade';
import { cellsOf, facesOf, finderOf, gridLines, halved, type Patch, type Piece, type Shape } from './surfaces';

/** A room's surfaces, ready to answer what a light on them gives elsewhere. */
export interface Enclosure {
  readonly patches: readonly Piece[];
  /** Index of the patch that holds a point of a face, for light that is traced onto it. */
  patchAt(face: number, point: Vec): number;
  importance(receiver: Receiver, occluders: readonly Occluder[]): Importance;
  readonly faces: readonly Rectangle[];
  /** The openings of windows, each once. */
  readonly openings: readonly Rectangle[];
  /** For each piece its patch in the exchange, and its share of that patch's area. */
  readonly patchOf: Uint16Array;
  readonly shareOfPatch: Float64Array;
  /** How many patches the pieces are quarters of. */
  readonly coarseCount: number;
}

/**
 * How much each piece's first light counts at a receiver after all bounces: irradiance there per unit of irradiance on
 * the piece. What comes straight from it is told by the piece, what comes by further bounces by the larger patches of
 * the exchange.
 */
export interface Importance {
  readonly whole: Float64Array;
  readonly byBounces: Float64Array;
}

/**
 * Builds the surfaces of a room. Window glass in a wall returns nothing: it is cut out as black patches.
 * @param patchesAlong each edge of a face before window edges are added; narrower toward the corners, where light changes fastest
 */
export function enclosureOf(room: Shape, openings: readonly Rectangle[], patchesAlong: number): Enclosure {
  const faces = facesOf(room);
  const reflectances = [room.floorReflectance, room.ceilingReflectance, ...Array<number>(4).fill(room.wallReflectance)];
  const lines = faces.map((face) => gridLines(face, openings, patchesAlong));
  const fineLines = lines.map(({ u, v }) => ({ u: halved(u), v: halved(v) }));
  const coarse = faces.flatMap((face, index) => cellsOf(face, index, lines[index]!, reflectances[index]!, openings));
  const coarseAt = finderOf(faces, lines);
  const pieces = faces
    .flatMap((face, index) => cellsOf(face, index, fineLines[index]!, reflectances[index]!, openings))
    .map((piece): Piece => ({ ...piece, of: coarseAt(piece.face, piece.centre) }));
  const patchOf = Uint16Array.from(pieces, (piece) => piece.of);
  const shareOfPatch = Float64Array.from(pieces, (piece) => piece.area / coarse[piece.of]!.area);
  const reflectanceOf = Float64Array.from(pieces, (piece) => piece.reflectance);
  const factor = factorise(coarse);
  const viewsFrom = pieceViews(pieces, coarse);
  const lattices = fineLines.map((faceLines, index) => latticeOf(faces[index]!, faceLines));
  return {
    faces,
    // Trees in leaf and bare trees make two panes of one opening.
    openings: [...new Set(openings)],
    patchOf,
    shareOfPatch,
    coarseCount: coarse.length,
    patches: pieces,
    patchAt: finderOf(faces, fineLines),
    importance(receiver, occluders) {
      const whole = new Float64Array(pieces.length);
      const byBounces = new Float64Array(pieces.length);
      const seen = new Float64Array(coarse.length);
      const far = new Float64Array(coarse.length);
      const shade = shadeOf(lattices, pieces, receiver, occluders);
      for (let i = 0; i < whole.length; i++) {
        const reflectance = reflectanceOf[i]!;
        if (reflectance === 0) continue;
        let view = viewOf(pieces[i]!, receiver);
        if (view === 0) continue;
        if (shade) {
          view *= shade[i]!;
          if (view === 0) continue;
        }
        const passedOn = view * reflectance;
        whole[i] = passedOn;
        if (view > NEAR_VIEW) addRow(seen, passedOn, viewsFrom(i), 0);
        else far[patchOf[i]!]! += passedOn;
      }
      for (let k = 0; k < coarse.length; k++) if (far[k] !== 0) addRow(seen, far[k]!, factor.views, k * coarse.length);
      const gathered = solve(factor, seen);
      for (let i = 0; i < whole.length; i++) {
        const bounced = gathered[patchOf[i]!]! * shareOfPatch[i]!;
        byBounces[i] = bounced;
        whole[i]! += bounced;
      }
      return { whole, byBounces };
    },
  };
}

/** A piece that takes less of a view than this passes its bounces on by the patch it is a quarter of. */
const NEAR_VIEW = 0.002;

function addRow(sum: Float64Array, weight: number, rows: Float32Array, from: number): void {
  for (let k = 0; k < sum.length; k++) sum[k]! += weight * rows[from + k]!;
}

/**
 * What a piece sees of each patch, worked out when a spot first looks at it closely: the last bounce before a spot goes by
 * the piece, where light changes fastest. A piece's view of a closed room is whole.
 */
function pieceViews(pieces: readonly Patch[], coarse: readonly Patch[]): (piece: number) => Float32Array {
  const known = new Map<number, Float32Array>();
  return (index) => {
    let views = known.get(index);
    if (!views) {
      views = viewsFromPiece(pieces[index]!, coarse);
      known.set(index, views);
    }
    return views;
  };
}

function viewsFromPiece(piece: Patch, coarse: readonly Patch[]): Float32Array {
  const views = new Float32Array(coarse.length);
  const from = { point: piece.centre, normal: piece.rectangle.normal };
  let sum = 0;
  for (let k = 0; k < coarse.length; k++) {
    if (coarse[k]!.face === piece.face) continue;
    const view = viewOf(coarse[k]!, from);
    views[k] = view;
    sum += view;
  }
  for (let k = 0; k < coarse.length; k++) views[k]! /= sum;
  return views;
}
