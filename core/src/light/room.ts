/** A room made ready to light its spots: its panes, solids and surfaces, and what each window gives to each surface. */
import { COARSE_NET, FINE_NET, SKY_NODES, emptyAround, findAround, nodeDirection } from '../sky/nodes';
import { directionInRoom } from '../room/geometry';
import type { Occluder } from '../room/occluder';
import { pointOn, type Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Room } from '../home/facts';
import { addDirectLight, directLight, distanceTo, emptyCoefficients, fluxThrough, type Coefficients, type DirectLight } from './coefficients';
import { enclosureOf, type Enclosure, type Importance } from './enclosure';
import { litPart, type LitPart, type Pane, type Receiver } from './pane';
import { DEFAULT_RESOLUTION, type Resolution } from './resolution';
import { sunPolygons } from './sun-patch';
import { hitFace, liesOn } from './surfaces';

/** What each piece of the room gets straight from a window, kept flat since it is summed for every spot. */
interface SurfaceLight {
  /** Coarse sky nodes that any piece sees through the window. */
  readonly nodes: Uint16Array;
  /** `i * pieces + piece`: a spot sums over pieces, node by node. */
  readonly sky: Float32Array;
  /** The mean over each patch of its pieces, `i * patches + patch`. */
  readonly patchSky: Float32Array;
  readonly ground: Float64Array;
  readonly obstruction: Float64Array;
  readonly veil: Float64Array;
}

/** What a beam of 1 W m-2 gives to which pieces. */
interface SunOnSurfaces {
  readonly pieces: Uint16Array;
  readonly irradiances: Float64Array;
}

const NO_SUN: SunOnSurfaces = { pieces: new Uint16Array(0), irradiances: new Float64Array(0) };

/** What one window does to the room as a whole. */
interface PaneInRoom {
  readonly pane: Pane;
  readonly flux: Coefficients;
  readonly onSurfaces: SurfaceLight;
  /** For the sun in a node of the fine net; what hides it outside is not asked here. Traced when first asked for. */
  sunFrom(node: number): SunOnSurfaces;
}

export interface LitRoom {
  readonly resolution: Resolution;
  readonly room: Room;
  /** Boards and blocks. */
  readonly solids: readonly Occluder[];
  readonly enclosure: Enclosure;
  readonly panes: readonly PaneInRoom[];
}

/** Traces a room's windows onto its own surfaces. Boards and blocks shade spots, not walls. */
export function litRoom(room: Room, panes: readonly Pane[], solids: readonly Occluder[], resolution = DEFAULT_RESOLUTION): LitRoom {
  const enclosure = enclosureOf(room, panes.map((pane) => pane.opening), resolution.patchesAlong);
  return {
    resolution,
    room,
    solids,
    enclosure,
    panes: panes.map((pane) => ({
      pane,
      flux: fluxThrough(pane),
      onSurfaces: surfaceLight(pane, enclosure, resolution),
      sunFrom: sunTracer(room, pane, enclosure, resolution.sunCells),
    })),
  };
}

function surfaceLight(pane: Pane, enclosure: Enclosure, resolution: Resolution): SurfaceLight {
  const { patches } = enclosure;
  const count = patches.length;
  const all = new Float64Array(count * COARSE_NET.count);
  const ground = new Float64Array(count);
  const obstruction = new Float64Array(count);
  const veil = new Float64Array(count);
  for (let piece = 0; piece < count; piece++) {
    const { rectangle, reflectance } = patches[piece]!;
    if (reflectance === 0 || liesOn(pane.opening, rectangle)) continue;
    const sky = all.subarray(piece * COARSE_NET.count, (piece + 1) * COARSE_NET.count);
    const light: DirectLight = { net: COARSE_NET, sky, ground: 0, obstruction: 0, veil: 0 };
    addMeanLight(light, pane, rectangle, resolution);
    ground[piece] = light.ground;
    obstruction[piece] = light.obstruction;
    veil[piece] = light.veil;
  }
  const nodes = nodesSeen(all, count);
  const width = nodes.length;
  const sky = new Float32Array(count * width);
  for (let piece = 0; piece < count; piece++) {
    for (let i = 0; i < width; i++) sky[i * count + piece] = all[piece * COARSE_NET.count + nodes[i]!]!;
  }
  return { nodes, sky, patchSky: patchMeans(sky, width, enclosure), ground, obstruction, veil };
}

