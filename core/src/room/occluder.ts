/** Things in a room that stand in the light: boards, solid blocks, and the crowns of plants, which let a share through. */

/** A box along the room's axes; a board is one without thickness. */
export interface Occluder {
  readonly x0: number;
  readonly y0: number;
  readonly z0: number;
  readonly x1: number;
  readonly y1: number;
  readonly z1: number;
  /** Extinction, 1/m: light left after a way s inside is exp(-extinction s). Infinity for what is solid. */
  readonly extinction: number;
}

/** Something that lets no light through and throws a share of it back. */
export interface Solid extends Occluder {
  readonly reflectance: number;
}

/** Nearer to the ends of a way than this share of it, touching does not count: a leaf lies on its board. */
const END_SHARE = 1e-7;

/**
 * How much of a straight way lies inside an occluder, as the share of it.
 * @returns -1 when the way misses it; 0 when it passes a board or touches
 */
function shareInside(o: Occluder, ax: number, ay: number, az: number, dx: number, dy: number, dz: number): number {
  let from = END_SHARE;
  let to = 1 - END_SHARE;
  if (dz !== 0) {
    const s = (o.z0 - az) / dz;
    const t = (o.z1 - az) / dz;
    from = Math.max(from, s < t ? s : t);
    to = Math.min(to, s < t ? t : s);
    if (from > to) return -1;
  } else if (az <= o.z0 || az >= o.z1) return -1;
  if (dx !== 0) {
    const s = (o.x0 - ax) / dx;
    const t = (o.x1 - ax) / dx;
    from = Math.max(from, s < t ? s : t);
    to = Math.min(to, s < t ? t : s);
    if (from > to) return -1;
  } else if (ax <= o.x0 || ax >= o.x1) return -1;
  if (dy !== 0) {
    const s = (o.y0 - ay) / dy;
    const t = (o.y1 - ay) / dy;
    from = Math.max(from, s < t ? s : t);
    to = Math.min(to, s < t ? t : s);
    if (from > to) return -1;
  } else if (ay <= o.y0 || ay >= o.y1) return -1;
  return to - from;
}

/**
 * The share of light that the straight way from a to b leaves, 0..1. Plain numbers: it is asked for millions of times.
 * Source for crowns: Monsi and Saeki 1953 (Beer's law with the extinction given).
 */
export function clearWay(
  occluders: readonly Occluder[],
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
): number {
  const dx = bx - ax;
  const dy = by - ay;
  const dz = bz - az;
  let left = 1;
  for (let i = 0; i < occluders.length; i++) {
    const occluder = occluders[i]!;
    const inside = shareInside(occluder, ax, ay, az, dx, dy, dz);
    if (inside < 0) continue;
    if (occluder.extinction === Infinity) return 0;
    left *= Math.exp(-occluder.extinction * inside * Math.sqrt(dx * dx + dy * dy + dz * dz));
  }
  return left;
}

/** Index of the first solid occluder between a and b, or -1. */
export function firstBetween(
  solids: readonly Occluder[],
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
): number {
  for (let i = 0; i < solids.length; i++) {
    if (shareInside(solids[i]!, ax, ay, az, bx - ax, by - ay, bz - az) >= 0) return i;
  }
  return -1;
}

/** A solid box from its corner and sizes; a board has no height. */
export function solidBox(
  x: number,
  y: number,
  z: number,
  sizeX: number,
  sizeY: number,
  sizeZ: number,
  reflectance = 0,
): Solid {
  return { x0: x, y0: y, z0: z, x1: x + sizeX, y1: y + sizeY, z1: z + sizeZ, extinction: Infinity, reflectance };
}

/** The same thing seen from a frame whose origin lies at (x, y, z) of the other. */
export function movedOccluder<T extends Occluder>(o: T, x: number, y: number, z: number): T {
  return { ...o, x0: o.x0 + x, y0: o.y0 + y, z0: o.z0 + z, x1: o.x1 + x, y1: o.y1 + y, z1: o.z1 + z };
}
