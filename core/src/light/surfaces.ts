/** A room's six faces cut into patches, narrower toward corners and along window edges, and each patch into quarters. */
import type { Room } from '../facts';
import { pointOn, type Rectangle } from '../room/rectangle';
import { dot, minus, vec, type Vec } from '../room/vector';

/** A piece of wall, floor or ceiling; its normal points into the room. */
export interface Patch {
  readonly rectangle: Rectangle;
  readonly centre: Vec;
  readonly area: number;
  readonly reflectance: number;
  readonly face: number;
}

/** A quarter of a patch: first light is kept this finely, since a spot close to a wall sees little but the wall beside it. */
export interface Piece extends Patch {
  /** The patch it is a quarter of, in the exchange between walls. */
  readonly of: number;
}

/** Lines nearer to a window edge than this share of the face give way to it. */
const TOO_NEAR = 0.04;

export type Shape = Pick<
  Room,
  'widthM' | 'depthM' | 'heightM' | 'floorReflectance' | 'wallReflectance' | 'ceilingReflectance'
>;

export interface Lines {
  readonly u: readonly number[];
  readonly v: readonly number[];
}

export const halved = (lines: readonly number[]) =>
  lines.flatMap((line, i) => (i === 0 ? [line] : [(lines[i - 1]! + line) / 2, line]));

/** The patches of one face between its lines, row by row. */
export function cellsOf(
  face: Rectangle,
  index: number,
  { u, v }: Lines,
  reflectance: number,
  openings: readonly Rectangle[],
): Patch[] {
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
      patches.push({
        rectangle,
        centre,
        area: rectangle.sizeU * rectangle.sizeV,
        reflectance: black ? 0 : reflectance,
        face: index,
      });
    }
  }
  return patches;
}

/** Finds the cell of a face that holds a point, in the order of `cellsOf`. */
export function finderOf(faces: readonly Rectangle[], lines: readonly Lines[]): (face: number, point: Vec) => number {
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
export function facesOf({ widthM: w, depthM: d, heightM: h }: Shape): Rectangle[] {
  const x = vec(1, 0, 0);
  const y = vec(0, 1, 0);
  const z = vec(0, 0, 1);
  const face = (corner: Vec, edgeU: Vec, edgeV: Vec, sizeU: number, sizeV: number, normal: Vec) => ({
    corner,
    edgeU,
    edgeV,
    sizeU,
    sizeV,
    normal,
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
export function hitFace(
  room: Pick<Room, 'widthM' | 'depthM' | 'heightM'>,
  from: Vec,
  way: Vec,
): { face: number; point: Vec } {
  // Each pair of faces stands at right angles to one axis: the ray can meet one of the two.
  const alongX = way.x > 0 ? (room.widthM - from.x) / way.x : way.x < 0 ? -from.x / way.x : Infinity;
  const alongY = way.y > 0 ? (room.depthM - from.y) / way.y : way.y < 0 ? -from.y / way.y : Infinity;
  const alongZ = way.z > 0 ? (room.heightM - from.z) / way.z : way.z < 0 ? -from.z / way.z : Infinity;
  let nearest = Infinity;
  let face = 0;
  if (alongZ > ON_FACE_M) {
    nearest = alongZ;
    face = way.z > 0 ? 1 : 0;
  }
  if (alongY > ON_FACE_M && alongY < nearest) {
    nearest = alongY;
    face = way.y > 0 ? 4 : 2;
  }
  if (alongX > ON_FACE_M && alongX < nearest) {
    nearest = alongX;
    face = way.x > 0 ? 3 : 5;
  }
  return {
    face,
    point: { x: from.x + way.x * nearest, y: from.y + way.y * nearest, z: from.z + way.z * nearest },
  };
}

/** A face no farther than this is the one the ray starts from. */
const ON_FACE_M = 1e-9;

/** Whether an opening is a part of a face or of its patch's plane: none of its light falls there straight. */
export function liesOn(opening: Rectangle, face: Rectangle): boolean {
  return (
    dot(opening.normal, face.normal) < -0.999 && Math.abs(dot(minus(opening.corner, face.corner), face.normal)) < 1e-6
  );
}

function holds(r: Rectangle, point: Vec): boolean {
  const arm = minus(point, r.corner);
  const u = dot(arm, r.edgeU);
  const v = dot(arm, r.edgeV);
  return u > 0 && u < r.sizeU && v > 0 && v < r.sizeV;
}

export function gridLines(
  face: Rectangle,
  openings: readonly Rectangle[],
  patchesAlong: number,
): { u: number[]; v: number[] } {
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
  const graded = Array.from(
    { length: patchesAlong + 1 },
    (_, i) => (size * (1 - Math.cos((Math.PI * i) / patchesAlong))) / 2,
  );
  const inner = graded.slice(1, -1).filter((line) => cuts.every((cut) => Math.abs(cut - line) > TOO_NEAR * size));
  const held = cuts.filter((cut) => cut > 1e-6 && cut < size - 1e-6);
  const lines = [0, ...inner, ...held, size].sort((p, q) => p - q);
  return lines.filter((line, i) => i === 0 || line - lines[i - 1]! > 1e-6);
}

function cellOf(lines: readonly number[], at: number): number {
  for (let i = 1; i < lines.length - 1; i++) if (at < lines[i]!) return i - 1;
  return lines.length - 2;
}
