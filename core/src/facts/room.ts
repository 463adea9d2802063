/** A room, or a cabinet, tent or dome inside one: a box with surfaces, air and its own light after dark. */

/**
 * How much the air moves at leaves, each about three times the one before: 0.05, 0.2, 0.6 and 2 m/s. `strong` is the
 * straight stream of a fan.
 */
export const AIR_MOVEMENTS = ['still', 'gentle', 'brisk', 'strong'] as const;
export type AirMovement = (typeof AIR_MOVEMENTS)[number];

/**
 * A box. Its frame: x along wall A to the right, y from wall A to wall C, z up; seen from above, A is the lower
 * wall, B the right, C the upper and D the left one.
 */
export interface Room {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
  /** Azimuth in which wall A faces outward, clockwise from true north. */
  readonly wallABearing: number;
  /** Share of light that each surface throws back, 0..0.95. */
  readonly floorReflectance: number;
  readonly wallReflectance: number;
  readonly ceilingReflectance: number;
  readonly airMovement: AirMovement;
  /**
   * For a cabinet, tent or dome: the room it stands in, where its corner is, and what share of light its shell lets
   * in.
   */
  readonly insideRoomId: string | null;
  readonly insideXM: number;
  readonly insideYM: number;
  readonly insideZM: number;
  readonly shellTransmittance: number;
  /** The room's own light after dark, lux at the plants (0: none), and when it burns, in minutes after midnight. */
  readonly eveningLux: number;
  readonly eveningFromMinute: number;
  readonly eveningToMinute: number;
}

export type Side = 'a' | 'b' | 'c' | 'd';
