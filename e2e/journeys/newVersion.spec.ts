import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { APP, expect, PHONE_MAKE, PHONE_ONLY, SEED, test, TestServer, tick } from '../testServer';

test.use({ serviceWorkers: 'allow' });

test('a new version waits while a make is open, and nothing is lost by it', PHONE_ONLY, async ({ page }) => {
  const appRoot = join(mkdtempSync(join(tmpdir(), 'keep-snug-app-')), 'app');
  cpSync(APP, appRoot, { recursive: true });
  const server = new TestServer(SEED, { appRoot });
  await server.start();
  await page.goto(server.url + PHONE_MAKE);
  const heading = page.getByRole('heading', { level: 1 }).first();
  await expect(heading).toHaveText(/Row \d+ of/);
  await page.evaluate(() => navigator.serviceWorker.ready);
  const row = Number(/Row (\d+) of/.exec(await heading.innerText())![1]);
  await tick(page, `Row ${row} done`);

  // the app is built anew under the open page
  const file = join(appRoot, 'index.html');
  writeFileSync(file, readFileSync(file, 'utf8').replace('<html lang="en">', '<html lang="en" data-version="next">'));
  const worker = readFileSync(join(appRoot, 'sw.js'), 'utf8');
  const revised = worker.replace(/\{url:"index\.html",revision:"[^"]*"\}/, '{url:"index.html",revision:"next"}');
  expect(revised).not.toBe(worker);
  writeFileSync(join(appRoot, 'sw.js'), revised);
  writeFileSync(join(appRoot, 'sw.js.br'), brotliCompressSync(revised));
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
  await expect(page.getByText('A new version is ready.')).toBeVisible({ timeout: 40_000 });
  await tick(page, `Row ${row + 1} done`);
  await page.getByRole('button', { name: 'Reload', exact: true }).click();
  await expect(page.locator('html[data-version="next"]')).toBeAttached();
  await expect(heading).toHaveText(new RegExp(`Row ${row + 2} of`));
  await server.end();
  rmSync(join(appRoot, '..'), { recursive: true, force: true });
});
