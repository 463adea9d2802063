/** Colours, type and lines: one drawing hand for every screen. */
import { MD3DarkTheme, MD3LightTheme, type MD3Theme } from 'react-native-paper';
import type { Factor } from '@dulvan/core';
import { rem } from './rem';

/** Each with what stands in until its file has arrived. */
export const FONT = {
  text: 'PublicSans_400Regular, system-ui, sans-serif',
  strong: 'PublicSans_600SemiBold, system-ui, sans-serif',
  lettering: "BarlowCondensed_500Medium, 'Arial Narrow', system-ui, sans-serif",
  heading: "BarlowCondensed_600SemiBold, 'Arial Narrow', system-ui, sans-serif",
} as const;

export const SPACE = { xs: 4, s: 8, m: 16, l: 24, xl: 40 } as const;
/** From this width on there is room for two things side by side, px. */
export const WIDE_FROM = 900;
/** Smallest side of anything that is touched, px. */
export const TOUCH = 44;

/** Roles beyond Paper's own. */
export interface Ink {
  readonly paper: string;
  readonly sheet: string;
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly strongLine: string;
  readonly accent: string;
  readonly onAccent: string;
  readonly danger: string;
  readonly wash: string;
  readonly glass: string;
  readonly factor: Readonly<Record<Factor, string>>;
  /** Sources of light in the year's chart, from the sun to the lamps. */
  readonly source: Readonly<Record<'sun' | 'sky' | 'ground' | 'obstruction' | 'reflected' | 'lamps', string>>;
}

const light: Ink = {
  paper: '#F3F4EE',
  sheet: '#FBFBF8',
  ink: '#1C2830',
  soft: '#4B5A62',
  line: '#CBD0C7',
  strongLine: '#7C8A8C',
  accent: '#1D4A63',
  onAccent: '#FFFFFF',
  danger: '#A3261B',
  wash: '#D99A1C',
  glass: '#3C87A8',
  factor: { light: '#8A5A00', 'day-length': '#654A9E', warmth: '#A63A2A', moisture: '#1B6795', air: '#23704F' },
  source: {
    sun: '#D99A1C',
    sky: '#5C9BC4',
    ground: '#8C9A5B',
    obstruction: '#9A8F86',
    reflected: '#B9C3C7',
    lamps: '#7A5AAE',
  },
};

const dark: Ink = {
  paper: '#12181C',
  sheet: '#1A2227',
  ink: '#E8ECE6',
  soft: '#AAB6B8',
  line: '#344147',
  strongLine: '#71828A',
  accent: '#8CC7E4',
  onAccent: '#0C2331',
  danger: '#FF9C8F',
  wash: '#F0B84B',
  glass: '#7CC3E0',
  factor: { light: '#F0B84B', 'day-length': '#BFA8EC', warmth: '#F5958A', moisture: '#7EC4EC', air: '#7FD3AC' },
  source: {
    sun: '#F0B84B',
    sky: '#7FB6DC',
    ground: '#B4C27F',
    obstruction: '#B8ACA2',
    reflected: '#7E8C92',
    lamps: '#BFA8EC',
  },
};

/** A kind of text: its face, and its size and line at the usual text size of a browser, px. */
const kind = (fontFamily: string, size: number, line: number) => ({
  fontFamily,
  fontSize: rem(size),
  lineHeight: rem(line),
  letterSpacing: 0,
  fontWeight: 'normal' as const,
});

/** Paper's fifteen kinds of text, drawn as the few of Dulvan: its parts then speak in the same hand as the screens. */
const TITLE = kind(FONT.heading, 30, 34);
const HEADING = kind(FONT.heading, 20, 24);
const BODY = kind(FONT.text, 15, 22);
const STRONG = kind(FONT.strong, 15, 22);
const SMALL = kind(FONT.text, 13, 18);
const LETTERING = kind(FONT.lettering, 13, 16);

const fonts: MD3Theme['fonts'] = {
  default: kind(FONT.text, 15, 22),
  displayLarge: TITLE,
  displayMedium: TITLE,
  displaySmall: TITLE,
  headlineLarge: TITLE,
  headlineMedium: TITLE,
  headlineSmall: HEADING,
  titleLarge: HEADING,
  titleMedium: STRONG,
  titleSmall: STRONG,
  bodyLarge: BODY,
  bodyMedium: BODY,
  bodySmall: SMALL,
  labelLarge: STRONG,
  labelMedium: LETTERING,
  labelSmall: LETTERING,
};

export interface DulvanTheme extends MD3Theme {
  readonly inkset: Ink;
}

function themed(base: MD3Theme, ink: Ink): DulvanTheme {
  return {
    ...base,
    roundness: 0,
    fonts,
    inkset: ink,
    colors: {
      ...base.colors,
      primary: ink.accent,
      onPrimary: ink.onAccent,
      primaryContainer: ink.line,
      onPrimaryContainer: ink.ink,
      secondaryContainer: ink.line,
      onSecondaryContainer: ink.ink,
      background: ink.paper,
      onBackground: ink.ink,
      surface: ink.sheet,
      onSurface: ink.ink,
      surfaceVariant: ink.paper,
      onSurfaceVariant: ink.soft,
      outline: ink.strongLine,
      outlineVariant: ink.line,
      error: ink.danger,
      inverseSurface: ink.ink,
      inverseOnSurface: ink.sheet,
      inversePrimary: ink.sheet,
      elevation: {
        level0: 'transparent',
        level1: ink.sheet,
        level2: ink.sheet,
        level3: ink.sheet,
        level4: ink.sheet,
        level5: ink.sheet,
      },
    },
  };
}

export const lightTheme = themed(MD3LightTheme, light);
export const darkTheme = themed(MD3DarkTheme, dark);
