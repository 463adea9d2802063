/** What the pieces of a room's surfaces get straight from a window, and what of it they pass on to a spot. */
import { COARSE_NET } from '../sky/nodes';
import { pointOn, type Rectangle } from '../room/rectangle';
import { addDirectLight, distanceTo, emptyCoefficients, type DirectLight } from './coefficients';
import type { Enclosure } from './enclosure';
import type { Occluder } from '../room/occluder';
import type { Pane } from './pane';
import type { Resolution } from './resolution';
import { glassOf } from './reveal';
import { mayStandBetween, spanOf } from '../room/span';
import type { Patch } from './cells';
import { liesOn } from './hits';

/** What each piece of the room gets straight from a window, kept flat since it is summed for every spot. */
export interface SurfaceLight {
  /** Coarse sky nodes that any piece sees through the window. */
  readonly nodes: Uint16Array;
  /** `i * pieces + piece`: a spot sums over pieces, node by node. */
  readonly sky: Float32Array;
  /** The mean over each patch of its pieces, `i * patches + patch`. */
  readonly patchSky: Float32Array;
  readonly ground: Float64Array;
  readonly obstruction: Float64Array;
  readonly optics: Float64Array;
  readonly veil: Float64Array;
}

/** Looks at a window from every piece that reflects, past whatever stands in the room. */
export function surfaceLight(
  pane: Pane,
  enclosure: Enclosure,
  resolution: Resolution,
  shells: readonly Occluder[] = [],
): SurfaceLight {
  const { patches: pieces } = enclosure;
  const count = pieces.length;
  const all = new Float64Array(count * COARSE_NET.count);
  const light = {
    ground: new Float64Array(count),
    obstruction: new Float64Array(count),
    optics: new Float64Array(count),
    veil: new Float64Array(count),
  };
  const put = (piece: number, { sky, ground, obstruction, optics, veil }: DirectLight) => {
    all.set(sky, piece * COARSE_NET.count);
    light.ground[piece] = ground;
    light.obstruction[piece] = obstruction;
    // A curtain hangs on the room's side of the reveal: it sends nothing to the reveal's own sides.
    light.optics[piece] = pieces[piece]!.behind ? 0 : optics;
    light.veil[piece] = veil;
  };
  const look = lookerAt(pane, [...enclosure.solids, ...shells], resolution);
  pieces.forEach((piece, index) => {
    if (mayBeLit(piece, pane)) put(index, look(piece));
  });
  const nodes = nodesSeen(all, count);
  const width = nodes.length;
  const sky = new Float32Array(count * width);
  for (let piece = 0; piece < count; piece++) {
    for (let i = 0; i < width; i++) sky[i * count + piece] = all[piece * COARSE_NET.count + nodes[i]!]!;
  }
  return { nodes, sky, patchSky: patchMeans(sky, width, enclosure), ...light };
}

/** The sides of another window's reveal see this one across the room at best: that is left out. */
const mayBeLit = ({ reflectance, openArea, rectangle, behind }: Patch, pane: Pane): boolean =>
  reflectance > 0 && openArea > 0 && !liesOn(pane.opening, rectangle) && (!behind || behind === pane.opening);

/** Tells what a piece gets straight from a window: from the glass where it lies in its reveal. */
function lookerAt(pane: Pane, occluders: readonly Occluder[], resolution: Resolution): (patch: Patch) => DirectLight {
  const glass = glassOf(pane);
  return ({ rectangle, behind }) => {
    const light: DirectLight = { ...emptyCoefficients(COARSE_NET), optics: 0, veil: 0 };
    addMeanLight(light, behind ? glass : pane, rectangle, behind ? [] : occluders, resolution);
    return light;
  };
}

function patchMeans(sky: Float32Array, width: number, { patchOf, shareOfPatch, coarseCount }: Enclosure): Float32Array {
  const means = new Float32Array(coarseCount * width);
  for (let piece = 0; piece < patchOf.length; piece++) {
    const share = shareOfPatch[piece]!;
    for (let i = 0; i < width; i++)
      means[i * coarseCount + patchOf[piece]!]! += share * sky[i * patchOf.length + piece]!;
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
export function gather(
  light: SurfaceLight,
  importance: Float64Array,
  { patchOf, shareOfPatch, coarseCount }: Enclosure,
): DirectLight {
  const sum: DirectLight = { ...emptyCoefficients(COARSE_NET), optics: 0, veil: 0 };
  const pieces = importance.length;
  const whole = new Float64Array(coarseCount);
  for (let piece = 0; piece < pieces; piece++) {
    const weight = importance[piece]!;
    if (weight === 0) continue;
    whole[patchOf[piece]!]! += weight;
    sum.ground += weight * light.ground[piece]!;
    sum.obstruction += weight * light.obstruction[piece]!;
    sum.optics += weight * light.optics[piece]!;
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
function addMeanLight(
  mean: DirectLight,
  pane: Pane,
  piece: Rectangle,
  solids: readonly Occluder[],
  resolution: Resolution,
): void {
  const away = distanceTo(pane.opening, pointOn(piece, 0.5, 0.5));
  const points = away > FAR_PIECE * Math.max(piece.sizeU, piece.sizeV) ? [0.5] : [0.2113, 0.7887];
  const between = solids.length > 0 ? mayStandBetween(solids, spanOf(piece), spanOf(pane.opening)) : solids;
  for (const u of points) {
    for (const v of points) {
      const receiver = { point: pointOn(piece, u, v), normal: piece.normal };
      addDirectLight(mean, 1 / points.length ** 2, pane, receiver, between, resolution.surface);
    }
  }
}
