/**
 * The surfaces that take part in a room's exchange of light: its six faces, the sides of reveals, and the sides of boards and
 * solid things; each cut into patches and each patch into quarters.
 */
import type { Room } from '../facts';
import { firstBetween, type Occluder, type Solid } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import { dot, minus, plus, times, vec, type Vec } from '../room/vector';
import { glassFace, revealSides, type Reveal } from './reveal';

/** One flat surface, lit on the side its normal shows. */
export interface Surface {
  readonly rectangle: Rectangle;
  readonly reflectance: number;
  readonly lines: Lines;
  /** The opening behind which it lies, for the sides of a reveal and the glass at its end. */
  readonly behind: Rectangle | null;
  /** The solid thing of which it is a side. */
  readonly of: Occluder | null;
}

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

/** Lines nearer to a window edge than this share of the face give way to it. */
const TOO_NEAR = 0.04;

export type Shape = Pick<
  Room,
  'widthM' | 'depthM' | 'heightM' | 'floorReflectance' | 'wallReflectance' | 'ceilingReflectance'
>;

/** What takes part besides the room's own faces. */
export interface Inside {
  readonly reveals: readonly Reveal[];
  readonly solids: readonly Solid[];
  /** About how long their patches are, m; `THING_PATCH_M` when left out. */
  readonly patchM?: number | undefined;
}

export const NOTHING_INSIDE: Inside = { reveals: [], solids: [] };

/** Things beyond this many, the smallest first, shade spots but neither throw light back nor darken walls. */
const MOST_SOLIDS = 40;

/** A side this near to the room's own face is hidden by it, m. */
const FLUSH_M = 0.002;

/** The solid things that take part in the exchange. */
export function takingPart(all: readonly Solid[], { widthM, depthM }: Shape): readonly Solid[] {
  // A sill in a reveal lies on its lower side, which takes part already.
  const solids = all.filter(
    ({ x0, y0, x1, y1 }) => x0 > -FLUSH_M && y0 > -FLUSH_M && x1 < widthM + FLUSH_M && y1 < depthM + FLUSH_M,
  );
  if (solids.length <= MOST_SOLIDS) return solids;
  const sizeOf = (o: Solid) => (o.x1 - o.x0) * (o.y1 - o.y0) + (o.z1 - o.z0) * (o.x1 - o.x0 + o.y1 - o.y0);
  const kept = new Set([...solids].sort((p, q) => sizeOf(q) - sizeOf(p)).slice(0, MOST_SOLIDS));
  return solids.filter((solid) => kept.has(solid));
}

/** Darker reveals are taken for black: their opening returns nothing. */
export const DARKEST_REVEAL = 0.02;

/** The six faces of a room, in this order, come first among its surfaces. */
export const ROOM_FACES = 6;

/**
 * Every surface of a room.
 * @param openings of its windows; @param patchesAlong each edge of a face before window edges are added
 */
export function surfacesOf(
  room: Shape,
  openings: readonly Rectangle[],
  patchesAlong: number,
  { reveals, solids, patchM = THING_PATCH_M }: Inside,
): Surface[] {
  const { floorReflectance, ceilingReflectance, wallReflectance } = room;
  const faces = facesOf(room).map((rectangle, index): Surface => {
    const reflectance = index === 0 ? floorReflectance : index === 1 ? ceilingReflectance : wallReflectance;
    const shelves = index >= FIRST_WALL ? shelvesOn(rectangle, solids) : undefined;
    return {
      rectangle,
      reflectance,
      lines: gridLines(rectangle, openings, patchesAlong, shelves),
      behind: null,
      of: null,
    };
  });
  const pale = reveals.filter(({ reflectance }) => reflectance > DARKEST_REVEAL);
  const pockets = pale.flatMap((reveal): Surface[] => {
    const within = (rectangle: Rectangle, reflectance: number): Surface => ({
      rectangle,
      reflectance,
      lines: evenLines(rectangle, patchM),
      behind: reveal.opening,
      of: null,
    });
    return [...revealSides(reveal).map((side) => within(side, reveal.reflectance)), within(glassFace(reveal), 0)];
  });
  const sides = solids.flatMap((solid) =>
    sidesOf(solid, room).map((rectangle): Surface => ({
      rectangle,
      reflectance: solid.reflectance,
      lines: evenLines(rectangle, patchM),
      behind: null,
      of: solid,
    })),
  );
  return [...faces, ...pockets, ...sides];
}

/** Walls come after floor and ceiling. */
const FIRST_WALL = 2;

/** A board nearer to a wall than this parts the light on it above from that below, m. */
const AT_WALL_M = 0.08;

