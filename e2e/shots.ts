import type { Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { launchBrowser } from './browser';
import setup from './setup';
import { field, openStage, PHONE_MAKE, PHONE_PLAN, planAt, SEED, TestServer } from './testServer';

/** The pictures in docs/screenshots, taken of the sample data through the real program. */

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };
const SHEET = PHONE_PLAN.replace('plan', 'sheet');
const WAYS = PHONE_PLAN.replace('plan', 'ways');

const measure = async (page: Page) => {
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await field(page, 'They measure').fill('104 mm');
  await page.getByRole('button', { name: 'See what it says' }).click();
};

interface Shot {
  name: string;
  path: string;
  size: keyof typeof SIZES;
  scheme?: 'light' | 'dark';
  before?: (page: Page) => Promise<void>;
}

const openWorkings = async (page: Page) => {
  await openStage(page, 'Fit');
  await page
    .getByRole('button', { name: /^Inside circumference.*Workings/ })
    .first()
    .click();
};

const openStitch = async (page: Page) => {
  await page.getByRole('button', { name: 'Double crochet', exact: true }).click();
  await page.getByText('In the fabric').waitFor();
};

const SHOTS: readonly Shot[] = [
  { name: 'bench-phone', path: '/', size: 'phone' },
  { name: 'bench-wide', path: '/', size: 'wide' },
  { name: 'plan-phone', path: PHONE_PLAN, size: 'phone' },
  { name: 'plan-wide', path: PHONE_PLAN, size: 'wide' },
  { name: 'plan-wide-dark', path: PHONE_PLAN, size: 'wide', scheme: 'dark' },
  { name: 'plan-tools-wide', path: planAt(10), size: 'wide' },
  { name: 'stitch-phone', path: '/stitches', size: 'phone', before: openStitch },
  { name: 'ways-phone', path: WAYS, size: 'phone' },
  { name: 'ledger-phone', path: '/ledger', size: 'phone' },
  { name: 'workings-wide', path: PHONE_PLAN, size: 'wide', before: openWorkings },
  { name: 'make-phone', path: PHONE_MAKE, size: 'phone' },
  { name: 'make-wide', path: PHONE_MAKE, size: 'wide' },
  { name: 'sheet-phone', path: SHEET, size: 'phone' },
  { name: 'sheet-wide', path: SHEET, size: 'wide' },
  { name: 'new-phone', path: '/new', size: 'phone' },
  { name: 'things-wide', path: '/things', size: 'wide' },
  { name: 'yarn-wide', path: '/yarn', size: 'wide' },
  { name: 'settings-phone', path: '/settings', size: 'phone' },
  // last: it is measured from there on
  { name: 'measure-phone', path: PHONE_MAKE, size: 'phone', before: measure },
];

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  await setup();
  const server = new TestServer(SEED);
  await server.start();
  const browser = await launchBrowser();
  for (const { name, path, size, scheme = 'light', before } of SHOTS) {
    const context = await browser.newContext({
      viewport: SIZES[size],
      colorScheme: scheme,
      reducedMotion: 'reduce',
      locale: 'en-GB',
    });
    const page = await context.newPage();
    await page.goto(server.url + path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await before?.(page);
    await page.waitForLoadState('networkidle');
    await page.waitForTimeout(300);
    await page.screenshot({ path: `${FOLDER}${name}.png` });
    await context.close();
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
  await server.end();
}

void main();
