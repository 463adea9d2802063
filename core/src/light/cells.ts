/** The patches of surfaces and their quarters: what of each lies open, and which of them holds a point. */
import { firstBetween, type Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import { dot, minus, plus, times, type Vec } from '../room/vector';
import { liesOn } from './hits';
import type { Lines, Surface } from './surfaces';

/** A piece of a surface; its normal points where its light goes. */
export interface Patch {
  readonly rectangle: Rectangle;
  readonly centre: Vec;
  readonly area: number;
  /** What of it is not covered by something that stands against it, m2. */
  readonly openArea: number;
  readonly reflectance: number;
  /** Index of its surface. */
  readonly face: number;
  readonly behind: Rectangle | null;
}

/** A quarter of a patch: first light is kept this finely, since a spot close to a wall sees little but the wall beside it. */
export interface Piece extends Patch {
  /** The patch it is a quarter of, in the exchange between walls. */
  readonly of: number;
}

const halved = (lines: readonly number[]) =>
  lines.flatMap((line, i) => (i === 0 ? [line] : [(lines[i - 1]! + line) / 2, line]));

/** The lines of a surface's quarters. */
export const quartered = ({ u, v }: Lines): Lines => ({ u: halved(u), v: halved(v) });

/**
 * The patches of one surface between its lines, row by row. An opening is black; one with a reveal of its own surfaces is
 * no surface at all.
 * @param covers whatever may stand against it
 */
export function cellsOf(
  surface: Surface,
  index: number,
  { u, v }: Lines,
  openings: readonly { readonly opening: Rectangle; readonly holds: 'glass' | 'reveal' }[],
  covers: readonly Occluder[],
): Patch[] {
  const { rectangle: face, reflectance, behind } = surface;
  const against = covers.filter((cover) => cover !== surface.of && reaches(cover, face));
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
      const opening = openings.find((one) => liesOn(one.opening, face) && holds(one.opening, centre));
      const area = rectangle.sizeU * rectangle.sizeV;
      patches.push({
        rectangle,
        centre,
        area,
        openArea: opening?.holds === 'reveal' ? 0 : area * openShare(rectangle, against),
        reflectance: opening ? 0 : reflectance,
        face: index,
        behind,
      });
    }
  }
  return patches;
}

/** What stands nearer before a surface than this covers it, m; and as much may lie behind it. */
const AGAINST_M = 0.012;

const BEHIND_M = 0.003;

/** Whether a thing comes as near to a surface as to cover a part of it. */
function reaches(o: Occluder, { corner, normal }: Rectangle): boolean {
  const from = (x: number, y: number, z: number) =>
    (x - corner.x) * normal.x + (y - corner.y) * normal.y + (z - corner.z) * normal.z;
  const near = Math.min(from(o.x0, o.y0, o.z0), from(o.x1, o.y1, o.z1));
  const far = Math.max(from(o.x0, o.y0, o.z0), from(o.x1, o.y1, o.z1));
  return near < AGAINST_M && far > -BEHIND_M;
}

/** Points along each edge by which a covered share is told. */
const COVER_POINTS = [1 / 6, 3 / 6, 5 / 6];

function openShare(rectangle: Rectangle, against: readonly Occluder[]): number {
  if (against.length === 0) return 1;
  let open = 0;
  for (const u of COVER_POINTS)
    for (const v of COVER_POINTS) if (!isCovered(pointOn(rectangle, u, v), rectangle.normal, against)) open++;
  return open / COVER_POINTS.length ** 2;
}

function isCovered(at: Vec, normal: Vec, against: readonly Occluder[]): boolean {
  const back = plus(at, times(normal, -BEHIND_M));
  const front = plus(at, times(normal, AGAINST_M));
  return firstBetween(against, back.x, back.y, back.z, front.x, front.y, front.z) >= 0;
}

/** Finds the cell of a surface that holds a point, in the order of `cellsOf`. */
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

function holds(r: Rectangle, point: Vec): boolean {
  const arm = minus(point, r.corner);
  const u = dot(arm, r.edgeU);
  const v = dot(arm, r.edgeV);
  return u > 0 && u < r.sizeU && v > 0 && v < r.sizeV;
}

function cellOf(lines: readonly number[], at: number): number {
  for (let i = 1; i < lines.length - 1; i++) if (at < lines[i]!) return i - 1;
  return lines.length - 2;
}
