/** What one window gives a spot through the year with its curtain open: the spot's coefficients times the outdoor year. */
import { coarsened } from '../sky/nodes';
import { OVERCAST_SKY } from '../sky/radiance';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import { directionInRoom } from '../room/geometry';
import { clearWay, type Occluder } from '../room/occluder';
import type { Vec } from '../room/vector';
import type { Coefficients, DirectLight } from './coefficients';
import { beamThrough, litPart, paneAzimuth, type LitPart } from './pane';
import type { SpotWindow } from './room';

/** Beam irradiance from which the sun is said to shine, W m-2. World Meteorological Organization. */
const SUNSHINE_THRESHOLD = 120;

/** Where trees and crowns leave less of the beam than this, the leaf is said to be in shade. */
const DISC_SEEN = 0.5;

/** The beam is summed by quarters of an hour for what it gives after reflection, however fine the steps. */
const QUARTERS = 4;

/** Scalars by bin that a set of coefficients gives under the mean skies of a year. */
interface BinnedCoefficients {
  /** Per unit of clear-sky diffuse irradiance, by bin. */
  readonly clear: Float32Array;
  readonly overcast: number;
  readonly ground: number;
  readonly obstruction: number;
}

/** A spot and one window under one outdoor year; curtains not yet applied, so that moving one costs almost nothing. */
export interface WindowYear {
  readonly windowId: string;
  /** Months (1..12) in which this view holds; outside them it gives nothing. */
  readonly months: readonly number[];
  /** Reflectance of the ground outside by month, January first. */
  readonly groundByMonth: readonly number[];
  readonly direct: BinnedCoefficients & { readonly veil: number };
  readonly reflected: BinnedCoefficients & { readonly veil: number };
  readonly flux: BinnedCoefficients;
  /** The sun's beam, W h m-2 a day by bin and day type: on the leaf, reflected, and on each square metre of curtain. */
  readonly sunDirect: Float32Array;
  readonly sunReflected: Float32Array;
  readonly sunFlux: Float64Array;
  /** Strongest beam on the leaf over a whole hour in each bin, W m-2, on the brightest day type: a fleck that passes burns nothing. */
  readonly sunPeak: Float32Array;
  /** Hours a day that the sun's disc can be seen from the spot, and those in which it is likely to shine. */
  readonly sunHoursPossible: Float32Array;
  readonly sunHoursLikely: Float32Array;
}

function binned({ sky: field, net, ground, obstruction }: Coefficients, sky: SkyYear, even: Float64Array, months: readonly number[]): BinnedCoefficients {
  const clear = new Float32Array(HOUR_BINS);
  const fine = net.count === even.length;
  const shapes = fine ? sky.clearShape : sky.coarseClearShape;
  const evenShape = fine ? even : coarsened(even);
  const nodes = net.count;
  let count = 0;
  const at = new Uint16Array(nodes);
  const weight = new Float64Array(nodes);
  let overcast = 0;
  for (let node = 0; node < nodes; node++) {
    const value = field[node]!;
    if (value === 0) continue;
    at[count] = node;
    weight[count] = value;
    overcast += value * evenShape[node]!;
    count++;
  }
  for (const month of months) {
    for (let bin = (month - 1) * 24; bin < month * 24; bin++) {
      if (sky.lit[bin] === 0) continue;
      const base = bin * nodes;
      let sum = 0;
      for (let i = 0; i < count; i++) sum += weight[i]! * shapes[base + at[i]!]!;
      clear[bin] = sum;
    }
  }
  return { clear, overcast, ground: ground / Math.PI, obstruction: obstruction / Math.PI };
}

