import { pathToFileURL } from 'node:url';
import type { dial as Dial } from '../../server/src/practice/dial';
import { expect, PHONE_MAKE, test } from '../testServer';

const { dial } = (await import(
  pathToFileURL(new URL('../../server/.cache/dial.mjs', import.meta.url).pathname).href
)) as { dial: typeof Dial };

test('calipers read into the field that is typed in, and are written down as what it was measured with', async ({
  page,
  server,
}) => {
  const calipers = dial(server.devices, 'HELLO calliper practice-1');
  await page.goto(`${server.url}/new`);
  const width = page.getByRole('textbox', { name: /^Width/ }).first();
  await width.click();
  await expect(page.getByText('Calipers practice-1 connected: press its button.')).toBeVisible();
  expect(await calipers.say('LEN 82.14 mm')).toBe('OK 1');
  await expect(width).toHaveValue('82.14 mm');
  // going away loses nothing, and coming back goes on
  calipers.hangUp();
  await expect(page.getByText('Calipers practice-1 connected: press its button.')).toBeHidden();
  await expect(width).toHaveValue('82.14 mm');
  const again = dial(server.devices, 'HELLO calliper practice-1');
  await expect.poll(() => again.connected()).toBe(true);
  const height = page.getByRole('textbox', { name: /^Height/ }).first();
  await height.click();
  await again.say('LEN 164.5 mm');
  await expect(height).toHaveValue('164.5 mm');
  again.hangUp();
});

test('a clicker ticks ten rows of the make that is open, each once', async ({ page, server }) => {
  interface Kept {
    event: { kind: string; step?: string };
  }
  const ticks = async () => {
    const make = PHONE_MAKE.split('/').at(-1);
    const events = await server.read<Kept[]>(`/events?make=${make}&since=0`);
    return events.filter(({ event }) => event.kind === 'ticked').map(({ event }) => event.step);
  };
  const before = await ticks();
  const clicker = dial(server.devices, 'HELLO clicker practice-1');
  // the page has its line to the server before the first press
  const line = page.waitForResponse(/devices\/readings/);
  await page.goto(server.url + PHONE_MAKE);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await expect.poll(() => clicker.connected()).toBe(true);
  await line;
  // quicker than a page is drawn
  const answers = await Promise.all(Array.from({ length: 10 }, () => clicker.say('CLICK')));
  expect(answers.every((answer) => answer.startsWith('OK'))).toBe(true);
  await expect.poll(async () => (await ticks()).length).toBe(before.length + 10);
  expect(new Set(await ticks()).size).toBe(before.length + 10);
  clicker.hangUp();
});
