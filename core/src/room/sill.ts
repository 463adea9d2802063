/** Sills in the reveals of windows: which reveal a place stands in, what closes it in, and where a sill in it lies. */
import type { HomeFacts, Room, Stand, Window } from '../facts';
import { openingOf } from './geometry';
import { solidBox, type Occluder } from './occluder';
import type { Rectangle } from './rectangle';
import { dot, minus, type Vec } from './vector';

/** Whether a window is in a wall and its glass lies back from the room's side of it. */
export const hasReveal = ({ slopeDeg, revealM }: Pick<Window, 'slopeDeg' | 'revealM'>): boolean =>
  slopeDeg === 90 && revealM >= 0.01;

/** Points nearer to the room's side of the wall than this stand in the room, m. */
const IN_ROOM_M = 1e-6;

/** Whether a point lies between the room's side of an opening and the glass, so far outward from it. */
export function liesInReveal(
  { corner, edgeU, edgeV, normal, sizeU, sizeV }: Rectangle,
  depthM: number,
  point: Vec,
): boolean {
  const arm = minus(point, corner);
  const [u, v, out] = [dot(arm, edgeU), dot(arm, edgeV), dot(arm, normal)];
  return u > 0 && u < sizeU && v > 0 && v < sizeV && out > IN_ROOM_M && out < depthM;
}

/** The window in whose reveal a point lies; null for one in the room. */
export function revealAround(room: Room, windows: readonly Window[], point: Vec): Window | null {
  return (
    windows.find((window) => hasReveal(window) && liesInReveal(openingOf(room, window), window.revealM, point)) ?? null
  );
}

/** Farther than any home reaches, m. */
const FAR_M = 60;

/** The wall round an opening, as thin boards: what stands in a reveal sees the room through its opening alone. */
export function wallAround(room: Room, window: Window): Occluder[] {
  const alongX = window.side === 'a' || window.side === 'c';
  const plane = window.side === 'b' ? room.widthM : window.side === 'c' ? room.depthM : 0;
  const board = (along: number, size: number, z: number, sizeZ: number) =>
    alongX ? solidBox(along, plane, z, size, 0, sizeZ) : solidBox(plane, along, z, 0, size, sizeZ);
  const right = window.offsetM + window.widthM;
  const top = window.sillM + window.heightM;
  return [
    board(-FAR_M, FAR_M + window.offsetM, -FAR_M, 2 * FAR_M),
    board(right, FAR_M, -FAR_M, 2 * FAR_M),
    board(window.offsetM, window.widthM, -FAR_M, FAR_M + window.sillM),
    board(window.offsetM, window.widthM, top, FAR_M),
  ];
}

/** A sill reaches this far into the room from its wall, m. */
const SILL_NOSE_M = 0.03;

/** Where a stand lies that fills the opening of a window from its glass to a little before the wall. */
export function sillIn(room: Room, window: Window): Pick<Stand, 'xM' | 'yM' | 'widthM' | 'depthM'> {
  const across = window.revealM + SILL_NOSE_M;
  const from = (isFarSide: boolean, size: number) => (isFarSide ? size - SILL_NOSE_M : -window.revealM);
  const round = (metres: number) => Math.round(metres * 1000) / 1000;
  return window.side === 'a' || window.side === 'c'
    ? {
        xM: window.offsetM,
        yM: round(from(window.side === 'c', room.depthM)),
        widthM: window.widthM,
        depthM: round(across),
      }
    : {
        xM: round(from(window.side === 'b', room.widthM)),
        yM: window.offsetM,
        widthM: round(across),
        depthM: window.widthM,
      };
}

/** How far a stand may reach beyond each wall of its room into a reveal that is as wide as it, m. */
export function reachInto(
  { windows }: Pick<HomeFacts, 'windows'>,
  room: Room,
  stand: Stand,
): Readonly<Record<Window['side'], number>> {
  const reach = { a: 0, b: 0, c: 0, d: 0 };
  for (const window of windows) {
    if (window.roomId !== room.id || !hasReveal(window)) continue;
    const alongX = window.side === 'a' || window.side === 'c';
    const [from, size] = alongX ? [stand.xM, stand.widthM] : [stand.yM, stand.depthM];
    const fits = from >= window.offsetM - SLACK_M && from + size <= window.offsetM + window.widthM + SLACK_M;
    if (fits) reach[window.side] = Math.max(reach[window.side], window.revealM);
  }
  return reach;
}

const SLACK_M = 0.002;
