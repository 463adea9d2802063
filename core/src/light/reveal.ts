/** The reveal of a window: the four sides between the room's side of the wall and the glass, and what stands in it. */
import type { Rectangle } from '../room/rectangle';
import { plus, times, type Vec } from '../room/vector';
import type { Pane } from './pane';

export interface Reveal {
  /** In the wall's inner face; its normal points outdoors. */
  readonly opening: Rectangle;
  readonly depthM: number;
  readonly reflectance: number;
}

/** The reveal of a window in a wall; null for one that is flush, and for roofs, whose reveals are taken for black. */
export function revealOf({ opening, revealM, revealReflectance }: Pane): Reveal | null {
  const stands = Math.abs(opening.normal.z) < 1e-6;
  return revealM > 0 && stands ? { opening, depthM: revealM, reflectance: revealReflectance } : null;
}

/** A window seen from inside its reveal: the same glass, where it is, without anything before it. */
export function glassOf(pane: Pane): Pane {
  const { opening, revealM, overhang } = pane;
  return {
    ...pane,
    opening: { ...opening, corner: plus(opening.corner, times(opening.normal, revealM)) },
    revealM: 0,
    overhang: { ...overhang, depthM: Math.max(0, overhang.depthM - revealM) },
  };
}

/** The bottom, top, near and far side of a reveal, each with its normal toward the middle. */
export function revealSides({ opening, depthM }: Reveal): Rectangle[] {
  const { corner, edgeU, edgeV, normal, sizeU, sizeV } = opening;
  const side = (from: Vec, along: Vec, size: number, inward: Vec): Rectangle => ({
    corner: from,
    edgeU: along,
    edgeV: normal,
    sizeU: size,
    sizeV: depthM,
    normal: inward,
  });
  return [
    side(corner, edgeU, sizeU, edgeV),
    side(plus(corner, times(edgeV, sizeV)), edgeU, sizeU, times(edgeV, -1)),
    side(corner, edgeV, sizeV, edgeU),
    side(plus(corner, times(edgeU, sizeU)), edgeV, sizeV, times(edgeU, -1)),
  ];
}

/** The glass at the end of a reveal, as the room sees it: it returns nothing. */
export function glassFace({ opening, depthM }: Reveal): Rectangle {
  return {
    ...opening,
    corner: plus(opening.corner, times(opening.normal, depthM)),
    normal: times(opening.normal, -1),
  };
}

/** Whether the straight way between two points on either side of an opening's plane passes through it. */
export function passesOpening(
  { corner, edgeU, edgeV, normal, sizeU, sizeV }: Rectangle,
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
): boolean {
  const ahead = (ax - corner.x) * normal.x + (ay - corner.y) * normal.y + (az - corner.z) * normal.z;
  const beyond = (bx - corner.x) * normal.x + (by - corner.y) * normal.y + (bz - corner.z) * normal.z;
  const share = ahead / (ahead - beyond);
  if (!(share >= 0 && share <= 1)) return false;
  const x = ax + (bx - ax) * share - corner.x;
  const y = ay + (by - ay) * share - corner.y;
  const z = az + (bz - az) * share - corner.z;
  const u = x * edgeU.x + y * edgeU.y + z * edgeU.z;
  const v = x * edgeV.x + y * edgeV.y + z * edgeV.z;
  return u >= 0 && u <= sizeU && v >= 0 && v <= sizeV;
}
