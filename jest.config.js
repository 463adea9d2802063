/** Node runs today's syntax as it is: helpers for older engines make computation several times slower. */
const asNodeRunsIt = [
  'babel-jest',
  {
    presets: [require.resolve('@babel/preset-typescript')],
    plugins: [require.resolve('@babel/plugin-transform-modules-commonjs')],
  },
];

/** Tests run in a context of their own, where looking up what is not declared in it is slow. */
const sandboxInjectedGlobals = ['Math'];

/** Two kinds of tests: plain ones in Node for all that has no interface, and jest-expo's for the app. */
module.exports = {
  // No test is about speed: a machine may be busy, and on a fresh clone the first one of a screen also waits for its
  // packages.
  testTimeout: 300_000,
  projects: [
    {
      displayName: 'plain',
      testEnvironment: 'node',
      roots: ['core', 'catalogue', 'formats', 'contract', 'server', 'simulators', 'scripts'].map(
        (folder) => `<rootDir>/${folder}`,
      ),
      testMatch: ['**/*.test.ts'],
      setupFiles: ['<rootDir>/scripts/seeded-laws.cjs'],
      transform: { '\\.[jt]sx?$': asNodeRunsIt },
      sandboxInjectedGlobals,
      transformIgnorePatterns: ['node_modules/(?!@dulvan)'],
    },
    {
      displayName: 'app',
      preset: 'jest-expo',
      rootDir: 'app',
      sandboxInjectedGlobals,
      transform: {
        '/(core|catalogue|contract|formats)/.+\\.ts$': asNodeRunsIt,
        '\\.[jt]sx?$': [
          'babel-jest',
          {
            caller: { name: 'metro', bundler: 'metro', platform: 'ios' },
            presets: ['babel-preset-expo'],
            plugins: ['dynamic-import-node'],
          },
        ],
      },
      setupFiles: ['<rootDir>/jest.setup.js', '<rootDir>/../scripts/seeded-laws.cjs'],
      setupFilesAfterEnv: ['<rootDir>/testing/patience.ts'],
      moduleNameMapper: {
        '^expo-router$': '<rootDir>/testing/router.mock',
        '/workers/start$': '<rootDir>/testing/start.mock',
        '^@expo/vector-icons/createIconSet$': '<rootDir>/testing/icon-set.mock',
        '^@expo/vector-icons/MaterialCommunityIcons$': '<rootDir>/testing/icons.mock',
      },
      testMatch: ['<rootDir>/**/*.test.{ts,tsx}'],
      transformIgnorePatterns: [
        'node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|react-native-paper|react-native-svg|gifted-charts-core|nanoid|idb-keyval|@dulvan))',
      ],
    },
  ],
};
