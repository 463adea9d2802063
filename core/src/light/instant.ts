/** The daylight at a spot at one instant, part by part. */
import { readAtNodes } from '../sky';
import { RADIANS } from '../units';
import { directionInRoom, dot, type Rectangle } from '../room';
import { beamThrough, sunTransmittance } from './coefficients';
import type { Receiver } from './pane';
import type { SpotWindow } from './room';

/** The outdoors at an instant. Irradiances in W m-2 (or any unit: what comes out is in the same). */
export interface OutdoorInstant {
  readonly dni: number;
  readonly dhi: number;
  /** Radiance of each sky node per unit of `dhi`. */
  readonly skyShape: Float64Array;
  readonly sunAzimuthDeg: number;
  readonly sunElevationDeg: number;
}

/** Where the light of a spot came from outdoors. */
export interface OriginParts {
  readonly sun: number;
  readonly sky: number;
  readonly ground: number;
  readonly obstruction: number;
}

/** What a curtain that fills the window does: it lets a share through and spreads it evenly. */
export interface Veil {
  readonly transmittance: number;
  /** Share of what passes that is scattered; the rest goes straight on. */
  readonly scatter: number;
}

/**
 * Irradiance at a spot through one window, straight and reflected, by origin.
 * @param veil the curtain that is shut now, or null
 */
export function instantLight(
  spot: SpotWindow,
  receiver: Receiver,
  outdoors: OutdoorInstant,
  veil: Veil | null,
  boards: readonly Rectangle[] = [],
): { direct: OriginParts; reflected: OriginParts } {
  const { pane, flux } = spot;
  const sunUp = outdoors.dni > 0 && outdoors.sunElevationDeg > 0;
  const toSun = directionInRoom(pane.room, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg);
  const passed = sunUp ? beamThrough(pane, toSun) : 0;
  const global = outdoors.dhi + (sunUp ? outdoors.dni * Math.sin(outdoors.sunElevationDeg * RADIANS) : 0);
  const ground = (pane.groundReflectance * global) / Math.PI;
  const obstruction = (pane.outside.reflectance * global) / Math.PI;
  const sky = (field: Float64Array) => {
    let sum = 0;
    for (let node = 0; node < field.length; node++) sum += field[node]! * outdoors.skyShape[node]!;
    return sum * outdoors.dhi;
  };
  const beam = sunUp ? outdoors.dni : 0;
  const straight = veil ? veil.transmittance * (1 - veil.scatter) : 1;
  const spread = veil ? veil.transmittance * veil.scatter : 0;
  const cosGlass = Math.max(0, dot(toSun, pane.opening.normal));
  const sunFlux = beam * cosGlass * passed;
  const partsOf = (light: typeof spot.direct, sun: number): OriginParts => ({
    sun: straight * sun + spread * light.veil * sunFlux,
    sky: straight * sky(light.sky) + spread * light.veil * sky(flux.sky),
    ground: (straight * light.ground + spread * light.veil * flux.ground) * ground,
    obstruction: (straight * light.obstruction + spread * light.veil * flux.obstruction) * obstruction,
  });
  const cosLeaf = Math.max(0, dot(toSun, receiver.normal));
  return {
    direct: partsOf(spot.direct, beam * cosLeaf * sunTransmittance(pane, receiver.point, toSun, boards)),
    reflected: partsOf(
      spot.reflected,
      passed > 0 ? beam * readAtNodes(spot.sunReflected, outdoors.sunAzimuthDeg, outdoors.sunElevationDeg) : 0,
    ),
  };
}
