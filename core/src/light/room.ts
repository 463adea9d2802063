/** A room made ready to light its spots: its panes, boards and surfaces, and what each window gives to each surface. */
import { SKY_NODES, nodeDirection } from '../sky';
import { directionInRoom, pointOn, times, type Rectangle, type Vec } from '../room';
import type { Room } from '../home/facts';
import {
  SPOT_FINENESS,
  SURFACE_FINENESS,
  addDirectLight,
  directLight,
  emptyCoefficients,
  fluxThrough,
  type Coefficients,
  type DirectLight,
} from './coefficients';
import { enclosureOf, hitFace, type Enclosure } from './enclosure';
import type { Pane, Receiver } from './pane';

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
  readonly room: Room;
  readonly boards: readonly Rectangle[];
  readonly enclosure: Enclosure;
  readonly panes: readonly PaneInRoom[];
}

/** Cells along each edge of a window when the sun's beam is carried to the room's surfaces. */
const SUN_CELLS = 10;

/** Traces a room's windows onto its own surfaces. The boards shade spots, not walls. */
export function litRoom(room: Room, panes: readonly Pane[], boards: readonly Rectangle[]): LitRoom {
  const enclosure = enclosureOf(room, panes.map((pane) => pane.opening));
  return {
    room,
    boards,
    enclosure,
    panes: panes.map((pane) => ({
      pane,
      flux: fluxThrough(pane),
      onPatches: patchLight(pane, enclosure),
      sunOnPatches: sunOnPatches(room, pane, enclosure),
    })),
  };
}

function patchLight(pane: Pane, enclosure: Enclosure): PatchLight {
  const lights = enclosure.patches.map((patch) => (patch.reflectance === 0 ? null : meanLight(pane, patch.rectangle)));
  const seen: number[] = [];
  for (let node = 0; node < SKY_NODES; node++) {
    if (lights.some((light) => light !== null && light.sky[node]! > 0)) seen.push(node);
  }
  const sky = new Float64Array(lights.length * seen.length);
  lights.forEach((light, patch) => {
    if (light) seen.forEach((node, i) => (sky[patch * seen.length + i] = light.sky[node]!));
  });
  return {
    nodes: Uint16Array.from(seen),
    sky,
    ground: Float64Array.from(lights, (light) => light?.ground ?? 0),
    obstruction: Float64Array.from(lights, (light) => light?.obstruction ?? 0),
    veil: Float64Array.from(lights, (light) => light?.veil ?? 0),
  };
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

/** Mean over a patch of what it gets straight from a window, from two by two points. */
function meanLight(pane: Pane, patch: Rectangle): DirectLight {
  const mean: DirectLight = { ...emptyCoefficients(), veil: 0 };
  for (const u of [0.2113, 0.7887]) {
    for (const v of [0.2113, 0.7887]) {
      addDirectLight(mean, 0.25, pane, { point: pointOn(patch, u, v), normal: patch.normal }, [], SURFACE_FINENESS);
    }
  }
  return mean;
}

function sunOnPatches(room: Room, pane: Pane, enclosure: Enclosure): SunOnPatches[] {
  const { opening } = pane;
  const cellArea = (opening.sizeU * opening.sizeV) / SUN_CELLS ** 2;
  const cells: Vec[] = [];
  for (let i = 0; i < SUN_CELLS; i++) {
    for (let j = 0; j < SUN_CELLS; j++) cells.push(pointOn(opening, (i + 0.5) / SUN_CELLS, (j + 0.5) / SUN_CELLS));
  }
  const sums = new Float64Array(enclosure.patches.length);
  return Array.from({ length: SKY_NODES }, (_, node) => {
    const { azimuthDeg, elevationDeg } = nodeDirection(node);
    const toSun = directionInRoom(room, azimuthDeg, elevationDeg);
    const { normal } = opening;
    const cosGlass = toSun.x * normal.x + toSun.y * normal.y + toSun.z * normal.z;
    // What hides the sun outside is asked at each instant, not here: its edge must not blur between nodes.
    if (cosGlass <= 0) return NO_SUN;
    const power = pane.glass(cosGlass) * pane.clearShare * cosGlass * cellArea;
    const inward = times(toSun, -1);
    sums.fill(0);
    for (const cell of cells) {
      const hit = hitFace(room, cell, inward);
      sums[enclosure.patchAt(hit.face, hit.point)]! += power;
    }
    const patches: number[] = [];
    for (let patch = 0; patch < sums.length; patch++) {
      if (sums[patch]! > 0 && enclosure.patches[patch]!.reflectance > 0) patches.push(patch);
    }
    return {
      patches: Uint16Array.from(patches),
      irradiances: Float64Array.from(patches, (patch) => sums[patch]! / enclosure.patches[patch]!.area),
    };
  });
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
    return { pane, direct: directLight(pane, receiver, lit.boards, SPOT_FINENESS), reflected, sunReflected, flux };
  });
}