function patchMeans(sky: Float32Array, width: number, { patchOf, shareOfPatch, coarseCount }: Enclosure): Float32Array {
  const means = new Float32Array(coarseCount * width);
  for (let piece = 0; piece < patchOf.length; piece++) {
    const share = shareOfPatch[piece]!;
    for (let i = 0; i < width; i++) means[i * coarseCount + patchOf[piece]!]! += share * sky[i * patchOf.length + piece]!;
  }
  return means;
}

function nodesSeen(all: Float64Array, pieces: number): Uint16Array {
  const seen = new Uint8Array(COARSE_NET.count);
  for (let piece = 0; piece < pieces; piece++) {
    const row = piece * COARSE_NET.count;
    for (let node = 0; node < COARSE_NET.count; node++) if (seen[node] === 0 && all[row + node] !== 0) seen[node] = 1;
  }
  return Uint16Array.from(Array.from(seen.keys()).filter((node) => seen[node] === 1));
}

/** Pieces that count within this share of what their patch does on the mean are taken with it. */
const ALIKE = 0.12;

/**
 * The weighted sum over pieces of what they get: what they pass on to one spot. A patch is taken as a whole at its
 * mean, and only the pieces that count for more or less than that one by one.
 */
function gather(light: SurfaceLight, importance: Float64Array, { patchOf, shareOfPatch, coarseCount }: Enclosure): DirectLight {
  const sum: DirectLight = { ...emptyCoefficients(COARSE_NET), veil: 0 };
  const pieces = importance.length;
  const whole = new Float64Array(coarseCount);
  for (let piece = 0; piece < pieces; piece++) {
    const weight = importance[piece]!;
    if (weight === 0) continue;
    whole[patchOf[piece]!]! += weight;
    sum.ground += weight * light.ground[piece]!;
    sum.obstruction += weight * light.obstruction[piece]!;
    sum.veil += weight * light.veil[piece]!;
  }
  let apart = 0;
  for (let piece = 0; piece < pieces; piece++) {
    const mean = whole[patchOf[piece]!]! * shareOfPatch[piece]!;
    const over = importance[piece]! - mean;
    if (Math.abs(over) <= ALIKE * mean) continue;
    apartPieces[apart] = piece;
    apartWeights[apart] = over;
    apart++;
  }
  for (let i = 0; i < light.nodes.length; i++) {
    let value = 0;
    const patchRow = i * coarseCount;
    for (let patch = 0; patch < coarseCount; patch++) value += whole[patch]! * light.patchSky[patchRow + patch]!;
    const pieceRow = i * pieces;
    for (let k = 0; k < apart; k++) value += apartWeights[k]! * light.sky[pieceRow + apartPieces[k]!]!;
    sum.sky[light.nodes[i]!] = value;
  }
  return sum;
}

/** Pieces taken one by one, kept and used again; a room has fewer pieces than a piece's index can tell. */
const apartPieces = new Uint16Array(65536);
const apartWeights = new Float64Array(65536);

/** Pieces farther from a window than this many times their own width are looked at from their centre alone. */
const FAR_PIECE = 2;

