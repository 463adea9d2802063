/** What the sun does at one window through a year, the same for every spot of its room. */
import { FINE_NET, emptyAround, findAround } from '../sky/nodes';
import { OVERCAST_SKY } from '../sky/radiance';
import { HOUR_BINS, type SkyYear } from '../sky/year';
import { directionInRoom } from '../room/geometry';
import type { Vec } from '../room/vector';
import { binned, type BinnedCoefficients } from './binned';
import { beamThrough, litPart, paneAzimuth, type LitPart, type Pane } from './pane';
import { litOnCurtain, litShare, type PaneFlux } from './pane-flux';
import { glassOf } from './reveal';
import type { SpotWindow } from './room';
import { addStep, emptyTally, sameHour, type SunTally } from './sun-tally';

/** The beam is summed by quarters of an hour for what it gives after reflection, however fine the steps. */
const QUARTERS = 4;

/** Steps of one hour on about four days go together: where all of them reach a spot, or none does, they are told at once. */
const FULL_RUN = 13;

/** Runs of steps in one hour bin, whole hours in each. */
interface Runs {
  /** First step of each run, and one more for the end. */
  readonly starts: Uint32Array;
  /** Least and most of `alongU`, then of `alongV`, over a run. */
  readonly along: Float32Array;
  /** The part of the opening through which every beam of a run comes: u0, u1, v0, v1. */
  readonly parts: Float32Array;
  /** What a leaf gets of each run that reaches it whole. */
  readonly whole: SunTally;
}

export interface PaneYear {
  /** The year's steps in which the sun stands before the window, hour bin by hour bin. */
  readonly steps: Uint32Array;
  /** At each of them: the beam's run along the opening's edges for each metre away from the glass, and its height (z of a unit vector). */
  readonly alongU: Float32Array;
  readonly alongV: Float32Array;
  readonly height: Float32Array;
  readonly runs: Runs;
  /** What of it passes, and the share that trees outside leave. */
  readonly passed: Float32Array;
  readonly treeShare: Float32Array;
  /** The part of the opening through which it comes: u0, u1, v0, v1 in turn. */
  readonly parts: Float32Array;
  /**
   * The beam by quarter of each hour bin, since what it gives after reflection changes slowly: the bin, the four nodes of
   * the fine net around the mean direction (weighted by energy) with their shares, and W h m-2 a day by day type.
   */
  readonly beamBins: Uint16Array;
  readonly beamNodes: Uint16Array;
  readonly beamShares: Float32Array;
  readonly beamEnergy: Float64Array;
  readonly flux: BinnedCoefficients;
  readonly veilFlux: BinnedCoefficients;
  /** The beam on each square metre of curtain, and of pane, W h m-2 a day by bin and day type. */
  readonly sunFlux: Float64Array;
  readonly veilSunFlux: Float64Array;
}

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

/** The steps in which the sun stands before a window, as they are found, in arrays longer than it takes. */
interface Found extends Beams {
  count: number;
}

/** What of the beam is summed by quarter of each hour bin, and on each square metre of curtain. */
interface BeamSums {
  /** W h m-2 a day, `quarter * dayTypes + type`. */
  readonly energy: Float64Array;
  /** By quarter: how strongly it counts, and so weighted the sun's bearing from the pane's own and its height, degrees. */
  readonly weight: Float64Array;
  readonly azimuth: Float64Array;
  readonly elevation: Float64Array;
  readonly sunFlux: Float64Array;
  readonly veilSunFlux: Float64Array;
}

/** Picks the steps of the year in which the sun stands before a window, and sums the beam that passes it. */
export function paneYear(
  window: Pick<SpotWindow, 'pane'> & PaneFlux,
  sky: SkyYear,
  even: Float64Array = OVERCAST_SKY,
): PaneYear {
  const { pane } = window;
  const facing = paneAzimuth(pane, pane.opening.normal.x, pane.opening.normal.y);
  const { found, sums } = beamsOf(window, sky, facing);
  const { energy, weight, azimuth, elevation, sunFlux, veilSunFlux } = sums;
  const used = Array.from(weight.keys()).filter((quarter) => weight[quarter]! > 0);
  const { count } = found;
  const flux = binned(window.flux, sky, even, pane.months);
  const isFlush = pane.revealM === 0;
  const beams = {
    steps: found.steps.slice(0, count),
    alongU: found.alongU.slice(0, count),
    alongV: found.alongV.slice(0, count),
    height: found.height.slice(0, count),
    passed: found.passed.slice(0, count),
    treeShare: found.treeShare.slice(0, count),
    parts: found.parts.slice(0, 4 * count),
  };
  return {
    ...beams,
    runs: runsOf(beams, sky),
    beamBins: Uint16Array.from(used, (quarter) => Math.floor(quarter / QUARTERS)),
    ...nodesAround(
      used,
      (quarter) => facing + azimuth[quarter]! / weight[quarter]!,
      (quarter) => elevation[quarter]! / weight[quarter]!,
    ),
    beamEnergy: energyOf(energy, used, sky.dayTypes),
    flux,
    veilFlux: isFlush ? flux : binned(window.veilFlux, sky, even, pane.months),
    sunFlux,
    veilSunFlux: isFlush ? sunFlux : veilSunFlux,
  };
}

