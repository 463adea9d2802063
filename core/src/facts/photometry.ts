/** A lamp's photometric file: how its light is spread, as measured. */

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
  /** Key of the stored file with its intensities. */
  readonly fileKey: string;
}

/** Intensities by direction, as measured. */
export interface Intensities {
  /** Half-planes round the vertical, degrees from the lamp's length, rising from 0 to 360 (or 0 alone where all are alike). */
  readonly planes: readonly number[];
  /** Angles from straight down, degrees, rising within 0..180. */
  readonly angles: readonly number[];
  /** Candela, `plane * angles.length + angle`. */
  readonly candela: readonly number[];
}

/** Most intensities of one file: every degree round and down. */
export const MOST_INTENSITIES = 70_000;
