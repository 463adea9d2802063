/** What is told of a room's air in one month, and how well it is known. */
import {
  INNER_FILM,
  relativeHumidity,
  saturationRatio,
  type AirMonth,
  type AirSpread,
  type AirZone,
  type SpellShape,
} from '../air';
import type { Heating, Room, RoomClimate } from '../facts';

/** Water of a typical day, g; what leaves the room below 0. */
export interface WaterDay {
  /** People, laundry, cooking and plants. */
  readonly sourcesG: number;
  readonly evaporationG: number;
  readonly humidifierG: number;
  readonly dehumidifierG: number;
  readonly condensationG: number;
  /** With outdoors, and with rooms it opens to. */
  readonly airingG: number;
  readonly linksG: number;
}

/** A room's month. */
export interface RoomAirMonth extends AirMonth {
  /** A typical day by the hour, as corrected by what was stated. */
  readonly celsius: readonly number[];
  readonly rh: readonly number[];
  readonly outdoorC: readonly number[];
  /** The day's extremes: of a typical day, of the coldest night in twenty and of the hottest day in twenty. */
  readonly lowC: number;
  readonly highC: number;
  readonly coldNightC: number;
  readonly hotDayC: number;
  readonly coldSpell: SpellShape;
  readonly hotSpell: SpellShape;
  /** Outdoors in that night and that day. */
  readonly coldNightOutdoorC: number;
  /** Part of the hours in which the heating runs at full. */
  readonly heatingShare: number;
  readonly heatingKWh: number;
  /** Hours of a typical day in which its windows are taken to be open for the warmth. */
  readonly openedH: number;
  readonly water: WaterDay;
  /**
   * Hours of a day in which water settles on its coldest pane, and in which a cold corner is moist enough for mould.
   */
  readonly paneWetH: number;
  readonly mouldH: number;
  readonly spread: AirSpread;
}

/** Twelve months by room. */
export type HomeAir = ReadonlyMap<string, readonly RoomAirMonth[]>;

/** Temperature of a cold corner's inner side between outdoors (0) and the room (1). ISO 13788, poor to good. */
const CORNER_FACTOR = { thin: 0.55, usual: 0.7, insulated: 0.85 } as const;
/** Mould grows from this humidity at the surface, per cent. */
const MOULD_RH = 80;

/**
 * Hours of a day in which water settles on a room's coldest pane, and in which a cold corner is moist enough for
 * mould.
 */
export function wetHours({
  room,
  zone,
  envelope,
  celsius,
  ratio,
  outdoorC,
  pressurePa,
}: {
  readonly room: Room;
  readonly zone: AirZone;
  readonly envelope: RoomClimate['envelope'];
  /** At each full hour. */
  readonly celsius: readonly number[];
  readonly ratio: readonly number[];
  readonly outdoorC: readonly number[];
  readonly pressurePa: number;
}): { readonly paneWetH: number; readonly mouldH: number } {
  const coldest = Math.max(0, ...zone.panes.map(({ uValue, behind }) => (behind === 'outdoors' ? uValue : 0)));
  const factor = CORNER_FACTOR[envelope];
  const hoursWith = (surfaceOf: (inC: number, outC: number) => number, limit: number) =>
    celsius.filter((inC, hour) => relativeHumidity(surfaceOf(inC, outdoorC[hour]!), ratio[hour]!, pressurePa) >= limit)
      .length;
  return {
    paneWetH: coldest > 0 ? hoursWith((inC, outC) => inC - (coldest / INNER_FILM) * (inC - outC), 100) : 0,
    mouldH: room.insideRoomId === null ? hoursWith((inC, outC) => outC + factor * (inC - outC), MOULD_RH) : 0,
  };
}

/**
 * How well the air of a room is known: its warmth, K, and the water in it beyond what comes from outdoors, as a factor.
 * Rooms held at what is set are known better than those left to themselves, those whose record was learnt from best.
 */
export const KNOWN_TO = {
  set: { guessed: { celsius: 2.5, water: 2.5 }, learnt: { celsius: 1, water: 1.3 } },
  none: { guessed: { celsius: 3.5, water: 2.5 }, learnt: { celsius: 2, water: 1.3 } },
} as const satisfies Record<Heating, Record<'guessed' | 'learnt', Known>>;

interface Known {
  readonly celsius: number;
  readonly water: number;
}
/** Outdoors differs from year to year, points of humidity. */
const OUTDOORS_RH = 5;

/** The range of what is computed. */
export function spreadOf(
  { dayC, dayRh }: Pick<AirMonth, 'dayC' | 'dayRh'>,
  outdoorRatio: number,
  pressurePa: number,
  { celsius, water }: Known,
): AirSpread {
  const full = saturationRatio(dayC, pressurePa);
  const ratio = (full * dayRh) / 100;
  const beyond = Math.max(0, ratio - outdoorRatio);
  const points = (kgKg: number) => (100 * kgKg) / full;
  const warmer = dayRh * 0.06 * celsius;
  const combined = (one: number) => Math.hypot(points(one), warmer, OUTDOORS_RH);
  return {
    celsius,
    rhBelow: Math.min(dayRh, combined(beyond - beyond / water)),
    rhAbove: Math.min(100 - dayRh, combined(beyond * water - beyond)),
  };
}
