/** Cabinets, tents and domes: what their shells do to the light of both sides, and their lamps seen from the room. */
import { reflectedLamp, type InnerPart, type WeighedPart } from '../light';
import { lampLightPast, movedLamp, type PlacedLamp } from '../lamp';
import {
  crownsOf,
  movedOccluder,
  solidBox,
  solidsOf,
  vec,
  type Crown,
  type Occluder,
  type Shell,
  type Solid,
} from '../room';
import type { HomeFacts, Room } from '../facts';

/** What passes the walls and the top of a cabinet is not thrown back by them; its floor is solid. */
export function asShellAllows(room: Room): Room {
  if (room.insideRoomId === null) return room;
  const most = 1 - room.shellTransmittance;
  return {
    ...room,
    wallReflectance: Math.min(room.wallReflectance, most),
    ceilingReflectance: Math.min(room.ceilingReflectance, most),
  };
}

/** A lamp as a room sees it: one of its own, or one in a cabinet that shines through the shell. */
export interface SeenLamp {
  /** In the room's frame, its light as the shell leaves it. */
  readonly placed: PlacedLamp;
  /** The boards and blocks of the cabinet it is in. */
  readonly solids: readonly Solid[];
  /** Null for a lamp of the room itself. */
  readonly cabinetId: string | null;
  /** The crowns under it on its own tier: they take most of what leaves take of its light. */
  readonly under: readonly Occluder[];
}

/** The lamps of a room itself. */
export const lampsIn = (roomId: string, lamps: readonly PlacedLamp[], crowns: readonly Crown[]): SeenLamp[] =>
  lamps
    .filter((lamp) => lamp.roomId === roomId)
    .map((placed) => ({ placed, solids: [], cabinetId: null, under: crownsUnder(placed, crowns) }));

const crownsUnder = ({ lamp }: PlacedLamp, crowns: readonly Crown[]): Occluder[] =>
  crowns.filter(({ tierId }) => tierId === lamp.tierId).map(({ occluder }) => occluder);

/** The lamps of the cabinets in a room. */
export function leaksInto(facts: HomeFacts, roomId: string, lamps: readonly PlacedLamp[]): SeenLamp[] {
  return facts.rooms
    .filter(({ insideRoomId, shellTransmittance }) => insideRoomId === roomId && shellTransmittance > 0)
    .flatMap(({ id, insideXM: x, insideYM: y, insideZM: z, shellTransmittance }) => {
      const inside = lamps.filter((lamp) => lamp.roomId === id);
      if (inside.length === 0) return [];
      const solids = solidsOf(facts, id).map((solid) => movedOccluder(solid, x, y, z));
      const crowns = crownsOf(facts, id);
      return inside.map((lamp) => ({
        cabinetId: id,
        placed: movedLamp(lamp, vec(x, y, z), shellTransmittance),
        solids,
        under: crownsUnder(lamp, crowns).map((crown) => movedOccluder(crown, x, y, z)),
      }));
    });
}

/** A text that differs when a lamp, its place, its light or what shades it in its cabinet does. */
export const lampKey = ({ placed: { lamp, centre, ppf, photometry }, solids }: SeenLamp): string =>
  JSON.stringify([lamp, centre, ppf, photometry?.fileKey, solids]);

/** Shells other than that of one enclosure: its own is counted where its light is. */
export const shellsBut = (shells: readonly Shell[], enclosureId: string | null): readonly Shell[] =>
  shells.filter(({ shellOf }) => shellOf !== enclosureId);

/** What stands in a lamp's light among things of its room: all but the shell it has shone through. */
export const inLightOf = ({ solids, cabinetId }: SeenLamp, things: readonly Occluder[]): Occluder[] => [
  ...things.filter((thing) => cabinetId === null || (thing as Partial<Shell>).shellOf !== cabinetId),
  ...solids,
];

/** What stands in the light of a cabinet's inner sides, in its room's frame: its floor, its boards, other cabinets. */
export function aroundSides(cabinet: Room, solids: readonly Solid[], shells: readonly Shell[]): Occluder[] {
  const { insideXM: x, insideYM: y, insideZM: z, widthM, depthM } = cabinet;
  return [
    solidBox(x, y, z, widthM, depthM, 0),
    ...solids.map((solid) => movedOccluder(solid, x, y, z)),
    ...shellsBut(shells, cabinet.id),
  ];
}

/** The inner sides of a cabinet that throw light back on a place in it, and a name for how they do. */
export interface InnerSides {
  readonly key: string;
  readonly cabinetId: string | null;
  readonly weighed: readonly WeighedPart[];
}

/** Of a place that is in no cabinet. */
export const NO_SIDES: InnerSides = { key: '', cabinetId: null, weighed: [] };

/**
 * What the inner sides of a cabinet throw on a place in it of a lamp of the room, the shell left out, umol m-2 s-1.
 * @param onSurfaces what the lamp gives to each piece of the room's surfaces
 */
export function lampBySides({ weighed }: InnerSides, light: SeenLamp, onSurfaces: Float64Array): number {
  return weighed.reduce((sum, { part, weight }) => sum + weight * lampOnPart(part, light, onSurfaces), 0);
}

function lampOnPart({ receiver, occluders, importance }: InnerPart, light: SeenLamp, onSurfaces: Float64Array): number {
  const straight = lampLightPast(light.placed, receiver, inLightOf(light, occluders), 'coarse');
  return straight + reflectedLamp(onSurfaces, importance);
}
