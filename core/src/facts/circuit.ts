/** Timers and the lamps they switch together. */

/** Lamps on one timer. Minutes after local midnight; on before off, 1440 is midnight at the day's end. */
export interface Circuit {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  readonly onMinute: number;
  readonly offMinute: number;
  /** Months (1..12) in which the timer runs. */
  readonly months: readonly number[];
}