/** Where boards and solid things stand against a wall: no patch may reach from above one to below it, or past its ends. */
function shelvesOn({ corner, edgeU, normal, sizeU, sizeV }: Rectangle, solids: readonly Solid[]): Lines {
  const against = solids.filter((o) => {
    const away = (x: number, y: number) => (x - corner.x) * normal.x + (y - corner.y) * normal.y;
    return Math.min(away(o.x0, o.y0), away(o.x1, o.y1)) < AT_WALL_M;
  });
  const inside = (size: number) => (at: number) => at > 0 && at < size;
  const along = (x: number, y: number) => (x - corner.x) * edgeU.x + (y - corner.y) * edgeU.y;
  return {
    u: against.flatMap((o) => [along(o.x0, o.y0), along(o.x1, o.y1)]).filter(inside(sizeU)),
    v: against.flatMap((o) => [o.z0, o.z1]).filter(inside(sizeV)),
  };
}

/** Patches of reveals and of things in the room are about this long, and no more than so many along an edge. */
const THING_PATCH_M = 0.5;
const MOST_ALONG = 8;

/** Lines that part a rectangle into patches about so long. */
export function evenLines({ sizeU, sizeV }: Rectangle, stepM: number): Lines {
  const along = (size: number) => {
    const count = Math.max(1, Math.min(MOST_ALONG, Math.ceil(size / stepM)));
    return Array.from({ length: count + 1 }, (_, i) => (size * i) / count);
  };
  return { u: along(sizeU), v: along(sizeV) };
}

/** The sides of a box or board that show in a room. */
function sidesOf({ x0, y0, z0, x1, y1, z1 }: Solid, { widthM, depthM, heightM }: Shape): Rectangle[] {
  const [x, y, z] = [vec(1, 0, 0), vec(0, 1, 0), vec(0, 0, 1)];
  const [w, d, h] = [x1 - x0, y1 - y0, z1 - z0];
  const side = (corner: Vec, edgeU: Vec, edgeV: Vec, sizeU: number, sizeV: number, normal: Vec): Rectangle => ({
    corner,
    edgeU,
    edgeV,
    sizeU,
    sizeV,
    normal,
  });
  const all: [Rectangle, number][] = [
    [side(vec(x0, y0, z1), x, y, w, d, z), heightM - z1],
    [side(vec(x0, y0, z0), x, y, w, d, times(z, -1)), z0],
    [side(vec(x0, y0, z0), x, z, w, h, times(y, -1)), y0],
    [side(vec(x0, y1, z0), x, z, w, h, y), depthM - y1],
    [side(vec(x0, y0, z0), y, z, d, h, times(x, -1)), x0],
    [side(vec(x1, y0, z0), y, z, d, h, x), widthM - x1],
  ];
  return all
    .filter(([{ sizeU, sizeV }, gap]) => sizeU > 0 && sizeV > 0 && Math.abs(gap) > FLUSH_M)
    .map(([rectangle]) => rectangle);
}

export interface Lines {
  readonly u: readonly number[];
  readonly v: readonly number[];
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

/** Floor, ceiling, walls A, B, C, D, each with its normal into the room. */
export function facesOf({
  widthM: w,
  depthM: d,
  heightM: h,
}: Pick<Shape, 'widthM' | 'depthM' | 'heightM'>): Rectangle[] {
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

/** Where a ray meets a rectangle from the side its normal shows, as the distance; Infinity where it does not. */
export function alongRay({ corner, edgeU, edgeV, sizeU, sizeV, normal }: Rectangle, from: Vec, way: Vec): number {
  const toward = way.x * normal.x + way.y * normal.y + way.z * normal.z;
  if (toward >= 0) return Infinity;
  const ox = corner.x - from.x;
  const oy = corner.y - from.y;
  const oz = corner.z - from.z;
  const distance = (ox * normal.x + oy * normal.y + oz * normal.z) / toward;
  if (distance <= ON_FACE_M) return Infinity;
  const hx = way.x * distance - ox;
  const hy = way.y * distance - oy;
  const hz = way.z * distance - oz;
  const u = hx * edgeU.x + hy * edgeU.y + hz * edgeU.z;
  const v = hx * edgeV.x + hy * edgeV.y + hz * edgeV.z;
  return u >= 0 && u <= sizeU && v >= 0 && v <= sizeV ? distance : Infinity;
}

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
  shelves: Lines = { u: [], v: [] },
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
  addApart(cutsU, shelves.u, TOO_NEAR * face.sizeU);
  addApart(cutsV, shelves.v, TOO_NEAR * face.sizeV);
  return { u: linesAlong(face.sizeU, cutsU, patchesAlong), v: linesAlong(face.sizeV, cutsV, patchesAlong) };
}

/** Adds cuts that are not next to one already there. */
function addApart(cuts: number[], more: readonly number[], apart: number): void {
  for (const cut of more) if (cuts.every((other) => Math.abs(cut - other) > apart)) cuts.push(cut);
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
