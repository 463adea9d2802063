/** Whether the grower asked for less motion. */
import { Platform } from 'react-native';

export const wantsLessMotion = (): boolean =>
  Platform.OS === 'web' && window.matchMedia('(prefers-reduced-motion: reduce)').matches;
