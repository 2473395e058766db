import type { Worked } from '@keep-snug/core';
import { choose, expect, field, openStage, test, unfold, PHONE_PLAN } from '../testServer';

test('a thing and a swatch serve another plan', async ({ page, server }) => {
  await page.goto(`${server.url}/things`);
  await page.getByRole('button', { name: 'Plan a cover for ringing notebook' }).click();
  await expect(field(page, 'Name of the plan')).toHaveValue('Pouch for the ringing notebook');
  await openStage(page, 'Fabric');
  await choose(page, 'Yarn', 'slate wool');
  await unfold(page, 'Measure a swatch');
  await choose(page, 'Swatch', 'slate wool on 4 mm');
  await expect(field(page, 'Length of the stitches')).toHaveValue('104 mm');
  await page.goto(server.url);
  await expect(page.getByText('Pouch for the ringing notebook')).toBeVisible();
});

test('the sheet says what the reckoning of the same plan says, in either terms', async ({ page, server }) => {
  const id = PHONE_PLAN.split('/').at(-1);
  const { body } = await server.read<{ body: object }>(`/plans/${id}`);
  const worked = await server.reckon<Worked>(body);
  await page.goto(`${server.url}/sheet/${id}`);
  const piece = worked.pieces[0]!;
  await expect(page.getByText(`Chain ${piece.foundation.count}.`, { exact: false })).toBeVisible();
  await expect(page.getByText(worked.steps.find(({ row }) => row === piece.rows)!.text)).toBeVisible();
  await expect(page.getByText(worked.steps.find((step) => step.id === 'sew-button')!.text)).toBeVisible();
  await page.getByRole('radio', { name: 'UK', exact: true }).click();
  await expect(page.getByText(/Double crochet in the 2nd chain from the hook/)).toBeVisible();
  // but for the line that tells one language in the other
  await expect(page.getByText(/single crochet/)).toHaveCount(1);
});

test('a figure tells its workings, and leads on to those it stands on', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Fit');
  await page
    .getByRole('button', { name: /^Item circumference.*Workings/ })
    .first()
    .click();
  await expect(page.getByText('g = 2(W + D) − (8 − 2π)r')).toBeVisible();
  await expect(page.getByText(/^ruler, ± 1 mm/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page
    .getByRole('button', { name: /^Inside circumference.*Workings/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^F: / }).click();
  await expect(page.getByText('F = (n − 2 take) w')).toBeVisible();
  await page.getByRole('button', { name: /^w: / }).click();
  await expect(page.getByText(/118 mm over 20/)).toBeVisible();
  await page.getByRole('button', { name: /^Back to F/ }).click();
  await expect(page.getByText('F = (n − 2 take) w')).toBeVisible();
});

test('a finished make goes to the ledger and can be made again', async ({ page, server }) => {
  await page.goto(`${server.url}/ledger`);
  await expect(page.getByRole('heading', { name: 'Tide table case' })).toBeVisible();
  await page.getByRole('button', { name: 'Make the same again: Tide table case' }).click();
  await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
});
