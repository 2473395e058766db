import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import type { HoursSpec } from '@keep-snug/core/sittings';
import { expectAccessible } from '../accessible';
import { BOTH_SIZES, expect, field, leadTo, PHONE_PLAN, test } from '../testServer';

const HOURS = '/hours/f0000000-0000-4000-8000-000000000001';

interface Kept {
  body: HoursSpec;
}

/** Every day has its hour: what is seen is the same on any day of the week. */
test.beforeEach(async ({ server }) =>
  server.change<HoursSpec>(HOURS, (hours) => ({ ...hours, week: [1, 1, 1, 1, 1, 1, 1], days: [] })),
);

test('a day that cannot be met is said so, and what would help is taken', BOTH_SIZES, async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN.replace(/\d+$/, '000000000016'));
  await leadTo(page, 'When it is done');
  const panel = page.getByRole('dialog', { name: 'When' });
  await panel.getByRole('textbox', { name: /is wanted$/ }).fill('tomorrow');
  await expect(panel.getByText(/^Not by /)).toBeVisible();
  await expectAccessible(page);
  const hours = panel.getByRole('button', { name: /^Crochet \d+ minutes longer.*: take this$/ });
  await expect(panel.getByText(/^Allow more days, until /)).toBeVisible();
  await panel.getByRole('button', { name: /^Allow more days, until .*: take this$/ }).click();
  await expect(panel.getByText(/^Done by /)).toBeVisible();
  await expect(hours).toHaveCount(0);
  // the day is kept, and stands among the days
  await panel.getByRole('button', { name: 'See all days' }).click();
  await expect(page.getByRole('heading', { name: 'Days', level: 1 })).toBeVisible();
  await expect(page.getByRole('group', { name: 'Beach clean tote', exact: true })).toBeVisible();
});

test('a sitting is slid to another day by hand and by key, and follows what is ticked', async ({ page, server }) => {
  await page.goto(`${server.url}/days`);
  const first = page.getByRole('slider').first();
  await expect(first).toBeVisible();
  const before = await first.getAttribute('aria-valuenow');
  await first.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('slider').first()).not.toHaveAttribute('aria-valuenow', before!);
  const moved = Number(await page.getByRole('slider').first().getAttribute('aria-valuenow'));
  const box = (await page.getByRole('slider').first().boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + 160, box.y + 24, { steps: 6 });
  await page.mouse.up();
  await expect
    .poll(async () => Number(await page.getByRole('slider').first().getAttribute('aria-valuenow')))
    .toBeGreaterThan(moved);
  await expect.poll(async () => (await server.read<Kept>(HOURS)).body.days?.length ?? 0).toBeGreaterThan(1);
});

test('sittings leave as a calendar file that a calendar reads, and taken days come in from one', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/days`);
  const remind = page.getByRole('switch', { name: 'Remind me before each sitting' });
  await remind.click();
  await expect(remind).toBeChecked();
  const save = page.getByRole('button', { name: 'Save sittings as a calendar file' });
  // those of the batch too
  await expect.poll(() => page.getByRole('slider').count()).toBeGreaterThan(10);
  await expect(save).toBeEnabled();
  const saving = page.waitForEvent('download');
  await save.click();
  const text = readFileSync((await (await saving).path())!, 'utf8');
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown as [string, [], []]);
  const entries = calendar.getAllSubcomponents('vevent');
  const shown = await page.getByRole('slider').count();
  expect(entries).toHaveLength(shown);
  const ids = entries.map((entry) => String(entry.getFirstPropertyValue('uid')));
  expect(new Set(ids).size).toBe(ids.length);
  expect(entries[0]!.getAllSubcomponents('valarm')).toHaveLength(1);

  const day = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10);
  const taken = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:a\r\nDTSTART;VALUE=DATE:${day.replace(/-/g, '')}\r\nSUMMARY:on the ferry\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`;
  await field(page, 'Friday').fill('1 h');
  await field(page, 'Wednesday').fill('1 h');
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read taken days from a calendar file' }).click();
  await (await choosing).setFiles({ name: 'my.ics', mimeType: 'text/calendar', buffer: Buffer.from(taken) });
  await expect(page.getByText(/on the ferry/)).toBeVisible();
  // read again later, the same entries are moved
  await page.reload();
  const again = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save sittings as a calendar file' }).click();
  const later = readFileSync((await (await again).path())!, 'utf8');
  for (const id of ids.slice(0, 2)) expect(later).toContain(id);
});
