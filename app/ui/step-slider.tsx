/** A line along which one of many steps is chosen: by touch or drag, by mouse, with arrow keys. */
import { useState } from 'react';
import { Platform, View, type GestureResponderEvent } from 'react-native';
import { TOUCH } from './theme';
import { useInk } from './use-ink';

interface Given {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  /** The value in words, for screen readers. */
  readonly words: string;
  readonly onValue: (value: number) => void;
  /** Steps of the arrow keys. */
  readonly step?: number;
}

export function StepSlider({ label, value, most, words, onValue, step = 1 }: Given) {
  const ink = useInk();
  const [width, setWidth] = useState(1);
  const held = (next: number) => onValue(Math.max(0, Math.min(most, Math.round(next))));
  const at = (event: GestureResponderEvent) => held((event.nativeEvent.locationX / width) * most);
  const keys =
    Platform.OS === 'web'
      ? {
          onKeyDown: (event: { key: string; preventDefault(): void }) => {
            const to = {
              ArrowRight: value + step,
              ArrowUp: value + step,
              ArrowLeft: value - step,
              ArrowDown: value - step,
              Home: 0,
              End: most,
            }[event.key];
            if (to === undefined) return;
            event.preventDefault();
            held(to);
          },
        }
      : {};
  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuenow={value}
      aria-valuetext={words}
      onLayout={(event) => setWidth(Math.max(1, event.nativeEvent.layout.width))}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderGrant={at}
      onResponderMove={at}
      style={{ height: TOUCH, justifyContent: 'center' }}
      {...keys}
    >
      <View style={{ height: 2, backgroundColor: ink.strongLine, pointerEvents: 'none' }} />
      <View
        style={{
          position: 'absolute',
          left: `${(value / most) * 100}%`,
          width: 10,
          height: 30,
          marginLeft: -5,
          backgroundColor: ink.accent,
          pointerEvents: 'none',
        }}
      />
    </View>
  );
}
