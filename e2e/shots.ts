import type { Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { launchBrowser } from './browser';
import setup from './setup';
import { SCREENS } from './screens';
import { greyPng } from './greyPng';
import { field, openStage, PHONE_MAKE, PHONE_PLAN, planAt, SAMPLE, SEED, TestServer } from './testServer';
import { anyScene, cardTaps, rendered, thingTaps, type Scene } from '../core/src/craft/photograph/fixtures/scene';
import { drawBob } from './drawBob';

/** The pictures in docs/screenshots, taken of the sample data through the real program. */

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };

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

/** The days are worked out beside the page. */
const daysLaid = async (page: Page) => page.getByRole('slider').first().waitFor();

const openStitch = async (page: Page) => {
  await page.getByRole('button', { name: 'Double crochet', exact: true }).click();
  await page.getByText('In the fabric').waitFor();
};

const PICTURE: Scene = {
  ...anyScene(4),
  width: 1200,
  height: 900,
  tilt: 18,
  shadow: 0.2,
  far: 300,
  thing: { long: 164, wide: 78, high: 14, corner: 6, dark: 45 },
};

/** A picture that is made up: nobody's table. */
const photograph = async (page: Page) => {
  await page.getByRole('button', { name: 'Measure from a photograph' }).click();
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a picture' }).click();
  const buffer = greyPng(rendered(PICTURE, 4));
  await (await chosen).setFiles([{ name: 'table.png', mimeType: 'image/png', buffer }]);
  const corners = cardTaps(PICTURE, () => 0);
  for (const [index, name] of ['First', 'Second', 'Third', 'Fourth'].entries())
    await drawBob(page, new RegExp(`^${name} corner`), corners[index]!, PICTURE);
  await page.getByRole('button', { name: 'Find the card’s edges' }).click();
  await page.getByRole('button', { name: 'Measure the item' }).click();
  await field(page, 'How high above the card this edge lies').fill('14 mm');
  for (const [index, place] of thingTaps(PICTURE, () => 0).entries())
    await drawBob(page, new RegExp(`^Mark ${index + 1} `), place, PICTURE);
  await page.getByText(/give or take/).waitFor();
};

const TABLE = `Item;Kind;Width (cm);Height (cm);Depth (cm);Where
Bird hide radio;slab;6,2;14,5;3;shelf
Spare lens cap;slab;wide;5;1,2;drawer
Net ring gauge;slab;4;11;0,4;bench
`;

const openTable = async (page: Page) => {
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a CSV of Things' }).click();
  await (await chosen).setFiles([{ name: 'shelf.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) }]);
  await page.getByRole('button', { name: 'Check the rows' }).click();
  await page.getByText(/“wide” is not a length/).waitFor();
};

/** Seven hooks, as they are typed. */
const hooksTyped = async (page: Page) => {
  for (const [label, text] of [
    ['Sizes of the hooks', '2 2.5 3 3.5 4 5 6'],
    ['Their length', '150'],
    ['Grip, at its thickest', '9'],
  ] as const)
    await field(page, label).fill(text);
};

/** What is awaited on a screen before its picture is taken. */
const READY: Readonly<Record<string, (page: Page) => Promise<void>>> = { days: daysLaid, start: hooksTyped };

const SHOTS: readonly Shot[] = [
  ...SCREENS.flatMap(({ id, path, of, pictured = [] }) =>
    pictured.map((size) => ({
      name: `${id}-${size}`,
      path: of ? `${path}/${SAMPLE[of]}` : path,
      size,
      ...(READY[id] ? { before: READY[id] } : {}),
    })),
  ),
  { name: 'plan-wide-dark', path: PHONE_PLAN, size: 'wide', scheme: 'dark' },
  { name: 'stitch-phone', path: '/stitches', size: 'phone', before: openStitch },
  { name: 'colours-wide', path: planAt(16), size: 'wide', before: (page) => openStage(page, 'Colours') },
  { name: 'photograph-phone', path: '/new', size: 'phone', before: photograph },
  { name: 'tables-phone', path: '/tables', size: 'phone', before: openTable },
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
    for (const line of await page.getByText(/^Working out/).all()) await line.waitFor({ state: 'detached' });
    await page.waitForTimeout(300);
    await page.screenshot({ path: `${FOLDER}${name}.png` });
    await context.close();
    console.log(`docs/screenshots/${name}.png`);
  }
  await browser.close();
  await server.end();
}

void main();
