/**
 * How far a spot's computed daylight may be off, by the kind of place it is: found by holding the engine against an
 * independent tracer (docs/measured.md).
 */
import type { HomeFacts } from '../facts';
import type { PlacedSpot } from '../room';

/** A kind of place in which the engine strays farther, and how far 95 of 100 spots did at most, as a share. */
interface KindOfPlace {
  readonly kind: 'a cabinet’s shell' | 'plants beside it' | 'a balcony over a window';
  readonly within: number;
}

/** Rooms with none of these. */
const PLAIN_WITHIN = 0.045;

/** How well the brightness of walls, boards and floor is known when it is chosen from a list. */
const BRIGHTNESS_DOUBT = 0.25;

export interface LightDoubt {
  /** Of the computed daylight, as a share: two standard deviations. */
  readonly share: number;
  /** What of it is the method's own, and by what. */
  readonly method: number;
  readonly because: readonly string[];
  /** What of it comes of surfaces whose brightness is guessed. */
  readonly surfaces: number;
}

/**
 * The doubt of a spot's daylight.
 * @param reflectedShare of its light that comes after a bounce, 0..1
 */
export function lightDoubt(
  facts: HomeFacts,
  { spot, room }: Pick<PlacedSpot, 'spot' | 'room'>,
  reflectedShare: number,
): LightDoubt {
  const roomId = room.insideRoomId ?? room.id;
  const windows = facts.windows.filter((window) => window.roomId === roomId);
  const kinds: readonly (KindOfPlace | false)[] = [
    hasNeighbours(facts, spot.tierId, spot.id) && { kind: 'plants beside it', within: 0.065 },
    room.insideRoomId !== null && { kind: 'a cabinet’s shell', within: 0.23 },
    windows.some(({ overhangM }) => overhangM > 0) && { kind: 'a balcony over a window', within: 0.085 },
  ];
  const present = kinds.filter((kind) => kind !== false);
  const method = Math.max(PLAIN_WITHIN, ...present.map(({ within }) => within));
  const surfaces = BRIGHTNESS_DOUBT * reflectedShare;
  return { share: Math.hypot(method, surfaces), method, because: present.map(({ kind }) => kind), surfaces };
}

/** Whether plants of known height stand on the same stand. */
function hasNeighbours({ plants, spots, tiers }: HomeFacts, tierId: string, spotId: string): boolean {
  const standId = tiers.find(({ id }) => id === tierId)?.standId;
  const beside = new Set(tiers.filter((tier) => tier.standId === standId).map(({ id }) => id));
  const near = new Set(spots.filter((spot) => beside.has(spot.tierId) && spot.id !== spotId).map(({ id }) => id));
  return plants.some((plant) => plant.spotId !== null && plant.heightCm !== null && near.has(plant.spotId));
}
