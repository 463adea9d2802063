/** The few kinds of text there are. */
import type { ReactNode } from 'react';
import { Text as PlainText, type StyleProp, type TextStyle } from 'react-native';
import { FONT } from './theme';
import { useInk } from './use-ink';

interface Given {
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly testID?: string;
}

/** Names a screen; there is one on each. */
export function Title({ children, style, testID }: Given) {
  const { ink } = useInk();
  return (
    <PlainText
      role="heading"
      aria-level={1}
      testID={testID}
      style={[{ fontFamily: FONT.heading, fontSize: 30, lineHeight: 34, color: ink }, style]}
    >
      {children}
    </PlainText>
  );
}

export function Heading({ children, style }: Given) {
  const { ink } = useInk();
  return (
    <PlainText
      role="heading"
      aria-level={2}
      style={[{ fontFamily: FONT.heading, fontSize: 20, lineHeight: 24, color: ink }, style]}
    >
      {children}
    </PlainText>
  );
}

export function Body({ children, style, testID }: Given) {
  const { ink } = useInk();
  return (
    <PlainText testID={testID} style={[{ fontFamily: FONT.text, fontSize: 15, lineHeight: 22, color: ink }, style]}>
      {children}
    </PlainText>
  );
}

export function Strong({ children, style, testID }: Given) {
  const { ink } = useInk();
  return (
    <PlainText testID={testID} style={[{ fontFamily: FONT.strong, fontSize: 15, lineHeight: 22, color: ink }, style]}>
      {children}
    </PlainText>
  );
}

export function Small({ children, style, testID }: Given) {
  const { soft } = useInk();
  return (
    <PlainText testID={testID} style={[{ fontFamily: FONT.text, fontSize: 13, lineHeight: 18, color: soft }, style]}>
      {children}
    </PlainText>
  );
}

/** Figures in columns. */
export function Figure({ children, style, testID }: Given) {
  const { ink } = useInk();
  return (
    <PlainText
      testID={testID}
      style={[
        { fontFamily: FONT.text, fontSize: 14, lineHeight: 20, color: ink, fontVariant: ['tabular-nums'] },
        style,
      ]}
    >
      {children}
    </PlainText>
  );
}
