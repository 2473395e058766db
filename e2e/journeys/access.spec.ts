import AxeBuilder from '@axe-core/playwright';
import { expect, PHONE_MAKE, PHONE_PLAN, test } from '../house';

const SCREENS = [
  '/',
  '/new',
  '/things',
  '/yarn',
  '/ledger',
  '/settings',
  PHONE_PLAN,
  '/sheet/b0000000-0000-4000-8000-000000000001',
  '/ways/b0000000-0000-4000-8000-000000000001',
  PHONE_MAKE,
];

for (const theme of ['light', 'dark', 'lamp-light']) {
  test(`nothing serious for those who use other means, in ${theme}`, async ({ page, house }) => {
    await page.goto(`${house.url}/settings`);
    await page.getByRole('radio', { name: theme, exact: true }).click();
    for (const screen of SCREENS) {
      await page.goto(house.url + screen);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(serious.map(({ id, nodes }) => `${screen} ${id}: ${nodes[0]?.html}`)).toEqual([]);
    }
  });
}

// the narrowest screen there is, and a wide one at twice its size
for (const size of [
  { width: 320, height: 640 },
  { width: 640, height: 400 },
]) {
  test(`nothing scrolls sideways at ${size.width} px, not even in the largest letters`, async ({ page, house }) => {
    await page.setViewportSize(size);
    await page.goto(`${house.url}/settings`);
    await page.getByRole('radio', { name: 'larger', exact: true }).click();
    for (const screen of SCREENS) {
      await page.goto(house.url + screen);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect({ screen, over: Math.max(0, over) }).toEqual({ screen, over: 0 });
    }
  });
}

test('nothing moves by itself for those who asked for less motion', async ({ page, house }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(house.url + PHONE_PLAN);
  await page
    .getByRole('button', { name: /Workings$/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Close' }).waitFor();
  const moving = await page.evaluate(() =>
    document
      .getAnimations()
      .filter(({ playState }) => playState === 'running')
      .map((one) => String(one.effect)),
  );
  expect(moving).toEqual([]);
});

test('the board ends where its cautions end, with the drawing still in sight', async ({ page, house }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(house.url + PHONE_PLAN);
  const end = page.getByText('Local rules, the equipment’s own instructions and qualified people come first.');
  await end.waitFor();
  await page.mouse.move(200, 600);
  await page.mouse.wheel(0, 20_000);
  await expect.poll(async () => (await end.boundingBox())!.y + (await end.boundingBox())!.height).toBeLessThan(800);
  expect((await end.boundingBox())!.y).toBeGreaterThan(600);
  await expect(page.getByRole('img', { name: /laid flat/ })).toBeInViewport();
});
