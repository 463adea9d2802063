/** Figures of loggers in the grower's units. */
import { degrees } from '../../parts/words';
import type { Units } from '../../state/settings';

const tenth = (value: number) => Math.round(value * 10) / 10;

/** "20.1 / 16.6 °C". */
export const dayAndNight = (day: number, night: number, units: Units): string =>
  `${degrees(tenth(day), units).split(' ')[0]} / ${degrees(tenth(night), units)}`.replaceAll(' ', '\u00a0');

/** "42 / 58 %". */
export const byDayAndNight = (day: number, night: number): string => `${Math.round(day)} / ${Math.round(night)} %`;
