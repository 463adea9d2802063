/** Holds the engine against the tracer at the spots of a drawn home. */
import { HomeEngine, leafPlaceOf, momentLight, sceneOf, type Knowledge } from '../src/home';
import { placedSpots } from '../src/room';
import { OVERCAST_SKY, clearSky } from '../src/sky';
import { PPFD_PER_WATT } from '../src/units';
import { tracerOptics, type Drawn } from './random-homes';
import { originOf } from './lamps';
import { crownsAbove, sceneOfFacts } from './scene-of-facts';
import type { TracerScene } from './sheets';
import { trace, type Patience } from './tracer';
import { add, randomFrom, type Random, type V } from './vectors';
import { sunOn } from './window-light';

/** Light at one spot: daylight, W m-2, or that of all lamps, umol m-2 s-1. */
export interface SpotLight {
  readonly spotId: string;
  readonly what: 'daylight' | 'lamps';
  readonly total: number;
  /** Straight from the sun, and after a bounce. */
  readonly sun: number;
  readonly reflected: number;
}

export interface TracedLight extends SpotLight {
  /** Standard error of the total. */
  readonly error: number;
  /** Whether the sun's edge lies within 5 cm: lit or not is then left open. */
  readonly atEdge: boolean;
}

/** One spot by both. */
export interface Compared {
  readonly seed: number;
  readonly kinds: readonly string[];
  readonly engine: SpotLight;
  readonly traced: TracedLight;
}

const knowledge: Knowledge = {
  taxon: () => null,
  glazing: (id) => tracerOptics.glazing(id) as ReturnType<Knowledge['glazing']>,
  curtain: (id) => tracerOptics.curtain(id),
  climate: () => null,
};

const WATTS = 1 / PPFD_PER_WATT;

/** Every spot of a drawn home as the engine has it, daylight first. */
export function byEngine({ facts, outdoors }: Drawn): SpotLight[] {
  const engine = new HomeEngine(knowledge, {
    weatherHours: () => [],
    intensities: (fileKey) => tracerOptics.intensities(fileKey),
  });
  const scene = sceneOf(facts, engine.sources);
  const sky = engine.lit.sky(facts, 2026);
  const { month, dni, dhi, sunAzimuthDeg, sunElevationDeg } = outdoors;
  const skyShape = outdoors.sky === 'overcast' ? OVERCAST_SKY : clearSky(sunAzimuthDeg, sunElevationDeg);
  return placedSpots(facts).flatMap((placed): SpotLight[] => {
    const place = leafPlaceOf(scene, placed);
    const light = momentLight({
      lit: engine.lit,
      knowledge: engine.sources,
      scene,
      place,
      sky,
      moment: { month, dni, dhi, sunAzimuthDeg, sunElevationDeg, skyShape },
      minute: 720,
      curtains: 'shut',
      lamps: 'on',
    });
    const spotId = placed.spot.id;
    const day: SpotLight = {
      spotId,
      what: 'daylight',
      total: (light.sun + light.sky + light.ground + light.obstruction + light.reflected) * WATTS,
      sun: light.sun * WATTS,
      reflected: light.reflected * WATTS,
    };
    if (facts.lamps.length === 0) return [day];
    const reflected = engine.lit.lampsAt(scene, place, sky).reduce((sum, lamp) => sum + lamp.reflectedPpfd, 0);
    return [day, { spotId, what: 'lamps', total: light.lamps, sun: 0, reflected }];
  });
}

const UP: V = [0, 0, 1];
const EDGE_M = 0.05;
const SIDEWAYS: readonly V[] = [
  [EDGE_M, 0, 0],
  [-EDGE_M, 0, 0],
  [0, EDGE_M, 0],
  [0, -EDGE_M, 0],
];

/** The same spots as the tracer has them. */
export function byTracer({ seed, facts, outdoors }: Drawn, patience: Patience): TracedLight[] {
  const [room] = facts.rooms;
  const bare = sceneOfFacts(facts, room!, outdoors, tracerOptics);
  return placedSpots(facts).flatMap(({ spot, room: holder, leaf, tierHeightM }, i): TracedLight[] => {
    const origin = originOf(holder);
    const at = add(origin, [leaf.x, leaf.y, leaf.z]);
    const heights = facts.plants
      .filter(({ spotId }) => spotId === spot.id)
      .map(({ heightCm }) => (heightCm ?? 0) / 100);
    const top = origin[2] + Math.max(leaf.z, tierHeightM + Math.max(0, ...heights) - 0.12);
    const hazes = crownsAbove(facts, room!, spot.id, top);
    const random = randomFrom(seed * 1009 + i);
    const day = daylit({ ...bare, hazes, lights: [] }, at, patience, random);
    const rows: TracedLight[] = [{ spotId: spot.id, what: 'daylight', ...day }];
    if (facts.lamps.length === 0) return rows;
    const lit = trace({ ...bare, hazes, openings: [], sun: null }, at, UP, patience, random);
    const { reflected, error } = lit;
    const total = lit.straight + reflected;
    return [...rows, { spotId: spot.id, what: 'lamps', total, sun: 0, reflected, error, atEdge: false }];
  });
}

function daylit(scene: TracerScene, leaf: V, patience: Patience, random: Random) {
  const { sun, straight, reflected, error } = trace(scene, leaf, UP, patience, random);
  const atEdge = SIDEWAYS.some((way) => sunOn(scene, add(leaf, way), UP) > 0 !== sun > 0);
  return { total: sun + straight + reflected, sun, reflected, error, atEdge };
}

/** Every spot of a drawn home by both. */
export function compared(drawn: Drawn, traced: readonly TracedLight[]): Compared[] {
  const { seed, kinds } = drawn;
  return byEngine(drawn).map((engine, i) => ({ seed, kinds, engine, traced: traced[i]! }));
}
