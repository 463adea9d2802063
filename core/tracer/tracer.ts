/**
 * A plain backward path tracer: what the light at a leaf would be if every ray were followed. Slow and simple on purpose,
 * and apart from the engine: it shares no code with it, so that one can be held against the other.
 */
import { add, cosineWay, cross, dot, mul, norm, sub, unit, type Random, type V } from './vectors';

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

/** A thin shell that lets a share of light straight through wherever a ray crosses it. */
export interface Film {
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

/** Irradiance by whence it came, with the standard error of the part that is drawn. */
export interface Traced {
  readonly sun: number;
  readonly straight: number;
  readonly reflected: number;
  readonly error: number;
}

const NEAR = 1e-6;

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

const hit = (target: Sheet, from: V, way: V): number => meet(target, from, way, target.sides);

/** As `hit`, from whichever side. */
const through = (target: Sheet, from: V, way: V): number => meet(target, from, way, 2);

function nearest(scene: TracerScene, from: V, way: V): { sheet: Sheet; distance: number } | null {
  let best: { sheet: Sheet; distance: number } | null = null;
  for (const candidate of scene.sheets) {
    const distance = hit(candidate, from, way);
    if (distance < (best?.distance ?? Infinity)) best = { sheet: candidate, distance };
  }
  return best;
}

/** The share of light that the straight way over a distance leaves: solids, crowns, shells. */
function clear(scene: TracerScene, from: V, way: V, distance: number): number {
  for (const candidate of scene.sheets) if (hit(candidate, from, way) < distance - NEAR) return 0;
  return dimming(scene, from, way, distance);
}

function dimming(scene: TracerScene, from: V, way: V, distance: number): number {
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
  for (const film of scene.films) if (through(film.sheet, from, way) < distance - NEAR) left *= film.transmittance;
  return left;
}

/** What a ray that leaves the room toward a window brings in: through what hangs there, the glass, from beyond it. */
function radianceThrough(scene: TracerScene, opening: Opening, from: V, way: V): number {
  const distance = through(opening.glass, from, way);
  if (distance === Infinity || dot(way, opening.glass.normal) <= 0) return 0;
  const left = clear(scene, from, way, distance);
  if (left === 0) return 0;
  const at = add(from, mul(way, distance));
  const passed = opening.passes(dot(way, opening.glass.normal)) * (1 - opening.scatter) * opening.radiance(at, way);
  return left * passed * (crossesMouth(opening, from, way) ? opening.straight : 1);
}

const crossesMouth = (opening: Opening, from: V, way: V): boolean =>
  through(opening.mouth, sub(from, mul(way, 2 * NEAR)), way) < Infinity;

/** Irradiance of the sun's beam on a small surface. */
export function sunOn(scene: TracerScene, point: V, normal: V): number {
  const { sun } = scene;
  if (!sun) return 0;
  const cosine = dot(sun.way, normal);
  if (cosine <= 0) return 0;
  let sum = 0;
  for (const opening of scene.openings) {
    const distance = through(opening.glass, point, sun.way);
    const cosGlass = dot(sun.way, opening.glass.normal);
    if (distance === Infinity || cosGlass <= 0) continue;
    const at = add(point, mul(sun.way, distance));
    const share = opening.sunShare(at);
    if (share === 0) continue;
    const left = clear(scene, point, sun.way, distance);
    const hung = crossesMouth(opening, point, sun.way) ? opening.straight : 1;
    sum += sun.beam * cosine * left * share * opening.passes(cosGlass) * (1 - opening.scatter) * hung;
  }
  return sum;
}

const placeOn = (target: Sheet, a: number, b: number): V => add(target.corner, add(mul(target.u, a), mul(target.v, b)));
const areaOf = ({ u, v }: Sheet): number => norm(cross(u, v));

/** Curtains hang this far inside the pane where there is no reveal, m. */
const AT_HAND = 1e-4;

/** Light that falls on a point of the glass or of a curtain from outside, looked up by one random way. */
function onOuterSide(scene: TracerScene, opening: Opening, at: V, isCurtain: boolean, random: Random): number {
  const out = opening.glass.normal;
  if (!isCurtain) return glassIrradiance(scene, opening, at, random);
  // From the curtain outward: into the reveal, off its sides perhaps, to the glass.
  let from = sub(at, mul(out, AT_HAND));
  let way = cosineWay(out, random);
  let weight = Math.PI;
  let sum = 0;
  for (let bounce = 0; bounce < 12; bounce++) {
    const toGlass = through(opening.glass, from, way);
    const met = nearest(scene, from, way);
    if (dot(way, out) > 0 && toGlass < (met?.distance ?? Infinity)) {
      const point = add(from, mul(way, toGlass));
      const cosine = dot(way, out);
      sum += weight * opening.passes(cosine) * (1 - opening.scatter) * opening.radiance(point, way);
      // A pane that scatters shines evenly inward.
      if (opening.scatter > 0)
        sum += (weight * opening.scatter * glassIrradiance(scene, opening, point, random)) / Math.PI;
      break;
    }
    if (!met || met.sheet.reflectance === 0) break;
    from = add(from, mul(way, met.distance));
    const normal = facing(met.sheet, way);
    weight *= met.sheet.reflectance;
    sum += (weight / Math.PI) * sunOn(bare(scene, opening), from, normal);
    way = cosineWay(normal, random);
    // Back through the mouth: that light is the room's own.
    if (through(opening.mouth, from, way) < nearestDistance(scene, from, way)) break;
  }
  const { sun } = scene;
  const beam = sun && dot(sun.way, out) > 0 ? sunOn(bare(scene, opening), sub(at, mul(out, AT_HAND)), out) : 0;
  return sum + beam;
}

const nearestDistance = (scene: TracerScene, from: V, way: V): number =>
  nearest(scene, from, way)?.distance ?? Infinity;

/** A scene with one window alone, nothing hung at it. */
const bare = (scene: TracerScene, opening: Opening): TracerScene => ({
  ...scene,
  openings: [{ ...opening, straight: 1, spread: 0 }],
});

/** What passes the glass at a point of all that falls on it, by one random way. */
function glassIrradiance({ sun }: TracerScene, opening: Opening, at: V, random: Random): number {
  const out = opening.glass.normal;
  const way = cosineWay(out, random);
  const beam = sun && dot(sun.way, out) > 0 ? sun.beam * dot(sun.way, out) * opening.sunShare(at) : 0;
  return (
    Math.PI * opening.passes(dot(way, out)) * opening.radiance(at, way) +
    (beam > 0 ? beam * opening.passes(dot(sun!.way, out)) : 0)
  );
}

const facing = ({ normal }: Sheet, way: V): V => (dot(way, normal) < 0 ? normal : mul(normal, -1));

/** A window this near, in sizes of its own, is found by rays that meet it; a farther one is looked at directly. */
const CLOSE_SIZES = 0.7;

const isClose = ({ glass }: Opening, point: V): boolean => {
  const middle = placeOn(glass, 0.5, 0.5);
  return norm(sub(middle, point)) < CLOSE_SIZES * (norm(glass.u) + norm(glass.v));
};

/** A window in the plane of the surface itself is not seen. */
const GRAZING = 1e-9;

/**
 * One look at every window from a small surface: sky, ground, houses, what curtains and frosted panes spread.
 * @param outward ways from a curtain outward by which its brightness is told
 */
function windowsOn(scene: TracerScene, point: V, normal: V, a: number, b: number, random: Random, outward = 1): number {
  let sum = 0;
  for (const opening of scene.openings) {
    if (!isClose(opening, point)) sum += straightLook(scene, opening, point, normal, a, b);
    if (opening.scatter === 0 && opening.spread === 0) continue;
    for (let i = 0; i < outward; i++) sum += spreadLook(scene, opening, point, normal, a, b, random) / outward;
  }
  return sum;
}

function straightLook(scene: TracerScene, opening: Opening, point: V, normal: V, a: number, b: number): number {
  const arm = sub(placeOn(opening.glass, a, b), point);
  const distance = norm(arm);
  const way = mul(arm, 1 / distance);
  const cosHere = dot(way, normal);
  const cosThere = dot(way, opening.glass.normal);
  if (cosHere <= 0 || cosThere < GRAZING) return 0;
  const view = (cosHere * cosThere * areaOf(opening.glass)) / (distance * distance);
  return view * radianceThrough(scene, opening, point, way);
}

/** What a curtain at the mouth, or the pane itself, spreads toward a point. */
function spreadLook(
  scene: TracerScene,
  opening: Opening,
  point: V,
  normal: V,
  a: number,
  b: number,
  random: Random,
): number {
  let sum = 0;
  const emit = (face: Sheet, share: number, isCurtain: boolean) => {
    if (share <= 0) return;
    const at = placeOn(face, a, b);
    const arm = sub(at, point);
    const distance = norm(arm);
    const way = mul(arm, 1 / distance);
    const cosHere = dot(way, normal);
    const cosThere = dot(way, opening.glass.normal);
    if (cosHere <= 0 || cosThere < GRAZING) return;
    const left = clear(scene, point, way, distance);
    if (left === 0) return;
    const exitance = share * onOuterSide(scene, opening, at, isCurtain, random);
    sum += (left * exitance * cosHere * cosThere * areaOf(face)) / (Math.PI * distance * distance);
  };
  const behindCurtain = dot(sub(opening.mouth.corner, point), opening.mouth.normal) < -NEAR;
  emit(opening.glass, opening.scatter * (behindCurtain ? 1 : opening.straight), false);
  if (!behindCurtain) emit(opening.mouth, opening.spread, true);
  return sum;
}

/** One look at every lamp from a small surface. */
function lightsOn(scene: TracerScene, point: V, normal: V, a: number, b: number): number {
  let sum = 0;
  for (const light of scene.lights) {
    const at = add(light.centre, add(mul(light.u, a - 0.5), mul(light.v, b - 0.5)));
    const arm = sub(at, point);
    const distance = norm(arm);
    const way = mul(arm, 1 / distance);
    const cosine = dot(way, normal);
    if (cosine <= 0) continue;
    const intensity = light.intensity(mul(way, -1));
    if (intensity > 0) sum += (clear(scene, point, way, distance) * intensity * cosine) / (distance * distance);
  }
  return sum;
}

/** Looks along each edge of every window and lamp for what comes straight. */
const STRAIGHT_LOOKS = 40;
/** What is seen straight of a curtain is looked at along so many ways outward from each place of it. */
const OUTWARD_WAYS = 24;

/** How long ways are followed: until the standard error is below a share of the whole, or so many were. */
export interface Patience {
  readonly share: number;
  readonly most: number;
}

/** Ways are followed in batches of so many. */
const BATCH = 1000;

/** Irradiance on a small surface. */
export function trace(scene: TracerScene, point: V, normal: V, { share, most }: Patience, random: Random): Traced {
  let straight = 0;
  for (let i = 0; i < STRAIGHT_LOOKS; i++) {
    for (let j = 0; j < STRAIGHT_LOOKS; j++) {
      const a = (i + random()) / STRAIGHT_LOOKS;
      const b = (j + random()) / STRAIGHT_LOOKS;
      straight += windowsOn(scene, point, normal, a, b, random, OUTWARD_WAYS) + lightsOn(scene, point, normal, a, b);
    }
  }
  straight /= STRAIGHT_LOOKS ** 2;
  const sun = sunOn(scene, point, normal);
  const totals = { back: 0, seen: 0, squares: 0, paths: 0 };
  for (;;) {
    for (let path = 0; path < BATCH; path++) {
      const { back, seen } = follow(scene, point, normal, random);
      totals.back += back;
      totals.seen += seen;
      totals.squares += (back + seen) ** 2;
    }
    totals.paths += BATCH;
    const mean = (totals.back + totals.seen) / totals.paths;
    const error = Math.sqrt(Math.max(0, totals.squares / totals.paths - mean * mean) / totals.paths);
    if (totals.paths < most && error > share * (sun + straight + mean)) continue;
    const close = totals.seen / totals.paths;
    return { sun, straight: straight + close, reflected: totals.back / totals.paths, error };
  }
}

/** One way back through the room: what comes after a bounce, and what the first ray itself sees of close windows. */
function follow(scene: TracerScene, point: V, normal: V, random: Random): { back: number; seen: number } {
  let from = point;
  let faces = normal;
  let weight = 1;
  let back = 0;
  let seen = 0;
  for (let bounce = 0; ; bounce++) {
    const way = cosineWay(faces, random);
    const met = nearest(scene, from, way);
    for (const opening of scene.openings) {
      if (!isClose(opening, from) || dot(way, opening.glass.normal) <= 0) continue;
      if (through(opening.glass, from, way) > (met?.distance ?? Infinity)) continue;
      const light = weight * Math.PI * radianceThrough(scene, opening, from, way);
      if (bounce === 0) seen += light;
      else back += light;
    }
    if (!met) break;
    weight *= dimming(scene, from, way, met.distance) * met.sheet.reflectance;
    weight *= hungBetween(scene, from, way, met.distance);
    if (weight === 0) break;
    // Paths that carry little are ended by lot.
    if (bounce > 2) {
      const goesOn = Math.min(0.95, weight);
      if (random() > goesOn) break;
      weight /= goesOn;
    }
    faces = facing(met.sheet, way);
    from = add(from, mul(way, met.distance));
    back += weight * (sunOn(scene, from, faces) + windowsOn(scene, from, faces, random(), random(), random));
    back += weight * lightsOn(scene, from, faces, random(), random());
  }
  return { back, seen };
}

/** What curtains leave of light between the room and the sides of a reveal. */
function hungBetween(scene: TracerScene, from: V, way: V, distance: number): number {
  let left = 1;
  for (const { mouth, straight } of scene.openings)
    if (straight < 1 && through(mouth, from, way) < distance - NEAR) left *= straight;
  return left;
}
