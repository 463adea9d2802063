/** The sun's patch: the outline of the beam of a window on a room's surfaces or on a level plane. */
import type { Room } from '../facts';
import { firstBetween, type Occluder } from '../room/occluder';
import { clipToPlane, configurationFactor, type Rectangle } from '../room/rectangle';
import { dot, minus, plus, times, vec, type Vec } from '../room/vector';
import type { Enclosure } from './enclosure';
import { whereThrough } from './coefficients';
import { litPart, type LitPart, type Pane, type Receiver } from './pane';
import { glassOf, passesOpening } from './reveal';
import { liesOn } from './hits';
import type { Surface } from './surfaces';

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

/** The corners of the part of a pane through which a beam comes; empty when none does. */
function litCorners(pane: Pane, toSun: Vec): Vec[] {
  const { corner, edgeU, edgeV, normal } = pane.opening;
  if (dot(toSun, normal) <= 0 || toSun.z <= 0) return [];
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { u0, u1, v0, v1 } = part;
  if (u1 <= u0 || v1 <= v0) return [];
  const at = (u: number, v: number) => plus(corner, plus(times(edgeU, u), times(edgeV, v)));
  return [at(u0, v0), at(u1, v0), at(u1, v1), at(u0, v1)];
}

function cutToRectangle(polygon: readonly Vec[], { corner, edgeU, edgeV, sizeU, sizeV }: Rectangle): Vec[] {
  const far = plus(corner, plus(times(edgeU, sizeU), times(edgeV, sizeV)));
  let cutDown = clipToPlane(polygon, corner, edgeU);
  cutDown = clipToPlane(cutDown, corner, edgeV);
  cutDown = clipToPlane(cutDown, far, times(edgeU, -1));
  return clipToPlane(cutDown, far, times(edgeV, -1));
}

/** The beam's outline on a plane: each corner carried along the beam; corners behind the plane are cut away first. */
function carried(corners: readonly Vec[], origin: Vec, normal: Vec, toSun: Vec): Vec[] {
  const slope = dot(toSun, normal);
  if (slope <= 1e-9) return [];
  return clipToPlane(corners, origin, normal).map((p) => minus(p, times(toSun, dot(minus(p, origin), normal) / slope)));
}

/** Where the beam of a window falls on one surface. */
export interface SunlitPatch {
  /** Index of the surface. */
  readonly face: number;
  readonly polygon: readonly Vec[];
  /** The parts of it that fall on windows: their light leaves the room. */
  readonly lost: readonly (readonly Vec[])[];
  /** What it throws back for a beam of 1 W m-2 through the pane, W m-2. */
  readonly exitance: number;
  /** Points spread over it that the sun reaches past whatever stands in the room; null when nothing does. */
  readonly lit: ReadonlySet<Vec> | null;
  readonly looks: readonly Vec[];
}

type Lit = Pick<Enclosure, 'surfaces' | 'openings' | 'solids'>;

/** Looks along each edge of a patch of sun when something may hide a part of it. */
const LOOKS = 6;

/**
 * The sun's patches on a room's surfaces, by their outlines.
 * @param asked on which of them it is looked for
 */
