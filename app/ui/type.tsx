/** The few kinds of text there are. */
import type { ReactNode } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { Text, type MD3Theme } from 'react-native-paper';
import { useInk } from './use-ink';

interface Given {
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly testID?: string;
}

/** A long compound is broken rather than pushed out of its row; the web's property is none of React Native's. */
const WRAPS = { overflowWrap: 'anywhere' } as TextStyle;

interface KindGiven extends Given {
  readonly variant: `${Exclude<keyof MD3Theme['fonts'], 'default'>}`;
  /** Of a heading: 1 names the screen. */
  readonly level?: 1 | 2;
}

function Kind({ children, variant, level, style, testID }: KindGiven) {
  const heading = level === undefined ? {} : { role: 'heading' as const, 'aria-level': level };
  const found = testID === undefined ? {} : { testID };
  return (
    <Text variant={variant} {...found} {...heading} style={[WRAPS, style]}>
      {children}
    </Text>
  );
}

/** Names a screen; there is one on each. */
export const Title = (given: Given) => <Kind variant="headlineMedium" level={1} {...given} />;

export const Heading = (given: Given) => <Kind variant="titleLarge" level={2} {...given} />;

export const Body = (given: Given) => <Kind variant="bodyMedium" {...given} />;

export const Strong = (given: Given) => <Kind variant="labelLarge" {...given} />;

/** Remarks beside something, softer than it. */
export function Small({ style, ...given }: Given) {
  const { soft } = useInk();
  return <Kind variant="bodySmall" {...given} style={[{ color: soft }, style]} />;
}

/** Figures in columns. */
export const Figure = ({ style, ...given }: Given) => (
  <Kind variant="bodyMedium" {...given} style={[{ fontVariant: ['tabular-nums'] }, style]} />
);
