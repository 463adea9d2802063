/** How the light of a spot is worked out, in words. */
import { PAR_SHARE_OF_BROADBAND, UMOL_PER_JOULE_PAR } from '@dulvan/core';

/** One paragraph of its parts. */
export const said = (...parts: readonly string[]): string => parts.join(' ');

/** How daylight reaches a leaf. */
const DAYLIGHT_METHOD: readonly string[] = [
  said(
    'For each window, how much of every part of the sky, of the ground and of what stands outside reaches the',
    'leaf is traced from the geometry, straight and after any number of reflections between the room’s',
    'surfaces, boards, cupboards and the sides of its windows.',
  ),
  'The sun’s own beam is traced in every quarter hour of the year, past boards, cupboards and neighbours’ crowns.',
  said(
    'Both are multiplied with the month’s weather:',
    'five day types from dull to bright, whose mean is the month.',
    `Energy is turned to photons with ${PAR_SHARE_OF_BROADBAND} as PAR and ${UMOL_PER_JOULE_PAR} µmol a`,
    'joule.',
  ),
];

const LAMP_METHOD = said(
  'A lamp gives its PPFD at the leaf, from its photons, beam or measured file, size, tilt, height and age,',
  'straight and reflected by the room’s surfaces, times its hours.',
);

const CABINET_METHOD: readonly string[] = [
  said(
    'In a cabinet all this is what would be there in the room, times what the shell lets in, and with it what the',
    'cabinet’s own sides and boards reflect.',
  ),
];

/** How a spot's light is worked out; where no daylight comes, of lamps alone. */
export const dliMethod = (from: 'windows-too' | 'lamps-alone', inCabinet: boolean): readonly string[] => [
  ...(from === 'windows-too' ? DAYLIGHT_METHOD : []),
  LAMP_METHOD,
  ...(inCabinet ? CABINET_METHOD : []),
];

/** What is taken for granted at every spot. */
export const DLI_ASSUMED: readonly string[] = [
  said(
    'Neighbours shade it by the part of their crowns above its own top, as leaves turned every way would;',
    'one whose height is not stated shades nothing.',
  ),
  said(
    'Plants reflect no light. Those beside it dim what falls on the walls it sees; other walls they dim only for',
    'lamps over their own tier.',
  ),
  said(
    'A cabinet’s shell takes the same share of light from every side;',
    'its walls and top reflect no more than does not pass them.',
  ),
];
