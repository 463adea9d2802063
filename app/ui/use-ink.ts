/** The colours of the theme in force, and whether there is room for two panes. */
import { useWindowDimensions } from 'react-native';
import { useTheme } from 'react-native-paper';
import { WIDE_FROM, type DulvanTheme, type Ink } from './theme';

export function useInk(): Ink {
  return useTheme<DulvanTheme>().inkset;
}

export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}