/** What the sun does at one window through the year, the same for every spot of the room; made once for each window. */
export interface PaneYear {
  /** The year's steps in which the sun stands before the window. */
  readonly steps: Uint32Array;
  /** At each of them: the beam's run along the opening's edges for each metre away from the glass, and its height (z of a unit vector). */
  readonly alongU: Float32Array;
  readonly alongV: Float32Array;
  readonly height: Float32Array;
  /** What of it passes, and the share that trees outside leave. */
  readonly passed: Float32Array;
  readonly treeShare: Float32Array;
  /** The part of the opening through which it comes: u0, u1, v0, v1 in turn. */
  readonly parts: Float32Array;
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

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

/** Picks the steps of the year in which the sun stands before a window, and sums the beam that passes it. */
export function paneYear(window: Pick<SpotWindow, 'pane' | 'flux'>, sky: SkyYear, even: Float64Array = OVERCAST_SKY): PaneYear {
  const { pane } = window;
  const { dayTypes } = sky;
  const steps = new Uint32Array(sky.steps);
  const alongU = new Float32Array(sky.steps);
  const alongV = new Float32Array(sky.steps);
  const height = new Float32Array(sky.steps);
  const passedOf = new Float32Array(sky.steps);
  const treeShareOf = new Float32Array(sky.steps);
  const parts = new Float32Array(4 * sky.steps);
  let count = 0;
  // East and north in the room's frame: the same for every step.
  const east = directionInRoom(pane.room, 90, 0);
  const north = directionInRoom(pane.room, 0, 0);
  const sunFlux = new Float64Array(HOUR_BINS * dayTypes);
  const { normal: n, edgeU, edgeV, sizeU, sizeV } = pane.opening;
  const monthOn = Array.from({ length: 12 }, (_, month0) => pane.months.includes(month0 + 1));
  const quarters = HOUR_BINS * QUARTERS;
  const energy = new Float64Array(quarters * dayTypes);
  const weight = new Float64Array(quarters);
  const azimuth = new Float64Array(quarters);
  const elevation = new Float64Array(quarters);
  const facing = paneAzimuth(pane, pane.opening.normal.x, pane.opening.normal.y);
  for (let step = 0; step < sky.steps; step++) {
    if (!monthOn[Math.floor(sky.bin[step]! / 24)]) continue;
    const e = sky.toSun[3 * step]!;
    const f = sky.toSun[3 * step + 1]!;
    const toSun = { x: e * east.x + f * north.x, y: e * east.y + f * north.y, z: sky.toSun[3 * step + 2]! };
    const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
    if (cosGlass <= 0) continue;
    const passed = beamThrough(pane, toSun);
    if (passed === 0) continue;
    litPart(part, pane, toSun.x, toSun.y, toSun.z);
    const litShare = (Math.max(0, part.u1 - part.u0) * Math.max(0, part.v1 - part.v0)) / (sizeU * sizeV);
    if (litShare === 0) continue;
    // What the beam gives after reflection is told without the trees that dim it.
    const treeShare = passed / (pane.glass(cosGlass) * pane.clearShare);
    steps[count] = step;
    alongU[count] = (toSun.x * edgeU.x + toSun.y * edgeU.y + toSun.z * edgeU.z) / cosGlass;
    alongV[count] = (toSun.x * edgeV.x + toSun.y * edgeV.y + toSun.z * edgeV.z) / cosGlass;
    height[count] = toSun.z;
    passedOf[count] = passed;
    treeShareOf[count] = treeShare;
    parts[4 * count] = part.u0;
    parts[4 * count + 1] = part.u1;
    parts[4 * count + 2] = part.v0;
    parts[4 * count + 3] = part.v1;
    count++;
    const bin = sky.bin[step]!;
    const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
    const quarter = bin * QUARTERS + Math.floor((sky.slot[step]! * sky.stepMinutes) / 15);
    let beam = 0;
    for (let type = 0; type < dayTypes; type++) {
      const dni = sky.dni[step * dayTypes + type]! * treeShare;
      beam += dni;
      energy[quarter * dayTypes + type]! += dni * hours;
    }
    weight[quarter]! += beam;
    // Taken from the pane's own bearing, so that north does not break the mean.
    azimuth[quarter]! += beam * (((sky.azimuthDeg[step]! - facing + 540) % 360) - 180);
    elevation[quarter]! += beam * sky.elevationDeg[step]!;
    addBeam(sunFlux, sky, step, passed * cosGlass * litShare);
  }
  const used = Array.from(weight.keys()).filter((quarter) => weight[quarter]! > 0);
  return {
    steps: steps.slice(0, count),
    alongU: alongU.slice(0, count),
    alongV: alongV.slice(0, count),
    height: height.slice(0, count),
    passed: passedOf.slice(0, count),
    treeShare: treeShareOf.slice(0, count),
    parts: parts.slice(0, 4 * count),
    beamBins: Uint16Array.from(used, (quarter) => Math.floor(quarter / QUARTERS)),
    beamAzimuth: Float32Array.from(used, (quarter) => facing + azimuth[quarter]! / weight[quarter]!),
    beamElevation: Float32Array.from(used, (quarter) => elevation[quarter]! / weight[quarter]!),
    beamEnergy: energyOf(energy, used, dayTypes),
    flux: binned(window.flux, sky, even, pane.months),
    sunFlux,
  };
}

function energyOf(energy: Float64Array, used: readonly number[], dayTypes: number): Float64Array {
  const kept = new Float64Array(used.length * dayTypes);
  used.forEach((quarter, i) => kept.set(energy.subarray(quarter * dayTypes, (quarter + 1) * dayTypes), i * dayTypes));
  return kept;
}

function addBeam(target: Float32Array | Float64Array, sky: SkyYear, step: number, coefficient: number): void {
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
  occluders: readonly Occluder[],
  sky: SkyYear,
  outside: PaneYear,
  even: Float64Array = OVERCAST_SKY,
): WindowYear {
  const { dayTypes } = sky;
  const sunDirect = new Float32Array(HOUR_BINS * dayTypes);
  const sunReflected = new Float32Array(HOUR_BINS * dayTypes);
  const sunPeak = new Float32Array(HOUR_BINS);
  const sunHoursPossible = new Float32Array(HOUR_BINS);
  const sunHoursLikely = new Float32Array(HOUR_BINS);
  for (let entry = 0; entry < outside.beamBins.length; entry++) {
    const back = spot.sunReflected(outside.beamAzimuth[entry]!, outside.beamElevation[entry]!);
    if (back === 0) continue;
    const into = outside.beamBins[entry]! * dayTypes;
    const from = entry * dayTypes;
    for (let type = 0; type < dayTypes; type++) sunReflected[into + type]! += back * outside.beamEnergy[from + type]!;
  }
  const { corner, edgeU, edgeV, normal } = spot.pane.opening;
  const ox = leaf.x - corner.x;
  const oy = leaf.y - corner.y;
  const oz = leaf.z - corner.z;
  const leafU = ox * edgeU.x + oy * edgeU.y + oz * edgeU.z;
  const leafV = ox * edgeV.x + oy * edgeV.y + oz * edgeV.z;
  const away = -(ox * normal.x + oy * normal.y + oz * normal.z);
  const { alongU, alongV, parts } = outside;
  let hourOf = -1;
  let lastSlot = 60;
  let hourSum = 0;
  // The sun comes from above: what ends below the leaf hides nothing of it.
  const above = occluders.filter((occluder) => occluder.z1 > leaf.z);
  const stepsBefore = away > 0 ? outside.steps.length : 0;
  for (let i = 0; i < stepsBefore; i++) {
    const u = leafU + alongU[i]! * away;
    if (u < parts[4 * i]! || u > parts[4 * i + 1]!) continue;
    const v = leafV + alongV[i]! * away;
    if (v < parts[4 * i + 2]! || v > parts[4 * i + 3]!) continue;
    const z = outside.height[i]!;
    let passed = outside.passed[i]!;
    let shine = outside.treeShare[i]!;
    if (above.length > 0) {
      // Under a tree or a crown the sun shines in flecks: what is left of it counts.
      const way = clearWay(
        above, leaf.x, leaf.y, leaf.z,
        corner.x + edgeU.x * u + edgeV.x * v, corner.y + edgeU.y * u + edgeV.y * v, corner.z + edgeU.z * u + edgeV.z * v,
      );
      if (way === 0) continue;
      passed *= way;
      shine *= way;
    }
    const step = outside.steps[i]!;
    const onLeaf = passed * z;
    addBeam(sunDirect, sky, step, onLeaf);
    const bin = sky.bin[step]!;
    const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
    let sunny = 0;
    let brightest = 0;
    for (let type = 0; type < dayTypes; type++) {
      const dni = sky.dni[step * dayTypes + type]!;
      if (shine >= DISC_SEEN && dni * shine > SUNSHINE_THRESHOLD) sunny += 1 / dayTypes;
      brightest = Math.max(brightest, dni * onLeaf);
    }
    // Steps come in order of time: another hour, or an earlier part of it, is another day's.
    const slot = sky.slot[step]!;
    if (bin !== hourOf || slot <= lastSlot) hourSum = 0;
    hourOf = bin;
    lastSlot = slot;
    hourSum += (brightest * sky.stepMinutes) / 60;
    sunPeak[bin] = Math.max(sunPeak[bin]!, hourSum);
    if (shine >= DISC_SEEN) sunHoursPossible[bin]! += hours;
    sunHoursLikely[bin]! += hours * sunny;
  }
  const withVeil = (light: DirectLight) => ({ ...binned(light, sky, even, spot.pane.months), veil: light.veil });
  return {
    windowId: spot.pane.windowId,
    months: spot.pane.months,
    groundByMonth: spot.pane.groundByMonth,
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

