import { readFile } from 'node:fs/promises';
import { expect, field, openStage, PHONE_MAKE, PHONE_PLAN, test } from '../testServer';

test('words, unit, hand and light are this device’s own, and stay', async ({ page, server }) => {
  await page.goto(`${server.url}/settings`);
  for (const choice of ['inches', 'UK', 'left (mirrors drawings)', 'low light']) {
    await page.getByRole('radio', { name: choice, exact: true }).click();
  }
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByText(/double crochet in each of the next 16 stitches/).first()).toBeVisible();

  await page.goto(server.url + PHONE_PLAN);
  await expect(page.getByRole('img', { name: /16 stitches, 3 3\/4 in wide/ })).toBeVisible();
  await openStage(page, 'Thing');
  await expect(field(page, 'Height')).toHaveValue('6 7/16 in');
  // a plain number is inches now
  await field(page, 'Height').fill('7');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await expect.poll(async () => JSON.stringify(await server.read('/plans'))).toContain('177.8');

  // the front is worked first, so for the left hand it lies at the right
  const places = await page
    .locator('svg text')
    .evaluateAll((texts) => texts.map((text) => [text.textContent, text.getBoundingClientRect().left] as const));
  const at = (name: RegExp) => places.find(([text]) => name.test(text ?? ''))![1];
  expect(at(/^front/)).toBeGreaterThan(at(/^back/));

  const ground = await page.evaluate(
    () => getComputedStyle(document.querySelector('[role="banner"]')!).backgroundColor,
  );
  expect(ground).toBe('rgb(39, 30, 23)');
});

test('the sheet goes to paper whole, without what is pressed', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN.replace('plan', 'sheet'));
  await expect(page.getByText(/Weave in all ends that are left/)).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const { height, last } = await page.evaluate(() => {
    const texts = [...document.querySelectorAll('#root [dir]')];
    const end = texts.find((text) => text.textContent?.startsWith('Weave in'))!;
    return { height: document.documentElement.scrollHeight, last: end.getBoundingClientRect().bottom + window.scrollY };
  });
  expect(last).toBeGreaterThan(1000);
  await expect(page.getByText('Field phone pouch', { exact: true }).last()).toBeVisible();
  const cloth = await page
    .locator('svg :not(pattern) > rect')
    .evaluateAll((list) => list.map((rect) => rect.getBoundingClientRect()));
  for (const { width: wide, height: high } of cloth) expect(Math.min(wide, high)).toBeGreaterThan(0);
  // A4 between its margins: no drawing is wider than the paper
  const drawings = await page
    .locator('svg')
    .evaluateAll((list) => list.map((svg) => svg.getBoundingClientRect().width));
  for (const breadth of drawings) expect(breadth).toBeLessThanOrEqual(688);
  expect(height).toBeGreaterThanOrEqual(Math.floor(last));
});

/** What is left of a page between its margins of 14 mm, in px of 96 to the inch. */
const PAPERS = { A4: ((210 - 28) / 25.4) * 96, Letter: (8.5 - 28 / 25.4) * 96 };

test('the sheet fits its paper: nothing is cut off at its side', async ({ page, server }) => {
  await page.emulateMedia({ media: 'print' });
  await page.goto(server.url + PHONE_PLAN.replace('plan', 'sheet'));
  await page.getByText(/Weave in all ends that are left/).waitFor();
  for (const [format, width] of Object.entries(PAPERS)) {
    await page.setViewportSize({ width: Math.floor(width), height: 1000 });
    const beyond = () =>
      page.evaluate(() =>
        [...document.querySelectorAll('#root [dir], #root svg, #root svg text')]
          .map((node) => ({ text: node.textContent?.slice(0, 30), box: node.getBoundingClientRect() }))
          .filter(({ box }) => box.width > 0 && (box.right > window.innerWidth + 1 || box.left < -1))
          .map(({ text }) => text),
      );
    await expect.poll(beyond).toEqual([]);
    const pdf = await page.pdf({ format, preferCSSPageSize: false });
    expect(pdf.length).toBeGreaterThan(10_000);
  }
});

test('letters grow everywhere, and stay so', async ({ page, server }) => {
  await page.goto(server.url);
  const size = () =>
    page
      .getByRole('heading', { level: 1 })
      .first()
      .evaluate((node) => Number.parseFloat(getComputedStyle(node).fontSize));
  const usual = await size();
  await page.goto(`${server.url}/settings`);
  await page.getByRole('radio', { name: 'large', exact: true }).click();
  await page.goto(server.url);
  expect(await size()).toBeGreaterThan(usual * 1.1);
});

test('everything is saved as a file that reads back', async ({ page, server }) => {
  await page.goto(`${server.url}/settings`);
  await page.getByText(/On this device: 19 plans/).waitFor();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything as a file' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^keep-snug-\d{4}-\d\d-\d\d\.json$/);
  const file = JSON.parse(await readFile(await download.path(), 'utf8')) as {
    plans: Record<string, { title: string }>;
  };
  expect(Object.values(file.plans).map(({ title }) => title)).toContain('Field phone pouch');
});
