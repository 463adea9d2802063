/** Chooses a month on the strip of twelve: by touch, by mouse, with arrow keys. */
import { useState } from 'react';
import { Platform, Pressable, Text, View, type GestureResponderEvent } from 'react-native';
import { FONT, TOUCH } from './theme';
import { useInk } from './use-ink';
import { MONTH_NAMES, monthName } from './months';
import { MONTH_SLIDER as WORDS } from './ui-words';

interface Given {
  readonly month: number;
  readonly onMonth: (month: number) => void;
}

export function MonthSlider({ month, onMonth }: Given) {
  const ink = useInk();
  const [width, setWidth] = useState(1);
  const step = (by: number) => onMonth(((month - 1 + by + 12) % 12) + 1);
  const press = (event: GestureResponderEvent) => {
    const share = event.nativeEvent.locationX / width;
    onMonth(Math.max(1, Math.min(12, Math.floor(share * 12) + 1)));
  };
  const keys =
    Platform.OS === 'web'
      ? {
          onKeyDown: (event: { key: string; preventDefault(): void }) => {
            const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
            if (by === undefined) return;
            event.preventDefault();
            step(by);
          },
        }
      : {};
  return (
    <Pressable
      role="slider"
      aria-label={WORDS.month}
      aria-valuemin={1}
      aria-valuemax={12}
      aria-valuenow={month}
      aria-valuetext={monthName(month)}
      onLayout={(event) => setWidth(Math.max(1, event.nativeEvent.layout.width))}
      onPress={press}
      style={{ flexDirection: 'row', height: TOUCH, borderWidth: 1, borderColor: ink.strongLine }}
      {...keys}
    >
      {MONTH_NAMES.map((name, i) => {
        const chosen = i + 1 === month;
        return (
          <View
            key={name}
            style={{
              flex: 1,
              pointerEvents: 'none',
              alignItems: 'center',
              justifyContent: 'center',
              borderLeftWidth: i === 0 ? 0 : 1,
              borderColor: ink.line,
              backgroundColor: chosen ? ink.accent : 'transparent',
            }}
          >
            <Text style={{ fontFamily: FONT.lettering, fontSize: 16, color: chosen ? ink.onAccent : ink.ink }}>
              {name.charAt(0)}
            </Text>
          </View>
        );
      })}
    </Pressable>
  );
}
