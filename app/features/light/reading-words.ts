/** Words for readings of a light meter. */
import type { ReadingSky, ReadingUnit } from '@dulvan/core';

export const READING_UNIT_WORD: Readonly<Record<ReadingUnit, string>> = {
  lux: 'lux',
  fc: 'foot-candles',
  ppfd: 'µmol/m²s',
};

export const SKY_WORD: Readonly<Record<ReadingSky, string>> = {
  overcast: 'Evenly overcast',
  clear: 'Clear',
  broken: 'Some cloud',
  dark: 'Dark: lamps alone',
  month: 'Mean of a month by a logger',
};
