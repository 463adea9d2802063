/** Sizes of type that follow the text size the grower's browser is set to. */
import { Platform } from 'react-native';

/** A size in px at the usual text size; on the web it grows and shrinks with the text size of the browser. */
export const rem = (px: number): number =>
  // The web takes lengths with a unit, which React Native's types do not know of.
  Platform.OS === 'web' ? (`${px / 16}rem` as unknown as number) : px;

/** How many times the usual size the browser's text has, for parts that reckon with numbers. */
export const textScale = (): number =>
  Platform.OS === 'web' ? parseFloat(getComputedStyle(document.documentElement).fontSize) / 16 || 1 : 1;