/** Adds the mean over a piece of what it gets straight from a window, from two by two points when it is near. */
function addMeanLight(mean: DirectLight, pane: Pane, piece: Rectangle, resolution: Resolution): void {
  const away = distanceTo(pane.opening, pointOn(piece, 0.5, 0.5));
  const points = away > FAR_PIECE * Math.max(piece.sizeU, piece.sizeV) ? [0.5] : [0.2113, 0.7887];
  for (const u of points) {
    for (const v of points) {
      addDirectLight(mean, 1 / points.length ** 2, pane, { point: pointOn(piece, u, v), normal: piece.normal }, [], resolution.surface);
    }
  }
}

/** Carries a beam from each node of the fine net through a pane onto the room's pieces, when it is first asked for. */
function sunTracer(room: Room, pane: Pane, enclosure: Enclosure, sunCells: number): (node: number) => SunOnSurfaces {
  const known = new Map<number, SunOnSurfaces>();
  return (node) => {
    let beam = known.get(node);
    if (!beam) {
      const { azimuthDeg, elevationDeg } = nodeDirection(node);
      beam = sunOnSurfaces(room, pane, enclosure, sunCells, directionInRoom(room, azimuthDeg, elevationDeg));
      known.set(node, beam);
    }
    return beam;
  };
}

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

function sunOnSurfaces(room: Room, pane: Pane, enclosure: Enclosure, sunCells: number, toSun: Vec): SunOnSurfaces {
  const { corner, edgeU, edgeV, normal } = pane.opening;
  const cosGlass = toSun.x * normal.x + toSun.y * normal.y + toSun.z * normal.z;
  if (cosGlass <= 0) return NO_SUN;
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { u0, u1, v0, v1 } = part;
  if (u1 <= u0 || v1 <= v0) return NO_SUN;
  const power = (pane.glass(cosGlass) * pane.clearShare * cosGlass * (u1 - u0) * (v1 - v0)) / sunCells ** 2;
  const inward = { x: -toSun.x, y: -toSun.y, z: -toSun.z };
  const sums = new Float64Array(enclosure.patches.length);
  const pieces: number[] = [];
  for (let i = 0; i < sunCells; i++) {
    const u = u0 + ((i + 0.5) / sunCells) * (u1 - u0);
    for (let j = 0; j < sunCells; j++) {
      const v = v0 + ((j + 0.5) / sunCells) * (v1 - v0);
      const cell = { x: corner.x + edgeU.x * u + edgeV.x * v, y: corner.y + edgeU.y * u + edgeV.y * v, z: corner.z + edgeU.z * u + edgeV.z * v };
      const { face, point } = hitFace(room, cell, inward);
      const piece = enclosure.patchAt(face, point);
      if (sums[piece] === 0) pieces.push(piece);
      sums[piece]! += power;
    }
  }
  const lit = pieces.filter((piece) => enclosure.patches[piece]!.reflectance > 0);
  return {
    pieces: Uint16Array.from(lit),
    irradiances: Float64Array.from(lit, (piece) => sums[piece]! / enclosure.patches[piece]!.area),
  };
}

/** What a spot gets through one window, straight and after reflection. */
export interface SpotWindow {
  readonly pane: Pane;
  readonly direct: DirectLight;
  readonly reflected: DirectLight;
  /** Irradiance after reflection for a beam of 1 W m-2 from a direction, degrees; read between nodes of the fine net. */
  sunReflected(azimuthDeg: number, elevationDeg: number): number;
  /** The same for the sun in one node of the fine net. */
  sunFromNode(node: number): number;
  /** The same for one instant, with the edge of the sun's patch exact. */
  sunReflectedExactly(toSun: Vec): number;
  readonly flux: Coefficients;
}

/**
 * Daylight coefficients of a receiver in a lit room, window by window.
 * @param neighbours crowns and whatever else stands in the light at this spot alone
 * @param known its importance in the room, where that was asked for before
 */
