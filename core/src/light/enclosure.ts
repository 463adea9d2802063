/** Light thrown from wall to wall: radiosity between patches of a room's six surfaces. */
import { clearWay, firstBetween, type Occluder } from '../room/occluder';
import { pointOn, rectangleFactor, type Rectangle } from '../room/rectangle';
import { dot, length, minus, vec, type Vec } from '../room/vector';
import type { Room } from '../home/facts';
import type { Receiver } from './pane';

/** A piece of wall, floor or ceiling; its normal points into the room. */
interface Patch {
  readonly rectangle: Rectangle;
  readonly centre: Vec;
  readonly area: number;
  readonly reflectance: number;
  readonly face: number;
}

/** A quarter of a patch: first light is kept this finely, since a spot close to a wall sees little but the wall beside it. */
interface Piece extends Patch {
  /** The patch it is a quarter of, in the exchange between walls. */
  readonly of: number;
}

/** A room's surfaces, ready to answer what a light on them gives elsewhere. */
export interface Enclosure {
  readonly patches: readonly Piece[];
  /** Index of the patch that holds a point of a face, for light that is traced onto it. */
  patchAt(face: number, point: Vec): number;
  importance(receiver: Receiver, occluders: readonly Occluder[]): Importance;
  readonly faces: readonly Rectangle[];
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

/** Lines nearer to a window edge than this share of the face give way to it. */
const TOO_NEAR = 0.04;

type Shape = Pick<Room, 'widthM' | 'depthM' | 'heightM' | 'floorReflectance' | 'wallReflectance' | 'ceilingReflectance'>;

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
  const views = viewsOf(pieces, coarse);
  const patchViews = viewsOf(coarse, coarse);
  const lattices = fineLines.map((faceLines, index) => latticeOf(faces[index]!, faceLines));
  return {
    faces,
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
        if (view > NEAR_VIEW) addRow(seen, passedOn, views, i * coarse.length);
        else far[patchOf[i]!]! += passedOn;
      }
      for (let k = 0; k < coarse.length; k++) if (far[k] !== 0) addRow(seen, far[k]!, patchViews, k * coarse.length);
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

interface Lines {
  readonly u: readonly number[];
  readonly v: readonly number[];
}

const halved = (lines: readonly number[]) => lines.flatMap((line, i) => (i === 0 ? [line] : [(lines[i - 1]! + line) / 2, line]));

/** The patches of one face between its lines, row by row. */
function cellsOf(face: Rectangle, index: number, { u, v }: Lines, reflectance: number, openings: readonly Rectangle[]): Patch[] {
  const patches: Patch[] = [];
  for (let i = 0; i + 1 < u.length; i++) {
    for (let j = 0; j + 1 < v.length; j++) {
      const rectangle: Rectangle = {
        ...face,
        corner: pointOn(face, u[i]! / face.sizeU, v[j]! / face.sizeV),
        sizeU: u[i + 1]! - u[i]!,
        sizeV: v[j + 1]! - v[j]!,
      };
      const centre = pointOn(rectangle, 0.5, 0.5);
      const black = openings.some((opening) => liesOn(opening, face) && holds(opening, centre));
      patches.push({ rectangle, centre, area: rectangle.sizeU * rectangle.sizeV, reflectance: black ? 0 : reflectance, face: index });
    }
  }
  return patches;
}

/** Finds the cell of a face that holds a point, in the order of `cellsOf`. */
function finderOf(faces: readonly Rectangle[], lines: readonly Lines[]): (face: number, point: Vec) => number {
  const firstOf: number[] = [];
  let count = 0;
  for (const { u, v } of lines) {
    firstOf.push(count);
    count += (u.length - 1) * (v.length - 1);
  }
  return (face, point) => {
    const { u, v } = lines[face]!;
    const arm = minus(point, faces[face]!.corner);
    const i = cellOf(u, dot(arm, faces[face]!.edgeU));
    const j = cellOf(v, dot(arm, faces[face]!.edgeV));
    return firstOf[face]! + i * (v.length - 1) + j;
  };
}

/** Floor, ceiling, walls A, B, C, D, each with its normal into the room. */
function facesOf({ widthM: w, depthM: d, heightM: h }: Shape): Rectangle[] {
  const x = vec(1, 0, 0);
  const y = vec(0, 1, 0);
  const z = vec(0, 0, 1);
  const face = (corner: Vec, edgeU: Vec, edgeV: Vec, sizeU: number, sizeV: number, normal: Vec) => ({
    corner, edgeU, edgeV, sizeU, sizeV, normal,
  });
  return [
    face(vec(0, 0, 0), x, y, w, d, z),
    face(vec(0, 0, h), x, y, w, d, vec(0, 0, -1)),
    face(vec(0, 0, 0), x, z, w, h, y),
    face(vec(w, 0, 0), y, z, d, h, vec(-1, 0, 0)),
    face(vec(0, d, 0), x, z, w, h, vec(0, -1, 0)),
    face(vec(0, 0, 0), y, z, d, h, x),
  ];
}

/** Which face of a box a ray from inside meets, and where. */
export function hitFace(room: Pick<Room, 'widthM' | 'depthM' | 'heightM'>, from: Vec, way: Vec): { face: number; point: Vec } {
  let nearest = Infinity;
  let face = 0;
  const test = (distance: number, index: number) => {
    if (distance > 1e-9 && distance < nearest) {
      nearest = distance;
      face = index;
    }
  };
  if (way.z < 0) test(-from.z / way.z, 0);
  if (way.z > 0) test((room.heightM - from.z) / way.z, 1);
  if (way.y < 0) test(-from.y / way.y, 2);
  if (way.x > 0) test((room.widthM - from.x) / way.x, 3);
  if (way.y > 0) test((room.depthM - from.y) / way.y, 4);
  if (way.x < 0) test(-from.x / way.x, 5);
  return {
    face,
    point: { x: from.x + way.x * nearest, y: from.y + way.y * nearest, z: from.z + way.z * nearest },
  };
}

function liesOn(opening: Rectangle, face: Rectangle): boolean {
  return dot(opening.normal, face.normal) < -0.999 && Math.abs(dot(minus(opening.corner, face.corner), face.normal)) < 1e-6;
}

function holds(r: Rectangle, point: Vec): boolean {
  const arm = minus(point, r.corner);
  const u = dot(arm, r.edgeU);
  const v = dot(arm, r.edgeV);
  return u > 0 && u < r.sizeU && v > 0 && v < r.sizeV;
}

function gridLines(face: Rectangle, openings: readonly Rectangle[], patchesAlong: number): { u: number[]; v: number[] } {
  const cutsU: number[] = [];
  const cutsV: number[] = [];
  for (const opening of openings) {
    if (!liesOn(opening, face)) continue;
    const arm = minus(opening.corner, face.corner);
    const u = dot(arm, face.edgeU);
    const v = dot(arm, face.edgeV);
    cutsU.push(u, u + opening.sizeU);
    cutsV.push(v, v + opening.sizeV);
  }
  return { u: linesAlong(face.sizeU, cutsU, patchesAlong), v: linesAlong(face.sizeV, cutsV, patchesAlong) };
}

function linesAlong(size: number, cuts: readonly number[], patchesAlong: number): number[] {
  const graded = Array.from({ length: patchesAlong + 1 }, (_, i) => (size * (1 - Math.cos((Math.PI * i) / patchesAlong))) / 2);
  const inner = graded.slice(1, -1).filter((line) => cuts.every((cut) => Math.abs(cut - line) > TOO_NEAR * size));
  const held = cuts.filter((cut) => cut > 1e-6 && cut < size - 1e-6);
  const lines = [0, ...inner, ...held, size].sort((p, q) => p - q);
  return lines.filter((line, i) => i === 0 || line - lines[i - 1]! > 1e-6);
}

function cellOf(lines: readonly number[], at: number): number {
  for (let i = 1; i < lines.length - 1; i++) if (at < lines[i]!) return i - 1;
  return lines.length - 2;
}

/** Distance, in patch widths, beyond which a patch is treated as a point when seen. */
const FAR = 4;

function viewOf(patch: Patch, { point, normal }: Receiver): number {
  const dx = patch.centre.x - point.x;
  const dy = patch.centre.y - point.y;
  const dz = patch.centre.z - point.z;
  const square = dx * dx + dy * dy + dz * dz;
  const n = patch.rectangle.normal;
  if (square > FAR * FAR * patch.area) {
    const distance = Math.sqrt(square);
    const here = (dx * normal.x + dy * normal.y + dz * normal.z) / distance;
    const there = -(dx * n.x + dy * n.y + dz * n.z) / distance;
    return here > 0 && there > 0 ? (here * there * patch.area) / (Math.PI * square) : 0;
  }
  if (dot(minus(point, patch.rectangle.corner), n) <= 1e-9) return 0;
  return rectangleFactor(patch.rectangle, point, normal);
}

/** Exchange between two patches, area times form factor, from two by two points of the smaller one when they are near. */
function exchange(p: Patch, q: Patch): number {
  const distance = length(minus(p.centre, q.centre));
  if (distance * distance > FAR * FAR * Math.max(p.area, q.area)) {
    return p.area * viewOf(q, { point: p.centre, normal: p.rectangle.normal });
  }
  let sum = 0;
  for (const u of [0.25, 0.75]) {
    for (const v of [0.25, 0.75]) {
      sum += viewOf(q, { point: pointOn(p.rectangle, u, v), normal: p.rectangle.normal });
    }
  }
  return (p.area * sum) / 4;
}

/** A piece that takes less of a view than this passes its bounces on by the patch it is a quarter of. */
const NEAR_VIEW = 0.002;

function addRow(sum: Float64Array, weight: number, rows: Float32Array, from: number): void {
  for (let k = 0; k < sum.length; k++) sum[k]! += weight * rows[from + k]!;
}

/**
 * What each piece sees of each patch, `piece * patches + patch`: the last bounce before a spot goes by the piece, where
 * light changes fastest. A piece's view of a closed room is whole.
 */
function viewsOf(pieces: readonly Patch[], coarse: readonly Patch[]): Float32Array {
  const views = new Float32Array(pieces.length * coarse.length);
  for (let i = 0; i < pieces.length; i++) {
    const piece = pieces[i]!;
    if (piece.reflectance === 0) continue;
    const row = i * coarse.length;
    const from = { point: piece.centre, normal: piece.rectangle.normal };
    let sum = 0;
    for (let k = 0; k < coarse.length; k++) {
      if (coarse[k]!.face === piece.face) continue;
      const view = viewOf(coarse[k]!, from);
      views[row + k] = view;
      sum += view;
    }
    for (let k = 0; k < coarse.length; k++) views[row + k]! /= sum;
  }
  return views;
}

/** The corners of a face's pieces, x, y, z in turn, row by row. */
interface Lattice {
  readonly points: Float64Array;
  readonly across: number;
  readonly up: number;
}

function latticeOf(face: Rectangle, { u, v }: Lines): Lattice {
  const points = u.flatMap((atU) => v.flatMap((atV) => {
    const { x, y, z } = pointOn(face, atU / face.sizeU, atV / face.sizeV);
    return [x, y, z];
  }));
  return { points: Float64Array.from(points), across: u.length, up: v.length };
}

/** Points along each edge of a piece by which the shade of something that hides a part of it is told. */
const SHADE_POINTS = 5;

/**
 * The share of each piece that is left in view: a piece whose corners are all behind one solid thing is hidden, since
 * its shadow is convex; one with some corners hidden is looked at more closely. Crowns are told by the way to its middle.
 * @returns null when nothing is in the way
 */
function shadeOf(lattices: readonly Lattice[], pieces: readonly Piece[], { point, normal }: Receiver, occluders: readonly Occluder[]): Float64Array | null {
  const ahead = occluders.filter((o) => farthestAhead(o, point, normal) > 0);
  if (ahead.length === 0) return null;
  const solids = ahead.filter((o) => o.extinction === Infinity);
  const crowns = ahead.filter((o) => o.extinction !== Infinity);
  const shade = new Float64Array(pieces.length);
  let piece = 0;
  for (const { points, across, up } of lattices) {
    const hiddenBy = new Int16Array(across * up);
    for (let i = 0; i < hiddenBy.length; i++) {
      hiddenBy[i] = firstBetween(solids, point.x, point.y, point.z, points[3 * i]!, points[3 * i + 1]!, points[3 * i + 2]!);
    }
    for (let i = 0; i + 1 < across; i++) {
      for (let j = 0; j + 1 < up; j++, piece++) {
        const first = hiddenBy[i * up + j]!;
        const alike = first === hiddenBy[i * up + j + 1] && first === hiddenBy[(i + 1) * up + j] && first === hiddenBy[(i + 1) * up + j + 1];
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

/** Cholesky factor of the room's exchange matrix over the patches that reflect, lower triangle, row by row. */
interface Factor {
  /** Patches that reflect, and the square root of reflectance over area of each. */
  readonly bright: Uint16Array;
  readonly root: Float64Array;
  readonly areas: Float64Array;
  readonly lower: Float64Array;
}

/** Times the exchange is evened out so that every patch's view of the room sums to 1. */
const EVENINGS = 4;

/**
 * Importance obeys m_j = g_j + sum_i F_ij rho_i m_i. Since A_i F_ij is the same both ways, z_i = m_i sqrt(rho_i / A_i)
 * turns it into a symmetric, positive definite system, which costs half of what the plain one does. Black patches drop out.
 */
function factorise(patches: readonly Patch[]): Factor {
  const all = patches.length;
  const shared = new Float64Array(all * all);
  for (let i = 0; i < all; i++) {
    const p = patches[i]!;
    for (let j = 0; j < i; j++) {
      const q = patches[j]!;
      if (p.face === q.face) continue;
      const both = exchange(p, q);
      shared[i * all + j] = both;
      shared[j * all + i] = both;
    }
  }
  const scale = evened(shared, patches);
  const bright = Uint16Array.from(Array.from(patches.keys()).filter((i) => patches[i]!.reflectance > 0));
  const n = bright.length;
  const root = new Float64Array(n);
  const areas = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const { reflectance, area } = patches[bright[i]!]!;
    root[i] = Math.sqrt(reflectance / area);
    areas[i] = area;
  }
  const lower = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    const row = i * n;
    const from = bright[i]! * all;
    const weight = root[i]! * scale[bright[i]!]!;
    for (let j = 0; j <= i; j++) {
      const top = j * n;
      let sum = (i === j ? 1 : 0) - weight * shared[from + bright[j]!]! * scale[bright[j]!]! * root[j]!;
      for (let k = 0; k < j; k++) sum -= lower[row + k]! * lower[top + k]!;
      lower[row + j] = i === j ? Math.sqrt(sum) : sum / lower[top + j]!;
    }
  }
  return { bright, root, areas, lower };
}

/** A closed room loses nothing between its patches: factors for each patch that make its view of the others whole. */
function evened(shared: Float64Array, patches: readonly Patch[]): Float64Array {
  const n = patches.length;
  const scale = new Float64Array(n).fill(1);
  for (let round = 0; round < EVENINGS; round++) {
    for (let i = 0; i < n; i++) {
      let sum = 0;
      for (let j = 0; j < n; j++) sum += shared[i * n + j]! * scale[j]!;
      // Half a step at a time, since both ends of an exchange are scaled.
      scale[i]! *= Math.sqrt(patches[i]!.area / (sum * scale[i]!));
    }
  }
  return scale;
}

/** Importance times reflectance by patch, for what each patch is in a receiver's view. */
function solve({ bright, root, areas, lower }: Factor, seen: Float64Array): Float64Array {
  const n = bright.length;
  const z = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = seen[bright[i]!]! * root[i]!;
    const row = i * n;
    for (let j = 0; j < i; j++) sum -= lower[row + j]! * z[j]!;
    z[i] = sum / lower[row + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    const row = i * n;
    const value = z[i]! / lower[row + i]!;
    z[i] = value;
    for (let j = 0; j < i; j++) z[j]! -= lower[row + j]! * value;
  }
  const importance = new Float64Array(seen.length);
  // m rho = z sqrt(A / rho) rho = z sqrt(rho / A) A.
  for (let i = 0; i < n; i++) importance[bright[i]!] = z[i]! * root[i]! * areas[i]!;
  return importance;
}
