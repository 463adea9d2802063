/** On the web there is no native animation driver; Paper asks for one all the same, and each time a warning follows. */
import { Animated, Platform } from 'react-native';

if (Platform.OS === 'web') {
  const { timing } = Animated;
  Animated.timing = (value, config) => timing(value, { ...config, useNativeDriver: false });
}
