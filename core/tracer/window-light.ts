/** What windows give to a small surface in a traced scene: the sun, what lies beyond the glass, what curtains spread. */
import {
  NEAR,
  areaOf,
  clear,
  facing,
  nearest,
  placeOn,
  through,
  type Opening,
  type Sheet,
  type TracerScene,
} from './sheets';
import { add, cosineWay, dot, mul, norm, sub, type Random, type V } from './vectors';

/** What a ray that leaves the room toward a window brings in: through what hangs there, the glass, from beyond it. */
export function radianceThrough(scene: TracerScene, opening: Opening, from: V, way: V): number {
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

/** A window this near, in sizes of its own, is found by rays that meet it; a farther one is looked at directly. */
const CLOSE_SIZES = 0.7;

export const isClose = ({ glass }: Opening, point: V): boolean => {
  const middle = placeOn(glass, 0.5, 0.5);
  return norm(sub(middle, point)) < CLOSE_SIZES * (norm(glass.u) + norm(glass.v));
};

/** A window in the plane of the surface itself is not seen. */
const GRAZING = 1e-9;

/**
 * One look at every window from a small surface: sky, ground, houses, what curtains and frosted panes spread.
 * @param outward ways from a curtain outward by which its brightness is told
 */
export function windowsOn(
  scene: TracerScene,
  point: V,
  normal: V,
  a: number,
  b: number,
  random: Random,
  outward = 1,
): number {
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
