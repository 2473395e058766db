import { defineConfig } from '@playwright/test';

const browser = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--no-first-run',
  ],
};

export default defineConfig({
  testDir: 'journeys',
  globalSetup: './setup.ts',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  // what is waited for comes; how soon is the machine's affair, and a quarter of one takes its time
  timeout: 300_000,
  expect: { timeout: 40_000 },
  // a small machine may stand still for a moment; what passes only when retried is told, and twice in a run is a failure
  retries: 1,
  // what is not there is not waited for till the end
  use: {
    browserName: 'chromium',
    actionTimeout: 60_000,
    launchOptions: browser,
    locale: 'en-GB',
    serviceWorkers: 'block',
  },
  projects: [
    { name: 'wide', grepInvert: /@phone-only/, use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      grep: /@both-sizes|@phone-only/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
  ],
});
