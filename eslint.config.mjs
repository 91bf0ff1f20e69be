import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    // Core follows from a book alone: the clock, randomness and the network are handed in.
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 12],
      'no-restricted-globals': ['error', 'Date', 'fetch', 'window', 'document', 'process', 'setTimeout'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
      'no-restricted-syntax': [
        'error',
        {
          selector: "ThrowStatement > NewExpression[callee.name='Error']",
          message: 'Throw a typed error with a code.',
        },
      ],
    },
  },
  { files: ['apps/web/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    // Tests run on a day of their own (README, "Work on it"): what reads the clock of the machine is green on some days only.
    files: ['**/*.test.{ts,tsx}', '**/testing/**', 'e2e/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Name the day: tests do not read the clock of the machine.',
        },
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'Name the day, or measure with performance.now(): tests do not read the clock of the machine.',
        },
      ],
    },
  },
  {
    files: ['scripts/**/*.mjs', '*.mjs', '*.cjs', 'apps/server/public/**/*.js'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        URL: 'readonly',
        performance: 'readonly',
        module: 'writable',
        Buffer: 'readonly',
      },
    },
  },
  {
    // Some of what is handed to the browser runs there.
    files: ['scripts/bench/browser.mjs'],
    languageOptions: {
      globals: Object.fromEntries(
        ['document', 'HTMLInputElement', 'Event', 'KeyboardEvent', 'requestAnimationFrame'].map((name) => [
          name,
          'readonly',
        ]),
      ),
    },
  },
  prettier,
);
