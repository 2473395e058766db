import type { Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import earlier from '../fixtures/earlier.localStorage.json' with { type: 'json' };
import { fromMenu, tick, expect, test, type TestServer, PHONE_MAKE, PHONE_MAKE_ID, SEED } from '../testServer';

interface Stored {
  event: { id: string; kind: string; step?: string };
}

const eventsOf = (server: TestServer, make = PHONE_MAKE_ID) => server.read<Stored[]>(`/events?make=${make}`);
const ticksOf = async (server: TestServer) =>
  (await eventsOf(server)).filter(({ event }) => event.kind === 'ticked').length;
const row = (page: Page, number: number) => page.getByRole('heading', { name: `Row ${number} of 87` });

async function tickRows(page: Page, from: number, to: number): Promise<void> {
  for (let number = from; number <= to; number += 1) await tick(page, `Row ${number} done`);
}

test('a server that lost its file, or has an older copy of it, gets everything anew', async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await tickRows(page, 23, 24);
  await expect.poll(() => ticksOf(server)).toBe(25);
  await server.replaceFile();
  await expect(page.getByText('The server has other data than before.')).toBeVisible({ timeout: 40_000 });
  await expect(row(page, 25)).toBeVisible();
  await expect.poll(() => ticksOf(server), { timeout: 40_000 }).toBe(25);
  expect((await server.read<unknown[]>('/plans')).length).toBe(19);
  await tickRows(page, 25, 25);
  await expect.poll(() => ticksOf(server)).toBe(26);

  await server.replaceFile(SEED);
  await expect.poll(() => ticksOf(server), { timeout: 40_000 }).toBe(26);
  await page.reload();
  await expect(row(page, 26)).toBeVisible();
});

test('two tabs while the server is away lose no tick, whichever is closed', async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(row(page, 23)).toBeVisible();
  const other = await page.context().newPage();
  await other.goto(server.url + PHONE_MAKE);
  await expect(row(other, 23)).toBeVisible();
  await server.stop();
  await tickRows(page, 23, 25);
  await expect(row(other, 26)).toBeVisible();
  await tickRows(other, 26, 27);
  await expect(row(page, 28)).toBeVisible();
  await tickRows(page, 28, 28);
  await expect(row(other, 29)).toBeVisible();
  await page.close();
  await server.start();
  await expect.poll(() => ticksOf(server), { timeout: 40_000 }).toBe(29);
  await other.reload();
  await expect(row(other, 29)).toBeVisible();
});

test('two devices that ticked the same rows have worked them once, and both are told', async ({
  page,
  server,
  browser,
}) => {
  const second = await (await browser.newContext()).newPage();
  for (const device of [page, second]) {
    await device.goto(server.url + PHONE_MAKE);
    await expect(row(device, 23)).toBeVisible();
  }
  await server.stop();
  await tickRows(page, 23, 24);
  await tickRows(second, 23, 25);
  await server.start();
  for (const device of [page, second]) {
    await expect(device.getByText(/^Row 23 to row 24 were ticked on another device too/)).toBeVisible({
      timeout: 40_000,
    });
    await expect(row(device, 26)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row(second, 25)).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: 'It is right' }).click();
  await expect(page.getByText(/ticked on another device too/)).toBeHidden();
  await second.close();
});

test('a device without room says so at once, and ticks on in memory until the server has it', async ({
  page,
  server,
}) => {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Storage.overrideQuotaForOrigin', { origin: server.url, quotaSize: 1 });
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByText('This device has no room left.')).toBeVisible();
  await expect(page.getByText('Nothing more is saved here. The server has everything.')).toBeVisible();
  await server.stop();
  await tickRows(page, 23, 26);
  await expect(row(page, 27)).toBeVisible();
  await expect(
    page.getByText('4 changes are in this page only. Keep it open and free some space until they are saved.'),
  ).toBeVisible();
  await server.start();
  await expect.poll(() => ticksOf(server), { timeout: 40_000 }).toBe(27);
  await expect(page.getByText('Nothing more is saved here. The server has everything.')).toBeVisible();
});

/** Puts an event into what this device keeps, as one that waits to be sent. */
async function layEvent(page: Page, event: { id: string; make: string }): Promise<void> {
  await page.evaluate(
    (record) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('keep-snug');
        opening.onsuccess = () => {
          const tx = opening.result.transaction('events', 'readwrite');
          tx.objectStore('events').put(record);
          tx.oncomplete = () => (opening.result.close(), resolve());
          tx.onerror = () => reject(tx.error);
        };
      }),
    { id: event.id, make: event.make, event, waits: 1 },
  );
}

