/**
 * npm run icons: cuts the icon font down to the icons this app shows, since the whole set weighs half a megabyte on
 * the way to a phone.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import subsetFont from 'subset-font';
import { root } from './prepare.mjs';

/** Add a name of the Material Community set here, run this again, and use it. */
const USED = [
  // Places.
  'weather-sunset-up',
  'floor-plan',
  'sprout-outline',
  'ruler-square',
  'tune-variant',
  'book-open-variant',
  'map-marker-path',
  // What own parts show.
  'help-circle-outline',
  'menu-down',
  'calendar',
  // What Paper's parts and its pickers ask for.
  'check',
  'close',
  'magnify',
  'chevron-down',
  'chevron-up',
  'chevron-left',
  'chevron-right',
  'radiobox-marked',
  'radiobox-blank',
  'checkbox-marked',
  'checkbox-blank-outline',
  'minus-box',
  'keyboard-outline',
  'clock-outline',
  'pencil',
];

const find = createRequire(path.join(root, 'app/package.json')).resolve;
const vendor = path.join(
  path.dirname(find('@expo/vector-icons/package.json')),
  'build/vendor/react-native-vector-icons',
);
const all = JSON.parse(readFileSync(path.join(vendor, 'glyphmaps/MaterialCommunityIcons.json'), 'utf8'));
const glyphs = Object.fromEntries(
  USED.map((name) => {
    if (!all[name]) throw new Error(`There is no icon called ${name}.`);
    return [name, all[name]];
  }),
);
const font = readFileSync(path.join(vendor, 'Fonts/MaterialCommunityIcons.ttf'));
const text = Object.values(glyphs)
  .map((code) => String.fromCodePoint(code))
  .join('');
const small = await subsetFont(font, text, { targetFormat: 'truetype' });
writeFileSync(path.join(root, 'app/assets/icons.ttf'), small);
writeFileSync(path.join(root, 'app/ui/icon-glyphs.json'), `${JSON.stringify(glyphs, null, 2)}\n`);
console.log(`${USED.length} icons, ${small.length} bytes.`);
