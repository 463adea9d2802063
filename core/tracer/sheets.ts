/** What a traced scene is made of, and what a ray meets in it. */
import { add, cross, dot, mul, norm, sub, unit, type V } from './vectors';

/** A flat piece of something, lit on the side its normal shows, or on both. */
export interface Sheet {
  readonly corner: V;
  readonly u: V;
  readonly v: V;
  readonly normal: V;
  readonly reflectance: number;
  readonly sides: 1 | 2;
  /** Openings cut out of it, each a window's. */
  readonly holes: readonly Sheet[];
}

/** A sheet from its corner and its two edges; its normal is u x v. */
export function sheet(
  corner: V,
  u: V,
  v: V,
  reflectance: number,
  sides: 1 | 2 = 1,
  holes: readonly Sheet[] = [],
): Sheet {
  return { corner, u, v, normal: unit(cross(u, v)), reflectance, sides, holes };
}

/** A box that lets a share of light through: a crown, by its extinction along the way. */
export interface Haze {
  readonly low: V;
  readonly high: V;
  readonly extinction: number;
}

/** A thin shell that lets a share of light straight through wherever a ray crosses it, and throws a share back from either side. */
export interface Film {
  /** With what it throws back. */
  readonly sheet: Sheet;
  readonly transmittance: number;
}

export interface Opening {
  /** In the wall's inner face; its normal points outdoors. */
  readonly mouth: Sheet;
  /** The glass, out by the reveal. */
  readonly glass: Sheet;
  /** Transmittance by the cosine of incidence, frame and dirt counted in. */
  passes(cosine: number): number;
  /** What the pane itself spreads of what passes. */
  readonly scatter: number;
  /** What hangs at the mouth: what goes straight on, and what is spread evenly. */
  readonly straight: number;
  readonly spread: number;
  /** What lies beyond in a direction from a point of the glass: radiance, without the sun. */
  radiance(at: V, way: V): number;
  /** Share of the sun's beam that reaches a point of the glass. */
  sunShare(at: V): number;
}

/** A lamp that gives radiant intensity by direction, spread evenly over its face; photons or watts, as asked. */
export interface Light {
  readonly centre: V;
  readonly u: V;
  readonly v: V;
  /** Intensity over the whole face in a direction, per steradian. */
  intensity(way: V): number;
}

export interface TracerScene {
  readonly sheets: readonly Sheet[];
  readonly hazes: readonly Haze[];
  readonly films: readonly Film[];
  readonly openings: readonly Opening[];
  readonly lights: readonly Light[];
  /** Toward the sun, and its beam; null when it is down or hidden. */
  readonly sun: { readonly way: V; readonly beam: number } | null;
}

export const NEAR = 1e-6;

/** How far along a ray it meets a sheet; Infinity where it does not, or comes from a side that is not there. */
function meet(target: Sheet, from: V, way: V, sides: 1 | 2): number {
  const toward = dot(way, target.normal);
  if (sides === 1 ? toward >= 0 : toward === 0) return Infinity;
  const distance = dot(sub(target.corner, from), target.normal) / toward;
  if (!(distance > NEAR)) return Infinity;
  const at = sub(add(from, mul(way, distance)), target.corner);
  return inside(target, at) && !target.holes.some((hole) => inside(hole, sub(add(at, target.corner), hole.corner)))
    ? distance
    : Infinity;
}

function inside({ u, v }: Sheet, at: V): boolean {
  const a = dot(at, u) / dot(u, u);
  const b = dot(at, v) / dot(v, v);
  return a >= 0 && a <= 1 && b >= 0 && b <= 1;
}

export const hit = (target: Sheet, from: V, way: V): number => meet(target, from, way, target.sides);

/** As `hit`, from whichever side. */
export const through = (target: Sheet, from: V, way: V): number => meet(target, from, way, 2);

export function nearest(scene: TracerScene, from: V, way: V): { sheet: Sheet; distance: number } | null {
  let best: { sheet: Sheet; distance: number } | null = null;
  for (const candidate of scene.sheets) {
    const distance = hit(candidate, from, way);
    if (distance < (best?.distance ?? Infinity)) best = { sheet: candidate, distance };
  }
  return best;
}

/** The share of light that the straight way over a distance leaves: solids, crowns, shells. */
export function clear(scene: TracerScene, from: V, way: V, distance: number): number {
  for (const candidate of scene.sheets) if (hit(candidate, from, way) < distance - NEAR) return 0;
  return dimming(scene, from, way, distance);
}

function dimming(scene: TracerScene, from: V, way: V, distance: number): number {
  let left = hazy(scene, from, way, distance);
  for (const film of scene.films) if (through(film.sheet, from, way) < distance - NEAR) left *= film.transmittance;
  return left;
}

/** What crowns leave of light on its way. */
export function hazy(scene: TracerScene, from: V, way: V, distance: number): number {
  let left = 1;
  for (const { low, high, extinction } of scene.hazes) {
    let a = 0;
    let b = distance;
    for (let axis = 0; axis < 3; axis++) {
      const one = (low[axis]! - from[axis]!) / way[axis]!;
      const two = (high[axis]! - from[axis]!) / way[axis]!;
      if (way[axis] === 0) {
        if (from[axis]! < low[axis]! || from[axis]! > high[axis]!) b = -1;
        continue;
      }
      a = Math.max(a, Math.min(one, two));
      b = Math.min(b, Math.max(one, two));
    }
    if (b > a) left *= Math.exp(-extinction * (b - a));
  }
  return left;
}

export const placeOn = (target: Sheet, a: number, b: number): V =>
  add(target.corner, add(mul(target.u, a), mul(target.v, b)));

export const areaOf = ({ u, v }: Sheet): number => norm(cross(u, v));

export const facing = ({ normal }: Sheet, way: V): V => (dot(way, normal) < 0 ? normal : mul(normal, -1));
