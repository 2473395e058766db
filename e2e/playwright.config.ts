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
  // a small machine that does other things besides may take its time, or stand still for a minute: what is awaited
  // is given long, and a journey that failed is gone once more from its beginning
  timeout: 420_000,
  expect: { timeout: 60_000 },
  retries: 2,
  use: { browserName: 'chromium', launchOptions: browser, locale: 'en-GB' },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } } },
  ],
});
