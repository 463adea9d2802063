/** Where rays meet the surfaces of a room, and which openings lie in which of them. */
import type { Room } from '../facts';
import type { Rectangle } from '../room/rectangle';
import { dot, minus, type Vec } from '../room/vector';

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
