import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expectAccessible } from '../accessible';
import { layoutFaults } from '../layoutFaults';
import { SCREENS } from '../screens';
import { BOTH_SIZES, expect, openStage, PHONE_ONLY, PHONE_PLAN, SAMPLE, test } from '../testServer';

/** Every screen there is, of the sample data, and one that there is not. */
const EVERY = [...SCREENS.map(({ path, of }) => (of ? `${path}/${SAMPLE[of]}` : path)), '/nonsense'];

/** The narrowest screen there is, a phone, a wide one at twice its size, a phone on its side, a wide one. */
const SIZES = [
  { width: 320, height: 640 },
  { width: 390, height: 844 },
  { width: 640, height: 400 },
  { width: 844, height: 390 },
  { width: 1280, height: 800 },
];

async function shown(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
}

async function overTheEdge(page: Page): Promise<number> {
  const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  return Math.max(0, over);
}

/** What of a page goes over its edge or lies on something else, at any size. */
async function expectWhole(page: Page, what: string): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size);
    const at = `${what} at ${size.width} x ${size.height}`;
    await expect.poll(async () => ({ at, over: await overTheEdge(page) })).toEqual({ at, over: 0 });
    await expect.poll(async () => ({ at, faults: await layoutFaults(page) })).toEqual({ at, faults: [] });
  }
}

const inLargestLetters = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    localStorage.setItem('keep-snug.settings', JSON.stringify({ state: { letters: 'larger' }, version: 0 }));
  });

// one visit after the other, as nobody changes anything; in two halves, side by side. Colours are held in every theme by a
// test of their own, so that one theme is enough here
for (const half of [0, 1]) {
  test(`every screen has nothing serious for those who use other means, and is laid out whole in the largest letters, ${half + 1} of 2`, async ({
    page,
    server,
  }) => {
    await inLargestLetters(page);
    for (const screen of EVERY.filter((_, index) => index % 2 === half))
      await test.step(screen, async () => {
        await page.setViewportSize(SIZES.at(-1)!);
        await shown(page, server.url + screen);
        await expectAccessible(page);
        await expectWhole(page, screen);
      });
  });
}

test('the board is laid out whole in the largest letters, whichever of its stages is open', async ({
  page,
  server,
}) => {
  await inLargestLetters(page);
  for (const stage of ['Thing', 'Fabric', 'Shape', 'Fit', 'Fittings', 'Sums']) {
    // wide, the sums stand beside the drawing: there they are no stage
    await page.setViewportSize(SIZES[0]!);
    await shown(page, server.url + PHONE_PLAN);
    await openStage(page, stage);
    await expectWhole(page, stage);
  }
});

test('a page whose script is slow to come stands there in its own shape', async ({ page, server }) => {
  let asked = 0;
  let letThrough = (): void => undefined;
  const held = new Promise<void>((resolve) => (letThrough = resolve));
  // asked for twice: ahead of need, and when the place is entered
  await page.route(/Things[^/]*\.js/, async (route) => {
    asked += 1;
    await held;
    await route.continue();
  });
  await shown(page, server.url);
  await page.getByRole('link', { name: 'Things' }).click();
  await expect(page.getByRole('status', { name: 'Loading' })).toBeVisible();
  await expect.poll(() => asked > 0).toBe(true);
  letThrough();
  await expect(page.getByRole('heading', { name: 'Things', level: 1 })).toBeVisible();
  await expect(page.getByRole('status', { name: 'Loading' })).toHaveCount(0);
});

test('nothing moves by itself for those who asked for less motion', async ({ page, server }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(server.url + PHONE_PLAN);
  await page
    .getByRole('button', { name: /Workings$/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Close' }).waitFor();
  const moving = () =>
    page.evaluate(() =>
      document
        .getAnimations()
        .filter(({ playState }) => playState === 'running')
        .map((one) => String(one.effect)),
    );
  // what is cut to no time at all may be met in its one frame
  await expect.poll(moving).toEqual([]);
});

test('the places are reached from one another at every size', BOTH_SIZES, async ({ page, server }) => {
  await shown(page, server.url);
  for (const place of ['Things', 'Yarn box', 'Ledger', 'Bench']) {
    await page.getByRole('link', { name: place }).click();
    const heading = page.getByRole('heading', { name: place, level: 1 });
    await expect(heading).toBeVisible();
    await expect(heading).toBeFocused();
    await expect(page).toHaveTitle(`${place} · Keep Snug`);
  }
});

test('the board ends where its cautions end, with the drawing still in sight', PHONE_ONLY, async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  const end = page.getByText('Local rules, the equipment’s own instructions and qualified people come first.');
  await end.waitFor();
  await page.mouse.move(200, 600);
  await page.mouse.wheel(0, 20_000);
  await expect.poll(async () => (await end.boundingBox())!.y + (await end.boundingBox())!.height).toBeLessThan(800);
  expect((await end.boundingBox())!.y).toBeGreaterThan(600);
  await expect(page.getByRole('img', { name: /^Front\. Folded and joined/ })).toBeInViewport();
});

test(
  'a stage that is opened stays under the finger, however long the one it closes',
  PHONE_ONLY,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_PLAN);
    await openStage(page, 'Fabric');
    const head = page.getByRole('button', { name: 'Colours', exact: true });
    await head.scrollIntoViewIfNeeded();
    const { y } = (await head.boundingBox())!;
    await head.click();
    await expect(page.getByText('How the colours look')).toBeInViewport();
    expect(Math.abs((await head.boundingBox())!.y - y)).toBeLessThan(3);
    // opened from elsewhere, it comes into sight
    await page.keyboard.press('2');
    await expect(page.getByRole('button', { name: 'Fabric', exact: true })).toBeInViewport();
  },
);

test(
  'what is opened from a word is whole for those who use other means, on a phone too',
  BOTH_SIZES,
  async ({ page, server }) => {
    await shown(page, `${server.url}/stitches`);
    await page.getByRole('button', { name: 'Double crochet', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'In the fabric' })).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
    expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
    expect(await overTheEdge(page)).toBe(0);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('heading', { name: 'In the fabric' })).toBeHidden();
  },
);
