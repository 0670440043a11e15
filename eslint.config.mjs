import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import typescript from 'typescript-eslint';

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
  {
    files: ['**/*.mjs', '**/*.cjs', '**/*.config.js', 'app/test/*.js'],
    languageOptions: { globals: globals.node },
  },
  // Parts of these run in the page.
  {
    files: [
      'bench/dragging.mjs',
      'bench/balance/live.mjs',
      'bench/photo/automatic.mjs',
      'bench/hard/largeApp.mjs',
      'scripts/screenshots.mjs',
    ],
    languageOptions: { globals: globals.browser },
  },
  { files: ['**/*.config.js', 'app/test/*.js'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['app/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error' },
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
