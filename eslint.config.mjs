import expo from 'eslint-config-expo/flat.js';
import { defineConfig, globalIgnores } from 'eslint/config';

/** Inside core, each folder may import from those before it only. */
const ORDER = [
  'units',
  'figure',
  'things',
  'fabric',
  'fit',
  'counts',
  'shapes',
  'fittings',
  'supplies',
  'pattern',
  'making',
  'cautions',
  'formats',
  'demo',
];
const upward = ORDER.map((target, index) => ({
  target: `./core/src/${target}`,
  from: ORDER.slice(index + 1).map((from) => `./core/src/${from}`),
  message: `${target}/ stands before this; imports inside core run one way.`,
})).filter(({ from }) => from.length > 0);

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
  expo,
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: ['core/tsconfig.json', 'server/tsconfig.json', 'app/tsconfig.json'],
          noWarnOnMultipleProjects: true,
        },
      },
    },
    rules: {
      'import/no-cycle': 'error',
      'import/no-restricted-paths': [
        'error',
        {
          zones: [
            { target: './core', from: ['./app', './server', './e2e', './bench'], message: 'core knows nobody.' },
            { target: './app', from: './server', message: 'app and server share core only.' },
            { target: './server', from: './app', message: 'app and server share core only.' },
            ...upward,
          ],
        },
      ],
      'no-console': 'off',
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      eqeqeq: 'error',
      'prefer-const': 'error',
    },
  },
  { files: ['e2e/**'], rules: { 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' } },
  { files: ['**/*.test.ts'], rules: { 'import/no-restricted-paths': 'off' } },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['**/*.cjs', '**/*.config.js'],
    languageOptions: { globals: { __dirname: 'readonly', module: 'writable', require: 'readonly' } },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
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
