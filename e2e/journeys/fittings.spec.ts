import type { Plan } from '@keep-snug/core';
import { choose, expect, field, openStage, test, unfold, BOTH_SIZES, PHONE_PLAN } from '../testServer';

const TOTE = '/plan/b0000000-0000-4000-8000-000000000016';
const FLASK = '/plan/b0000000-0000-4000-8000-000000000009';
const PHONE_ID = PHONE_PLAN.split('/').at(-1)!;

test('handles on a tote: in the round’s count, in the pattern, refused too long', async ({ page, server }) => {
  await page.goto(server.url + TOTE);
  await openStage(page, 'Fittings');
  const handles = page.getByRole('group', { name: 'Side handles', exact: true });
  await expect(handles.getByText(/handle of \d+/)).toBeVisible();
  await page.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(page.getByText(/chain 1\d, skip 1\d stitches/).first()).toBeVisible();
  await page.goto(server.url + TOTE);
  await openStage(page, 'Fit');
  await page.getByRole('radio', { name: /^78 stitches/ }).click();
  await openStage(page, 'Fittings');
  await handles.getByRole('textbox', { name: 'Opening width' }).fill('38 cm');
  await expect(handles.getByText(/longer than half the round.*allows/)).toBeVisible();
  await handles.getByRole('textbox', { name: 'Opening width' }).fill('11 cm');
  await expect(handles.getByText(/handle of 1\d/)).toBeVisible();
});

test('a strap follows the body measure, and a hang test takes the place of the estimate', async ({ page, server }) => {
  await page.goto(server.url + FLASK);
  await openStage(page, 'Fittings');
  const strap = page.getByRole('group', { name: 'Strap', exact: true });
  const length = strap.getByRole('button', { name: /^Length: / });
  await expect(length).toContainText('1030');
  await strap.getByRole('textbox', { name: 'Body loop' }).fill('90 cm');
  await expect(length).toContainText('8');
  await strap.getByRole('textbox', { name: 'Body loop' }).fill('9 m');
  await expect(strap.getByText(/longer than any body loop/)).toBeVisible();
  await strap.getByRole('textbox', { name: 'Body loop' }).fill('90 cm');
  await strap.getByRole('textbox', { name: 'Hang test: it grew by' }).fill('10');
  await expect(strap.getByRole('button', { name: /^Stretch under load.*10 %/ })).toBeVisible();
});

test('yarn in the house: enough, then not enough', BOTH_SIZES, async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Fabric');
  await field(page, 'Yarn you have').fill('200');
  const wide = (page.viewportSize()?.width ?? 0) > 900;
  if (!wide) await openStage(page, 'Sums');
  await expect(page.getByText(/You have enough yarn/)).toBeVisible();
  await openStage(page, 'Fabric');
  await field(page, 'Yarn you have').fill('8');
  if (!wide) await openStage(page, 'Sums');
  await expect(page.getByText(/You do not have enough yarn/)).toBeVisible();
});

test('a repair is one press: a loop too small, a foundation too tight', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Fittings');
  await field(page, 'Chains of the loop').fill('3');
  await expect(page.getByText(/does not pass over its button/)).toBeVisible();
  await page.getByRole('button', { name: /^Chain \d+\.$/ }).click();
  await expect(page.getByText(/does not pass over its button/)).toBeHidden();
  await openStage(page, 'Fabric');
  await unfold(page, 'How it was measured');
  await page
    .getByRole('group', { name: 'Chains' })
    .getByRole('textbox', { name: 'Length of the chains' })
    .fill('90 mm');
  await page.getByRole('button', { name: /Work the chain looser, or with a 6 mm hook/ }).click();
  await expect
    .poll(async () => (await server.read<{ body: Plan }>(`/plans/${PHONE_ID}`)).body.fabric.chainHookMm)
    .toBe(6);
});

test('a caution is read and set aside on the board, and stays on the sheet', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  const warm = page.getByText(/^What is charged gets warm/);
  await expect(warm).toBeVisible();
  await page.getByRole('button', { name: /^Hide here: What is charged gets warm/ }).click();
  await expect(warm).toBeHidden();
  await page.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(warm).toBeVisible();
});

test('what does not belong on a shape says where it would', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Fittings');
  await page.getByRole('button', { name: 'Not available for this shape' }).click();
  await expect(
    page.getByText(/^Drawstring: It runs through rounds near an opening.*“Tube in the round”/),
  ).toBeVisible();
  await choose(page, 'Add a fitting', 'Belt loop');
  await expect(
    page.getByRole('group', { name: 'Belt loop', exact: true }).getByText(/on the back, centred/i),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Remove: Belt loop' }).click();
  await expect(page.getByRole('group', { name: 'Belt loop', exact: true })).toHaveCount(0);
});