export function sunPatches(
  { surfaces, openings, solids }: Lit,
  pane: Pane,
  toSun: Vec,
  asked: (surface: Surface, index: number) => boolean = () => true,
): SunlitPatch[] {
  const inRoom = litCorners(pane, toSun);
  const glass = pane.revealM > 0 ? glassOf(pane) : pane;
  const inReveal = pane.revealM > 0 ? litCorners(glass, toSun) : inRoom;
  return surfaces.flatMap((surface, face): SunlitPatch[] => {
    const { rectangle, reflectance, behind, of } = surface;
    if (reflectance === 0 || (behind && behind !== pane.opening) || !asked(surface, face)) return [];
    // A window's own wall is not met by its beam.
    if (dot(rectangle.normal, pane.opening.normal) < -0.999 && !of) return [];
    const outline = carried(behind ? inReveal : inRoom, rectangle.corner, rectangle.normal, toSun);
    const polygon = cutToRectangle(outline, rectangle);
    if (polygon.length < 3) return [];
    const lost = openings
      .filter((opening) => liesOn(opening, rectangle))
      .map((opening) => cutToRectangle(polygon, opening))
      .filter((part) => part.length >= 3);
    const looks = looksOver(polygon);
    const others = solids.filter((solid) => solid !== of);
    const isLit = (at: Vec) => {
      const away = whereThrough(pane.opening, at, toSun)?.distance ?? 0;
      const end = plus(at, times(toSun, away));
      return firstBetween(others, at.x, at.y, at.z, end.x, end.y, end.z) < 0;
    };
    const lit = others.length > 0 && !behind ? new Set(looks.filter(isLit)) : null;
    if (lit?.size === 0) return [];
    return [{ face, polygon, lost, exitance: reflectance * dot(toSun, rectangle.normal), lit, looks }];
  });
}

/** Points spread evenly over a convex polygon. */
function looksOver(polygon: readonly Vec[]): Vec[] {
  const [a] = polygon;
  const looks: Vec[] = [];
  for (let i = 1; i + 1 < polygon.length; i++) {
    const b = minus(polygon[i]!, a!);
    const c = minus(polygon[i + 1]!, a!);
    for (let j = 0; j < LOOKS; j++) {
      for (let k = 0; k < LOOKS - j; k++)
        looks.push(plus(a!, plus(times(b, (j + 1 / 3) / LOOKS), times(c, (k + 1 / 3) / LOOKS))));
    }
  }
  return looks;
}

/** Configuration factor of a sun patch at a receiver, less what is hidden from it or from the sun. */
export function viewOfPatch(
  { surfaces }: Pick<Enclosure, 'surfaces'>,
  { face, polygon, lost, lit, looks }: SunlitPatch,
  { point, normal }: Receiver,
  occluders: readonly Occluder[],
): number {
  const { rectangle, behind, of } = surfaces[face]!;
  const ahead = dot(minus(point, rectangle.corner), rectangle.normal);
  if (ahead <= 1e-9) return 0;
  const whole = configurationFactor(polygon, point, normal);
  if (whole === 0) return 0;
  const left = lost.reduce((sum, part) => sum - configurationFactor(part, point, normal), whole);
  const opening = behind && dot(minus(point, behind.corner), behind.normal) < 0 ? behind : null;
  const solids = occluders.filter((o) => o.extinction === Infinity && o !== of);
  if (solids.length === 0 && !lit && !opening) return left;
  // Each look counts as much as its part of the patch would.
  let open = 0;
  let all = 0;
  for (const at of looks) {
    const arm = minus(at, point);
    const square = dot(arm, arm);
    const weight = Math.max(0, dot(arm, normal)) / (square * square);
    all += weight;
    if (lit && !lit.has(at)) continue;
    if (opening && !passesOpening(opening, point.x, point.y, point.z, at.x, at.y, at.z)) continue;
    if (firstBetween(solids, point.x, point.y, point.z, at.x, at.y, at.z) < 0) open += weight;
  }
  return all > 0 ? (left * open) / all : 0;
}

/** The outline of a window's sun on a level plane of the room, as points on the plan; empty when none falls there. */
export function sunOnPlan(pane: Pane, room: Pick<Room, 'widthM' | 'depthM'>, toSun: Vec, heightM: number): Vec[] {
  const polygon = carried(litCorners(pane, toSun), vec(0, 0, heightM), vec(0, 0, 1), toSun);
  const plan: Rectangle = {
    corner: vec(0, 0, heightM),
    edgeU: vec(1, 0, 0),
    edgeV: vec(0, 1, 0),
    sizeU: room.widthM,
    sizeV: room.depthM,
    normal: vec(0, 0, 1),
  };
  const outline = cutToRectangle(polygon, plan);
  return outline.length < 3 ? [] : outline;
}
