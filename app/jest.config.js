const preset = require('jest-expo/jest-preset');

const SCRIPT = '\\.[jt]sx?$';
const [transformer, options] = preset.transform[SCRIPT];

module.exports = {
  displayName: 'app',
  cacheDirectory: `${__dirname}/../.cache/jest`,
  preset: 'jest-expo',
  setupFiles: [`${__dirname}/../tools/jest-properties.cjs`],
  setupFilesAfterEnv: [`${__dirname}/../tools/jest-expect.cjs`],
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  // scripts that come when they are first used are asked for like all others here
  transform: {
    // the core is plain TypeScript
    '/core/src/.*\\.ts$': `${__dirname}/../tools/jest-esbuild.cjs`,
    ...preset.transform,
    [SCRIPT]: [
      transformer,
      { ...options, plugins: [...(options.plugins ?? []), '@babel/plugin-transform-dynamic-import'] },
    ],
  },
  // what comes in the newer kind of modules alone is translated too
  transformIgnorePatterns: preset.transformIgnorePatterns.map((pattern) =>
    pattern.replace('(?!', '(?!uuid|immer|culori|'),
  ),
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    // as one file each: their modules are not of the kind that runs here
    '^(d3-[\\w-]+|internmap)$': `${__dirname}/../node_modules/$1/dist/$1.js`,
  },
};
