/** A window made ready for tracing: its opening in the room, its glass, what stands outside it. */
import { azimuthOf, openingOf } from '../room/geometry';
import type { Rectangle } from '../room/rectangle';
import type { Vec } from '../room/vector';
import type { OutsideKind, Room, Window } from '../home/facts';
import { RADIANS } from '../units/angle';
import { glassCurve, type Glass, type GlassCurve } from './glass';

export interface Pane {
  readonly windowId: string;
  readonly room: Pick<Room, 'wallABearing'>;
  readonly opening: Rectangle;
  readonly glass: GlassCurve;
  /** Share of the opening's light that frame and dirt leave. */
  readonly clearShare: number;
  readonly outside: Outside;
  readonly groundReflectance: number;
}

interface Outside {
  readonly kind: OutsideKind;
  readonly tangent: number;
  readonly reflectance: number;
}

/** Makes a window of a room ready for tracing, with the glazing its key stands for. */
export function paneOf(room: Room, window: Window, glazing: Glass): Pane {
  return {
    windowId: window.id,
    room,
    opening: openingOf(room, window),
    glass: glassCurve(glazing),
    clearShare: (1 - window.frameShare) * (1 - window.dirtShare),
    outside: {
      kind: window.outsideKind,
      tangent: Math.tan(window.outsideDeg * RADIANS),
      reflectance: window.outsideReflectance,
    },
    groundReflectance: window.groundReflectance,
  };
}

/** What lies in a direction seen out of a window. */
export type Beyond = 'sky' | 'ground' | 'obstruction';

/** What is seen in a direction (unit vector in the room's frame, pointing outdoors). */
export function beyond(pane: Pane, x: number, y: number, z: number): Beyond {
  if (z <= 0) return 'ground';
  const { kind, tangent } = pane.outside;
  if (kind === 'open') return 'sky';
  const level = Math.hypot(x, y);
  if (kind === 'ring') return z < tangent * level ? 'obstruction' : 'sky';
  // A row runs parallel to the window: the farther the look to the side, the lower it stands.
  const { normal } = pane.opening;
  const flat = Math.hypot(normal.x, normal.y);
  const ahead = flat > 0 ? (x * normal.x + y * normal.y) / flat : 0;
  return z < tangent * ahead ? 'obstruction' : 'sky';
}

/** Azimuth of a direction in the room's frame, degrees from north. */
export function paneAzimuth(pane: Pane, x: number, y: number): number {
  return azimuthOf(pane.room, x, y);
}

export interface Receiver {
  readonly point: Vec;
  readonly normal: Vec;
}
