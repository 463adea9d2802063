/** The air of a room as it is stated. */

/** Air of a room in one month, as the grower states or measured it. */
export interface AirStatement {
  readonly id: string;
  readonly roomId: string;
  readonly month: number;
  readonly dayC: number;
  readonly nightC: number;
  /** Relative humidity, per cent. */
  readonly dayRh: number;
  readonly nightRh: number;
}

/** Air at one spot in one month, as it was measured there. */
export interface SpotAirStatement extends Omit<AirStatement, 'roomId'> {
  readonly spotId: string;
}
