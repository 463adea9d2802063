/** How well a value fits a band: 1 inside, falling straight to 0 at the values that are useless or deadly. */

/**
 * 0..1. `zeroBelow <= from <= to <= zeroAbove`; a side of no width drops at once.
 * Plain numbers rather than a record: it is asked for every plant at every spot in every month.
 */
export function trapezoid(value: number, zeroBelow: number, from: number, to: number, zeroAbove: number): number {
  if (value >= from && value <= to) return 1;
  return value < from ? ramp(value, zeroBelow, from) : ramp(value, zeroAbove, to);
}

function ramp(value: number, zero: number, full: number): number {
  if (zero === full) return 0;
  return Math.max(0, Math.min(1, (value - zero) / (full - zero)));
}

/** How far a value lies outside a band, in its own unit: negative below, positive above, 0 inside. */
export function distanceFromBand(value: number, from: number, to: number): number {
  return value < from ? value - from : value > to ? value - to : 0;
}
