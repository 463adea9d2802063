/** What one window gives a spot through the year with its curtain open: the spot's coefficients times the outdoor year. */
import { readAtNodes } from '../sky/nodes';
import { OVERCAST_SKY } from '../sky/radiance';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import { directionInRoom } from '../room/geometry';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { beamThrough, passesOpening, sunTransmittance, type Coefficients, type DirectLight } from './coefficients';
import { paneAzimuth } from './pane';
import type { SpotWindow } from './room';

/** Beam irradiance from which the sun is said to shine, W m-2. World Meteorological Organization. */
const SUNSHINE_THRESHOLD = 120;

/** The beam is summed by quarters of an hour for what it gives after reflection, however fine the steps. */
const QUARTERS = 4;

/** Scalars by bin that a set of coefficients gives under the mean skies of a year. */
interface BinnedCoefficients {
  /** Per unit of clear-sky diffuse irradiance, by bin. */
  readonly clear: Float64Array;
  readonly overcast: number;
  readonly ground: number;
  readonly obstruction: number;
}

/** A spot and one window under one outdoor year; curtains not yet applied, so that moving one costs almost nothing. */
export interface WindowYear {
  readonly windowId: string;
  readonly groundReflectance: number;
  readonly obstructionReflectance: number;
  readonly direct: BinnedCoefficients & { readonly veil: number };
  readonly reflected: BinnedCoefficients & { readonly veil: number };
  readonly flux: BinnedCoefficients;
  /** The sun's beam, W h m-2 a day by bin and day type: on the leaf, reflected, and on each square metre of curtain. */
  readonly sunDirect: Float64Array;
  readonly sunReflected: Float64Array;
  readonly sunFlux: Float64Array;
  /** Strongest beam on the leaf over a whole hour in each bin, W m-2, on the brightest day type: a fleck that passes burns nothing. */
  readonly sunPeak: Float64Array;
  /** Hours a day that the sun's disc can be seen from the spot, and those in which it is likely to shine. */
  readonly sunHoursPossible: Float64Array;
  readonly sunHoursLikely: Float64Array;
}

function binned(coefficients: Coefficients, sky: SkyYear, even: Float64Array): BinnedCoefficients {
  const clear = new Float64Array(HOUR_BINS);
  const field = coefficients.sky;
  const nodes = field.length;
  const shapes = sky.clearShape;
  const seen: number[] = [];
  for (let node = 0; node < nodes; node++) if (field[node]! > 0) seen.push(node);
  const count = seen.length;
  const at = Uint16Array.from(seen);
  const weight = Float64Array.from(seen, (node) => field[node]!);
  let overcast = 0;
  if (count > 0) {
    for (let bin = 0; bin < HOUR_BINS; bin++) {
      if (sky.global[bin * sky.dayTypes]! === 0) continue;
      const base = bin * nodes;
      let sum = 0;
      for (let i = 0; i < count; i++) sum += weight[i]! * shapes[base + at[i]!]!;
      clear[bin] = sum;
    }
    for (let i = 0; i < count; i++) overcast += weight[i]! * even[at[i]!]!;
  }
  return {
    clear,
    overcast,
    ground: coefficients.ground / Math.PI,
    obstruction: coefficients.obstruction / Math.PI,
  };
}

/** What the sun does at one window through the year, the same for every spot of the room; made once for each window. */
export interface PaneYear {
  /** The year's steps in which the sun stands before the window. */
  readonly steps: Uint32Array;
  /** Its direction in the room's frame at each of them: x, y, z in turn. */
  readonly toSun: Float64Array;
  /**
   * The beam by quarter of each hour bin, since what it gives after reflection changes slowly: the bin, the mean
   * direction (weighted by energy) and W h m-2 a day by day type.
   */
  readonly beamBins: Uint16Array;
  readonly beamAzimuth: Float32Array;
  readonly beamElevation: Float32Array;
  readonly beamEnergy: Float64Array;
  readonly flux: BinnedCoefficients;
  readonly sunFlux: Float64Array;
}

