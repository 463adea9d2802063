/** The daylight at a spot at one instant, part by part. */
import { coarsened, type Moment } from '../sky';
import { RADIANS } from '../units';
import { clearWay, directionInRoom, dot, type Occluder, type Vec } from '../room';
import { whereThrough, type Coefficients } from './coefficients';
import { UNCURTAINED, type Transmittance } from './curtains';
import { beamThrough, litPart, type LitPart, type Pane, type Receiver } from './pane';
import type { SpotWindow } from './room';

/** How the sun's reflected light is told: by the exact outline of its patch, or between directions traced before, which is quick. */
export type SunPatch = 'exact' | 'between-nodes';

/** Where the light of a spot came from outdoors. */
export interface OriginParts {
  readonly sun: number;
  readonly sky: number;
  readonly ground: number;
  readonly obstruction: number;
}

const NOTHING: OriginParts = { sun: 0, sky: 0, ground: 0, obstruction: 0 };

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

/** Mean over the opening of the share of a beam that overhang and reveal leave. */
export function litShare(pane: Pane, toSun: Vec): number {
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { sizeU, sizeV } = pane.opening;
  return (Math.max(0, part.u1 - part.u0) * Math.max(0, part.v1 - part.v0)) / (sizeU * sizeV);
}

/**
 * How much of the sun's beam reaches a point through a window: transmittance of glass, frame, dirt, trees and crowns; 0
 * when the ray misses the opening, meets something solid or is hidden outside.
 * @param toSun unit vector toward the sun in the room's frame
 */
export function sunTransmittance(pane: Pane, point: Vec, toSun: Vec, occluders: readonly Occluder[]): number {
  const through = whereThrough(pane.opening, point, toSun);
  if (!through) return 0;
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { u, v, distance } = through;
  if (u < part.u0 || u > part.u1 || v < part.v0 || v > part.v1) return 0;
  const way = clearWay(
    occluders,
    point.x,
    point.y,
    point.z,
    point.x + toSun.x * distance,
    point.y + toSun.y * distance,
    point.z + toSun.z * distance,
  );
  return way === 0 ? 0 : way * beamThrough(pane, toSun);
}

/**
 * Irradiance at a spot through one window, straight and reflected, by origin.
 * @param transmittance what its curtains do now
 */
export function instantLight(
  spot: SpotWindow,
  receiver: Receiver,
  outdoors: Moment,
  { straight, spread }: Transmittance = UNCURTAINED,
  occluders: readonly Occluder[] = [],
  sunPatch: SunPatch = 'exact',
): { direct: OriginParts; reflected: OriginParts } {
  const { pane, flux } = spot;
  if (!pane.months.includes(outdoors.month)) return { direct: NOTHING, reflected: NOTHING };
  const sunUp = outdoors.dni > 0 && outdoors.sunElevationDeg > 0;
  const toSun = directionInRoom(pane.room, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg);
  const passed = sunUp ? beamThrough(pane, toSun) : 0;
  const global = outdoors.dhi + (sunUp ? outdoors.dni * Math.sin(outdoors.sunElevationDeg * RADIANS) : 0);
  const ground = (pane.groundByMonth[outdoors.month - 1]! * global) / Math.PI;
  const obstruction = global / Math.PI;
  const beam = sunUp ? outdoors.dni : 0;
  const cosGlass = Math.max(0, dot(toSun, pane.opening.normal));
  const sunFlux = passed > 0 ? beam * cosGlass * passed * litShare(pane, toSun) : 0;
  const skyFlux = spread > 0 ? skyOf(flux, outdoors) : 0;
  const partsOf = (light: typeof spot.direct, sun: number): OriginParts => ({
    sun: straight * sun + spread * light.optics * sunFlux,
    sky: straight * skyOf(light, outdoors) + spread * light.optics * skyFlux,
    ground: (straight * light.ground + spread * light.optics * flux.ground) * ground,
    obstruction: (straight * light.obstruction + spread * light.optics * flux.obstruction) * obstruction,
  });
  const cosLeaf = Math.max(0, dot(toSun, receiver.normal));
  const sunDirect = passed > 0 ? beam * cosLeaf * sunTransmittance(pane, receiver.point, toSun, occluders) : 0;
  // Trees dim the beam before the glass does.
  const treeShare = passed > 0 ? passed / (pane.glass(cosGlass) * pane.clearShare) : 0;
  const back = () =>
    sunPatch === 'exact'
      ? spot.sunReflectedExactly(toSun)
      : spot.sunReflected(outdoors.sunAzimuthDeg, outdoors.sunElevationDeg);
  return {
    direct: partsOf(spot.direct, sunDirect),
    reflected: partsOf(spot.reflected, passed > 0 && straight > 0 ? beam * treeShare * back() : 0),
  };
}

function skyOf({ sky, net }: Coefficients, { skyShape, dhi }: Moment): number {
  const shape = net.count === skyShape.length ? skyShape : coarsened(skyShape);
  let sum = 0;
  for (let node = 0; node < sky.length; node++) sum += sky[node]! * shape[node]!;
  return sum * dhi;
}
