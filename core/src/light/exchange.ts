/** Light exchanged between the patches of a closed room, and what each patch counts for a receiver after all bounces. */
import { pointOn, rectangleFactor } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { LOOKS_BETWEEN, type Sight } from './sight';
import type { Patch } from './cells';

/** Distance, in patch widths, beyond which a patch is treated as a point when seen. */
const FAR = 4;

/** What of a point's view a patch takes, 0..1, were nothing between; a unit normal tells which way the point looks. */
export function viewOf({ centre, area, rectangle }: Patch, point: Vec, normal: Vec): number {
  const dx = centre.x - point.x;
  const dy = centre.y - point.y;
  const dz = centre.z - point.z;
  const square = dx * dx + dy * dy + dz * dz;
  const { corner, normal: n } = rectangle;
  if (square > FAR * FAR * area) {
    const distance = Math.sqrt(square);
    const here = (dx * normal.x + dy * normal.y + dz * normal.z) / distance;
    const there = -(dx * n.x + dy * n.y + dz * n.z) / distance;
    return here > 0 && there > 0 ? (here * there * area) / (Math.PI * square) : 0;
  }
  const before = (point.x - corner.x) * n.x + (point.y - corner.y) * n.y + (point.z - corner.z) * n.z;
  return before > 1e-9 ? rectangleFactor(rectangle, point, normal) : 0;
}

/** Distance, in patch widths, within which a patch sees another differently from place to place. */
const NEAR = 2;

/** Shares along an edge at which a near patch is looked from. */
const TWO_PLACES = [0.25, 0.75];

/** Exchange between two patches, area times form factor; from two by two places of the first when they are near. */
function exchange(p: Patch, q: Patch): number {
  const dx = p.centre.x - q.centre.x;
  const dy = p.centre.y - q.centre.y;
  const dz = p.centre.z - q.centre.z;
  const { normal } = p.rectangle;
  if (dx * dx + dy * dy + dz * dz > NEAR * NEAR * Math.max(p.area, q.area)) return p.area * viewOf(q, p.centre, normal);
  let sum = 0;
  for (const u of TWO_PLACES) {
    for (const v of TWO_PLACES) sum += viewOf(q, pointOn(p.rectangle, u, v), normal);
  }
  return (p.area * sum) / TWO_PLACES.length ** 2;
}

/** Cholesky factor of the room's exchange matrix over the patches that reflect, lower triangle, row by row. */
export interface Factor {
  /** Patches that reflect, and the square root of reflectance over area of each. */
  readonly bright: Uint16Array;
  readonly root: Float64Array;
  readonly areas: Float64Array;
  readonly lower: Float64Array;
  /** What each patch sees of each other, `patch * patches + other`; evened, so that a view of a closed room is whole. */
  readonly views: Float32Array;
  /** How many ways between two patches are clear, `patch * patches + other`; null where nothing stands between any. */
  readonly looks: Uint8Array | null;
}

/** Patches that take less than this of each other's view count as in sight: together they pass on a few hundredths. */
const FAINTEST_VIEW = 5e-4;

/** Times the exchange is evened out so that every patch's view of the room sums to 1. */
const EVENINGS = 4;

/**
 * Importance obeys m_j = g_j + sum_i F_ij rho_i m_i. Since A_i F_ij is the same both ways, z_i = m_i sqrt(rho_i / A_i)
 * turns it into a symmetric, positive definite system, which costs half of what the plain one does. Black patches drop out.
 */
export function factorise(patches: readonly Patch[], sight: Sight | null = null): Factor {
  const all = patches.length;
  const looks = sight ? new Uint8Array(all * all).fill(LOOKS_BETWEEN) : null;
  const shared = new Float64Array(all * all);
  for (let i = 0; i < all; i++) {
    const p = patches[i]!;
    for (let j = 0; j < i; j++) {
      const q = patches[j]!;
      if (p.face === q.face) continue;
      if (p.openArea === 0 || q.openArea === 0) continue;
      let both = exchange(p, q);
      if (sight && looks && both > FAINTEST_VIEW * Math.min(p.area, q.area)) {
        const clear = sight(i, j);
        looks[i * all + j] = clear;
        looks[j * all + i] = clear;
        both *= clear / LOOKS_BETWEEN;
      }
      shared[i * all + j] = both;
      shared[j * all + i] = both;
    }
  }
  const scale = evened(shared, patches);
  const bright = Uint16Array.from(
    Array.from(patches.keys()).filter((i) => patches[i]!.reflectance > 0 && patches[i]!.openArea > 0),
  );
  const n = bright.length;
  const root = new Float64Array(n);
  const areas = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const { reflectance, openArea } = patches[bright[i]!]!;
    root[i] = Math.sqrt(reflectance / openArea);
    areas[i] = openArea;
  }
  const lower = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    const row = i * n;
    const from = bright[i]! * all;
    const weight = root[i]! * scale[bright[i]!]!;
    for (let j = 0; j <= i; j++) {
      const top = j * n;
      let sum = (i === j ? 1 : 0) - weight * shared[from + bright[j]!]! * scale[bright[j]!]! * root[j]!;
      for (let k = 0; k < j; k++) sum -= lower[row + k]! * lower[top + k]!;
      lower[row + j] = i === j ? Math.sqrt(sum) : sum / lower[top + j]!;
    }
  }
  return { bright, root, areas, lower, views: viewsOf(shared, scale, patches), looks };
}

function viewsOf(shared: Float64Array, scale: Float64Array, patches: readonly Patch[]): Float32Array {
  const n = patches.length;
  const views = new Float32Array(n * n);
  for (let i = 0; i < n; i++) {
    if (scale[i] === 0) continue;
    const weight = scale[i]! / patches[i]!.openArea;
    for (let j = 0; j < n; j++) views[i * n + j] = weight * shared[i * n + j]! * scale[j]!;
  }
  return views;
}

/** A closed room loses nothing between its patches: factors for each patch that make its view of the others whole. */
function evened(shared: Float64Array, patches: readonly Patch[]): Float64Array {
  const n = patches.length;
  const scale = new Float64Array(n).fill(1);
  for (let round = 0; round < EVENINGS; round++) {
    for (let i = 0; i < n; i++) {
      let sum = 0;
      for (let j = 0; j < n; j++) sum += shared[i * n + j]! * scale[j]!;
      // Half a step at a time, since both ends of an exchange are scaled.
      scale[i] = sum > 0 ? scale[i]! * Math.sqrt(patches[i]!.openArea / (sum * scale[i]!)) : 0;
    }
  }
  return scale;
}

/** Importance times reflectance by patch, for what each patch is in a receiver's view. */
export function solve({ bright, root, areas, lower }: Factor, seen: Float64Array): Float64Array {
  const n = bright.length;
  const z = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = seen[bright[i]!]! * root[i]!;
    const row = i * n;
    for (let j = 0; j < i; j++) sum -= lower[row + j]! * z[j]!;
    z[i] = sum / lower[row + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    const row = i * n;
    const value = z[i]! / lower[row + i]!;
    z[i] = value;
    for (let j = 0; j < i; j++) z[j]! -= lower[row + j]! * value;
  }
  const importance = new Float64Array(seen.length);
  // m rho = z sqrt(A / rho) rho = z sqrt(rho / A) A.
  for (let i = 0; i < n; i++) importance[bright[i]!] = z[i]! * root[i]! * areas[i]!;
  return importance;
}
