/** The rooms of a home as zones of air, and what joins them: doorways, and cabinets with the rooms around them. */
import { enclosedZone, specificVolume, summed, type AirLink, type AirZone } from '../air';
import type { Doorway, HomeFacts, Room } from '../facts';
import { lessonOf, taughtLink, taughtZone } from './learnt-zone';
import { climateOf } from './room-climate';
import {
  CABINET_CHANGES_H,
  CAPACITY_J_K_M2,
  CHANGES_H,
  INNER_WALLS_WARM,
  INNER_WALL_U,
  WALL_U,
  airingOf,
  heatingOf,
  panesOf,
  ventingOf,
  wallsOf,
} from './zone-building';
import type { ZoneInputs } from './zone-inputs';
import { dehumidifierOf, devicesW, humidifierOf, lampsOf, livingIn, plantsOf, together, wetOf } from './zone-sources';

const AIR_HEAT = 1006;
/**
 * What air through an open door comes to, for each m2: driven by a kelvin between the rooms, m/s. Brown and Solvason
 * 1962.
 */
const THROUGH_DOOR_M_S = 0.06;
const DOOR_OPEN_SHARE: Readonly<Record<Doorway['stands'], number>> = { open: 1, 'by-day': 0.6, ajar: 0.2, shut: 0.01 };
const DOOR_U = 2;
const USUAL_C = 20;

/** Zones of air in the order of `rooms`, and what joins them. */
export interface ZonePlan {
  readonly rooms: readonly Room[];
  readonly zones: readonly AirZone[];
  readonly links: readonly AirLink[];
}

/** J m-3 K-1 of air an hour in W. */
const AIR_W_M3_K = 0.34;

function roomZone(inputs: ZoneInputs, room: Room): AirZone {
  const climate = climateOf(inputs.facts, room);
  const floorM2 = room.widthM * room.depthM;
  const volumeM3 = floorM2 * room.heightM;
  const dryAirKg = volumeM3 / specificVolume(USUAL_C, 0, inputs.pressurePa);
  const { outerM2, innerM2 } = wallsOf(inputs, room);
  const panes = panesOf(inputs, room.id);
  const uaWK = outerM2 * WALL_U[climate.envelope] + panes.reduce((sum, { areaM2, uValue }) => sum + areaM2 * uValue, 0);
  const living = livingIn(climate);
  const { sources } = living;
  return {
    dryAirKg,
    capacityJK: floorM2 * CAPACITY_J_K_M2 + dryAirKg * AIR_HEAT,
    uaWK,
    airChangesH: airingOf(inputs, room, climate.airing, volumeM3),
    venting: ventingOf(inputs, room.id),
    internalW: [summed([...living.watts, ...lampsOf(inputs, room.id), ...devicesW(inputs, room.id)])],
    sources: together([...sources, ...plantsOf(inputs, room)]),
    solarW: inputs.sunOf(room.id),
    heating: heatingOf(
      climate,
      uaWK,
      innerM2 * INNER_WALL_U * INNER_WALLS_WARM,
      CHANGES_H[climate.airing] * volumeM3 * AIR_W_M3_K,
    ),
    humidifier: humidifierOf(inputs, room.id),
    dehumidifier: dehumidifierOf(inputs, room.id),
    panes,
    wet: wetOf(inputs, room.id),
  };
}

function cabinetZone(inputs: ZoneInputs, room: Room, place: { readonly room: number; readonly own: number }) {
  const { shell, airing } = climateOf(inputs.facts, room);
  const { widthM, depthM, heightM } = room;
  const lampW = summed([...lampsOf(inputs, room.id), ...devicesW(inputs, room.id)]);
  const wetM2 = wetOf(inputs, room.id)?.areaM2 ?? 0;
  const sunW = inputs.sunOf(room.id);
  const own = { widthM, depthM, heightM, shell, changesH: CABINET_CHANGES_H[airing], lampW, wetM2, sunW };
  const { zone, link } = enclosedZone(own, inputs.pressurePa, place);
  return {
    zone: {
      ...zone,
      sources: together(plantsOf(inputs, room)),
      humidifier: humidifierOf(inputs, room.id),
      dehumidifier: dehumidifierOf(inputs, room.id),
    },
    link,
  };
}

/** Rooms that share air, together: by doorways, and cabinets with what they stand in. */
export function joinedRooms({ rooms, doorways }: Pick<HomeFacts, 'rooms' | 'doorways'>): Room[][] {
  const group = new Map(rooms.map(({ id }) => [id, id]));
  const rootOf = (id: string): string => {
    const up = group.get(id);
    return up === undefined || up === id ? id : rootOf(up);
  };
  const join = (a: string, b: string) => {
    if (group.has(a) && group.has(b)) group.set(rootOf(a), rootOf(b));
  };
  for (const { id, insideRoomId } of rooms) if (insideRoomId !== null) join(id, insideRoomId);
  for (const { roomId, toRoomId } of doorways) join(roomId, toRoomId);
  const joined = new Map<string, Room[]>();
  for (const room of rooms) {
    const root = rootOf(room.id);
    joined.set(root, [...(joined.get(root) ?? []), room]);
  }
  return [...joined.values()];
}

/** The zones of rooms that share air, in one month. */
export function zonesOf(inputs: ZoneInputs, rooms: readonly Room[]): ZonePlan {
  const placeOf = (id: string) => rooms.findIndex((room) => room.id === id);
  const links: AirLink[] = [];
  const zones = rooms.map((room, own) => {
    const outer = room.insideRoomId === null ? -1 : placeOf(room.insideRoomId);
    const lesson = lessonOf(inputs.facts, room);
    const taught = (zone: AirZone) => (lesson ? taughtZone(zone, lesson) : zone);
    if (outer < 0) return taught(roomZone(inputs, room));
    const { zone, link } = cabinetZone(inputs, room, { room: outer, own });
    links.push(lesson ? taughtLink(link, lesson) : link);
    return taught(zone);
  });
  for (const { roomId, toRoomId, widthM, heightM, stands } of inputs.facts.doorways) {
    const [a, b] = [placeOf(roomId), placeOf(toRoomId)];
    if (a < 0 || b < 0 || a === b) continue;
    const areaM2 = widthM * heightM;
    const flowKgS =
      (THROUGH_DOOR_M_S * areaM2 * Math.sqrt(heightM / 2) * DOOR_OPEN_SHARE[stands]) /
      specificVolume(USUAL_C, 0, inputs.pressurePa);
    links.push({ a, b, uaWK: areaM2 * DOOR_U, flowKgS });
  }
  return { rooms, zones, links };
}
