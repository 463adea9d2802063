/** Figures of the air as a grower reads them. */
import { vapourPressureDeficit, type RoomAirMonth } from '@dulvan/core';

/** What can be drawn of a room's air, hour by hour. */
export const AIR_FIGURES = ['warmth', 'moisture', 'dryness'] as const;
export type AirFigure = (typeof AIR_FIGURES)[number];

/** A month's 24 values of it: C, per cent, kPa. */
export function hoursOf({ celsius, rh }: Pick<RoomAirMonth, 'celsius' | 'rh'>, figure: AirFigure): readonly number[] {
  if (figure === 'warmth') return celsius;
  return figure === 'moisture' ? rh : celsius.map((one, hour) => vapourPressureDeficit(one, rh[hour]!));
}

/** From which value each step of a drawing begins. */
export const AIR_STEPS: Readonly<Record<AirFigure, readonly number[]>> = {
  warmth: [10, 14, 17, 20, 23, 26, 30],
  moisture: [30, 40, 50, 60, 70, 80, 90],
  dryness: [0.2, 0.4, 0.8, 1.2, 1.6, 2, 2.5],
};

/** The step a value is in: 0 below the first. */
export const stepOf = (value: number, steps: readonly number[]): number =>
  steps.findLastIndex((from) => value >= from) + 1;

/** "38 to 41", or one figure where both ends read the same. */
export function spanWords([least, most]: readonly [number, number], digits: number): string {
  const figure = (value: number) =>
    value
      .toFixed(digits)
      .replace(/^-(?=0\.?0*$)/, '')
      .replace('-', '−');
  const [from, to] = [figure(least), figure(most)];
  return from === to ? from : `${from} to ${to}`;
}
