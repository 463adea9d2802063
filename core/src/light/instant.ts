/** The daylight at a spot at one instant, part by part. */
import { coarsened, type Moment } from '../sky';
import { RADIANS } from '../units';
import { clearWay, directionInRoom, dot, type Occluder, type Vec } from '../room';
import { whereThrough, type Coefficients, type DirectLight } from './coefficients';
import { UNCURTAINED, type Transmittance } from './curtains';
import { beamThrough, litPart, type LitPart, type Pane, type Receiver } from './pane';
import { litOnCurtain, litShare } from './pane-flux';
import { glassOf } from './reveal';
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

/**
 * How much of the sun's beam reaches a point through a window: transmittance of glass, frame, dirt, trees and crowns; 0
 * when the ray misses the opening, meets something solid or is hidden outside.
 * @param toSun unit vector toward the sun in the room's frame
 */
export function sunTransmittance(pane: Pane, point: Vec, toSun: Vec, occluders: readonly Occluder[]): number {
  const way = openWay(pane, point, toSun, occluders);
  return way === 0 ? 0 : way * beamThrough(pane, toSun);
}

/** As `sunTransmittance`, whatever stands outside: glass, frame and dirt, and what stands in the room. */
export function beamOnOpening(pane: Pane, point: Vec, toSun: Vec, occluders: readonly Occluder[]): number {
  const cosGlass = dot(toSun, pane.opening.normal);
  return cosGlass > 0 ? openWay(pane, point, toSun, occluders) * pane.glass(cosGlass) * pane.clearShare : 0;
}

/** The share of a beam that what stands in the room leaves on its way from a window; 0 when it does not come through it. */
function openWay(pane: Pane, point: Vec, toSun: Vec, occluders: readonly Occluder[]): number {
  const through = whereThrough(pane.opening, point, toSun);
  if (!through) return 0;
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { u, v, distance } = through;
  if (u < part.u0 || u > part.u1 || v < part.v0 || v > part.v1) return 0;
  return clearWay(
    occluders,
    point.x,
    point.y,
    point.z,
    point.x + toSun.x * distance,
    point.y + toSun.y * distance,
    point.z + toSun.z * distance,
  );
}

/**
 * Irradiance at a spot through one window, straight and reflected, by origin.
 * @param transmittance what its curtains do now
 */
export function instantLight(
  spot: SpotWindow,
  receiver: Receiver,
  outdoors: Moment,
  transmittance: Transmittance = UNCURTAINED,
  occluders: readonly Occluder[] = [],
  sunPatch: SunPatch = 'exact',
): { direct: OriginParts; reflected: OriginParts } {
  const { pane } = spot;
  if (!pane.months.includes(outdoors.month)) return { direct: NOTHING, reflected: NOTHING };
  const sunUp = outdoors.dni > 0 && outdoors.sunElevationDeg > 0;
  const toSun = directionInRoom(pane.room, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg);
  const passed = sunUp ? beamThrough(pane, toSun) : 0;
  const beam = sunUp ? outdoors.dni : 0;
  const cosGlass = Math.max(0, dot(toSun, pane.opening.normal));
  const isSpread = transmittance.spread + transmittance.veiled + transmittance.twice > 0;
  const onVeils = isSpread
    ? veilsLit(spot, outdoors, passed > 0 ? { toSun, beam: beam * cosGlass * passed } : null)
    : DARK_VEILS;
  const partsOf = (light: typeof spot.direct, sun: number) =>
    partsUnder(light, spot, transmittance, onVeils, outdoors, sun);
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
    reflected: partsOf(spot.reflected, passed > 0 && transmittance.straight > 0 ? beam * treeShare * back() : 0),
  };
}

/** What falls on a curtain and on the pane, W m-2 by origin. */
interface LitVeils {
  readonly onCurtain: OriginParts;
  readonly onPane: OriginParts;
}

const DARK_VEILS: LitVeils = { onCurtain: NOTHING, onPane: NOTHING };

/** Radiance of a white ground outside, to which everything that stands there is held. */
const whiteRadiance = ({ dhi, dni, sunElevationDeg }: Moment): number =>
  (dhi + Math.max(0, dni * Math.sin(sunElevationDeg * RADIANS))) / Math.PI;

function veilsLit(
  spot: SpotWindow,
  outdoors: Moment,
  sun: { readonly toSun: Vec; readonly beam: number } | null,
): LitVeils {
  const { pane, flux, veilFlux } = spot;
  const white = whiteRadiance(outdoors);
  const onGlass = sun ? litShare(glassOf(pane), sun.toSun) : 0;
  const clear = sun ? litShare(pane, sun.toSun) : 0;
  const parts = (on: Coefficients, lit: number): OriginParts => ({
    sun: sun ? sun.beam * lit : 0,
    sky: skyOf(on, outdoors),
    ground: on.ground * pane.groundByMonth[outdoors.month - 1]! * white,
    obstruction: on.obstruction * white,
  });
  return { onCurtain: parts(flux, litOnCurtain(clear, onGlass, spot)), onPane: parts(veilFlux, onGlass) };
}

/** What a spot gets of one kind of light, straight or thrown back, under the veils of its window. */
function partsUnder(
  light: DirectLight,
  { pane, transfer }: SpotWindow,
  { straight, spread, veiled, twice }: Transmittance,
  { onCurtain, onPane }: LitVeils,
  outdoors: Moment,
  sun: number,
): OriginParts {
  const byCurtain = spread * light.optics;
  const byPane = veiled * light.veil + twice * transfer * light.optics;
  const summed = (clear: number, origin: keyof OriginParts) =>
    straight * clear + byCurtain * onCurtain[origin] + byPane * onPane[origin];
  const white = whiteRadiance(outdoors);
  return {
    sun: summed(sun, 'sun'),
    sky: summed(skyOf(light, outdoors), 'sky'),
    ground: summed(light.ground * pane.groundByMonth[outdoors.month - 1]! * white, 'ground'),
    obstruction: summed(light.obstruction * white, 'obstruction'),
  };
}

function skyOf({ sky, net }: Coefficients, { skyShape, dhi }: Moment): number {
  const shape = net.count === skyShape.length ? skyShape : coarsened(skyShape);
  let sum = 0;
  for (let node = 0; node < sky.length; node++) sum += sky[node]! * shape[node]!;
  return sum * dhi;
}
