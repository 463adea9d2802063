/** What stands outside, as a room's windows see it. */

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