export function spotWindows(lit: LitRoom, receiver: Receiver, neighbours: readonly Occluder[] = [], known?: Importance): SpotWindow[] {
  const occluders = neighbours.length > 0 ? [...lit.solids, ...neighbours] : lit.solids;
  const importance = known ?? lit.enclosure.importance(receiver, occluders);
  return lit.panes.map((seen) => {
    const sunFromNode = sunReader(lit, seen, receiver, occluders, importance);
    return {
      pane: seen.pane,
      direct: directLight(seen.pane, receiver, occluders, lit.resolution.spot),
      reflected: gather(seen.onSurfaces, importance.whole, lit.enclosure),
      sunFromNode,
      sunReflected: (azimuthDeg, elevationDeg) => betweenNodes(sunFromNode, azimuthDeg, elevationDeg),
      sunReflectedExactly: (toSun) => exactSun(lit, seen.pane, receiver, occluders, importance, toSun),
      flux: seen.flux,
    };
  });
}

const around = emptyAround();

/** A wall this close shows a leaf where on it the sun's patch lies: its outline is then taken exactly, m. */
const CLOSE_WALL_M = 0.6;

const FIRST_WALL = 2;

/** Tells what a beam from each node gives back, traced when it is first asked for. */
function sunReader(lit: LitRoom, seen: PaneInRoom, receiver: Receiver, occluders: readonly Occluder[], importance: Importance): (node: number) => number {
  const read = new Float64Array(SKY_NODES).fill(NaN);
  const close = lit.enclosure.faces.some((face, index) => index >= FIRST_WALL && distanceFrom(face, receiver.point) < CLOSE_WALL_M);
  const trace = (node: number) => {
    if (!close) return weighed(seen.sunFrom(node), importance.whole);
    const { azimuthDeg, elevationDeg } = nodeDirection(node);
    const straight = straightFromPatch(lit, seen.pane, receiver, occluders, directionInRoom(lit.room, azimuthDeg, elevationDeg));
    return straight + weighed(seen.sunFrom(node), importance.byBounces);
  };
  return (node) => {
    if (Number.isNaN(read[node]!)) read[node] = trace(node);
    return read[node]!;
  };
}

function betweenNodes(sunFromNode: (node: number) => number, azimuthDeg: number, elevationDeg: number): number {
  findAround(around, FINE_NET, azimuthDeg, elevationDeg);
  let sum = 0;
  for (let i = 0; i < 4; i++) sum += around.shares[i]! * sunFromNode(around.nodes[i]!);
  return sum;
}

function distanceFrom({ corner, normal }: Rectangle, point: Vec): number {
  return (point.x - corner.x) * normal.x + (point.y - corner.y) * normal.y + (point.z - corner.z) * normal.z;
}

/** What a beam of 1 W m-2 gives straight from its patch, by the patch's exact outline on each face. */
function straightFromPatch(lit: LitRoom, pane: Pane, receiver: Receiver, occluders: readonly Occluder[], toSun: Vec): number {
  const n = pane.opening.normal;
  const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
  if (cosGlass <= 0) return 0;
  const passed = pane.glass(cosGlass) * pane.clearShare;
  let straight = 0;
  for (const { share, view } of sunPolygons(lit, pane, receiver, occluders, toSun)) straight += share * view * passed;
  return straight;
}

function weighed({ pieces, irradiances }: SunOnSurfaces, importance: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < pieces.length; i++) sum += importance[pieces[i]!]! * irradiances[i]!;
  return sum;
}

/** Cells along each edge of a window when one instant's beam is carried on by bounces. */
const EXACT_CELLS = 10;

/** What comes straight from the sun's patch by its exact outline on each face, what bounces on by cells. */
function exactSun(lit: LitRoom, pane: Pane, receiver: Receiver, occluders: readonly Occluder[], { byBounces }: Importance, toSun: Vec): number {
  const bounced = weighed(sunOnSurfaces(lit.room, pane, lit.enclosure, EXACT_CELLS, toSun), byBounces);
  return straightFromPatch(lit, pane, receiver, occluders, toSun) + bounced;
}
