/** A room made ready to light its spots: its panes, boards and surfaces, and what each window gives to each surface. */
import { SKY_NODES, nodeDirection } from '../sky';
import { directionInRoom, pointOn, times, type Rectangle, type Vec } from '../room';
import type { Room } from '../home/facts';
import {
  addDirectLight,
  distanceTo,
  directLight,
  emptyCoefficients,
  fluxThrough,
  type Coefficients,
  type DirectLight,
} from './coefficients';
import { enclosureOf, hitFace, type Enclosure } from './enclosure';
import type { Pane, Receiver } from './pane';
import { DEFAULT_RESOLUTION, type Resolution } from './resolution';

/** What each patch of the room gets straight from a window, kept flat since it is summed for every spot. */
interface PatchLight {
  /** Sky nodes that any patch sees through the window. */
  readonly nodes: Uint16Array;
  /** `patch * nodes.length + i`. */
  readonly sky: Float64Array;
  readonly ground: Float64Array;
  readonly obstruction: Float64Array;
  readonly veil: Float64Array;
}

interface SunOnPatches {
  readonly patches: Uint16Array;
  readonly irradiances: Float64Array;
}

const NO_SUN: SunOnPatches = { patches: new Uint16Array(0), irradiances: new Float64Array(0) };

/** What one window does to the room as a whole. */
interface PaneInRoom {
  readonly pane: Pane;
  readonly flux: Coefficients;
  readonly onPatches: PatchLight;
  /** For each sky node in which the sun might stand: what a beam of 1 W m-2 gives to which patches. */
  readonly sunOnPatches: readonly SunOnPatches[];
}

export interface LitRoom {
  readonly resolution: Resolution;
  readonly room: Room;
  readonly boards: readonly Rectangle[];
  readonly enclosure: Enclosure;
  readonly panes: readonly PaneInRoom[];
}

/** Traces a room's windows onto its own surfaces. The boards shade spots, not walls. */
export function litRoom(room: Room, panes: readonly Pane[], boards: readonly Rectangle[], resolution = DEFAULT_RESOLUTION): LitRoom {
  const enclosure = enclosureOf(room, panes.map((pane) => pane.opening), resolution.patchesAlong);
  return {
    resolution,
    room,
    boards,
    enclosure,
    panes: panes.map((pane) => ({
      pane,
      flux: fluxThrough(pane),
      onPatches: patchLight(pane, enclosure, resolution),
      sunOnPatches: sunOnPatches(room, pane, enclosure, resolution.sunCells),
    })),
  };
}

function patchLight(pane: Pane, enclosure: Enclosure, resolution: Resolution): PatchLight {
  const { patches } = enclosure;
  const count = patches.length;
  const all = new Float64Array(count * SKY_NODES);
  const ground = new Float64Array(count);
  const obstruction = new Float64Array(count);
  const veil = new Float64Array(count);
  for (let patch = 0; patch < count; patch++) {
    const { rectangle, reflectance } = patches[patch]!;
    if (reflectance === 0) continue;
    const light: DirectLight = { sky: all.subarray(patch * SKY_NODES, (patch + 1) * SKY_NODES), ground: 0, obstruction: 0, veil: 0 };
    addMeanLight(light, pane, rectangle, resolution);
    ground[patch] = light.ground;
    obstruction[patch] = light.obstruction;
    veil[patch] = light.veil;
  }
  const nodes = nodesSeen(all, count);
  const width = nodes.length;
  const sky = new Float64Array(count * width);
  for (let patch = 0; patch < count; patch++) {
    for (let i = 0; i < width; i++) sky[patch * width + i] = all[patch * SKY_NODES + nodes[i]!]!;
  }
  return { nodes, sky, ground, obstruction, veil };
}

function nodesSeen(all: Float64Array, patches: number): Uint16Array {
  const seen: number[] = [];
  for (let node = 0; node < SKY_NODES; node++) {
    let patch = 0;
    while (patch < patches && all[patch * SKY_NODES + node] === 0) patch++;
    if (patch < patches) seen.push(node);
  }
  return Uint16Array.from(seen);
}

