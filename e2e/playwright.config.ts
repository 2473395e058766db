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
  // a small machine that does other things besides may take its time
  timeout: 180_000,
  expect: { timeout: 20_000 },
  use: { browserName: 'chromium', launchOptions: browser, locale: 'en-GB' },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } } },
  ],
});
