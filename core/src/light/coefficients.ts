/** Daylight coefficients: what each part of the outdoors, at unit brightness, gives to a surface through one window. */
import { FINE_NET, scatterToNodes, type SkyNet } from '../sky/nodes';
import { RADIANS } from '../units/angle';
import { clearWay, type Occluder } from '../room/occluder';
import { distanceToRectangle, pointOn, rectangleFactor, type Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { litPart, lookOut, paneAzimuth, type LitPart, type Look, type Pane, type Receiver } from './pane';

/** Irradiance on a surface for each unit of what lies outside. */
export interface Coefficients {
  /** The net on which the sky is told apart. */
  readonly net: SkyNet;
  /** By node of the net: W m-2 for a radiance of 1 W m-2 sr-1. */
  readonly sky: Float64Array;
  /** For ground of radiance 1. */
  ground: number;
  /** For what stands outside, where open ground has radiance 1: reflectances are counted in. */
  obstruction: number;
}

export function emptyCoefficients(net: SkyNet = FINE_NET): Coefficients {
  return { net, sky: new Float64Array(net.count), ground: 0, obstruction: 0 };
}

/** How finely a window is cut: cells are no wider than this share of the distance, and at least `least` a side. */
export interface Fineness {
  readonly cellPerDistance: number;
  readonly least: number;
  readonly most: number;
  /** How much finer where the edge of something in the room runs across the window; 1 when left out. */
  readonly finerAtEdges?: number;
}

/** What a surface gets straight through a window. */
export interface DirectLight extends Coefficients {
  /** Irradiance for an exitance of 1 from a curtain that fills the opening: its configuration factor, less what boards hide. */
  optics: number;
  /** The same for a pane that shines evenly, at the end of its reveal. */
  veil: number;
}

/**
 * Traces the window cell by cell from a surface.
 * @param occluders boards, blocks and crowns of the same room that may hide part of the window
 */
export function directLight(
  pane: Pane,
  receiver: Receiver,
  occluders: readonly Occluder[],
  fineness: Fineness,
): DirectLight {
  const result: DirectLight = { ...emptyCoefficients(), optics: 0, veil: 0 };
  addDirectLight(result, 1, pane, receiver, occluders, fineness);
  return result;
}

/** As `directLight`, adding a share of the result to a sum. */
export function addDirectLight(
  result: DirectLight,
  share: number,
  pane: Pane,
  receiver: Receiver,
  occluders: readonly Occluder[],
  fineness: Fineness,
): void {
  const { opening } = pane;
  const { corner, edgeU, edgeV, normal: out } = opening;
  const { point, normal } = receiver;
  const near = distanceTo(opening, point);
  // The rim of a ring of obstructions, or of houses by bearing, runs in a curve over the pane: smaller cells follow it.
  const curved = pane.outside.kind === 'ring' || pane.horizon.length > 0;
  const between = occluders.filter((occluder) => mayHide(occluder, opening, point));
  // And the edges of what stands between run across it.
  const finer = curved ? FINER_BY_CURVES : between.length > 0 ? (fineness.finerAtEdges ?? 1) : 1;
  const fine = finer > 1 ? { ...fineness, least: fineness.least * finer } : fineness;
  const away = aheadOfPoint(opening, point);
  const clear = clearPart(pane, point, away);
  const hasReveal = pane.revealM > 0;
  // A curtain hangs on the room's side of the reveal and fills the whole opening.
  if (hasReveal) result.optics += share * veilOf(opening, receiver, between, near, fineness);
  if (clear.u1 <= clear.u0 || clear.v1 <= clear.v0) return;
  const cellsU = cellCount(clear.u1 - clear.u0, near, fine);
  const rows = rowsOf(pane, point, away, near, clear, fine);
  const width = (clear.u1 - clear.u0) / cellsU;
  for (let i = 0; i < cellsU; i++) {
    const u = clear.u0 + (i + 0.5) * width;
    for (const row of rows) {
      const area = width * row.height * share;
      const v = row.middle;
      const dx = corner.x + edgeU.x * u + edgeV.x * v - point.x;
      const dy = corner.y + edgeU.y * u + edgeV.y * v - point.y;
      const dz = corner.z + edgeU.z * u + edgeV.z * v - point.z;
      const square = dx * dx + dy * dy + dz * dz;
      const distance = Math.sqrt(square);
      const cosHere = (dx * normal.x + dy * normal.y + dz * normal.z) / distance;
      const cosGlass = (dx * out.x + dy * out.y + dz * out.z) / distance;
      if (cosHere <= 0 || cosGlass <= 0) continue;
      let view = (cosHere * cosGlass * area) / square;
      if (between.length > 0) {
        view *= clearWay(between, point.x, point.y, point.z, point.x + dx, point.y + dy, point.z + dz);
        if (view === 0) continue;
      }
      result.veil += view / Math.PI;
      if (!hasReveal) result.optics += view / Math.PI;
      addBeyond(
        result,
        pane,
        dx / distance,
        dy / distance,
        dz / distance,
        v,
        view * pane.glass(cosGlass) * pane.clearShare,
      );
    }
  }
}

const FINER_BY_CURVES = 4;

/** How far a point lies from an opening's plane, on its room's side, m. */
function aheadOfPoint({ corner, normal }: Rectangle, point: Vec): number {
  return (corner.x - point.x) * normal.x + (corner.y - point.y) * normal.y + (corner.z - point.z) * normal.z;
}

/** The part of an opening through which a point sees the glass at the end of its reveal: the glass, drawn nearer by perspective. */
function clearPart({ opening, revealM }: Pane, point: Vec, away: number): LitPart {
  const { corner, edgeU, edgeV, sizeU, sizeV } = opening;
  if (revealM === 0 || away <= 0) return { u0: 0, u1: sizeU, v0: 0, v1: sizeV };
  const dx = point.x - corner.x;
  const dy = point.y - corner.y;
  const dz = point.z - corner.z;
  const atU = dx * edgeU.x + dy * edgeU.y + dz * edgeU.z;
  const atV = dx * edgeV.x + dy * edgeV.y + dz * edgeV.z;
  const nearer = away / (away + revealM);
  return {
    u0: Math.max(0, atU * (1 - nearer)),
    u1: Math.min(sizeU, atU + (sizeU - atU) * nearer),
    v0: Math.max(0, atV * (1 - nearer)),
    v1: Math.min(sizeV, atV + (sizeV - atV) * nearer),
  };
}

/** Configuration factor of a whole opening, less what occluders hide. */
function veilOf(
  opening: Rectangle,
  { point, normal }: Receiver,
  between: readonly Occluder[],
  near: number,
  fineness: Fineness,
): number {
  if (between.length === 0) return rectangleFactor(opening, point, normal);
  const across = cellCount(opening.sizeU, near, fineness);
  const up = cellCount(opening.sizeV, near, fineness);
  const area = (opening.sizeU * opening.sizeV) / (across * up);
  const { normal: out } = opening;
  let sum = 0;
  for (let i = 0; i < across; i++) {
    for (let j = 0; j < up; j++) {
      const cell = pointOn(opening, (i + 0.5) / across, (j + 0.5) / up);
      const dx = cell.x - point.x;
      const dy = cell.y - point.y;
      const dz = cell.z - point.z;
      const square = dx * dx + dy * dy + dz * dz;
      const here = dx * normal.x + dy * normal.y + dz * normal.z;
      const glass = dx * out.x + dy * out.y + dz * out.z;
      if (here <= 0 || glass <= 0) continue;
      const way = between.length > 0 ? clearWay(between, point.x, point.y, point.z, cell.x, cell.y, cell.z) : 1;
      sum += (here * glass * area * way) / (Math.PI * square * square);
    }
  }
  return sum;
}

/** Heights on the opening from which a curtain's share of the sky is told, where an overhang parts them. */
const HEIGHTS_UNDER_OVERHANG = [1 / 12, 3 / 12, 5 / 12, 7 / 12, 9 / 12, 11 / 12];

/** What falls on each square metre of the glass and passes it, averaged over the pane: it feeds a curtain. */
export function fluxThrough(pane: Pane): Coefficients {
  const result = emptyCoefficients();
  const { edgeU, edgeV, normal } = pane.opening;
  const heights = pane.overhang.depthM > 0 ? HEIGHTS_UNDER_OVERHANG : [0.5];
  const rings = 28;
  const sectors = 72;
  for (let i = 0; i < rings; i++) {
    // Rings of equal projected area, so that every direction weighs pi / (rings * sectors).
    const sine = Math.sqrt((i + 0.5) / rings);
    const cosine = Math.sqrt(1 - sine * sine);
    for (let j = 0; j < sectors; j++) {
      const turn = ((j + 0.5) / sectors) * 2 * Math.PI;
      const u = sine * Math.cos(turn);
      const v = sine * Math.sin(turn);
      const x = edgeU.x * u + edgeV.x * v + normal.x * cosine;
      const y = edgeU.y * u + edgeV.y * v + normal.y * cosine;
      const z = edgeU.z * u + edgeV.z * v + normal.z * cosine;
      let weight = (Math.PI / (rings * sectors)) * pane.glass(cosine) * pane.clearShare;
      if (pane.revealM > 0) {
        litPart(part, { ...pane, overhang: NO_OVERHANG }, x, y, z);
        weight *=
          (Math.max(0, part.u1 - part.u0) * Math.max(0, part.v1 - part.v0)) / (pane.opening.sizeU * pane.opening.sizeV);
      }
      for (const height of heights)
        addBeyond(result, pane, x, y, z, height * pane.opening.sizeV, weight / heights.length);
    }
  }
  return result;
}

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };
const look: Look = { sky: 0, ground: 0, obstruction: 0 };
const NO_OVERHANG = { depthM: 0, aboveM: 0 };

