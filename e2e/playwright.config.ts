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
  timeout: 90_000,
  expect: { timeout: 10_000 },
  // a small machine may stand still for a moment; what passes only when retried is told, and twice in a run is a failure
  retries: 1,
  use: { browserName: 'chromium', launchOptions: browser, locale: 'en-GB', serviceWorkers: 'block' },
  projects: [
    { name: 'wide', grepInvert: /@phone-only/, use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      grep: /@both-sizes|@phone-only/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
  ],
});
