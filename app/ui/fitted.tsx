/** Something as wide as its place: drawn once the place is measured, and again when its width changes. */
import { useState, type ReactNode, type Ref } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';

interface Given {
  /** Kept free until it is drawn, px. */
  readonly minHeight: number;
  readonly style?: StyleProp<ViewStyle>;
  /** Goes below what is drawn. */
  readonly below?: ReactNode;
  readonly ref?: Ref<View>;
  /** What is drawn on a width in px. */
  readonly children: (width: number) => ReactNode;
}

export function Fitted({ minHeight, style, below, ref, children }: Given) {
  const [width, setWidth] = useState(0);
  return (
    <View
      {...(ref ? { ref } : {})}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={[{ minHeight }, style]}
    >
      {width > 0 ? children(width) : null}
      {below}
    </View>
  );
}
