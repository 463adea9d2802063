const expo = require('eslint-config-expo/flat');

module.exports = [
  ...expo,
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      'server/drizzle/**',
      'app/.expo/**',
      'test-results/**',
      'playwright-report/**',
      '.tmp/**',
    ],
  },
  {
    rules: {
      'no-console': ['error', { allow: ['error', 'warn'] }],
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      'import/no-unresolved': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['{core,catalogue,formats,contract,server,app}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', '**/*.fixture.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
  { files: ['server/src/serve.ts', 'scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  { files: ['e2e/**'], rules: { 'react-hooks/rules-of-hooks': 'off' } },
];
