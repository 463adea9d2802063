/** Flat rectangles in space, and how much of a point's view they take. */
import { cross, dot, length, minus, plus, times, type Vec } from './vector';

/** A rectangle: a corner, two unit edges at right angles, and its unit normal (the side that counts). */
export interface Rectangle {
  readonly corner: Vec;
  readonly edgeU: Vec;
  readonly edgeV: Vec;
  readonly sizeU: number;
  readonly sizeV: number;
  readonly normal: Vec;
}

/** The point at shares u and v (0..1) of a rectangle's edges. */
export function pointOn({ corner, edgeU, edgeV, sizeU, sizeV }: Rectangle, u: number, v: number): Vec {
  const along = u * sizeU;
  const up = v * sizeV;
  return {
    x: corner.x + (edgeU.x * along + edgeV.x * up),
    y: corner.y + (edgeU.y * along + edgeV.y * up),
    z: corner.z + (edgeU.z * along + edgeV.z * up),
  };
}

/** From a point to the nearest point of a rectangle, m. */
export function distanceToRectangle(r: Rectangle, p: Vec): number {
  const dx = p.x - r.corner.x;
  const dy = p.y - r.corner.y;
  const dz = p.z - r.corner.z;
  const alongU = dx * r.edgeU.x + dy * r.edgeU.y + dz * r.edgeU.z;
  const alongV = dx * r.edgeV.x + dy * r.edgeV.y + dz * r.edgeV.z;
  const pastU = alongU - Math.max(0, Math.min(r.sizeU, alongU));
  const pastV = alongV - Math.max(0, Math.min(r.sizeV, alongV));
  const off = dx * r.normal.x + dy * r.normal.y + dz * r.normal.z;
  return Math.sqrt(pastU * pastU + pastV * pastV + off * off);
}

/** The four corners in order around the edge. */
export function corners(r: Rectangle): Vec[] {
  return [pointOn(r, 0, 0), pointOn(r, 1, 0), pointOn(r, 1, 1), pointOn(r, 0, 1)];
}

/**
 * Configuration factor of a polygon seen from a surface element: the share of what the element would send that
 * meets the polygon; so the irradiance from a Lambertian polygon of exitance 1.
 * @param polygon corners in order; either sense of turn
 * @param point where the element lies; @param normal its unit normal
 * @returns 0..1; the part below the element's own plane is cut off
 * Source: Lambert's formula; Siegel and Howell, Thermal Radiation Heat Transfer, ch. 5.
 */
export function configurationFactor(polygon: readonly Vec[], point: Vec, normal: Vec): number {
  const visible = clipToPlane(polygon, point, normal);
  if (visible.length < 3) return 0;
  const arms = visible.map((corner) => minus(corner, point));
  let sum = 0;
  for (let i = 0; i < arms.length; i++) {
    const p = arms[i]!;
    const q = arms[(i + 1) % arms.length]!;
    const across = cross(p, q);
    const area = length(across);
    if (area < 1e-15) continue;
    const angle = Math.atan2(area, dot(p, q));
    sum += (angle * dot(across, normal)) / area;
  }
  return Math.abs(sum) / (2 * Math.PI);
}

/** A corner no farther behind an element's plane than this lies in it: rounding alone would cut a wall at the corner of a room. */
const SAME_PLANE_M = 1e-9;

/**
 * As `configurationFactor`, for a rectangle: nothing is allocated unless the element's plane cuts it, since radiosity
 * asks for it some hundred thousand times.
 */
export function rectangleFactor(r: Rectangle, point: Vec, normal: Vec): number {
  const { corner, edgeU, edgeV, sizeU, sizeV } = r;
  const ux = edgeU.x * sizeU;
  const uy = edgeU.y * sizeU;
  const uz = edgeU.z * sizeU;
  const vx = edgeV.x * sizeV;
  const vy = edgeV.y * sizeV;
  const vz = edgeV.z * sizeV;
  const ax = corner.x - point.x;
  const ay = corner.y - point.y;
  const az = corner.z - point.z;
  const height = ax * normal.x + ay * normal.y + az * normal.z;
  const heightU = ux * normal.x + uy * normal.y + uz * normal.z;
  const heightV = vx * normal.x + vy * normal.y + vz * normal.z;
  const lowest = height + Math.min(0, heightU) + Math.min(0, heightV);
  const highest = height + Math.max(0, heightU) + Math.max(0, heightV);
  if (highest <= 0) return 0;
  if (lowest < -SAME_PLANE_M) return configurationFactor(corners(r), point, normal);
  const sum =
    edgeTerm(ax, ay, az, ax + ux, ay + uy, az + uz, normal) +
    edgeTerm(ax + ux, ay + uy, az + uz, ax + ux + vx, ay + uy + vy, az + uz + vz, normal) +
    edgeTerm(ax + ux + vx, ay + uy + vy, az + uz + vz, ax + vx, ay + vy, az + vz, normal) +
    edgeTerm(ax + vx, ay + vy, az + vz, ax, ay, az, normal);
  return Math.abs(sum) / (2 * Math.PI);
}

/** One edge's part of Lambert's formula, from p to q as seen from the element. */
function edgeTerm(px: number, py: number, pz: number, qx: number, qy: number, qz: number, normal: Vec): number {
  const cx = py * qz - pz * qy;
  const cy = pz * qx - px * qz;
  const cz = px * qy - py * qx;
  const area = Math.sqrt(cx * cx + cy * cy + cz * cz);
  if (area < 1e-15) return 0;
  return (Math.atan2(area, px * qx + py * qy + pz * qz) * (cx * normal.x + cy * normal.y + cz * normal.z)) / area;
}

/** The part of a polygon that lies on the side of a plane to which `normal` points. Sutherland and Hodgman 1974. */
export function clipToPlane(polygon: readonly Vec[], point: Vec, normal: Vec): Vec[] {
  const kept: Vec[] = [];
  for (let i = 0; i < polygon.length; i++) {
    const p = polygon[i]!;
    const q = polygon[(i + 1) % polygon.length]!;
    const heightP = dot(minus(p, point), normal);
    const heightQ = dot(minus(q, point), normal);
    if (heightP >= 0) kept.push(p);
    if (heightP >= 0 !== heightQ >= 0) {
      const share = heightP / (heightP - heightQ);
      kept.push(plus(p, times(minus(q, p), share)));
    }
  }
  return kept;
}

/** A level rectangle facing up: corner nearest the origin, sizes along x and y, at a height. */
export function levelRectangle(x: number, y: number, z: number, sizeX: number, sizeY: number): Rectangle {
  return {
    corner: { x, y, z },
    edgeU: { x: 1, y: 0, z: 0 },
    edgeV: { x: 0, y: 1, z: 0 },
    sizeU: sizeX,
    sizeV: sizeY,
    normal: { x: 0, y: 0, z: 1 },
  };
}
