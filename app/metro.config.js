/** Expo's usual settings, but for one thing: Paper's icons come from the font that is cut down to those shown here. */
const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

/** The names under which Paper looks for the whole set, one after the other. */
const WHOLE_SET = new Set([
  '@react-native-vector-icons/material-design-icons',
  '@expo/vector-icons/MaterialCommunityIcons',
  'react-native-vector-icons/MaterialCommunityIcons',
]);

const config = getDefaultConfig(__dirname);
const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  if (WHOLE_SET.has(name)) return { type: 'sourceFile', filePath: path.join(__dirname, 'ui/paper-icon.tsx') };
  return (resolveRequest ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
