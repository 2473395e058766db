import expo from 'eslint-config-expo/flat.js';
import * as typescript from '@typescript-eslint/parser';
import { defineConfig, globalIgnores } from 'eslint/config';
import jsdoc from 'eslint-plugin-jsdoc';
import globals from 'globals';

/**
 * The import rules write a file's language options out for every import they follow: a thousand names of globals, and
 * the parser's own source, take a minute of that. The types know the globals.
 */
const lean = expo.map(({ languageOptions: { globals: _names, ...options } = {}, ...config }) => ({
  ...config,
  ...(Object.keys(options).length > 0 ? { languageOptions: options } : {}),
}));

const OF_THE_PAGE = [
  'addEventListener',
  'BroadcastChannel',
  'document',
  'history',
  'indexedDB',
  'localStorage',
  'location',
  'matchMedia',
  'navigator',
  'removeEventListener',
  'reportError',
  'requestIdleCallback',
  'sessionStorage',
  'window',
];

export default defineConfig([
  globalIgnores([
    '**/dist/**',
    '**/.expo/**',
    '**/node_modules/**',
    '**/.cache/**',
    'server/drizzle/**',
    '**/expo-env.d.ts',
    'test-results/**',
  ]),
  lean,
  {
    rules: {
      // what the types already say
      'import/namespace': 'off',
      'import/export': 'off',
      'import/no-unresolved': 'off',
      'no-console': 'off',
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      eqeqeq: 'error',
      'prefer-const': 'error',
    },
  },
  {
    // no components there
    ignores: ['app/**'],
    rules: Object.fromEntries(
      expo
        .flatMap(({ rules = {} }) => Object.keys(rules))
        .filter((rule) => rule.startsWith('react'))
        .map((rule) => [rule, 'off']),
    ),
  },
  { files: ['e2e/**'], rules: { 'no-empty-pattern': 'off' } },
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parser: { ...typescript, toJSON: () => 'typescript' } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  { files: ['**/*.mjs', '**/*.cjs', '**/*.js'], languageOptions: { globals: globals.node } },
  { files: ['server/src/practice/page/*.js'], languageOptions: { globals: globals.browser } },
  {
    // the page, its storage and the device are touched in one room
    files: ['app/src/**/*.{ts,tsx}', 'app/app/**/*.tsx'],
    ignores: ['app/src/platform/**', '**/*.test.*', '**/fixtures/**'],
    rules: {
      'no-restricted-globals': ['error', ...OF_THE_PAGE],
      'no-restricted-properties': ['error', ...OF_THE_PAGE.map((property) => ({ object: 'globalThis', property }))],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/fixtures/**'],
    plugins: { jsdoc },
    rules: {
      // every exported function says what it gives, in which unit, how it errs and where it is from
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          require: { FunctionDeclaration: true, ArrowFunctionExpression: true, ClassDeclaration: true },
        },
      ],
      'jsdoc/require-description': ['error', { contexts: ['FunctionDeclaration', 'ArrowFunctionExpression'] }],
      'jsdoc/no-types': 'error',
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
      'no-restricted-imports': ['error', { patterns: ['node:*', 'react', 'react-native', 'express', 'drizzle-orm*'] }],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core has no clock.' },
        { object: 'Math', property: 'random', message: 'core has no chance but a seed.' },
      ],
    },
  },
]);
