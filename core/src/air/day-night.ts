/** Which hours of the clock are told as day and which as night: dusk and dawn belong to neither. */

export const DAY = { from: 8, to: 20 } as const;
export const NIGHT = { from: 22, to: 6 } as const;

export const isDay = (hour: number): boolean => hour >= DAY.from && hour < DAY.to;
export const isNight = (hour: number): boolean => hour >= NIGHT.from || hour < NIGHT.to;

export const meanOf = (list: readonly number[]): number => list.reduce((sum, value) => sum + value, 0) / list.length;
/** Of 24 hours' values. */
export const dayMean = (hours: readonly number[]): number => meanOf(hours.filter((_, hour) => isDay(hour)));
export const nightMean = (hours: readonly number[]): number => meanOf(hours.filter((_, hour) => isNight(hour)));

/** By how much an hour of the day follows the day, 1, and by how much the night, 0: along a line between them. */
export function dayShare(hour: number): number {
  if (isDay(hour)) return 1;
  if (isNight(hour)) return 0;
  return hour < DAY.from
    ? (hour - NIGHT.to + 0.5) / (DAY.from - NIGHT.to)
    : 1 - (hour - DAY.to + 0.5) / (NIGHT.from - DAY.to);
}
