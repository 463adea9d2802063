/** Buttons and links: 44 px at least, named by their words. */
import { Link, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, Text, View, type StyleProp, type ViewStyle } from 'react-native';
import { FONT, SPACE, TOUCH } from './theme';
import { useInk } from './use-ink';

interface ButtonGiven {
  readonly children: string;
  readonly onPress: () => void;
  readonly kind?: 'main' | 'plain' | 'danger';
  readonly disabled?: boolean;
  /** A fuller name for screen readers, where the word alone does not tell. */
  readonly label?: string;
  readonly style?: StyleProp<ViewStyle>;
}

export function Button({ children, onPress, kind = 'plain', disabled = false, label, style }: ButtonGiven) {
  const ink = useInk();
  const colour = kind === 'main' ? ink.onAccent : kind === 'danger' ? ink.danger : ink.accent;
  return (
    <Pressable
      role="button"
      aria-label={label ?? children}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      style={({ pressed }) => [
        {
          minHeight: TOUCH,
          minWidth: TOUCH,
          paddingHorizontal: SPACE.m,
          justifyContent: 'center',
          alignItems: 'center',
          borderWidth: 1,
          borderColor: kind === 'main' ? ink.accent : ink.strongLine,
          backgroundColor: kind === 'main' ? ink.accent : 'transparent',
          opacity: disabled ? 0.5 : pressed ? 0.75 : 1,
        },
        style,
      ]}
    >
      <Text style={{ fontFamily: FONT.strong, fontSize: 15, color: colour }}>{children}</Text>
    </Pressable>
  );
}

/** A link that reads as one: underlined words with a touchable height. */
export function TextLink({
  href,
  children,
  label,
}: {
  readonly href: Href;
  readonly children: ReactNode;
  readonly label?: string;
}) {
  const ink = useInk();
  return (
    <Link href={href} {...(label ? { 'aria-label': label } : {})} style={{ paddingVertical: 11, minHeight: TOUCH }}>
      <Text
        style={{
          fontFamily: FONT.strong,
          fontSize: 15,
          lineHeight: 22,
          color: ink.accent,
          textDecorationLine: 'underline',
        }}
      >
        {children}
      </Text>
    </Link>
  );
}

/** A whole row that leads somewhere. */
export function RowLink({
  href,
  children,
  label,
  current = false,
}: {
  readonly href: Href;
  readonly children: ReactNode;
  readonly label: string;
  readonly current?: boolean;
}) {
  const ink = useInk();
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        aria-label={label}
        {...(current ? { 'aria-current': 'page' as const } : {})}
        style={{
          borderBottomWidth: 1,
          borderColor: ink.line,
          paddingVertical: SPACE.s,
          minHeight: TOUCH,
          backgroundColor: current ? ink.line : 'transparent',
        }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s, paddingHorizontal: SPACE.xs }}>
          {children}
        </View>
      </Pressable>
    </Link>
  );
}
