// beside the other caches, so that a machine that keeps those keeps this too
const CACHE = `${__dirname}/.cache/jest`;

const plain = (name, folder = 'src') => ({
  displayName: name,
  cacheDirectory: CACHE,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testMatch: [`<rootDir>/${folder}/**/*.test.ts`],
  setupFiles: [`${__dirname}/tools/jest-properties.cjs`],
  setupFilesAfterEnv: [`${__dirname}/tools/jest-expect.cjs`],
  transform: { '\\.tsx?$': `${__dirname}/tools/jest-esbuild.cjs` },
});

module.exports = {
  // a small machine that does other things besides may take its time
  testTimeout: 600_000,
  projects: [plain('core'), plain('server'), plain('tools', '.'), '<rootDir>/app'],
};