test('one entry that is refused stops no other, and is mended where it is told', async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(row(page, 23)).toBeVisible();
  const bad = {
    id: randomUUID(),
    make: PHONE_MAKE_ID,
    device: randomUUID(),
    at: '2026-10-03T18:00:00.000Z',
    n: 30,
    kind: 'noted',
    text: 'long '.repeat(500),
    step: 'body-row-22',
  };
  await layEvent(page, bad);
  await page.reload();
  await tickRows(page, 23, 24);
  await expect.poll(() => ticksOf(server)).toBe(25);
  await expect(page.getByText('1 entry could not be saved on the server.')).toBeVisible();
  await expect(page.getByText('You are offline.')).toBeHidden();
  await page.getByRole('button', { name: 'See why' }).click();
  await expect(page.getByText(/Longer than 2000 characters. Shorten it/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Note' }).fill('slack at the left');
  await page.getByRole('button', { name: 'Save this note instead' }).click();
  await expect(page.getByText(/could not be saved/)).toBeHidden();
  await expect.poll(async () => JSON.stringify(await eventsOf(server))).toContain('slack at the left');
});

test('a saved file is brought back beside what is here: looked at first, undone, and done', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/settings`);
  await page.getByText(/On this device: 19 plans/).waitFor();
  await expect(page.getByText('The server has all of it too.')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save everything as a file' }).click(),
  ]);
  const file = test.info().outputPath('saved.json');
  await download.saveAs(file);
  const saved = JSON.parse(await readFile(file, 'utf8')) as { events: unknown[] };
  expect(saved.events.length).toBeGreaterThan(100);

  const things = async () => (await server.read<unknown[]>('/things')).length;
  const before = await things();
  await page.goto(`${server.url}/things`);
  await page
    .getByRole('button', { name: /^More: / })
    .first()
    .click();
  await page.getByRole('menuitem', { name: /^Delete: / }).click();
  await expect.poll(things).toBe(before - 1);
  await page.goto(`${server.url}/settings`);
  const choose = async () => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Bring everything back from a file' }).click(),
    ]);
    await chooser.setFiles(file);
    await page.getByRole('button', { name: 'Bring it back' }).click();
  };
  await choose();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Bring everything back from a file' })).toBeVisible();
  await page.waitForTimeout(1000);
  expect(await things()).toBe(before - 1);
  await choose();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect.poll(things).toBe(before);

  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Bring everything back from a file' }).click(),
  ]);
  await chooser.setFiles({ name: 'letter.txt', mimeType: 'text/plain', buffer: Buffer.from('Dear all,') });
  await expect(page.getByText(/“letter.txt” was not saved by Keep Snug/)).toBeVisible();
});

test('what was deleted comes back: at once by one press, later from the settings', async ({ page, server }) => {
  await page.goto(`${server.url}/things`);
  const first = page.getByRole('button', { name: /^More: / }).first();
  const name = (await first.getAttribute('aria-label'))!.replace('More: ', '');
  const again = page.getByRole('button', { name: `More: ${name}`, exact: true });
  const here = async () => JSON.stringify(await server.read('/things')).includes(`"${name}"`);
  await fromMenu(page, name, 'Delete');
  await expect.poll(here).toBe(false);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(again).toBeVisible();
  await expect.poll(here).toBe(true);
  await fromMenu(page, name, 'Delete');
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('button', { name: `Bring back: ${name}` }).click();
  await expect(page.getByText('Nothing was deleted in the last 30 days.')).toBeVisible();
  await page.getByRole('link', { name: 'Things' }).click();
  await expect(again).toBeVisible();
});

test('what an earlier version kept, here and on the server, opens as it was left', async ({ page, earlierServer }) => {
  const server = earlierServer;
  await page.addInitScript((kept) => {
    if (sessionStorage.getItem('laid')) return;
    sessionStorage.setItem('laid', 'yes');
    for (const [key, text] of Object.entries(kept)) localStorage.setItem(key, text);
  }, earlier);
  await page.goto(server.url);
  await expect(page.getByText('Round 12 of 44, wall')).toBeVisible();
  const [make] = await server.read<{ id: string }[]>('/makes');
  await expect.poll(async () => (await eventsOf(server, make!.id)).length).toBe(12);
  await page.getByRole('button', { name: /^Continue/ }).click();
  await expect(page.getByRole('heading', { name: 'Round 12 of 44' })).toBeVisible();
  await expect(page.getByText('37', { exact: true })).toBeVisible();
  await tick(page, 'Round 12 done');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Round 11 of 44' })).toBeVisible();
  expect(await page.evaluate(() => localStorage.getItem('keep-snug.events'))).toBeNull();
});
