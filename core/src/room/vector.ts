/** Points and directions in a room's frame: x along wall A, y into the room, z up; metres. */

export interface Vec {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export function vec(x: number, y: number, z: number): Vec {
  return { x, y, z };
}

export function plus(p: Vec, q: Vec): Vec {
  return { x: p.x + q.x, y: p.y + q.y, z: p.z + q.z };
}

export function minus(p: Vec, q: Vec): Vec {
  return { x: p.x - q.x, y: p.y - q.y, z: p.z - q.z };
}

export function times(p: Vec, factor: number): Vec {
  return { x: p.x * factor, y: p.y * factor, z: p.z * factor };
}

export function dot(p: Vec, q: Vec): number {
  return p.x * q.x + p.y * q.y + p.z * q.z;
}

export function cross(p: Vec, q: Vec): Vec {
  return { x: p.y * q.z - p.z * q.y, y: p.z * q.x - p.x * q.z, z: p.x * q.y - p.y * q.x };
}

export function length(p: Vec): number {
  return Math.sqrt(p.x * p.x + p.y * p.y + p.z * p.z);
}

/** Same direction, length 1; the zero vector stays zero. */
export function unit(p: Vec): Vec {
  const size = length(p);
  return size > 0 ? times(p, 1 / size) : p;
}

export const UP: Vec = { x: 0, y: 0, z: 1 };
export const DOWN: Vec = { x: 0, y: 0, z: -1 };
