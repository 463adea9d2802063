/** What a room's building does to its air: walls, panes, gaps and windows, heating. */
import { always, between, part, summed, type AirZone, type Schedule } from '../air';
import type { Airing, Envelope, Room } from '../facts';
import { sideLength } from '../room';
import type { Climate } from './room-climate';
import { thingsOf, type ZoneInputs } from './zone-inputs';

/** Air changes an hour. Sherman and Grimsrud 1980 and blower doors: tight dwellings 0.1 to 0.2, old ones 0.5 to 1. */
export const CHANGES_H: Readonly<Record<Airing, number>> = {
  closed: 0.15,
  leaky: 0.5,
  tilted: 2.5,
  'twice-a-day': 0.4,
  fan: 5,
};
/** The same of a cabinet with its room. Judgement: gaps round doors, a door ajar, a small fan. */
export const CABINET_CHANGES_H: Readonly<Record<Airing, number>> = {
  closed: 0.2,
  leaky: 1,
  tilted: 6,
  'twice-a-day': 0.5,
  fan: 40,
};
/** Windows opened wide: changes an hour, for so long, at these hours. */
const WIDE_OPEN = { changesH: 20, hours: 1 / 6, at: [8, 19] } as const;

/** Heat through opaque outer walls, W m-2 K-1: solid brick, cavity wall, insulated. */
export const WALL_U: Readonly<Record<Envelope, number>> = { thin: 1.8, usual: 0.8, insulated: 0.25 };
/**
 * Inner walls, and the warmth of the rooms behind them while they are heated. Judgement: half of them border on one.
 */
export const INNER_WALL_U = 1.5;
export const INNER_WALLS_WARM = 0.5;
const NEIGHBOURS_C = 18;
/** So far below it the neighbours' heat is told in proportion, K: wider than any cold room. */
const NEIGHBOURS_BAND_K = 60;
/**
 * What a room and the things in it hold of warmth within a day, for each m2 of floor, J K-1. ISO 13790: light to
 * medium.
 */
export const CAPACITY_J_K_M2 = 90_000;
/** Heating is taken to be large enough for a frost of this much below the room, and to warm up again in the morning. */
const HEATING_FOR_K = 35;
const HEATING_RESERVE = 1.6;
const HEATING_BAND_K = 1;

/** A room's windows are opened from this warmth on, wide at three kelvin more, while people are about. Judgement. */
const OPENED = { fromC: 25, bandK: 3, hours: { fromH: 9, toH: 21 }, changesH: 8 } as const;

/** How a room's windows are opened for its warmth; null where it has none. */
export const ventingOf = ({ facts }: ZoneInputs, roomId: string): AirZone['venting'] =>
  facts.windows.some((window) => window.roomId === roomId)
    ? { fromC: OPENED.fromC, bandK: OPENED.bandK, changesH: part(OPENED.hours, OPENED.changesH) }
    : null;

/** Areas of a room's outer and inner walls without its windows, m2. A side with a window is an outer one. */
export function wallsOf({ facts }: ZoneInputs, room: Room): { readonly outerM2: number; readonly innerM2: number } {
  const windows = facts.windows.filter(({ roomId }) => roomId === room.id);
  const sides = ['a', 'b', 'c', 'd'] as const;
  const outer = new Set<string>(windows.map(({ side }) => side));
  const area = (side: (typeof sides)[number]) => sideLength(room, side) * room.heightM;
  const isUnderRoof = windows.some(({ slopeDeg }) => slopeDeg < 90);
  const glassM2 = windows.reduce((sum, { widthM, heightM }) => sum + widthM * heightM, 0);
  const sum = (list: readonly (typeof sides)[number][]) => list.reduce((all, side) => all + area(side), 0);
  return {
    outerM2: Math.max(0, sum(sides.filter((side) => outer.has(side))) + roofM2(room, isUnderRoof) - glassM2),
    innerM2: sum(sides.filter((side) => !outer.has(side))),
  };
}

const roofM2 = ({ widthM, depthM }: Room, isUnderRoof: boolean) => (isUnderRoof ? widthM * depthM : 0);

/** A pane whose glazing is not known loses as two plain panes do. */
export const PLAIN_U_VALUE = 2.8;

export const panesOf = ({ facts, sources }: ZoneInputs, roomId: string): AirZone['panes'] =>
  facts.windows
    .filter((window) => window.roomId === roomId)
    .map(({ widthM, heightM, glazingId }) => ({
      areaM2: widthM * heightM,
      uValue: sources.glazing(glazingId)?.uValue ?? PLAIN_U_VALUE,
      behind: 'outdoors',
    }));

/** Changes of air an hour through a day: its own way of airing, and extractors. */
export function airingOf(inputs: ZoneInputs, room: Room, airing: Airing, volumeM3: number): Schedule {
  const extracted = thingsOf(inputs, room.id, 'extractor').map(({ fromMinute, toMinute, airM3H }) =>
    between(fromMinute, toMinute, airM3H / volumeM3),
  );
  const wide = airing === 'twice-a-day' ? WIDE_OPEN.at : [];
  return summed([
    always(CHANGES_H[airing]),
    ...extracted,
    ...wide.map((fromH) => part({ fromH, toH: fromH + WIDE_OPEN.hours }, WIDE_OPEN.changesH)),
  ]);
}

/**
 * Heating that holds what is set, or what seeps in from the neighbours. @param innerWK of inner walls beside warm
 * rooms, W/K
 */
export function heatingOf(climate: Climate, uaWK: number, innerWK: number, changesW: number): AirZone['heating'] {
  if (climate.heating === 'none') {
    // What seeps through inner walls from heated rooms: none at their warmth, in proportion below it.
    const set = NEIGHBOURS_C - NEIGHBOURS_BAND_K / 2;
    return innerWK > 0 ? { maxW: innerWK * NEIGHBOURS_BAND_K, setC: always(set), bandK: NEIGHBOURS_BAND_K } : null;
  }
  const { dayFromMinute, dayToMinute, dayC, nightC } = climate;
  return {
    maxW: HEATING_RESERVE * HEATING_FOR_K * (uaWK + changesW),
    setC: between(dayFromMinute, dayToMinute, dayC, nightC),
    bandK: HEATING_BAND_K,
  };
}
