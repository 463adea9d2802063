/** What electricity costs, by hour and weekday. */

/** A price for some hours of some weekdays. */
export interface TariffBand {
  readonly id: string;
  readonly homeId: string;
  /** 1 is Monday, 7 Sunday. */
  readonly weekdays: readonly number[];
  /** Minutes after local midnight; from before to, 1440 is the day's end. */
  readonly fromMinute: number;
  readonly toMinute: number;
  /** In the home's currency. */
  readonly pricePerKwh: number;
}

export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const;
