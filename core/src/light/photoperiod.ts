/** How long a leaf's day is: every light that it can notice counts, far below what it could grow by. */
import { LUX_PER_PPFD } from '../units';
import { elevationAtLux } from '../sky';

/** PPFD above which a leaf takes it for day, umol m-2 s-1. Thresholds in trials lie between 0.1 and 2, by species. */
export const DAY_THRESHOLD_PPFD = 0.5;

/** A stretch of a civil day in minutes after midnight, 0..1440. */
export interface Stretch {
  readonly fromMinute: number;
  readonly toMinute: number;
}

/**
 * Elevation of the sun at which daylight at a spot passes the threshold.
 * @param daylightFactor share of open ground's light that reaches the spot, above 0
 */
export function daybreakElevation(daylightFactor: number): number {
  return elevationAtLux((DAY_THRESHOLD_PPFD * LUX_PER_PPFD.daylight) / daylightFactor);
}

export interface Photoperiod {
  readonly dayH: number;
  /** Longest unbroken dark, round midnight. */
  readonly longestNightH: number;
}

/** Joins stretches of light into the day's length and its longest night. Stretches may overlap and come in any order. */
export function photoperiodOf(stretches: readonly Stretch[]): Photoperiod {
  const sorted = stretches
    .filter((s) => s.toMinute > s.fromMinute)
    .map((s) => [Math.max(0, s.fromMinute), Math.min(1440, s.toMinute)] as [number, number])
    .sort((p, q) => p[0] - q[0]);
  if (sorted.length === 0) return { dayH: 0, longestNightH: 24 };
  const joined: [number, number][] = [];
  for (const [from, to] of sorted) {
    const last = joined[joined.length - 1];
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else joined.push([from, to]);
  }
  let light = 0;
  let longest = 0;
  joined.forEach(([from, to], i) => {
    light += to - from;
    const next = joined[i + 1]?.[0] ?? joined[0]![0] + 1440;
    longest = Math.max(longest, next - to);
  });
  return { dayH: light / 60, longestNightH: longest / 60 };
}
