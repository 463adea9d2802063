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
    files: ['{core,catalogue,formats,contract,server,simulators,app}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', '**/*.fixture.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['app/**/*.tsx'],
    ignores: ['**/*.test.*', 'app/routes/**', 'app/testing/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXText[value=/[A-Za-z]{2,}/], JSXAttribute[name.name=/^(label|title|note|help)$/] > Literal',
          message: 'What a screen says stands in the table of words of its folder.',
        },
      ],
    },
  },
  { files: ['server/src/serve.ts', 'scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  { files: ['e2e/**'], rules: { 'react-hooks/rules-of-hooks': 'off' } },
];
