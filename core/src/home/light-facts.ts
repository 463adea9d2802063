/** What a grower has said, measured or imported of light: what stands outside and inside, lamps' files, weather, readings. */

export const OBSTRUCTION_KINDS = ['building', 'hill', 'evergreen', 'deciduous'] as const;
export type ObstructionKind = (typeof OBSTRUCTION_KINDS)[number];

/** What is seen from a room's windows between two bearings, clockwise, up to a height above the horizon. */
export interface Obstruction {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  readonly kind: ObstructionKind;
  readonly fromBearing: number;
  readonly toBearing: number;
  readonly heightDeg: number;
  /** How bright it is: its share of the light of open ground. */
  readonly reflectance: number;
  /** Months in which a deciduous tree is in leaf. */
  readonly leafMonths: readonly number[];
}

/** A cupboard, a chimney breast or another solid thing in a room. */
export interface Block {
  readonly id: string;
  readonly roomId: string;
  readonly name: string;
  /** The corner nearest to the room's origin, and its height above the floor. */
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
}

/** How a lamp's light is spread, as measured: luminous intensity by direction. */
export interface Photometry {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  /** Luminous flux of the whole, lm, and its electrical power, W; 0 where the file does not say. */
  readonly lumens: number;
  readonly powerW: number;
  /** Size of the lit part. */
  readonly lengthM: number;
  readonly breadthM: number;
  /** Half-planes round the vertical, degrees from the lamp's length, rising from 0 to 360 (or 0 alone where all are alike). */
  readonly planes: readonly number[];
  /** Angles from straight down, degrees, rising within 0..180. */
  readonly angles: readonly number[];
  /** Candela, `plane * angles.length + angle`. */
  readonly candela: readonly number[];
}

/** A year of hourly weather measured or typical at the home, in place of its climate family. */
export interface WeatherFile {
  readonly id: string;
  readonly homeId: string;
  /** The station, as its file names it. */
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly elevationM: number;
  /** Hours that its clock is ahead of UTC. */
  readonly utcOffsetH: number;
  /** The years its months were taken from, in words. */
  readonly years: string;
  /**
   * Hours of a year of 365 days, each given by twelve hexadecimal digits: global horizontal, direct normal and diffuse
   * horizontal irradiance in W m-2, four digits each.
   */
  readonly hours: string;
}

export const READING_UNITS = ['lux', 'fc', 'ppfd'] as const;
export type ReadingUnit = (typeof READING_UNITS)[number];

/** The sky when a reading was taken; `dark` is night, or every curtain tight: lamps alone. */
export const READING_SKIES = ['clear', 'broken', 'overcast', 'dark'] as const;
export type ReadingSky = (typeof READING_SKIES)[number];

/** What a meter showed at a spot. */
export interface Reading {
  readonly id: string;
  readonly homeId: string;
  readonly spotId: string;
  /** UTC epoch milliseconds. */
  readonly atMs: number;
  readonly value: number;
  readonly unit: ReadingUnit;
  readonly sky: ReadingSky;
  /** What the same meter showed outdoors on open level ground, or null. */
  readonly outdoorValue: number | null;
  /** As they hung when it was taken, whatever the programme says since. */
  readonly curtains: 'open' | 'shut';
  readonly lamps: 'on' | 'off';
  readonly note: string;
  /** YYYY-MM-DD; a withdrawn reading stays in the record and corrects nothing. */
  readonly withdrawnOn: string | null;
}
