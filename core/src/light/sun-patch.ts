/** The sun's patch: the outline of the beam of a window on a room's faces or on a level plane. */
import type { Room } from '../facts';
import { firstBetween, type Occluder } from '../room/occluder';
import { clipToPlane, configurationFactor, type Rectangle } from '../room/rectangle';
import { dot, minus, plus, times, vec, type Vec } from '../room/vector';
import type { Enclosure } from './enclosure';
import { litPart, type LitPart, type Pane, type Receiver } from './pane';
import { liesOn } from './surfaces';

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

/** The surfaces that a patch of sun may fall on. */
interface LitSurfaces {
  readonly room: Pick<Room, 'floorReflectance' | 'ceilingReflectance' | 'wallReflectance'>;
  readonly enclosure: Pick<Enclosure, 'faces' | 'openings'>;
}

/** Looks along each edge of a patch of sun when something may hide a part of it. */
const LOOKS = 6;

/**
 * The sun's patches on a room's faces as a receiver sees them.
 * @returns for each face that the beam meets: the share of a beam of 1 W m-2 that its patch throws back as exitance, and
 *   the patch's configuration factor at the receiver, less what occluders hide
 */
export function sunPolygons(
  lit: LitSurfaces,
  pane: Pane,
  receiver: Receiver,
  occluders: readonly Occluder[],
  toSun: Vec,
): { share: number; view: number }[] {
  const corners = litCorners(pane, toSun);
  if (corners.length === 0) return [];
  const { floorReflectance, ceilingReflectance, wallReflectance } = lit.room;
  return lit.enclosure.faces.flatMap((face, index) => {
    const reflectance = index === 0 ? floorReflectance : index === 1 ? ceilingReflectance : wallReflectance;
    // A window's own wall is not met by its beam.
    if (reflectance === 0 || dot(face.normal, pane.opening.normal) < -0.999) return [];
    const polygon = cutToRectangle(carried(corners, face.corner, face.normal, toSun), face);
    if (polygon.length < 3 || dot(minus(receiver.point, face.corner), face.normal) <= 1e-9) return [];
    // What of it falls on another window leaves the room.
    const lost = lit.enclosure.openings
      .filter((opening) => liesOn(opening, face))
      .reduce((sum, opening) => sum + viewOfPatch(cutToRectangle(polygon, opening), receiver, occluders), 0);
    const view = viewOfPatch(polygon, receiver, occluders) - lost;
    return view > 0 ? [{ share: reflectance * dot(toSun, face.normal), view }] : [];
  });
}

/** Configuration factor of a patch at a receiver, less what occluders hide. */
function viewOfPatch(polygon: readonly Vec[], { point, normal }: Receiver, occluders: readonly Occluder[]): number {
  if (polygon.length < 3) return 0;
  const whole = configurationFactor(polygon, point, normal);
  return whole === 0 ? 0 : whole * shareInView(polygon, point, occluders);
}

/** The share of a convex polygon that solids leave in view, from looks spread over it. */
function shareInView(polygon: readonly Vec[], from: Vec, occluders: readonly Occluder[]): number {
  const solids = occluders.filter((o) => o.extinction === Infinity);
  if (solids.length === 0) return 1;
  const [a] = polygon;
  let open = 0;
  let all = 0;
  for (let i = 1; i + 1 < polygon.length; i++) {
    const b = minus(polygon[i]!, a!);
    const c = minus(polygon[i + 1]!, a!);
    for (let j = 0; j < LOOKS; j++) {
      for (let k = 0; k < LOOKS - j; k++) {
        const at = plus(a!, plus(times(b, (j + 1 / 3) / LOOKS), times(c, (k + 1 / 3) / LOOKS)));
        all++;
        if (firstBetween(solids, from.x, from.y, from.z, at.x, at.y, at.z) < 0) open++;
      }
    }
  }
  return open / all;
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