/** Goes through the year's steps in the order of their bins. @param facing the pane's own bearing, degrees */
function beamsOf(
  window: Pick<SpotWindow, 'pane'> & PaneFlux,
  sky: SkyYear,
  facing: number,
): { found: Found; sums: BeamSums } {
  const { pane } = window;
  const glass = pane.revealM > 0 ? glassOf(pane) : pane;
  const found = emptyFound(sky.steps);
  const sums = emptySums(sky.dayTypes);
  // East and north in the room's frame: the same for every step.
  const east = directionInRoom(pane.room, 90, 0);
  const north = directionInRoom(pane.room, 0, 0);
  const { normal: n, sizeU, sizeV } = pane.opening;
  const monthOn = Array.from({ length: 12 }, (_, month0) => pane.months.includes(month0 + 1));
  for (let i = 0; i < sky.steps; i++) {
    const step = sky.byBin[i]!;
    if (!monthOn[Math.floor(sky.bin[step]! / 24)]) continue;
    const e = sky.toSun[3 * step]!;
    const f = sky.toSun[3 * step + 1]!;
    const x = e * east.x + f * north.x;
    const y = e * east.y + f * north.y;
    const z = sky.toSun[3 * step + 2]!;
    const cosGlass = x * n.x + y * n.y + z * n.z;
    if (cosGlass <= 0) continue;
    const passed = beamThrough(pane, { x, y, z });
    if (passed === 0) continue;
    const onGlass = glass === pane ? 1 : litShare(glass, { x, y, z });
    if (onGlass === 0) continue;
    litPart(part, pane, x, y, z);
    const clear = (Math.max(0, part.u1 - part.u0) * Math.max(0, part.v1 - part.v0)) / (sizeU * sizeV);
    if (clear === 0 && glass === pane) continue;
    // What the beam gives after reflection is told without the trees that dim it.
    const treeShare = passed / (pane.glass(cosGlass) * pane.clearShare);
    if (clear > 0) record(found, pane, step, { x, y, z }, cosGlass, passed, treeShare);
    const through = passed * cosGlass;
    addBeam(sums, sky, step, through * litOnCurtain(clear, onGlass, window), through * onGlass, treeShare, facing);
  }
  return { found, sums };
}

const emptyFound = (most: number): Found => ({
  count: 0,
  steps: new Uint32Array(most),
  alongU: new Float32Array(most),
  alongV: new Float32Array(most),
  height: new Float32Array(most),
  passed: new Float32Array(most),
  treeShare: new Float32Array(most),
  parts: new Float32Array(4 * most),
});

const emptySums = (dayTypes: number): BeamSums => ({
  energy: new Float64Array(HOUR_BINS * QUARTERS * dayTypes),
  weight: new Float64Array(HOUR_BINS * QUARTERS),
  azimuth: new Float64Array(HOUR_BINS * QUARTERS),
  elevation: new Float64Array(HOUR_BINS * QUARTERS),
  sunFlux: new Float64Array(HOUR_BINS * dayTypes),
  veilSunFlux: new Float64Array(HOUR_BINS * dayTypes),
});

/** Records a step with the part of the opening that was found lit. */
function record(
  found: Found,
  { opening: { edgeU, edgeV } }: Pane,
  step: number,
  { x, y, z }: Vec,
  cosGlass: number,
  passed: number,
  treeShare: number,
): void {
  const { count, parts } = found;
  found.steps[count] = step;
  found.alongU[count] = (x * edgeU.x + y * edgeU.y + z * edgeU.z) / cosGlass;
  found.alongV[count] = (x * edgeV.x + y * edgeV.y + z * edgeV.z) / cosGlass;
  found.height[count] = z;
  found.passed[count] = passed;
  found.treeShare[count] = treeShare;
  parts[4 * count] = part.u0;
  parts[4 * count + 1] = part.u1;
  parts[4 * count + 2] = part.v0;
  parts[4 * count + 3] = part.v1;
  found.count++;
}

