/** Buttons and links: 44 px at least, named by their words, which wrap rather than be cut. */
import { Link, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { View, type StyleProp, type TextStyle, type ViewStyle } from 'react-native';
import { Button as PaperButton, IconButton, Text, Tooltip, TouchableRipple } from 'react-native-paper';
import type { IconName } from './icon';
import { SPACE, TOUCH } from './theme';
import { Body, Small } from './type';
import { useInk } from './use-ink';

interface ButtonGiven {
  readonly children: string;
  readonly onPress: () => void;
  /** Main: the one thing to do here. Quiet: words alone, for what is seldom wanted. */
  readonly kind?: 'main' | 'plain' | 'danger' | 'quiet';
  readonly disabled?: boolean;
  /** A fuller name for screen readers, where the word alone does not tell. */
  readonly label?: string;
  readonly icon?: IconName;
  readonly style?: StyleProp<ViewStyle>;
}

const MODE = { main: 'contained', plain: 'outlined', danger: 'outlined', quiet: 'text' } as const;

/** Paper keeps a button's words on one line; a long name would be cut. The web's property is none of React Native's. */
const WRAPS = {
  whiteSpace: 'normal',
  overflowWrap: 'anywhere',
  marginHorizontal: SPACE.m,
  marginVertical: 10,
} as TextStyle;

export function Button({ children, onPress, kind = 'plain', disabled = false, label, icon, style }: ButtonGiven) {
  const { danger } = useInk();
  return (
    <PaperButton
      mode={MODE[kind]}
      accessibilityLabel={label ?? children}
      disabled={disabled}
      onPress={onPress}
      labelStyle={WRAPS}
      contentStyle={{ minHeight: TOUCH - 2 }}
      style={[{ minHeight: TOUCH, maxWidth: '100%' }, style]}
      {...(icon ? { icon } : {})}
      {...(kind === 'danger' ? { textColor: danger } : {})}
    >
      {children}
    </PaperButton>
  );
}

interface IconActionGiven {
  readonly icon: IconName;
  /** What it does, for screen readers and on hovering. */
  readonly label: string;
  readonly onPress: () => void;
  readonly expanded?: boolean;
}

/** A button that is only a sign, with its word on hovering. */
export function IconAction({ icon, label, onPress, expanded }: IconActionGiven) {
  const { accent } = useInk();
  return (
    <Tooltip title={label}>
      <IconButton
        icon={icon}
        iconColor={accent}
        size={22}
        accessibilityLabel={label}
        onPress={onPress}
        style={{ width: TOUCH, height: TOUCH, margin: 0 }}
        {...(expanded === undefined ? {} : { 'aria-expanded': expanded })}
      />
    </Tooltip>
  );
}

interface TextLinkGiven {
  readonly href: Href;
  readonly children: ReactNode;
  readonly label?: string;
}

/** A link that reads as one: underlined words with a touchable height. */
export function TextLink({ href, children, label }: TextLinkGiven) {
  const { accent } = useInk();
  return (
    <Link href={href} {...(label ? { 'aria-label': label } : {})} style={{ paddingVertical: 11, minHeight: TOUCH }}>
      <Text variant="labelLarge" style={{ color: accent, textDecorationLine: 'underline' }}>
        {children}
      </Text>
    </Link>
  );
}

interface RowGiven {
  readonly title: string;
  /** Beneath the title. */
  readonly note?: string | undefined;
  /** A mark before the title. */
  readonly mark?: ReactNode;
  /** At the row's end: a value, and what explains it. */
  readonly value?: string | undefined;
  readonly valueNote?: string | undefined;
  readonly valueTestID?: string;
}

interface RowLinkGiven extends RowGiven {
  readonly href: Href;
  /** What a screen reader says of the whole row; its title, if left out. */
  readonly label?: string;
  readonly current?: boolean;
}

/** A whole row that leads somewhere. */
export function RowLink({ href, label, current = false, ...row }: RowLinkGiven) {
  const { line } = useInk();
  return (
    <Link href={href} asChild>
      <TouchableRipple
        role="link"
        aria-label={label ?? row.title}
        {...(current ? { 'aria-current': 'page' as const } : {})}
        style={{ borderBottomWidth: 1, borderColor: line, backgroundColor: current ? line : 'transparent' }}
      >
        <RowBody {...row} />
      </TouchableRipple>
    </Link>
  );
}

/** What a row shows, wherever it leads or whatever it chooses. */
export function RowBody({ title, note, mark, value, valueNote, valueTestID }: RowGiven) {
  return (
    <View style={ROW}>
      {mark}
      <View style={{ flex: 1 }}>
        <Body>{title}</Body>
        {note ? <Small>{note}</Small> : null}
      </View>
      {value === undefined && valueNote === undefined ? null : (
        <View style={{ alignItems: 'flex-end', flexShrink: 1, maxWidth: '46%' }}>
          {value === undefined ? null : (
            <Body style={FIGURES} {...(valueTestID ? { testID: valueTestID } : {})}>
              {value}
            </Body>
          )}
          {valueNote ? <Small style={FIGURES}>{valueNote}</Small> : null}
        </View>
      )}
    </View>
  );
}

const ROW = {
  flexDirection: 'row',
  alignItems: 'center',
  gap: SPACE.s,
  paddingHorizontal: SPACE.xs,
  paddingVertical: SPACE.s,
  minHeight: TOUCH,
} as const;

const FIGURES: TextStyle = { textAlign: 'right', fontVariant: ['tabular-nums'] };