/** Picks the steps of the year in which the sun stands before a window, and sums the beam that passes it. */
export function paneYear(window: Pick<SpotWindow, 'pane' | 'flux'>, sky: SkyYear, even: Float64Array = OVERCAST_SKY): PaneYear {
  const { pane } = window;
  const { dayTypes } = sky;
  const steps: number[] = [];
  const toSuns: number[] = [];
  const sunFlux = new Float64Array(HOUR_BINS * dayTypes);
  const n = pane.opening.normal;
  const quarters = HOUR_BINS * QUARTERS;
  const energy = new Float64Array(quarters * dayTypes);
  const weight = new Float64Array(quarters);
  const azimuth = new Float64Array(quarters);
  const elevation = new Float64Array(quarters);
  const facing = paneAzimuth(pane, pane.opening.normal.x, pane.opening.normal.y);
  for (let step = 0; step < sky.steps; step++) {
    const toSun = directionInRoom(pane.room, sky.azimuthDeg[step]!, sky.elevationDeg[step]!);
    const passed = beamThrough(pane, toSun);
    if (passed === 0) continue;
    steps.push(step);
    toSuns.push(toSun.x, toSun.y, toSun.z);
    const bin = sky.bin[step]!;
    const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
    const quarter = bin * QUARTERS + Math.floor((sky.slot[step]! * sky.stepMinutes) / 15);
    let beam = 0;
    for (let type = 0; type < dayTypes; type++) {
      const dni = sky.dni[step * dayTypes + type]!;
      beam += dni;
      energy[quarter * dayTypes + type]! += dni * hours;
    }
    weight[quarter]! += beam;
    // Taken from the pane's own bearing, so that north does not break the mean.
    azimuth[quarter]! += beam * (((sky.azimuthDeg[step]! - facing + 540) % 360) - 180);
    elevation[quarter]! += beam * sky.elevationDeg[step]!;
    const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
    addBeam(sunFlux, sky, step, passed * cosGlass);
  }
  const used = Array.from(weight.keys()).filter((quarter) => weight[quarter]! > 0);
  return {
    steps: Uint32Array.from(steps),
    toSun: Float64Array.from(toSuns),
    beamBins: Uint16Array.from(used, (quarter) => Math.floor(quarter / QUARTERS)),
    beamAzimuth: Float32Array.from(used, (quarter) => facing + azimuth[quarter]! / weight[quarter]!),
    beamElevation: Float32Array.from(used, (quarter) => elevation[quarter]! / weight[quarter]!),
    beamEnergy: Float64Array.from(used.flatMap((quarter) => Array.from(energy.subarray(quarter * dayTypes, (quarter + 1) * dayTypes)))),
    flux: binned(window.flux, sky, even),
    sunFlux,
  };
}

function addBeam(target: Float64Array, sky: SkyYear, step: number, coefficient: number): void {
  const bin = sky.bin[step]!;
  const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
  const types = sky.dayTypes;
  for (let type = 0; type < types; type++) {
    target[bin * types + type]! += sky.dni[step * types + type]! * coefficient * hours;
  }
}

/**
 * A level leaf behind one window through a year.
 * @param even shape of the part of the sky that is not clear
 */
export function windowYear(
  spot: SpotWindow,
  leaf: Vec,
  boards: readonly Rectangle[],
  sky: SkyYear,
  outside: PaneYear,
  even: Float64Array = OVERCAST_SKY,
): WindowYear {
  const { dayTypes } = sky;
  const sunDirect = new Float64Array(HOUR_BINS * dayTypes);
  const sunReflected = new Float64Array(HOUR_BINS * dayTypes);
  const sunPeak = new Float64Array(HOUR_BINS);
  const sunHoursPossible = new Float64Array(HOUR_BINS);
  const sunHoursLikely = new Float64Array(HOUR_BINS);
  for (let entry = 0; entry < outside.beamBins.length; entry++) {
    const back = readAtNodes(spot.sunReflected, outside.beamAzimuth[entry]!, outside.beamElevation[entry]!);
    if (back === 0) continue;
    const into = outside.beamBins[entry]! * dayTypes;
    const from = entry * dayTypes;
    for (let type = 0; type < dayTypes; type++) sunReflected[into + type]! += back * outside.beamEnergy[from + type]!;
  }
  const { opening } = spot.pane;
  let hourOf = -1;
  let lastSlot = 60;
  let hourSum = 0;
  for (let i = 0; i < outside.steps.length; i++) {
    const x = outside.toSun[3 * i]!;
    const y = outside.toSun[3 * i + 1]!;
    const z = outside.toSun[3 * i + 2]!;
    if (!passesOpening(opening, leaf, x, y, z)) continue;
    const passed = sunTransmittance(spot.pane, leaf, { x, y, z }, boards);
    if (passed === 0) continue;
    const step = outside.steps[i]!;
    const onLeaf = passed * z;
    addBeam(sunDirect, sky, step, onLeaf);
    const bin = sky.bin[step]!;
    const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
    let sunny = 0;
    let brightest = 0;
    for (let type = 0; type < dayTypes; type++) {
      const dni = sky.dni[step * dayTypes + type]!;
      if (dni > SUNSHINE_THRESHOLD) sunny += 1 / dayTypes;
      brightest = Math.max(brightest, dni * onLeaf);
    }
    // Steps come in order of time: another hour, or an earlier part of it, is another day's.
    const slot = sky.slot[step]!;
    if (bin !== hourOf || slot <= lastSlot) hourSum = 0;
    hourOf = bin;
    lastSlot = slot;
    hourSum += (brightest * sky.stepMinutes) / 60;
    sunPeak[bin] = Math.max(sunPeak[bin]!, hourSum);
    sunHoursPossible[bin]! += hours;
    sunHoursLikely[bin]! += hours * sunny;
  }
  const withVeil = (light: DirectLight) => ({ ...binned(light, sky, even), veil: light.veil });
  return {
    windowId: spot.pane.windowId,
    groundReflectance: spot.pane.groundReflectance,
    obstructionReflectance: spot.pane.outside.reflectance,
    direct: withVeil(spot.direct),
    reflected: withVeil(spot.reflected),
    flux: outside.flux,
    sunDirect,
    sunReflected,
    sunFlux: outside.sunFlux,
    sunPeak,
    sunHoursPossible,
    sunHoursLikely,
  };
}