/** The weighted sum over patches of what they get: what they pass on to one spot. */
function gather(light: PatchLight, importance: Float64Array): DirectLight {
  const sum: DirectLight = { ...emptyCoefficients(), veil: 0 };
  const width = light.nodes.length;
  const row = new Float64Array(width);
  const matrix = light.sky;
  for (let patch = 0; patch < importance.length; patch++) {
    const weight = importance[patch]!;
    if (weight === 0) continue;
    const base = patch * width;
    for (let i = 0; i < width; i++) row[i]! += weight * matrix[base + i]!;
    sum.ground += weight * light.ground[patch]!;
    sum.obstruction += weight * light.obstruction[patch]!;
    sum.veil += weight * light.veil[patch]!;
  }
  for (let i = 0; i < width; i++) sum.sky[light.nodes[i]!] = row[i]!;
  return sum;
}

/** Patches farther from a window than this many times their own width are looked at from their centre alone. */
const FAR_PATCH = 2;

/** Adds the mean over a patch of what it gets straight from a window, from two by two points when it is near. */
function addMeanLight(mean: DirectLight, pane: Pane, patch: Rectangle, resolution: Resolution): void {
  const away = distanceTo(pane.opening, pointOn(patch, 0.5, 0.5));
  const points = away > FAR_PATCH * Math.max(patch.sizeU, patch.sizeV) ? [0.5] : [0.2113, 0.7887];
  for (const u of points) {
    for (const v of points) {
      addDirectLight(mean, 1 / points.length ** 2, pane, { point: pointOn(patch, u, v), normal: patch.normal }, [], resolution.surface);
    }
  }
}

function sunOnPatches(room: Room, pane: Pane, enclosure: Enclosure, sunCells: number): SunOnPatches[] {
  const { opening } = pane;
  const { normal } = opening;
  const cellArea = (opening.sizeU * opening.sizeV) / sunCells ** 2;
  const cells: Vec[] = [];
  for (let i = 0; i < sunCells; i++) {
    for (let j = 0; j < sunCells; j++) cells.push(pointOn(opening, (i + 0.5) / sunCells, (j + 0.5) / sunCells));
  }
  const sums = new Float64Array(enclosure.patches.length);
  const beams: SunOnPatches[] = [];
  for (let node = 0; node < SKY_NODES; node++) {
    const { azimuthDeg, elevationDeg } = nodeDirection(node);
    const toSun = directionInRoom(room, azimuthDeg, elevationDeg);
    const cosGlass = toSun.x * normal.x + toSun.y * normal.y + toSun.z * normal.z;
    // What hides the sun outside is asked at each instant, not here: its edge must not blur between nodes.
    if (cosGlass <= 0) {
      beams.push(NO_SUN);
      continue;
    }
    const power = pane.glass(cosGlass) * pane.clearShare * cosGlass * cellArea;
    const inward = times(toSun, -1);
    sums.fill(0);
    for (const cell of cells) {
      const hit = hitFace(room, cell, inward);
      sums[enclosure.patchAt(hit.face, hit.point)]! += power;
    }
    const lit: number[] = [];
    const irradiances: number[] = [];
    for (let patch = 0; patch < sums.length; patch++) {
      if (sums[patch] === 0) continue;
      const { reflectance, area } = enclosure.patches[patch]!;
      if (reflectance === 0) continue;
      lit.push(patch);
      irradiances.push(sums[patch]! / area);
    }
    beams.push({ patches: Uint16Array.from(lit), irradiances: Float64Array.from(irradiances) });
  }
  return beams;
}

/** What a spot gets through one window, straight and after reflection. */
export interface SpotWindow {
  readonly pane: Pane;
  readonly direct: DirectLight;
  readonly reflected: DirectLight;
  /** Irradiance after reflection for a beam of 1 W m-2 from each sky node. */
  readonly sunReflected: Float64Array;
  readonly flux: Coefficients;
}

/** Daylight coefficients of a receiver in a lit room, window by window. */
export function spotWindows(lit: LitRoom, receiver: Receiver): SpotWindow[] {
  const importance = lit.enclosure.importance(receiver, lit.boards);
  return lit.panes.map(({ pane, flux, onPatches, sunOnPatches: beams }) => {
    const reflected = gather(onPatches, importance);
    const sunReflected = new Float64Array(SKY_NODES);
    for (let node = 0; node < beams.length; node++) {
      const { patches, irradiances } = beams[node]!;
      let sum = 0;
      for (let i = 0; i < patches.length; i++) sum += importance[patches[i]!]! * irradiances[i]!;
      sunReflected[node] = sum;
    }
    return { pane, direct: directLight(pane, receiver, lit.boards, lit.resolution.spot), reflected, sunReflected, flux };
  });
}
