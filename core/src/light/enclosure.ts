/** Light thrown from surface to surface: radiosity between the patches of a room, its reveals and what stands in it. */
import type { Occluder, Solid } from '../room/occluder';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { factorise, solve, viewOf, type Factor } from './exchange';
import type { Receiver } from './pane';
import { latticeOf, shadeOf, type Lattice } from './piece-shade';
import { LOOKS_BETWEEN, sightAmong } from './sight';
import { cellsOf, finderOf, quartered, type Patch, type Piece } from './cells';
import { NOTHING_INSIDE, surfacesOf, takingPart, type Inside, type Lines, type Shape, type Surface } from './surfaces';

/** A room's surfaces, ready to answer what a light on them gives elsewhere. */
export interface Enclosure {
  readonly patches: readonly Piece[];
  /** Index of the patch that holds a point of a face, for light that is traced onto it. */
  patchAt(face: number, point: Vec): number;
  importance(receiver: Receiver, occluders: readonly Occluder[]): Importance;
  /** The room's six faces first, then reveals, then the sides of what stands in it. */
  readonly surfaces: readonly Surface[];
  readonly faces: readonly Rectangle[];
  /** The things that take part in the exchange, and the first of the surfaces that are their sides. */
  readonly solids: readonly Solid[];
  readonly firstSide: number;
  /** The pieces of each reveal, by its opening. */
  readonly revealPieces: ReadonlyMap<Rectangle, readonly number[]>;
  /** The openings of windows, each once. */
  readonly openings: readonly Rectangle[];
  /** For each piece its patch in the exchange, and its share of that patch's area. */
  readonly patchOf: Uint16Array;
  readonly shareOfPatch: Float64Array;
  /** The patches the pieces are quarters of. */
  readonly coarse: readonly Patch[];
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
 * Builds the surfaces of a room. Window glass returns nothing: it is cut out of walls as black patches, or lies black at the
 * end of its reveal.
 * @param patchesAlong each edge of a face before window edges are added; narrower toward the corners, where light changes fastest
 * @param inside reveals, boards and solid things, which shade each other and the walls, and throw light back
 */
export function enclosureOf(
  room: Shape,
  openings: readonly Rectangle[],
  patchesAlong: number,
  inside: Inside = NOTHING_INSIDE,
): Enclosure {
  const solids = takingPart(inside.solids, room);
  const surfaces = surfacesOf(room, openings, patchesAlong, { ...inside, solids });
  const faces = surfaces.map(({ rectangle }) => rectangle);
  const { pieces, patches, fineLines } = cutSurfaces(surfaces, openings, solids);
  const isPlain = inside.reveals.length === 0 && solids.length === 0;
  const factor = factorise(patches, isPlain ? null : sightAmong(patches, solids));
  const patchOf = Uint16Array.from(pieces, (piece) => piece.of);
  const shareOfPatch = Float64Array.from(pieces, ({ openArea, of }) =>
    openArea > 0 ? openArea / patches[of]!.openArea : 0,
  );
  return {
    surfaces,
    faces,
    // Trees in leaf and bare trees make two panes of one opening.
    openings: [...new Set(openings)],
    solids,
    firstSide: firstSideOf(surfaces),
    revealPieces: revealPiecesOf(pieces),
    patchOf,
    shareOfPatch,
    coarse: patches,
    coarseCount: patches.length,
    patches: pieces,
    patchAt: finderOf(faces, fineLines),
    importance: importanceIn({
      pieces,
      patchOf,
      shareOfPatch,
      factor,
      coarseCount: patches.length,
      viewsFrom: pieceViews(pieces, patches, factor.looks),
      lattices: surfaces.map((surface, index) => latticeOf(surface, fineLines[index]!)),
    }),
  };
}

/** The patches of all surfaces, and their quarters; a patch is as open as its quarters are. */
function cutSurfaces(
  surfaces: readonly Surface[],
  openings: readonly Rectangle[],
  solids: readonly Solid[],
): { pieces: Piece[]; patches: Patch[]; fineLines: Lines[] } {
  const lines = surfaces.map((surface) => surface.lines);
  const fineLines = lines.map(quartered);
  const deep = new Set(surfaces.map(({ behind }) => behind));
  const held = openings.map((opening) => ({
    opening,
    holds: deep.has(opening) ? ('reveal' as const) : ('glass' as const),
  }));
  const cells = (cut: readonly Lines[]) =>
    surfaces.flatMap((surface, index) => cellsOf(surface, index, cut[index]!, held, solids));
  const coarse = cells(lines);
  const coarseAt = finderOf(
    surfaces.map(({ rectangle }) => rectangle),
    lines,
  );
  const pieces = cells(fineLines).map((piece): Piece => ({ ...piece, of: coarseAt(piece.face, piece.centre) }));
  const openOf = new Float64Array(coarse.length);
  for (const piece of pieces) openOf[piece.of]! += piece.openArea;
  return { pieces, patches: coarse.map((patch, i) => ({ ...patch, openArea: openOf[i]! })), fineLines };
}

interface Exchanged extends Pick<Enclosure, 'patchOf' | 'shareOfPatch' | 'coarseCount'> {
  readonly pieces: readonly Piece[];
  readonly factor: Factor;
  readonly viewsFrom: (piece: number) => Float32Array;
  readonly lattices: readonly Lattice[];
}

function importanceIn({
  pieces,
  patchOf,
  shareOfPatch,
  factor,
  coarseCount,
  viewsFrom,
  lattices,
}: Exchanged): Enclosure['importance'] {
  const reflectanceOf = Float64Array.from(pieces, (piece) => piece.reflectance);
  return (receiver, occluders) => {
    const whole = new Float64Array(pieces.length);
    const byBounces = new Float64Array(pieces.length);
    const seen = new Float64Array(coarseCount);
    const far = new Float64Array(coarseCount);
    const shade = shadeOf(lattices, pieces, receiver, occluders);
    for (let i = 0; i < whole.length; i++) {
      const reflectance = reflectanceOf[i]!;
      if (reflectance === 0) continue;
      let view = viewOf(pieces[i]!, receiver.point, receiver.normal);
      if (view === 0) continue;
      view *= shade ? shade[i]! : 1;
      if (view === 0) continue;
      const passedOn = view * reflectance;
      whole[i] = passedOn;
      if (view > NEAR_VIEW) addRow(seen, passedOn, viewsFrom(i), 0);
      else far[patchOf[i]!]! += passedOn;
    }
    for (let k = 0; k < coarseCount; k++) if (far[k] !== 0) addRow(seen, far[k]!, factor.views, k * coarseCount);
    const gathered = solve(factor, seen);
    for (let i = 0; i < whole.length; i++) {
      const bounced = gathered[patchOf[i]!]! * shareOfPatch[i]!;
      byBounces[i] = bounced;
      whole[i]! += bounced;
    }
    return { whole, byBounces };
  };
}

function firstSideOf(surfaces: readonly Surface[]): number {
  const first = surfaces.findIndex(({ of }) => of !== null);
  return first < 0 ? surfaces.length : first;
}

function revealPiecesOf(pieces: readonly Piece[]): Map<Rectangle, number[]> {
  const reveals = new Map<Rectangle, number[]>();
  pieces.forEach(({ behind, reflectance }, index) => {
    if (!behind || reflectance === 0) return;
    const list = reveals.get(behind);
    if (list) list.push(index);
    else reveals.set(behind, [index]);
  });
  return reveals;
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
function pieceViews(
  pieces: readonly Piece[],
  coarse: readonly Patch[],
  looks: Factor['looks'],
): (piece: number) => Float32Array {
  const known = new Map<number, Float32Array>();
  return (index) => {
    let views = known.get(index);
    if (!views) {
      views = viewsFromPiece(pieces[index]!, coarse, looks);
      known.set(index, views);
    }
    return views;
  };
}

function viewsFromPiece(piece: Piece, coarse: readonly Patch[], looks: Factor['looks']): Float32Array {
  const views = new Float32Array(coarse.length);
  const { centre, rectangle } = piece;
  let sum = 0;
  for (let k = 0; k < coarse.length; k++) {
    const patch = coarse[k]!;
    if (patch.face === piece.face || patch.openArea === 0) continue;
    let view = viewOf(patch, centre, rectangle.normal);
    if (looks) view *= looks[piece.of * coarse.length + k]! / LOOKS_BETWEEN;
    views[k] = view;
    sum += view;
  }
  if (sum > 0) for (let k = 0; k < coarse.length; k++) views[k]! /= sum;
  return views;
}
