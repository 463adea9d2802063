/** The solid shape of a room: where its windows, boards and spots are in the room's frame. */
import { RADIANS, wrapDegrees } from '../units/angle';
import type { HomeFacts, Plant, Room, Side, Spot, Window } from '../facts';
import type { Rectangle } from './rectangle';
import { plus, times, vec, type Vec } from './vector';

/** For each side: a point of its wall, the way along it, and the way out. */
const SIDES: Record<Side, { along: Vec; outward: Vec; turn: number }> = {
  a: { along: vec(1, 0, 0), outward: vec(0, -1, 0), turn: 0 },
  b: { along: vec(0, 1, 0), outward: vec(1, 0, 0), turn: -90 },
  c: { along: vec(1, 0, 0), outward: vec(0, 1, 0), turn: 180 },
  d: { along: vec(0, 1, 0), outward: vec(-1, 0, 0), turn: 90 },
};

/** The way out through a side, level. */
export const outwardOf = (side: Side): Vec => SIDES[side].outward;

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

/** Where the light of a spot without a plant of known height is stated, above its board, m. */
export const LEAF_HEIGHT_M = 0.12;

/** A crown begins at this share of a plant's height with its pot: below are pot and stem. */
export const CROWN_FROM = 0.3;

/**
 * Heights above the board at which a plant is judged, m: the middle of its leaves for the day's sum, its top for the
 * brightest hour.
 */
export interface LeafHeights {
  readonly middleM: number;
  readonly topM: number;
}

/**
 * At which heights the light of a spot counts: those of its tallest plant, or a hand's width above the board while
 * none is known. A plant is taken for no taller than the free height over its board.
 */
export function leafHeights(plants: readonly Pick<Plant, 'heightCm'>[], freeHeightM: number): LeafHeights {
  const tallest = Math.max(0, ...plants.map(({ heightCm }) => heightCm ?? 0)) / 100;
  if (tallest === 0) return { middleM: LEAF_HEIGHT_M, topM: LEAF_HEIGHT_M };
  const topM = Math.min(tallest, freeHeightM);
  return { middleM: ((1 + CROWN_FROM) / 2) * topM, topM };
}

/** A spot with all that holds it. */
export interface PlacedSpot {
  readonly spot: Spot;
  readonly tierId: string;
  readonly standId: string;
  readonly room: Room;
  readonly tierHeightM: number;
  readonly heights: LeafHeights;
  /** The middle of its leaves, in its own room's frame. */
  readonly leaf: Vec;
  /** The top of its tallest plant. */
  readonly top: Vec;
}

const NO_PLANTS: readonly Plant[] = [];

/**
 * Every spot of a home with its stand, its room and the place of its leaves. Spots whose tier, stand or room is
 * missing are left out.
 */
export function placedSpots(facts: HomeFacts): PlacedSpot[] {
  const rooms = new Map(facts.rooms.map((room) => [room.id, room]));
  const stands = new Map(facts.stands.map((stand) => [stand.id, stand]));
  const tiers = new Map(facts.tiers.map((tier) => [tier.id, tier]));
  const plantsAt = new Map<string, Plant[]>();
  for (const plant of facts.plants) {
    if (plant.spotId === null) continue;
    const here = plantsAt.get(plant.spotId);
    if (here) here.push(plant);
    else plantsAt.set(plant.spotId, [plant]);
  }
  return facts.spots.flatMap((spot) => {
    const tier = tiers.get(spot.tierId);
    const stand = tier && stands.get(tier.standId);
    const room = stand && rooms.get(stand.roomId);
    if (!tier || !stand || !room) return [];
    const heights = leafHeights(plantsAt.get(spot.id) ?? NO_PLANTS, spot.freeHeightM);
    const at = (aboveM: number) =>
      vec(stand.xM + spot.alongM, stand.yM + spot.acrossM, Math.min(tier.heightM + aboveM, room.heightM - 0.02));
    return [
      {
        spot,
        tierId: tier.id,
        standId: stand.id,
        room,
        tierHeightM: tier.heightM,
        heights,
        leaf: at(heights.middleM),
        top: at(heights.topM),
      },
    ];
  });
}

/** The middle of a window's lower edge on the plan, in its room's frame; height 0. */
export function windowMiddle(room: Pick<Room, 'widthM' | 'depthM'>, window: Window): Vec {
  const along = window.offsetM + window.widthM / 2;
  switch (window.side) {
    case 'a':
      return vec(along, window.insetM, 0);
    case 'b':
      return vec(room.widthM - window.insetM, along, 0);
    case 'c':
      return vec(along, room.depthM - window.insetM, 0);
    case 'd':
      return vec(window.insetM, along, 0);
  }
}
