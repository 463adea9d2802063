/** What a spot gives in one month. */
import type { SpotAirMonth } from '../air';
import type { AirMovement } from '../facts';

/** DLI by where it comes from, mol m-2 d-1. */
export interface DliShares {
  readonly sun: number;
  readonly sky: number;
  readonly ground: number;
  readonly obstruction: number;
  readonly reflected: number;
  /** The room's own light after dark. */
  readonly roomLight: number;
  /** By lamp id. */
  readonly lamps: Readonly<Record<string, number>>;
}

export interface Condition {
  readonly month: number;
  /**
   * Mean DLI of the month, all sources, and its mean in poor, typical and good years (10th, 50th, 90th percentile of
   * seeded years).
   */
  readonly dli: number;
  readonly dliPoorYear: number;
  readonly dliTypicalYear: number;
  readonly dliGoodYear: number;
  /** DLI of a dull and a bright day (10th and 90th percentile). */
  readonly dliDullDay: number;
  readonly dliBrightDay: number;
  readonly shares: DliShares;
  /** PPFD by hour of a clear day at the top of the leaves, all sources, and of its brightest hour. */
  readonly clearDay: readonly number[];
  readonly peakPpfd: number;
  /** Direct sun on the leaf, hours a day: possible, and likely with the month's cloud. */
  readonly sunHoursPossible: number;
  readonly sunHoursLikely: number;
  readonly dayH: number;
  readonly longestNightH: number;
  /** Of the spot: its room's, and what parts it from that. */
  readonly air: SpotAirMonth;
  /** The coldest night and the hottest afternoon to be expected at the leaf in such a month, C. */
  readonly coldNightC: number;
  readonly hotDayC: number;
  readonly airMovement: AirMovement;
  /** Of the air by day, kPa, and of the leaf, which the light makes so much warmer, K. */
  readonly vpdDay: number;
  readonly leafK: number;
  readonly vpdLeaf: number;
  /** Mean PPFD by hour of the day, all sources. */
  readonly byHour: readonly number[];
}
