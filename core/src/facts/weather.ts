/** Measured or typical weather in place of the climate family's. */

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
  /** Key of the stored file with its hours. */
  readonly fileKey: string;
}

/** Irradiance of one hour, W m-2: means over the hour that ends with it. */
export interface WeatherHour {
  readonly global: number;
  /** Direct normal and diffuse horizontal. */
  readonly dni: number;
  readonly dhi: number;
  /** Air at the end of the hour, C and per cent, where the file tells it. */
  readonly celsius?: number;
  readonly rh?: number;
}

/** Hours of a year of 365 days; a file of a leap year leaves out 29 February. */
export const YEAR_HOURS = 8760;
