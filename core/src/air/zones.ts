/** Rooms, cabinets and tents as zones of well mixed air: what warms, wets and airs them. */

/** A value by the time of day: `base`, replaced by a part's value between its hours; parts do not cross midnight. */
export interface Schedule {
  readonly base: number;
  readonly parts: readonly { readonly fromH: number; readonly toH: number; readonly value: number }[];
}

/**
 * A value on each full hour, straight lines between: 24 that repeat each day, or one more than the hours of all days.
 */
export type Hourly = readonly number[];

/** The air outdoors. */
export interface Outdoors {
  readonly celsius: Hourly;
  /** kg of water to a kg of dry air. */
  readonly ratio: Hourly;
}

/** Windows that are opened the wider the warmer it grows, while it is cooler outdoors. */
export interface Venting {
  /** Shut up to this warmth; wide open so much above it. */
  readonly fromC: number;
  readonly bandK: number;
  /** Air changes an hour, wide open, by the time of day. */
  readonly changesH: Schedule;
}

/** Water given off to the air. */
export interface WaterSource {
  readonly gH: Schedule;
  /** Leaves, laundry and cold mist take the heat of evaporation from the room; breath and a kettle bring their own. */
  readonly heat: 'from-the-room' | 'its-own';
}

export interface ZoneHeating {
  readonly maxW: number;
  readonly setC: Schedule;
  /** Between full heating and none, round the set point, K. */
  readonly bandK: number;
}

interface HumidifierBase {
  readonly maxGH: number;
  /** Per cent. */
  readonly setRh: number;
  readonly heat: WaterSource['heat'];
}

/**
 * `proportional`: full at `bandRh` below the set point, none at it. `on-off`: from `halfBandRh` below it to as much
 * above.
 */
export type Humidifier =
  | (HumidifierBase & { readonly control: 'proportional'; readonly bandRh: number })
  | (HumidifierBase & { readonly control: 'on-off'; readonly halfBandRh: number });

/**
 * None at the set point, full at `bandRh` above it; its motor warms the room, and so does what it takes out of the
 * air.
 */
export interface Dehumidifier {
  readonly maxGH: number;
  readonly setRh: number;
  readonly bandRh: number;
  readonly powerW: number;
}

export interface AirPane {
  readonly areaM2: number;
  /** W m-2 K-1, with films of 8 inside and 23 outside. */
  readonly uValue: number;
  /** What lies behind it: outdoors, or another zone by its place in the list. */
  readonly behind: 'outdoors' | number;
}

/** Open water, soil, moss: it gives water as long as the air can take it. */
export interface WetSurface {
  readonly areaM2: number;
  /** Mass transfer, kg m-2 s-1 for each kg of water to a kg of dry air. */
  readonly coefficient: number;
}

export interface AirZone {
  readonly dryAirKg: number;
  /** Of the air and of what warms and cools with it within a day, J K-1. */
  readonly capacityJK: number;
  /** Heat lost outdoors for each kelvin, panes included, W K-1. */
  readonly uaWK: number;
  /** Air that is changed for outside air in an hour, of the zone's own. */
  readonly airChangesH: Schedule;
  /** Lamps, people, cooking, W: all of it to the air. */
  readonly venting: Venting | null;
  readonly internalW: readonly Schedule[];
  readonly sources: readonly WaterSource[];
  /** Sun through the windows, W. */
  readonly solarW: Hourly | null;
  readonly heating: ZoneHeating | null;
  readonly humidifier: Humidifier | null;
  readonly dehumidifier: Dehumidifier | null;
  readonly panes: readonly AirPane[];
  readonly wet: WetSurface | null;
}

/** Two zones that open to each other: heat through what parts them, and air that is exchanged. */
export interface AirLink {
  readonly a: number;
  readonly b: number;
  readonly uaWK: number;
  readonly flowKgS: number;
}

/** The state of a zone. */
export interface ZoneState {
  readonly celsius: number;
  readonly ratio: number;
}

/** Zones over one or more days. */
export interface AirDays {
  readonly pressurePa: number;
  readonly days: number;
  readonly outdoors: Outdoors;
  readonly zones: readonly AirZone[];
  readonly links: readonly AirLink[];
  /**
   * The state at the first midnight; `periodic` looks for the one that a day leads back to, `near` one from a state
   * that is known to lie near it.
   */
  readonly start: readonly ZoneState[] | 'periodic' | { readonly near: readonly ZoneState[] };
}

/** A schedule's value at an hour of the day, 0..24. */
export function scheduledAt({ base, parts }: Schedule, hour: number): number {
  return parts.find(({ fromH, toH }) => hour >= fromH && hour < toH)?.value ?? base;
}

/** A schedule that never changes. */
export const always = (base: number): Schedule => ({ base, parts: [] });

/** An hourly series' value at an hour counted from the first midnight. */
export function hourlyAt(series: Hourly, hour: number): number {
  const from = Math.floor(hour);
  const repeats = series.length === 24;
  const here = series[repeats ? from % 24 : Math.min(from, series.length - 1)]!;
  const next = series[repeats ? (from + 1) % 24 : Math.min(from + 1, series.length - 1)]!;
  return here + (next - here) * (hour - from);
}
