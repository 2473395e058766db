import type { Locator, Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expect, field, openStage, PHONE_MAKE, PHONE_MAKE_ID, PHONE_PLAN, test, TestServer } from '../testServer';

/** Each begins with a number that would do; none of it is one. */
const NONSENSE = ['7 or so', '12 x y', '3 furlongs'];

/** Fields that take any words. */
const WORDS = /name|note|next time|colour|look|search|find|pattern|title/i;

/** Types nonsense, letter by letter, into every number that is on screen, and leaves it. */
async function spoil(page: Page, within: Locator): Promise<string[]> {
  const spoilt: string[] = [];
  await within.getByRole('textbox').first().waitFor();
  for (const [index, box] of (await within.getByRole('textbox').all()).entries()) {
    const label = (await box.getAttribute('aria-label')) ?? '';
    if (WORDS.test(label)) continue;
    await box.fill('');
    await box.pressSequentially(NONSENSE[index % NONSENSE.length]!);
    await box.blur();
    await expect(box).toHaveAttribute('aria-invalid', 'true');
    spoilt.push(label);
  }
  expect(spoilt.length).toBeGreaterThan(0);
  return spoilt;
}

/** Every step done, as another device would, and the panel in which it is finished. */
async function workedToTheEnd(page: Page, server: TestServer): Promise<void> {
  const { body } = await server.read<{ body: { plan: object } }>(`/makes/${PHONE_MAKE_ID}`);
  const { steps } = await server.reckon<{ steps: { id: string }[] }>(body.plan);
  const done = steps.slice(23).map(({ id }) => ({ kind: 'ticked' as const, step: id, under: null }));
  await server.happened(PHONE_MAKE_ID, done);
  await page.goto(server.url + PHONE_MAKE);
  await page.getByRole('button', { name: 'Mark as finished' }).click();
}

/** The texts that lengths were typed as: one that is put back bears how it is written. */
const withoutTexts = (body: unknown): unknown =>
  JSON.parse(JSON.stringify(body, (key, value: unknown) => (key === 'typed' ? undefined : value)));

const PLAN_ID = PHONE_PLAN.split('/').at(-1)!;

test('nothing of the nonsense that is typed into any field is kept', async ({ page, server, emptyServer }) => {
  test.slow();
  const bodyOf = async (path: string) => (await server.read<{ body: object }>(path)).body;
  const [plan, hours] = [
    await bodyOf(`/plans/${PLAN_ID}`),
    (await server.read<object[]>('/hours'))[0] as { body: object },
  ];

  await page.goto(`${emptyServer.url}/new`);
  await spoil(page, page.getByRole('main'));
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await expect(page).toHaveURL(/\/new$/);

  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Fabric');
  await spoil(page, page.getByRole('main'));
  await openStage(page, 'Fit');
  await spoil(page, page.getByRole('main'));

  await page.goto(`${server.url}/days`);
  await spoil(page, page.getByRole('group', { name: 'Your hours' }));

  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await page.keyboard.press('w');
  await spoil(page, page.getByRole('dialog'));
  await page.getByRole('button', { name: 'See how far it goes' }).click({ force: true });
  await page.getByRole('button', { name: 'Close' }).click();
  await workedToTheEnd(page, server);
  await spoil(page, page.getByRole('dialog'));
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  // it leads to the first line that is wrong, and saves nothing
  await expect(page.getByRole('heading', { name: 'How did it come out?' })).toBeVisible();
  await expect(page.getByRole('textbox').first()).toBeFocused();

  await page.goto(`${server.url}/settings`);
  await expect(page.getByText('The server has all of it too.')).toBeVisible();
  expect(withoutTexts(await bodyOf(`/plans/${PLAN_ID}`))).toEqual(withoutTexts(plan));
  expect(((await server.read<object[]>('/hours'))[0] as { body: object }).body).toEqual(hours.body);
  // that it is finished is said by the button that opened the panel; of what was typed in it nothing is
  const events = await server.read<{ event: object }[]>(`/events?make=${PHONE_MAKE_ID}`);
  const finished = events
    .map(({ event }) => event as { kind: string; minutes?: number; grams?: number; asMade?: object })
    .filter(({ kind }) => kind === 'finished');
  expect(finished.filter(({ minutes, grams, asMade }) => minutes ?? grams ?? asMade)).toEqual([]);
});

test('everything is saved, and found again in an empty house', async ({ page, server }) => {
  const empty = new TestServer();
  await empty.start();
  try {
    await page.goto(`${server.url}/settings`);
    await expect(page.getByText('The server has all of it too.')).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save everything as a file' }).click(),
    ]);
    const file = test.info().outputPath('everything.json');
    await download.saveAs(file);
    const saved = JSON.parse(await readFile(file, 'utf8')) as Record<string, object>;
    await page.goto(`${empty.url}/settings`);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Bring everything back from a file' }).click();
    await (await chooser).setFiles(file);
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    for (const kind of ['plans', 'things', 'yarns', 'swatches', 'makes', 'hours', 'batches'])
      await expect
        .poll(async () => (await empty.read<{ id: string }[]>(`/${kind}`)).map(({ id }) => id).sort(), {
          message: kind,
        })
        .toEqual(Object.keys(saved[kind]!).sort());
    const events = async () => {
      const file2 = await empty.read<{ events: unknown[] }>('/everything');
      return file2.events.length;
    };
    await expect.poll(events).toBe((saved.events as unknown as unknown[]).length);
  } finally {
    await empty.end();
  }
});

test('a finish that cannot be meant is asked about once, and kept where it is meant', async ({ page, server }) => {
  await workedToTheEnd(page, server);
  await field(page, 'Time').fill('1 min');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^1 min\? Such a piece usually takes about/)).toBeVisible();
  await field(page, 'Time').fill('2:30');
  await expect(page.getByText('= 2 h 30 min')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What this taught' })).toBeVisible();
});
