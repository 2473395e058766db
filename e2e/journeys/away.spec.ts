import { expect, field, openStage, test, tick, PHONE_MAKE, PHONE_MAKE_ID, PHONE_PLAN } from '../testServer';

interface Stored {
  event: { id: string; kind: string };
}

test('ticks made while the server is away are kept, and sent once when it is back', async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await server.stop();
  for (const row of [23, 24, 25]) await tick(page, `Row ${row} done`);
  await expect(page.getByRole('heading', { name: 'Row 26 of 87' })).toBeVisible();
  await expect(page.getByText(/You are offline. 3 changes are saved on this device/)).toBeVisible();

  await server.start();
  const ticks = async () => {
    const stored = await server.read<Stored[]>(`/events?make=${PHONE_MAKE_ID}`);
    return stored.filter(({ event }) => event.kind === 'ticked').map(({ event }) => event.id);
  };
  await expect.poll(async () => (await ticks()).length, { timeout: 40_000 }).toBe(26);
  expect(new Set(await ticks()).size).toBe(26);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Row 26 of 87' })).toBeVisible();
});

test('a plan changed on two devices is offered both ways, and nothing is overwritten', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await expect(field(page, 'Name of the plan')).toHaveValue('Field phone pouch');
  const id = PHONE_PLAN.split('/').at(-1);
  const kept = await server.read<{ revision: number; body: object }>(`/plans/${id}`);
  // news of the other change must not come before this one is made
  await page.route('**/api/changes**', (route) => route.abort());
  await fetch(`${server.url}/api/plans/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': `"${kept.revision}"` },
    body: JSON.stringify({ ...kept.body, title: 'Changed elsewhere' }),
  });
  await field(page, 'Name of the plan').fill('Changed here');
  await page.unroute('**/api/changes**');
  await expect(page.getByText('Changed on another device')).toBeVisible({ timeout: 40_000 });
  expect((await server.read<{ body: { title: string } }>(`/plans/${id}`)).body.title).toBe('Changed elsewhere');
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect
    .poll(async () => (await server.read<{ body: { title: string } }>(`/plans/${id}`)).body.title)
    .toBe('Changed here');
});

test('a plan changed after its make began is taken up only when asked', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Fit');
  await page.getByRole('radio', { name: /^17 stitches/ }).click();
  await page.getByRole('button', { name: 'Continue' }).click();
  await expect(page.getByText('The plan has changed since you started')).toBeVisible();
  await expect(page.getByText('16', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Choose how to continue' }).click();
  await page.getByRole('button', { name: 'Do this: Start again with the new plan' }).click();
  await expect(page.getByRole('heading', { name: 'Chain' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await expect(page.getByText('The plan has changed since you started')).toBeVisible();
});

test('a plan is changed while the server is away, and is with it when it is back', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Thing');
  await server.stop();
  await field(page, 'Height').fill('17 cm');
  await expect(page.getByRole('status').filter({ hasText: 'You are offline.' })).toContainText('1 change is saved');
  await expect(page.getByRole('heading', { name: /Chain 17, skip 1/ }).first()).toBeVisible();
  await server.start();
  const height = async () =>
    (await server.read<{ body: { thing: { height: { mm: number } } } }>(`/plans/${PHONE_PLAN.split('/').at(-1)}`)).body
      .thing.height.mm;
  await expect.poll(height).toBe(170);
  await expect(page.getByText('You are offline.')).toBeHidden();
});

test('two tabs of one device hold one plan: what one changes shows in the other', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await expect(field(page, 'Name of the plan')).toHaveValue('Field phone pouch');
  const other = await page.context().newPage();
  await other.goto(server.url + PHONE_PLAN);
  await field(other, 'Name of the plan').fill('Named in the second tab');
  await expect(field(page, 'Name of the plan')).toHaveValue('Named in the second tab');
  await openStage(page, 'Thing');
  await field(page, 'Height').fill('171');
  const stored = async () =>
    (
      await server.read<{ body: { title: string; thing: { height: { mm: number } } } }>(
        `/plans/${PHONE_PLAN.split('/').at(-1)}`,
      )
    ).body;
  await expect.poll(async () => (await stored()).thing.height.mm).toBe(171);
  expect((await stored()).title).toBe('Named in the second tab');
  await expect(page.getByText('Changed on another device')).toBeHidden();
});

test('every screen opens while the server is away: its script was fetched ahead', async ({ page, server }) => {
  await page.goto(server.url);
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  const fetched = () => page.evaluate(() => performance.getEntriesByType('resource').map(({ name }) => name));
  await expect.poll(async () => (await fetched()).filter((name) => /YarnBox-|SettingsPage-/.test(name)).length).toBe(2);
  await server.stop();
  await page.getByRole('link', { name: 'Yarn box' }).click();
  await expect(page.getByRole('heading', { name: 'Yarn box' })).toBeVisible();
});

test('a screen that cannot be fetched says so, and comes when it can', async ({ page, server }) => {
  await page.route('**/YarnBox-*.js', (route) => route.abort());
  await page.goto(server.url);
  await page.getByRole('link', { name: 'Yarn box' }).click();
  await expect(page.getByRole('heading', { name: 'This screen could not be shown' })).toBeVisible();
  await page.unroute('**/YarnBox-*.js');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: 'Yarn box' })).toBeVisible();
});
