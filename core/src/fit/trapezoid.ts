/** How well a value fits a band: 1 inside, falling straight to 0 at the values that are useless or deadly. */

export interface Band {
  readonly zeroBelow: number;
  readonly from: number;
  readonly to: number;
  readonly zeroAbove: number;
}

/** 0..1. `zeroBelow <= from <= to <= zeroAbove`; a side of no width drops at once. */
export function trapezoid(value: number, band: Band): number {
  if (value >= band.from && value <= band.to) return 1;
  if (value < band.from) return ramp(value, band.zeroBelow, band.from);
  return ramp(value, band.zeroAbove, band.to);
}

function ramp(value: number, zero: number, full: number): number {
  if (zero === full) return 0;
  return Math.max(0, Math.min(1, (value - zero) / (full - zero)));
}

/** How far a value lies outside a band, in its own unit: negative below, positive above, 0 inside. */
export function distanceFromBand(value: number, from: number, to: number): number {
  return value < from ? value - from : value > to ? value - to : 0;
}
