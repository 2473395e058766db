const plain = (name) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  setupFiles: [`${__dirname}/tools/jest-properties.cjs`],
  transform: { '\\.tsx?$': `${__dirname}/tools/jest-esbuild.cjs` },
});

module.exports = {
  // a small machine that does other things besides may take its time
  testTimeout: 180_000,
  projects: [plain('core'), plain('server'), '<rootDir>/app'],
};
