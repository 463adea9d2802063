/** Light read off a meter at a spot. */

export const READING_UNITS = ['lux', 'fc', 'ppfd'] as const;
export type ReadingUnit = (typeof READING_UNITS)[number];

/**
 * The sky when a reading was taken; `dark` is night, or every curtain tight: lamps alone. `month` is the mean of a
 * month's whole days by a logger, with lamps and curtains as they run.
 */
export const READING_SKIES = ['clear', 'broken', 'overcast', 'dark', 'month'] as const;
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
