import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import typescript from 'typescript-eslint';

/** The arrows between the rooms point one way: app → contract → core ← server. */
const closed = (files, patterns, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }] }] },
});

export default typescript.config(
  {
    ignores: [
      '**/node_modules/**',
      '**/dist/**',
      '**/dist.new/**',
      '.data/**',
      '**/.expo/**',
      '**/*.d.ts',
      'test-results/**',
    ],
  },
  js.configs.recommended,
  ...typescript.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', caughtErrors: 'all' },
      ],
      complexity: ['error', 16],
      'max-depth': ['error', 3],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  { files: ['**/*.mjs', '**/*.config.js', 'app/test/*.js'], languageOptions: { globals: globals.node } },
  // Parts of these run in the page.
  { files: ['bench/dragging.mjs', 'scripts/screenshots.mjs'], languageOptions: { globals: globals.browser } },
  { files: ['**/*.config.js', 'app/test/*.js'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['app/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error' },
  },
  closed(
    ['core/**/*.ts'],
    [
      'node:*',
      'react*',
      'express*',
      'pg',
      'zod',
      'zustand',
      '@pedastance/*',
      '**/server/**',
      '**/app/**',
      '**/contract/**',
    ],
    'core imports nothing but itself and small maths libraries.',
  ),
  closed(
    ['core/**/*.test.ts', 'core/test/**/*.ts'],
    ['**/server/**', '**/app/**'],
    'core is tested by itself.',
  ),
  closed(
    ['contract/**/*.ts'],
    ['react*', 'express*', 'pg', '**/server/**', '**/app/**'],
    'contract knows core and Zod alone.',
  ),
  closed(
    ['server/**/*.ts'],
    ['react*', '**/app/**', '@pedastance/app'],
    'the server knows nothing of the app.',
  ),
  closed(
    ['app/**/*.{ts,tsx}'],
    ['express*', 'pg', 'node:*', '**/server/**', '@pedastance/server'],
    'the app knows the contract, not the server.',
  ),
  {
    files: ['server/devices/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@pedastance/core', '@pedastance/core/*', '**/core/**'],
              message: 'stand-ins generate from their own equations, not from the product’s model.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/test/**'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core has no clock; take the moment as an argument.' },
        {
          object: 'Math',
          property: 'random',
          message: 'core has no chance; take a seeded source as an argument.',
        },
      ],
    },
  },
);
