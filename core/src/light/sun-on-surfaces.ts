/** Where the sun's beam through a window falls on a room's pieces, by cells of the window. */
import { nodeDirection } from '../sky/nodes';
import { directionInRoom } from '../room/geometry';
import type { Vec } from '../room/vector';
import type { Room } from '../facts';
import type { Enclosure } from './enclosure';
import { litPart, type LitPart, type Pane } from './pane';
import { hitFace } from './surfaces';

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
): (node: number) => SunOnSurfaces {
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

/** @param sunCells along each edge of the part of the window through which the beam comes */
export function sunOnSurfaces(
  room: Room,
  pane: Pane,
  enclosure: Enclosure,
  sunCells: number,
  toSun: Vec,
): SunOnSurfaces {
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
      const cell = {
        x: corner.x + edgeU.x * u + edgeV.x * v,
        y: corner.y + edgeU.y * u + edgeV.y * v,
        z: corner.z + edgeU.z * u + edgeV.z * v,
      };
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

/** What a spot gets of a beam, by what each piece counts for it. */
export function weighed({ pieces, irradiances }: SunOnSurfaces, importance: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < pieces.length; i++) sum += importance[pieces[i]!]! * irradiances[i]!;
  return sum;
}
