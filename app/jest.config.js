module.exports = {
  displayName: 'app',
  preset: 'jest-expo',
  setupFiles: [`${__dirname}/../tools/jest-properties.cjs`],
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};
