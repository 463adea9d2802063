/** Daylight coefficients: what each part of the outdoors, at unit brightness, gives to a surface through one window. */
import { SKY_NODES, scatterToNodes } from '../sky/nodes';
import { RADIANS } from '../units/angle';
import { crosses, pointOn, type Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import { beyond, paneAzimuth, type Pane, type Receiver } from './pane';

/** Irradiance on a surface for each unit of what lies outside. */
export interface Coefficients {
  /** By sky node: W m-2 for a radiance of 1 W m-2 sr-1. */
  readonly sky: Float64Array;
  /** For ground, and for an obstruction, of radiance 1. */
  ground: number;
  obstruction: number;
}

export function emptyCoefficients(): Coefficients {
  return { sky: new Float64Array(SKY_NODES), ground: 0, obstruction: 0 };
}

/** How finely a window is cut: cells are no wider than this share of the distance, and at least `least` a side. */
export interface Fineness {
  readonly cellPerDistance: number;
  readonly least: number;
  readonly most: number;
}

/** What a surface gets straight through a window. */
export interface DirectLight extends Coefficients {
  /** Irradiance for an exitance of 1 from a curtain that fills the window: its configuration factor, less what boards hide. */
  veil: number;
}

/**
 * Traces the window cell by cell from a surface.
 * @param boards solid boards of the same room that may hide part of the window
 */
export function directLight(pane: Pane, receiver: Receiver, boards: readonly Rectangle[], fineness: Fineness): DirectLight {
  const result: DirectLight = { ...emptyCoefficients(), veil: 0 };
  addDirectLight(result, 1, pane, receiver, boards, fineness);
  return result;
}

/** As `directLight`, adding a share of the result to a sum. */
export function addDirectLight(
  result: DirectLight,
  share: number,
  pane: Pane,
  receiver: Receiver,
  boards: readonly Rectangle[],
  fineness: Fineness,
): void {
  const { opening } = pane;
  const { corner, edgeU, edgeV, normal: out } = opening;
  const { point, normal } = receiver;
  const near = distanceTo(opening, point);
  // The rim of a ring of obstructions runs in a curve over the pane: smaller cells follow it.
  const fine = pane.outside.kind === 'ring' ? { ...fineness, least: fineness.least * 4 } : fineness;
  const cellsU = cellCount(opening.sizeU, near, fineness);
  const rows = rowsOf(pane, point, near, fine);
  const blockers = boards.filter((board) => mayHide(board, opening, point));
  for (let i = 0; i < cellsU; i++) {
    const u = ((i + 0.5) / cellsU) * opening.sizeU;
    for (const row of rows) {
      const area = (opening.sizeU / cellsU) * opening.sizeV * row.share * share;
      const v = row.middle * opening.sizeV;
      const dx = corner.x + edgeU.x * u + edgeV.x * v - point.x;
      const dy = corner.y + edgeU.y * u + edgeV.y * v - point.y;
      const dz = corner.z + edgeU.z * u + edgeV.z * v - point.z;
      const square = dx * dx + dy * dy + dz * dz;
      const distance = Math.sqrt(square);
      const cosHere = (dx * normal.x + dy * normal.y + dz * normal.z) / distance;
      const cosGlass = (dx * out.x + dy * out.y + dz * out.z) / distance;
      if (cosHere <= 0 || cosGlass <= 0) continue;
      if (blockers.length > 0) {
        const cell = { x: point.x + dx, y: point.y + dy, z: point.z + dz };
        if (blockers.some((board) => crosses(board, point, cell))) continue;
      }
      const view = (cosHere * cosGlass * area) / square;
      result.veil += view / Math.PI;
      const weight = view * pane.glass(cosGlass) * pane.clearShare;
      addBeyond(result, pane, dx / distance, dy / distance, dz / distance, weight);
    }
  }
}

/** What falls on each square metre of the glass and passes it, averaged over the pane: it feeds a curtain. */
export function fluxThrough(pane: Pane): Coefficients {
  const result = emptyCoefficients();
  const { edgeU, edgeV, normal } = pane.opening;
  const rings = 40;
  const sectors = 96;
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
      const weight = ((Math.PI / (rings * sectors)) * pane.glass(cosine)) * pane.clearShare;
      addBeyond(result, pane, x, y, z, weight);
    }
  }
  return result;
}

function addBeyond(result: Coefficients, pane: Pane, x: number, y: number, z: number, weight: number): void {
  const what = beyond(pane, x, y, z);
  if (what === 'ground') result.ground += weight;
  else if (what === 'obstruction') result.obstruction += weight;
  else scatterToNodes(result.sky, paneAzimuth(pane, x, y), Math.asin(z) / RADIANS, weight);
}

function cellCount(size: number, near: number, { cellPerDistance, least, most }: Fineness): number {
  return Math.max(least, Math.min(most, Math.ceil(size / (cellPerDistance * near))));
}

