const transform = { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] };

/** Two kinds of tests: plain ones in Node for all that has no interface, and jest-expo's for the app. */
module.exports = {
  projects: [
    {
      displayName: 'plain',
      testEnvironment: 'node',
      roots: ['core', 'catalogue', 'formats', 'contract', 'server', 'scripts'].map((folder) => `<rootDir>/${folder}`),
      testMatch: ['**/*.test.ts'],
      transform,
      transformIgnorePatterns: ['node_modules/(?!@dulvan)'],
    },
  ],
};
