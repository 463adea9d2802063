/** Holds the engine against the tracer at the spots of a drawn home. */
import { HomeEngine, leafPlaceOf, momentLight, sceneOf, type Knowledge, type Scene } from '../src/home';
import { placedSpots, type PlacedSpot } from '../src/room';
import { OVERCAST_SKY, clearSky } from '../src/sky';
import { PPFD_PER_WATT } from '../src/units';
import { tracerOptics, type Drawn } from './random-homes';
import { crownsAbove, sceneOfFacts } from './scene-of-facts';
import { sunOn, trace, type Patience, type TracerScene } from './tracer';
import { add, randomFrom, type Random, type V } from './vectors';

const knowledge: Knowledge = {
  taxon: () => null,
  glazing: (id) => tracerOptics.glazing(id) as ReturnType<Knowledge['glazing']>,
  curtain: (id) => tracerOptics.curtain(id),
  climate: () => null,
};

/** One spot's light by both, W m-2 of daylight and umol m-2 s-1 of lamps. */
export interface Compared {
  readonly seed: number;
  readonly spotId: string;
  readonly kinds: readonly string[];
  readonly what: 'daylight' | 'lamps';
  readonly engine: number;
  readonly traced: number;
  /** Standard error of the traced figure. */
  readonly error: number;
  readonly engineSun: number;
  readonly tracedSun: number;
  /** What of it comes after a bounce. */
  readonly engineReflected: number;
  readonly tracedReflected: number;
  /** Whether the sun's edge lies within 5 cm: lit or not is then left open. */
  readonly atEdge: boolean;
}

const UP: V = [0, 0, 1];
const EDGE_M = 0.05;
const SIDEWAYS: readonly V[] = [
  [EDGE_M, 0, 0],
  [-EDGE_M, 0, 0],
  [0, EDGE_M, 0],
  [0, -EDGE_M, 0],
];

/**
 * Every spot of a drawn home.
 * @param patience of the tracer at each of them
 */
export function compared(drawn: Drawn, patience: Patience): Compared[] {
  const { facts, outdoors } = drawn;
  const engine = new HomeEngine(knowledge, {
    weatherHours: () => [],
    intensities: (fileKey) => tracerOptics.intensities(fileKey),
  });
  const scene = sceneOf(facts, engine.sources);
  const bare = sceneOfFacts(facts, facts.rooms[0]!, outdoors, tracerOptics);
  return placedSpots(facts).flatMap((placed): Compared[] => {
    const { light, reflectedLamps } = byEngine(engine, scene, drawn, placed);
    const { x, y, z } = placed.leaf;
    const own = scene.plantsAt.get(placed.spot.id) ?? [];
    const tallest = Math.max(0, ...own.map(({ heightCm }) => (heightCm ?? 0) / 100));
    const hazes = crownsAbove(facts, placed.room, placed.spot.id, Math.max(z, placed.tierHeightM + tallest - 0.12));
    const random = randomFrom(drawn.seed * 31 + placed.spot.id.length);
    const at = { seed: drawn.seed, spotId: placed.spot.id, kinds: drawn.kinds };
    const watts = 1 / PPFD_PER_WATT;
    const daylight = light.sun + light.sky + light.ground + light.obstruction + light.reflected;
    const day = daylit({ ...bare, hazes, lights: [] }, [x, y, z], patience, random);
    const rows: Compared[] = [
      {
        ...at,
        ...day,
        what: 'daylight',
        engine: daylight * watts,
        engineSun: light.sun * watts,
        engineReflected: light.reflected * watts,
      },
    ];
    if (facts.lamps.length === 0) return rows;
    const lit = trace({ ...bare, hazes, openings: [], sun: null }, [x, y, z], UP, patience, random);
    return [
      ...rows,
      {
        ...at,
        what: 'lamps',
        engine: light.lamps,
        traced: lit.straight + lit.reflected,
        error: lit.error,
        engineSun: 0,
        tracedSun: 0,
        engineReflected: reflectedLamps,
        tracedReflected: lit.reflected,
        atEdge: false,
      },
    ];
  });
}

function byEngine(engine: HomeEngine, scene: Scene, { facts, outdoors }: Drawn, placed: PlacedSpot) {
  const place = leafPlaceOf(scene, placed);
  const sky = engine.lit.sky(facts, 2026);
  const { month, dni, dhi, sunAzimuthDeg, sunElevationDeg } = outdoors;
  const skyShape = outdoors.sky === 'overcast' ? OVERCAST_SKY : clearSky(sunAzimuthDeg, sunElevationDeg);
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
  const reflectedLamps = engine.lit.lampsAt(scene, place, sky).reduce((sum, lamp) => sum + lamp.reflectedPpfd, 0);
  return { light, reflectedLamps };
}

function daylit(scene: TracerScene, leaf: V, patience: Patience, random: Random) {
  const { sun, straight, reflected, error } = trace(scene, leaf, UP, patience, random);
  return {
    traced: sun + straight + reflected,
    error,
    tracedSun: sun,
    tracedReflected: reflected,
    atEdge: SIDEWAYS.some((way) => sunOn(scene, add(leaf, way), UP) > 0 !== sun > 0),
  };
}
