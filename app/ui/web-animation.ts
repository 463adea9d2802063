/** On the web there is no native animation driver; Paper asks for one all the same, and each time a warning follows. */
import { Animated, Platform } from 'react-native';

type Timing = typeof Animated.timing;

if (Platform.OS === 'web') {
  const animated: { timing: Timing } = Animated;
  const { timing } = animated;
  animated.timing = (value, config) => timing(value, { ...config, useNativeDriver: false });
}
