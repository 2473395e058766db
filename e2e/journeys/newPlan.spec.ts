import {
  expect,
  field,
  measureAnew,
  measureThing,
  openStage,
  seeFlat,
  test,
  unfold,
  tick,
  BOTH_SIZES,
} from '../testServer';

test('from inches to a counted row, kept through reload and restart', BOTH_SIZES, async ({ page, emptyServer }) => {
  await page.goto(emptyServer.url);
  await expect(page.getByRole('heading', { name: 'No projects yet' })).toBeVisible();
  await measureAnew(page);
  await measureThing(page);
  await expect(page.getByText('= 82.6 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Plan a cover' }).click();

  await unfold(page, 'Measure a swatch');
  // no swatch yet: an estimate, marked as one
  await expect(page.getByText(/No swatch yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Measure stitches of a swatch' }).click();
  await field(page, 'How many stitches').fill('20');
  await field(page, 'Length of the stitches').fill('4 in');
  await page.getByRole('button', { name: 'Measure rows of a swatch' }).click();
  await field(page, 'How many rows').fill('24');
  await field(page, 'Length of the rows').fill('10,8 cm');

  // 2 (82.55 + 12.7) + 1 % + π t = 206; half of it over 5.08 is 20 stitches
  await openStage(page, 'Fit');
  const best = page.getByRole('radio', { name: /stitches,.*best/ });
  const more = page.getByRole('radio', { name: /stitches,/ }).last();
  await expect(best).toBeChecked();
  const count = Number(/^(\d+) stitches/.exec((await more.getAttribute('aria-label'))!)![1]);
  await more.click();
  await expect(page.getByRole('heading', { name: `Chain ${count + 1}, skip 1: ${count} stitches` })).toBeVisible();
  await seeFlat(page);
  await expect(page.getByRole('img', { name: new RegExp(`laid flat: ${count} stitches`) })).toBeVisible();

  await page.getByRole('button', { name: 'Start making' }).click();
  await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
  await tick(page, 'Chain done');
  await tick(page, 'Row 1 done');
  await tick(page, 'Row 2 done');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /^Row 2 of/ })).toBeVisible();
  await expect(page.getByText(String(count), { exact: true })).toBeVisible();

  await page.reload();
  await expect(page.getByRole('heading', { name: /^Row 2 of/ })).toBeVisible();
  await expect.poll(async () => (await emptyServer.read<unknown[]>('/events')).length).toBe(4);

  // another device sees it too, after the server was started anew
  await emptyServer.stop();
  await emptyServer.start();
  const other = await page.context().browser()!.newContext();
  const second = await other.newPage();
  await second.goto(emptyServer.url);
  await expect(second.getByText(/^Row 2 of/)).toBeVisible();
  await other.close();
});

test('every change shows at once, and can be taken back', async ({ page, server }) => {
  await page.goto(`${server.url}/plan/b0000000-0000-4000-8000-000000000001`);
  await expect(page.getByRole('heading', { name: /Chain 17, skip 1: 16 stitches/ })).toBeVisible();
  await openStage(page, 'Thing');
  await field(page, 'Width').fill('4 in');
  await expect(page.getByRole('heading', { name: /: 20 stitches/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /: 16 stitches/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByRole('heading', { name: /: 20 stitches/ })).toBeVisible();

  await openStage(page, 'Fit');
  await page.getByRole('radio', { name: 'roomy', exact: true }).click();
  await expect(page.getByRole('heading', { name: /: 22 stitches/ })).toBeVisible();
  await page.getByRole('slider', { name: 'Ease (around)' }).fill('-5');
  await expect(field(page, 'Ease (around)')).toHaveValue('-5 %');
});