function addBeam(
  { energy, weight, azimuth, elevation, sunFlux, veilSunFlux }: BeamSums,
  sky: SkyYear,
  step: number,
  onCurtain: number,
  onPane: number,
  treeShare: number,
  facing: number,
): void {
  const { dayTypes } = sky;
  const bin = sky.bin[step]!;
  const hours = sky.stepMinutes / 60 / sky.daysInMonth[Math.floor(bin / 24)]!;
  const quarter = bin * QUARTERS + Math.floor((sky.slot[step]! * sky.stepMinutes) / 15);
  let beam = 0;
  for (let type = 0; type < dayTypes; type++) {
    const dni = sky.dni[step * dayTypes + type]!;
    beam += dni * treeShare;
    energy[quarter * dayTypes + type]! += dni * treeShare * hours;
    sunFlux[bin * dayTypes + type]! += dni * onCurtain * hours;
    veilSunFlux[bin * dayTypes + type]! += dni * onPane * hours;
  }
  weight[quarter]! += beam;
  // Taken from the pane's own bearing, so that north does not break the mean.
  azimuth[quarter]! += beam * (((sky.azimuthDeg[step]! - facing + 540) % 360) - 180);
  elevation[quarter]! += beam * sky.elevationDeg[step]!;
}

type Beams = Pick<PaneYear, 'steps' | 'alongU' | 'alongV' | 'height' | 'passed' | 'treeShare' | 'parts'>;

function runStarts({ steps }: Beams, sky: SkyYear): Uint32Array {
  const starts: number[] = [];
  for (let i = 0; i < steps.length; i++) {
    const begins =
      i === 0 ||
      sky.bin[steps[i - 1]!] !== sky.bin[steps[i]!] ||
      (i - starts[starts.length - 1]! >= FULL_RUN && !sameHour(sky, steps[i - 1]!, steps[i]!));
    if (begins) starts.push(i);
  }
  return Uint32Array.from([...starts, steps.length]);
}

function runsOf(beams: Beams, sky: SkyYear): Runs {
  const { steps, alongU, alongV, height, passed, treeShare, parts } = beams;
  const starts = runStarts(beams, sky);
  const count = starts.length - 1;
  const runs: Runs = {
    starts,
    along: new Float32Array(4 * count),
    parts: new Float32Array(4 * count),
    whole: emptyTally(count, sky.dayTypes),
  };
  for (let run = 0; run < count; run++) {
    const at = 4 * run;
    runs.along.set([Infinity, -Infinity, Infinity, -Infinity], at);
    runs.parts.set([-Infinity, Infinity, -Infinity, Infinity], at);
    let hourSum = 0;
    for (let i = starts[run]!; i < starts[run + 1]!; i++) {
      runs.along[at] = Math.min(runs.along[at]!, alongU[i]!);
      runs.along[at + 1] = Math.max(runs.along[at + 1]!, alongU[i]!);
      runs.along[at + 2] = Math.min(runs.along[at + 2]!, alongV[i]!);
      runs.along[at + 3] = Math.max(runs.along[at + 3]!, alongV[i]!);
      runs.parts[at] = Math.max(runs.parts[at]!, parts[4 * i]!);
      runs.parts[at + 1] = Math.min(runs.parts[at + 1]!, parts[4 * i + 1]!);
      runs.parts[at + 2] = Math.max(runs.parts[at + 2]!, parts[4 * i + 2]!);
      runs.parts[at + 3] = Math.min(runs.parts[at + 3]!, parts[4 * i + 3]!);
      const before = i === starts[run]! ? -1 : steps[i - 1]!;
      hourSum = addStep(runs.whole, run, sky, steps[i]!, passed[i]! * height[i]!, treeShare[i]!, before, hourSum);
    }
  }
  return runs;
}

function nodesAround(
  used: readonly number[],
  azimuthOf: (quarter: number) => number,
  elevationOf: (quarter: number) => number,
): Pick<PaneYear, 'beamNodes' | 'beamShares'> {
  const around = emptyAround();
  const beamNodes = new Uint16Array(4 * used.length);
  const beamShares = new Float32Array(4 * used.length);
  used.forEach((quarter, i) => {
    findAround(around, FINE_NET, azimuthOf(quarter), elevationOf(quarter));
    beamNodes.set(around.nodes, 4 * i);
    beamShares.set(around.shares, 4 * i);
  });
  return { beamNodes, beamShares };
}

function energyOf(energy: Float64Array, used: readonly number[], dayTypes: number): Float64Array {
  const kept = new Float64Array(used.length * dayTypes);
  used.forEach((quarter, i) => kept.set(energy.subarray(quarter * dayTypes, (quarter + 1) * dayTypes), i * dayTypes));
  return kept;
}
