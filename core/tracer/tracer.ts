/**
 * A plain backward path tracer: what the light at a leaf would be if every ray were followed. Slow and simple on purpose,
 * and apart from the engine: it shares no code with it, so that one can be held against the other.
 */
import { NEAR, clear, facing, hazy, nearest, through, type Film, type Sheet, type TracerScene } from './sheets';
import { add, cosineWay, dot, mul, norm, sub, type Random, type V } from './vectors';
import { isClose, radianceThrough, sunOn, windowsOn } from './window-light';

/** Irradiance by whence it came, with the standard error of the part that is drawn. */
export interface Traced {
  readonly sun: number;
  readonly straight: number;
  readonly reflected: number;
  readonly error: number;
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
    const end = thrownBackFrom(scene, from, way, met, random);
    if (!end) break;
    weight *= end.share * hungBetween(scene, from, way, end.distance);
    if (weight === 0) break;
    // Paths that carry little are ended by lot.
    if (bounce > 2) {
      const goesOn = Math.min(0.95, weight);
      if (random() > goesOn) break;
      weight /= goesOn;
    }
    faces = facing(end.sheet, way);
    from = add(from, mul(way, end.distance));
    back += weight * (sunOn(scene, from, faces) + windowsOn(scene, from, faces, random(), random(), random));
    back += weight * lightsOn(scene, from, faces, random(), random());
  }
  return { back, seen };
}

/** Where a ray is thrown back, and which share of it: by what it meets first that is solid, or by lot by a shell on its way there. */
function thrownBackFrom(
  scene: TracerScene,
  from: V,
  way: V,
  met: { readonly sheet: Sheet; readonly distance: number } | null,
  random: Random,
): { readonly sheet: Sheet; readonly distance: number; readonly share: number } | null {
  let share = 1;
  for (const { film, distance } of filmsOnWay(scene, from, way, met?.distance ?? Infinity)) {
    const { reflectance } = film.sheet;
    if (random() < reflectance) return { sheet: film.sheet, distance, share: share * hazy(scene, from, way, distance) };
    share *= film.transmittance / (1 - reflectance);
  }
  return met && { ...met, share: share * met.sheet.reflectance * hazy(scene, from, way, met.distance) };
}

function filmsOnWay(scene: TracerScene, from: V, way: V, end: number): { film: Film; distance: number }[] {
  return scene.films
    .map((film) => ({ film, distance: through(film.sheet, from, way) }))
    .filter(({ distance }) => distance < end - NEAR)
    .sort((p, q) => p.distance - q.distance);
}

/** What curtains leave of light between the room and the sides of a reveal. */
function hungBetween(scene: TracerScene, from: V, way: V, distance: number): number {
  let left = 1;
  for (const { mouth, straight } of scene.openings)
    if (straight < 1 && through(mouth, from, way) < distance - NEAR) left *= straight;
  return left;
}
