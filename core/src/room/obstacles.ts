/** What stands in the light inside a room: its boards and blocks, and at each spot the crowns of its neighbours. */
import type { Foliage, HomeFacts, Plant, Spot } from '../facts';
import { solidBox, type Occluder, type Solid } from './occluder';
import { CROWN_FROM, LEAF_HEIGHT_M } from './geometry';

/**
 * The solid boards of a room's stands and its blocks, in an order of their own: however they are listed, they count
 * alike.
 */
export function solidsOf(facts: HomeFacts, roomId: string): Solid[] {
  const boards = facts.stands
    .filter((stand) => stand.roomId === roomId)
    .flatMap((stand) =>
      facts.tiers
        .filter((tier) => tier.standId === stand.id && tier.board === 'solid' && tier.heightM > 0.02)
        .map((tier) => solidBox(stand.xM, stand.yM, tier.heightM, stand.widthM, stand.depthM, 0, stand.reflectance)),
    );
  const blocks = facts.blocks
    .filter((block) => block.roomId === roomId)
    .map((block) =>
      solidBox(block.xM, block.yM, block.zM, block.widthM, block.depthM, block.heightM, block.reflectance),
    );
  return [...boards, ...blocks].sort(
    (p, q) => p.z0 - q.z0 || p.y0 - q.y0 || p.x0 - q.x0 || p.z1 - q.z1 || p.y1 - q.y1 || p.x1 - q.x1,
  );
}

/** Leaf area over ground covered, by how a crown looks. Asner, Scurlock and Hicke 2003 give 1 to 6 for canopies. */
export const LEAF_AREA_INDEX: Readonly<Record<Foliage, number>> = { sparse: 1, medium: 2.5, dense: 5 };

/** Shadow of a unit of leaf turned every way: spherical leaf angles. Ross 1981. */
const LEAF_SHADOW = 0.5;

/** A crown in its room's frame, with the spot it grows on. */
export interface Crown {
  readonly spotId: string;
  readonly tierId: string;
  readonly occluder: Occluder;
}

/** Every crown of a room; a plant whose height is not known throws no shade. */
export function crownsOf(facts: HomeFacts, roomId: string): Crown[] {
  const stands = new Map(facts.stands.filter((stand) => stand.roomId === roomId).map((stand) => [stand.id, stand]));
  const tiers = new Map(facts.tiers.map((tier) => [tier.id, tier]));
  const spots = new Map(facts.spots.map((spot) => [spot.id, spot]));
  return facts.plants.flatMap((plant): Crown[] => {
    const spot = plant.spotId === null ? undefined : spots.get(plant.spotId);
    const tier = spot && tiers.get(spot.tierId);
    const stand = tier && stands.get(tier.standId);
    if (!spot || !tier || !stand || plant.heightCm === null) return [];
    const heightM = plant.heightCm / 100;
    const half = Math.min(spot.sizeM, heightM) / 2;
    const x = stand.xM + spot.alongM;
    const y = stand.yM + spot.acrossM;
    const z0 = tier.heightM + CROWN_FROM * heightM;
    const z1 = tier.heightM + heightM;
    const extinction = (LEAF_SHADOW * LEAF_AREA_INDEX[plant.foliage]) / (z1 - z0);
    const occluder = { x0: x - half, y0: y - half, z0, x1: x + half, y1: y + half, z1, extinction };
    return [{ spotId: spot.id, tierId: tier.id, occluder }];
  });
}

/**
 * Leaf of a plant, one side, m2: by the ground its crown covers; a plant of unknown height is taken for a small one.
 */
export function leafAreaM2({ heightCm, foliage }: Plant, { sizeM }: Pick<Spot, 'sizeM'>): number {
  const acrossM = Math.min(sizeM, (heightCm ?? UNKNOWN_HEIGHT_CM) / 100);
  return acrossM ** 2 * LEAF_AREA_INDEX[foliage];
}

const UNKNOWN_HEIGHT_CM = 20;

/** Crowns farther away than this are left out unless they rise steeply: they hide only what lies low. */
const FARTHEST_M = 2;
/** Rise over distance from which a farther crown still counts. */
const STEEP = 0.1;

/**
 * What the neighbours of a spot hold between it and the light: the parts of their crowns that rise above its own
 * plant's top, so that the difference in height tells.
 * @param leaf where the spot's light is stated, in the room's frame; @param tierHeightM of the spot's board
 */
export function neighboursOf(
  crowns: readonly Crown[],
  spotId: string,
  leaf: { x: number; y: number; z: number },
  tierHeightM: number,
  own: readonly Plant[],
): Occluder[] {
  const tallest = Math.max(0, ...own.map((plant) => (plant.heightCm ?? 0) / 100));
  const top = Math.max(leaf.z, tierHeightM + tallest - LEAF_HEIGHT_M);
  return crowns.flatMap((crown): Occluder[] => {
    const { occluder } = crown;
    if (crown.spotId === spotId || occluder.z1 <= top + 0.02) return [];
    const away = Math.hypot((occluder.x0 + occluder.x1) / 2 - leaf.x, (occluder.y0 + occluder.y1) / 2 - leaf.y);
    if (away > FARTHEST_M && occluder.z1 - leaf.z < STEEP * away) return [];
    return [{ ...occluder, z0: Math.max(occluder.z0, top) }];
  });
}

/** The shell of a cabinet, tent or dome. */
export interface Shell extends Occluder {
  /** Id of the room that it encloses. */
  readonly shellOf: string;
}

/** A shell that lets less than this through is taken for solid. */
const SOLID_SHELL = 0.02;

/**
 * Cabinets, tents and domes that stand in a room, as they dim what is behind them: a way straight through passes the
 * shell twice.
 */
export function shellsOf(rooms: HomeFacts['rooms'], roomId: string): Shell[] {
  return rooms
    .filter((room) => room.insideRoomId === roomId && room.shellTransmittance < 1)
    .map(({ id, insideXM, insideYM, insideZM, widthM, depthM, heightM, shellTransmittance }) => ({
      shellOf: id,
      ...solidBox(insideXM, insideYM, insideZM, widthM, depthM, heightM),
      extinction:
        shellTransmittance < SOLID_SHELL ? Infinity : (-2 * Math.log(shellTransmittance)) / ((widthM + depthM) / 2),
    }));
}
