/** The few icons of this app, from a font cut down to them (npm run icons). */
import createIconSet from '@expo/vector-icons/createIconSet';
import glyphs from './icon-glyphs.json';

export type IconName = keyof typeof glyphs;

export const Icon = createIconSet(glyphs, 'DulvanIcons', require('../assets/icons.ttf'));
