import { chromium, type Browser } from '@playwright/test';

/** The browser that the checks use, for what looks at the app outside of a journey. */
export function launchBrowser(): Promise<Browser> {
  return chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
}
