/** Sums of the sun's beam on a level leaf, step by step: energy by day type, the strongest hour, hours of sun. */
import type { SkyYear } from '../sky/year';

/** A beam weaker than this is not said to shine, W m-2. World Meteorological Organization. */
const SUNSHINE_THRESHOLD = 120;

/** Where trees and crowns leave less of the beam than this, the leaf is said to be in shade. */
const DISC_SEEN = 0.5;

/** Sums by place: a run of steps, or a bin of the year. */
export interface SunTally {
  /** W h m-2 a day, `place * dayTypes + type`. */
  readonly energy: Float64Array;
  /** Strongest beam over a whole hour, W m-2, on the brightest day type: a fleck that passes burns nothing. */
  readonly strongest: Float64Array;
  /** Hours a day that the sun's disc can be seen, and those in which it is likely to shine. */
  readonly possible: Float64Array;
  readonly likely: Float64Array;
}

export const emptyTally = (places: number, dayTypes: number): SunTally => ({
  energy: new Float64Array(places * dayTypes),
  strongest: new Float64Array(places),
  possible: new Float64Array(places),
  likely: new Float64Array(places),
});

/** Whether a step lies in the same hour of the same day as one before it: steps of a day are numbered in a row, as their slots are. */
export function sameHour(sky: SkyYear, before: number, step: number): boolean {
  return sky.bin[before] === sky.bin[step] && sky.slot[step]! - sky.slot[before]! === step - before;
}

/**
 * Adds one step's beam.
 * @param onLeaf share of the beam that falls on a level leaf
 * @param shine share that whatever lets the sun through in flecks leaves, 0..1
 * @param before the step added last, -1 for none; @param hourSum what its hour had come to, W m-2
 * @returns what this step's hour has come to
 */
export function addStep(
  tally: SunTally,
  place: number,
  sky: SkyYear,
  step: number,
  onLeaf: number,
  shine: number,
  before: number,
  hourSum: number,
): number {
  const { dayTypes, stepMinutes } = sky;
  const hours = stepMinutes / 60 / sky.daysInMonth[Math.floor(sky.bin[step]! / 24)]!;
  const threshold = SUNSHINE_THRESHOLD / shine;
  let sunny = 0;
  for (let type = 0; type < dayTypes; type++) {
    const dni = sky.dni[step * dayTypes + type]!;
    tally.energy[place * dayTypes + type]! += dni * onLeaf * hours;
    if (dni > threshold) sunny++;
  }
  if (shine >= DISC_SEEN) {
    tally.possible[place]! += hours;
    tally.likely[place]! += (hours * sunny) / dayTypes;
  }
  const sum =
    (before >= 0 && sameHour(sky, before, step) ? hourSum : 0) + (sky.dniMost[step]! * onLeaf * stepMinutes) / 60;
  if (sum > tally.strongest[place]!) tally.strongest[place] = sum;
  return sum;
}

/** Adds one place of a tally to a place of another. */
export function addPlace(into: SunTally, place: number, from: SunTally, of: number, dayTypes: number): void {
  for (let type = 0; type < dayTypes; type++)
    into.energy[place * dayTypes + type]! += from.energy[of * dayTypes + type]!;
  into.possible[place]! += from.possible[of]!;
  into.likely[place]! += from.likely[of]!;
  if (from.strongest[of]! > into.strongest[place]!) into.strongest[place] = from.strongest[of]!;
}
