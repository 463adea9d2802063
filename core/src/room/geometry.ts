/** The solid shape of a room: where its windows, boards and spots are in the room's frame. */
import { RADIANS, wrapDegrees } from '../units/angle';
import type { HomeFacts, Room, Side, Spot, Window } from '../facts';
import type { Rectangle } from './rectangle';
import { plus, times, vec, type Vec } from './vector';

/** For each side: a point of its wall, the way along it, and the way out. */
const SIDES: Record<Side, { along: Vec; outward: Vec; turn: number }> = {
  a: { along: vec(1, 0, 0), outward: vec(0, -1, 0), turn: 0 },
  b: { along: vec(0, 1, 0), outward: vec(1, 0, 0), turn: -90 },
  c: { along: vec(1, 0, 0), outward: vec(0, 1, 0), turn: 180 },
  d: { along: vec(0, 1, 0), outward: vec(-1, 0, 0), turn: 90 },
};

/** Azimuth in which a side of a room looks outward. */
export function sideBearing(room: Pick<Room, 'wallABearing'>, side: Side): number {
  return wrapDegrees(room.wallABearing + SIDES[side].turn);
}

/** Length of a side of a room. */
export function sideLength(room: Pick<Room, 'widthM' | 'depthM'>, side: Side): number {
  return side === 'a' || side === 'c' ? room.widthM : room.depthM;
}

/** Azimuth (degrees from north) of a direction given in a room's frame. */
export function azimuthOf(room: Pick<Room, 'wallABearing'>, x: number, y: number): number {
  return wrapDegrees(room.wallABearing + 180 + Math.atan2(x, y) / RADIANS);
}

/** Unit vector, in a room's frame, toward an azimuth and elevation. */
export function directionInRoom(room: Pick<Room, 'wallABearing'>, azimuthDeg: number, elevationDeg: number): Vec {
  const turned = (azimuthDeg - room.wallABearing - 180) * RADIANS;
  const level = Math.cos(elevationDeg * RADIANS);
  return vec(Math.sin(turned) * level, Math.cos(turned) * level, Math.sin(elevationDeg * RADIANS));
}

/** The opening of a window, its normal pointing outdoors. */
export function openingOf(room: Pick<Room, 'widthM' | 'depthM'>, window: Window): Rectangle {
  const { along, outward } = SIDES[window.side];
  const wall =
    window.side === 'b' ? vec(room.widthM, 0, 0) : window.side === 'c' ? vec(0, room.depthM, 0) : vec(0, 0, 0);
  const slope = window.slopeDeg * RADIANS;
  const upSlope = plus(times(outward, -Math.cos(slope)), vec(0, 0, Math.sin(slope)));
  const corner = plus(
    plus(wall, times(along, window.offsetM)),
    plus(times(outward, -window.insetM), vec(0, 0, window.sillM)),
  );
  return {
    corner,
    edgeU: along,
    edgeV: upSlope,
    sizeU: window.widthM,
    sizeV: window.heightM,
    normal: plus(times(outward, Math.sin(slope)), vec(0, 0, Math.cos(slope))),
  };
}

/** Leaves hold light a little above the board: where a spot's light is stated, above the tier, in metres. */
export const LEAF_HEIGHT_M = 0.12;

/** A spot with all that holds it. */
export interface PlacedSpot {
  readonly spot: Spot;
  readonly tierId: string;
  readonly standId: string;
  readonly room: Room;
  readonly tierHeightM: number;
  /** Where its leaves are, in its own room's frame. */
  readonly leaf: Vec;
}

/** Every spot of a home with its stand, its room and the place of its leaves. Spots whose tier, stand or room is missing are left out. */
export function placedSpots(facts: HomeFacts): PlacedSpot[] {
  const rooms = new Map(facts.rooms.map((room) => [room.id, room]));
  const stands = new Map(facts.stands.map((stand) => [stand.id, stand]));
  const tiers = new Map(facts.tiers.map((tier) => [tier.id, tier]));
  return facts.spots.flatMap((spot) => {
    const tier = tiers.get(spot.tierId);
    const stand = tier && stands.get(tier.standId);
    const room = stand && rooms.get(stand.roomId);
    if (!tier || !stand || !room) return [];
    const height = Math.min(tier.heightM + LEAF_HEIGHT_M, room.heightM - 0.02);
    const leaf = vec(stand.xM + spot.alongM, stand.yM + spot.acrossM, height);
    return [{ spot, tierId: tier.id, standId: stand.id, room, tierHeightM: tier.heightM, leaf }];
  });
}
