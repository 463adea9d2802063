/**
 * The surfaces that take part in a room's exchange of light: its six faces, the sides of reveals, and the sides of boards and
 * solid things; each cut into patches and each patch into quarters.
 */
import type { Room } from '../facts';
import type { Occluder, Solid } from '../room/occluder';
import type { Rectangle } from '../room/rectangle';
import { dot, minus, times, vec, type Vec } from '../room/vector';
import { liesOn } from './hits';
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
