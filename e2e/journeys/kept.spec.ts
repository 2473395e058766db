import { BOTH_SIZES, expect, PHONE_MAKE, PHONE_ONLY, PHONE_PLAN, test, tick } from '../testServer';

test.use({ serviceWorkers: 'allow' });

const PLACES = [
  '/',
  '/new',
  '/things',
  '/yarn',
  '/ledger',
  '/settings',
  '/stitches',
  '/tables',
  '/days',
  '/batch/90000000-0000-4000-8000-000000000001',
  PHONE_PLAN,
  PHONE_PLAN.replace('plan', 'sheet'),
  PHONE_PLAN.replace('plan', 'ways'),
  PHONE_MAKE,
];

test(
  'with the server gone every place opens anew, a row is ticked, and arrives once',
  PHONE_ONLY,
  async ({ page, server }) => {
    await page.goto(server.url);
    await page.getByRole('heading', { name: 'Bench', level: 1 }).waitFor();
    // all that it keeps is there once its worker is in charge
    await page.evaluate(async () => {
      const { active } = await navigator.serviceWorker.ready;
      if (active?.state !== 'activated') await new Promise((done) => active?.addEventListener('statechange', done));
    });
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    const before = await server.read<unknown[]>(`/events?make=${PHONE_MAKE.split('/').at(-1)}&since=0`);
    await server.stop();
    for (const path of PLACES) {
      await page.goto(server.url + path);
      await expect(page.getByRole('heading', { level: 1 }).first(), path).toBeVisible();
      await expect(page.getByText(/isn.t working|cannot be reached/i)).toHaveCount(0);
    }
    await page.goto(server.url + PHONE_MAKE);
    const heading = page.getByRole('heading', { level: 1 }).first();
    const row = /Row (\d+) of/.exec(await heading.innerText())![1]!;
    await tick(page, `Row ${row} done`);
    await expect(heading).toHaveText(new RegExp(`Row ${Number(row) + 1} of`));
    await page.reload();
    await expect(heading).toHaveText(new RegExp(`Row ${Number(row) + 1} of`));
    await server.start();
    await expect
      .poll(async () => (await server.read<unknown[]>(`/events?make=${PHONE_MAKE.split('/').at(-1)}&since=0`)).length, {
        timeout: 40_000,
      })
      .toBe(before.length + 1);
  },
);

test('the browser takes the manifest and the worker as they are meant', async ({ page, server }) => {
  await page.goto(server.url);
  await page.getByRole('heading', { name: 'Bench', level: 1 }).waitFor();
  const browser = await page.context().newCDPSession(page);
  const { errors, data } = await browser.send('Page.getAppManifest');
  expect(errors).toEqual([]);
  expect(JSON.parse(data!)).toMatchObject({ name: 'Keep Snug', display: 'standalone', start_url: '/' });
  const { installabilityErrors } = await browser.send('Page.getInstallabilityErrors');
  // a window that leaves nothing behind installs nothing
  expect(installabilityErrors.map(({ errorId }) => errorId).filter((id) => id !== 'in-incognito')).toEqual([]);
  const scope = await page.evaluate(async () => (await navigator.serviceWorker.ready).scope);
  expect(scope).toBe(`${server.url}/`);
  const worker = await page.evaluate(async () => (await caches.keys()).length);
  expect(worker).toBeGreaterThan(0);
});

test(
  'the bench as it was last seen stands there before the program, and leads on',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url);
    await page.getByRole('heading', { name: 'Bench', level: 1 }).waitFor();
    const kept = () => page.evaluate(() => localStorage.getItem('keep-snug.bench') ?? '');
    await expect.poll(kept).toContain('Field phone pouch');
    await page.route(/\.js$/, (route) => route.abort());
    await page.reload();
    const phone = page.getByRole('link', { name: /^Field phone pouch/ });
    await expect(phone).toContainText('Row 23 of 87, front');
    await expect(phone.locator('img')).toHaveJSProperty('complete', true);
    await page.unroute(/\.js$/);
    await phone.click();
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  },
);

test('before the program is there, the page shows its own shape', async ({ page, server }) => {
  await page.route(/\.js$/, (route) => route.abort());
  await page.goto(server.url);
  await expect(page.getByRole('status', { name: 'Loading' })).toBeVisible();
  await expect(page.locator('.shell-card')).toHaveCount(3);
});