function addBeyond(
  result: Coefficients,
  pane: Pane,
  x: number,
  y: number,
  z: number,
  vM: number,
  weight: number,
): void {
  lookOut(look, pane, x, y, z, vM);
  result.ground += weight * look.ground;
  result.obstruction += weight * look.obstruction;
  if (look.sky > 0)
    scatterToNodes(result.sky, paneAzimuth(pane, x, y), Math.asin(z) / RADIANS, weight * look.sky, result.net);
}

function cellCount(size: number, near: number, { cellPerDistance, least, most }: Fineness): number {
  return Math.max(least, Math.min(most, Math.ceil(size / (cellPerDistance * near))));
}

/**
 * Rows of cells up the clear part of an opening, parted at the eye's level, where a row of houses ends and where an
 * overhang begins, so that no cell sees two things.
 */
function rowsOf(
  pane: Pane,
  point: Vec,
  away: number,
  near: number,
  clear: LitPart,
  fineness: Fineness,
): { middle: number; height: number }[] {
  const { opening, outside, overhang } = pane;
  const slope = opening.edgeV.z;
  const heightAt = (z: number) => (slope > 1e-9 ? (z - opening.corner.z) / slope : clear.v0);
  const edges = [heightAt(point.z)];
  if (outside.kind !== 'open') edges.push(heightAt(point.z + outside.tangent * away));
  if (overhang.depthM > 0 && away > 0) {
    const slab = opening.corner.z + opening.sizeV * slope + overhang.aboveM;
    edges.push(heightAt(point.z + ((slab - point.z) * away) / (away + overhang.depthM)));
  }
  const cuts = [
    clear.v0,
    ...edges.filter((edge) => edge > clear.v0 + 1e-6 && edge < clear.v1 - 1e-6).sort((p, q) => p - q),
    clear.v1,
  ];
  const rows: { middle: number; height: number }[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const from = cuts[i]!;
    const whole = cuts[i + 1]! - from;
    const least = Math.ceil(fineness.least / (cuts.length - 1));
    const count = cellCount(whole, near, { ...fineness, least });
    for (let j = 0; j < count; j++) rows.push({ middle: from + ((j + 0.5) * whole) / count, height: whole / count });
  }
  return rows;
}

