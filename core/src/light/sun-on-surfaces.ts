/** Where the sun's beam through a window falls on a room's pieces, by cells of the window. */
import { nodeDirection } from '../sky/nodes';
import { directionInRoom } from '../room/geometry';
import { clearWay, firstBetween, type Occluder } from '../room/occluder';
import { pointOn } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { Room } from '../facts';
import { whereThrough } from './coefficients';
import type { Enclosure } from './enclosure';
import { litPart, type LitPart, type Pane } from './pane';
import { glassOf } from './reveal';
import { alongRay, hitFace } from './hits';

/** What a beam of 1 W m-2 gives to which pieces. */
export interface SunOnSurfaces {
  readonly pieces: Uint16Array;
  readonly irradiances: Float64Array;
}

const NO_SUN: SunOnSurfaces = { pieces: new Uint16Array(0), irradiances: new Float64Array(0) };

/** Carries a beam from each node of the fine net through a pane onto the room's pieces, when it is first asked for. */
export function sunTracer(
  room: Room,
  pane: Pane,
  enclosure: Enclosure,
  sunCells: number,
  shells: readonly Occluder[] = [],
): (node: number) => SunOnSurfaces {
  const known = new Map<number, SunOnSurfaces>();
  return (node) => {
    let beam = known.get(node);
    if (!beam) {
      const { azimuthDeg, elevationDeg } = nodeDirection(node);
      beam = sunOnSurfaces(room, pane, enclosure, sunCells, directionInRoom(room, azimuthDeg, elevationDeg), shells);
      known.set(node, beam);
    }
    return beam;
  };
}

const part: LitPart = { u0: 0, u1: 0, v0: 0, v1: 0 };

/** @param sunCells along each edge of the part of the window through which the beam comes */
export function sunOnSurfaces(
  room: Room,
  pane: Pane,
  enclosure: Enclosure,
  sunCells: number,
  toSun: Vec,
  shells: readonly Occluder[] = [],
): SunOnSurfaces {
  const { corner, edgeU, edgeV, normal } = pane.opening;
  const cosGlass = toSun.x * normal.x + toSun.y * normal.y + toSun.z * normal.z;
  if (cosGlass <= 0) return NO_SUN;
  litPart(part, pane, toSun.x, toSun.y, toSun.z);
  const { u0, u1, v0, v1 } = part;
  const isClear = u1 > u0 && v1 > v0;
  if (!isClear && pane.revealM === 0) return NO_SUN;
  const power = (pane.glass(cosGlass) * pane.clearShare * cosGlass * (u1 - u0) * (v1 - v0)) / sunCells ** 2;
  const inward = { x: -toSun.x, y: -toSun.y, z: -toSun.z };
  const sums =
    scratch.length >= enclosure.patches.length ? scratch : (scratch = new Float64Array(enclosure.patches.length));
  const pieces: number[] = [];
  for (let i = 0; isClear && i < sunCells; i++) {
    const u = u0 + ((i + 0.5) / sunCells) * (u1 - u0);
    for (let j = 0; j < sunCells; j++) {
      const v = v0 + ((j + 0.5) / sunCells) * (v1 - v0);
      const cell = {
        x: corner.x + edgeU.x * u + edgeV.x * v,
        y: corner.y + edgeU.y * u + edgeV.y * v,
        z: corner.z + edgeU.z * u + edgeV.z * v,
      };
      const { face, point } = placeHit(room, enclosure, cell, inward);
      const piece = enclosure.patchAt(face, point);
      if (sums[piece] === 0) pieces.push(piece);
      sums[piece]! +=
        shells.length > 0 ? power * clearWay(shells, cell.x, cell.y, cell.z, point.x, point.y, point.z) : power;
    }
  }
  addReveal(sums, pieces, pane, enclosure, toSun);
  const lit = pieces.filter((piece) => {
    const { reflectance, openArea } = enclosure.patches[piece]!;
    return reflectance > 0 && openArea > 0;
  });
  const beam = {
    pieces: Uint16Array.from(lit),
    irradiances: Float64Array.from(lit, (piece) => sums[piece]! / enclosure.patches[piece]!.openArea),
  };
  for (const piece of pieces) sums[piece] = 0;
  return beam;
}

/** Power by piece while a beam is carried; nothing but zeros in between. */
let scratch = new Float64Array(0);

/** Where a beam from a window's cell falls: on the nearest thing in its way, or on the room itself. */
function placeHit(room: Room, enclosure: Enclosure, from: Vec, way: Vec): { face: number; point: Vec } {
  let { face, point } = hitFace(room, from, way);
  if (enclosure.solids.length > 0) {
    const { x, y, z } = point;
    if (firstBetween(enclosure.solids, from.x, from.y, from.z, x, y, z) >= 0) {
      let nearest = Infinity;
      for (let index = enclosure.firstSide; index < enclosure.faces.length; index++) {
        const distance = alongRay(enclosure.faces[index]!, from, way);
        if (distance >= nearest) continue;
        nearest = distance;
        face = index;
      }
      if (nearest < Infinity)
        point = { x: from.x + way.x * nearest, y: from.y + way.y * nearest, z: from.z + way.z * nearest };
    }
  }
  return { face, point };
}

/** Looks along each edge of a piece of reveal for the sun. */
const REVEAL_LOOKS = [1 / 4, 3 / 4];

/** Adds the power of a beam on the sides of its window's own reveal. */
function addReveal(
  sums: Float64Array,
  pieces: number[],
  pane: Pane,
  { patches, revealPieces }: Enclosure,
  toSun: Vec,
): void {
  const own = revealPieces.get(pane.opening);
  if (!own) return;
  const glass = glassOf(pane);
  const passed = beamPassed(glass, toSun);
  if (passed === 0) return;
  litPart(part, glass, toSun.x, toSun.y, toSun.z);
  const { u0, u1, v0, v1 } = part;
  for (const index of own) {
    const { rectangle, openArea } = patches[index]!;
    const cosine = toSun.x * rectangle.normal.x + toSun.y * rectangle.normal.y + toSun.z * rectangle.normal.z;
    if (cosine <= 0) continue;
    let lit = 0;
    for (const a of REVEAL_LOOKS) {
      for (const b of REVEAL_LOOKS) {
        const at = whereThrough(glass.opening, pointOn(rectangle, a, b), toSun);
        if (at && at.u > u0 && at.u < u1 && at.v > v0 && at.v < v1) lit++;
      }
    }
    if (lit === 0) continue;
    if (sums[index] === 0) pieces.push(index);
    sums[index]! += (passed * cosine * openArea * lit) / REVEAL_LOOKS.length ** 2;
  }
}

/** What glass, frame and dirt let pass of a beam. */
function beamPassed(pane: Pane, toSun: Vec): number {
  const { normal } = pane.opening;
  return pane.glass(toSun.x * normal.x + toSun.y * normal.y + toSun.z * normal.z) * pane.clearShare;
}

/** What a spot gets of a beam, by what each piece counts for it. */
export function weighed({ pieces, irradiances }: SunOnSurfaces, importance: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < pieces.length; i++) sum += importance[pieces[i]!]! * irradiances[i]!;
  return sum;
}