/** Rows of cells up the opening, parted at the eye's level and where a row of houses ends, so that no cell sees two things. */
function rowsOf(pane: Pane, point: Vec, near: number, fineness: Fineness): { middle: number; share: number }[] {
  const { opening, outside } = pane;
  const rise = opening.edgeV.z * opening.sizeV;
  const shareAt = (z: number) => (rise > 1e-9 ? (z - opening.corner.z) / rise : 0);
  const ahead =
    (opening.corner.x - point.x) * opening.normal.x +
    (opening.corner.y - point.y) * opening.normal.y +
    (opening.corner.z - point.z) * opening.normal.z;
  const edges = [shareAt(point.z)];
  if (outside.kind !== 'open') edges.push(shareAt(point.z + outside.tangent * ahead));
  const cuts = [0, ...edges.filter((edge) => edge > 1e-6 && edge < 1 - 1e-6).sort((p, q) => p - q), 1];
  const rows: { middle: number; share: number }[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const from = cuts[i]!;
    const whole = cuts[i + 1]! - from;
    const least = Math.ceil(fineness.least / (cuts.length - 1));
    const count = cellCount(opening.sizeV * whole, near, { ...fineness, least });
    for (let j = 0; j < count; j++) rows.push({ middle: from + ((j + 0.5) * whole) / count, share: whole / count });
  }
  return rows;
}

/** From a point to the nearest point of a rectangle, m; at least 2 cm. */
export function distanceTo(r: Rectangle, p: Vec): number {
  const dx = p.x - r.corner.x;
  const dy = p.y - r.corner.y;
  const dz = p.z - r.corner.z;
  const u = clamp(dx * r.edgeU.x + dy * r.edgeU.y + dz * r.edgeU.z, r.sizeU);
  const v = clamp(dx * r.edgeV.x + dy * r.edgeV.y + dz * r.edgeV.z, r.sizeV);
  const nearest = pointOn(r, u / r.sizeU, v / r.sizeV);
  return Math.max(0.02, Math.hypot(p.x - nearest.x, p.y - nearest.y, p.z - nearest.z));
}

function clamp(value: number, size: number): number {
  return Math.max(0, Math.min(size, value));
}

/** A board can hide a window from a point only if it lies above the point and below the window's top. */
function mayHide(board: Rectangle, opening: Rectangle, point: Vec): boolean {
  const top = opening.corner.z + opening.edgeV.z * opening.sizeV;
  return board.corner.z > point.z && board.corner.z < top;
}

/** Whether a ray from a point in a direction (x, y, z) leaves through an opening. Plain numbers: it is asked for each quarter hour of a year. */
export function passesOpening({ corner, edgeU, edgeV, sizeU, sizeV, normal: n }: Rectangle, point: Vec, x: number, y: number, z: number): boolean {
  const cosGlass = x * n.x + y * n.y + z * n.z;
  if (cosGlass <= 0) return false;
  const ox = corner.x - point.x;
  const oy = corner.y - point.y;
  const oz = corner.z - point.z;
  const distance = (ox * n.x + oy * n.y + oz * n.z) / cosGlass;
  if (distance <= 0) return false;
  const hx = x * distance - ox;
  const hy = y * distance - oy;
  const hz = z * distance - oz;
  const u = hx * edgeU.x + hy * edgeU.y + hz * edgeU.z;
  if (u < 0 || u > sizeU) return false;
  const v = hx * edgeV.x + hy * edgeV.y + hz * edgeV.z;
  return v >= 0 && v <= sizeV;
}

/** Share of the sun's beam that glass, frame and dirt let through; 0 when it comes from behind or is hidden outside. */
export function beamThrough(pane: Pane, toSun: Vec): number {
  const n = pane.opening.normal;
  const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
  if (cosGlass <= 0 || beyond(pane, toSun.x, toSun.y, toSun.z) !== 'sky') return 0;
  return pane.glass(cosGlass) * pane.clearShare;
}

/**
 * How much of the sun's beam reaches a point through a window: transmittance of glass, frame and dirt; 0 when the
 * ray misses the opening, meets a board or is hidden outside.
 * @param toSun unit vector toward the sun in the room's frame
 */
export function sunTransmittance(pane: Pane, point: Vec, toSun: Vec, boards: readonly Rectangle[]): number {
  if (!passesOpening(pane.opening, point, toSun.x, toSun.y, toSun.z)) return 0;
  if (boards.length > 0) {
    const { corner, normal: n } = pane.opening;
    const cosGlass = toSun.x * n.x + toSun.y * n.y + toSun.z * n.z;
    const distance = ((corner.x - point.x) * n.x + (corner.y - point.y) * n.y + (corner.z - point.z) * n.z) / cosGlass;
    const hit = { x: point.x + toSun.x * distance, y: point.y + toSun.y * distance, z: point.z + toSun.z * distance };
    if (boards.some((board) => crosses(board, point, hit))) return 0;
  }
  return beamThrough(pane, toSun);
}