/** From a point to the nearest point of an opening, m; at least 2 cm. */
export const distanceTo = (opening: Rectangle, point: Vec): number =>
  Math.max(0.02, distanceToRectangle(opening, point));

/** A thing can hide a window from a point only if it reaches above the lower and below the higher of them. */
function mayHide(occluder: Occluder, opening: Rectangle, point: Vec): boolean {
  const top = opening.corner.z + opening.edgeV.z * opening.sizeV;
  return occluder.z1 > Math.min(point.z, opening.corner.z) && occluder.z0 < Math.max(point.z, top);
}

/** Where the line from a point to the sun meets an opening's plane, from its near corner along its edges, m; null when it goes away from it. */
export function whereThrough(
  { corner, edgeU, edgeV, normal: n }: Rectangle,
  point: Vec,
  toSun: Vec,
): { u: number; v: number; distance: number } | null {
  const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
  if (cosGlass <= 0) return null;
  const ox = corner.x - point.x;
  const oy = corner.y - point.y;
  const oz = corner.z - point.z;
  const distance = (ox * n.x + oy * n.y + oz * n.z) / cosGlass;
  if (distance <= 0) return null;
  const hx = toSun.x * distance - ox;
  const hy = toSun.y * distance - oy;
  const hz = toSun.z * distance - oz;
  return { u: hx * edgeU.x + hy * edgeU.y + hz * edgeU.z, v: hx * edgeV.x + hy * edgeV.y + hz * edgeV.z, distance };
}
