import { expectAccessible } from '../accessible';
import { expect, openStage, planAt, tick, test, unfold } from '../testServer';

const SLING = planAt(9);

test('runs typed from a trial row are added up, drawn on the piece, and a count for another pattern is taken', async ({
  page,
  server,
}) => {
  await page.goto(server.url + SLING);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await openStage(page, 'Fabric');
  await unfold(page, 'More about this yarn');
  for (const [index, stitches] of [3, 12, 5, 14].entries()) {
    await page.getByRole('button', { name: index === 0 ? 'This yarn’s colours repeat' : 'Add a run' }).click();
    await page.getByRole('textbox', { name: `Length of run ${index + 1}` }).fill(String(stitches));
  }
  await page.getByRole('button', { name: 'See what the colours do' }).click();
  const panel = page.getByRole('dialog', { name: 'What the colours do' });
  await expect(panel.getByText(/^It makes /)).toBeVisible();
  await expect(panel.getByText(/All runs together are 34 stitches/)).toBeVisible();
  await panel.getByRole('combobox', { name: 'Look for' }).click();
  await page.getByRole('option', { name: 'columns of colour' }).click();
  const use = panel.getByRole('button', { name: /^Use \d+ stitches on a/ }).first();
  await expect(use).toBeVisible();
  await expectAccessible(page);
  await use.click();
  await page.getByRole('button', { name: 'See what the colours do' }).click();
  await expect(panel.getByText('It makes columns of colour.')).toBeVisible();
  // a spiral instead, and its first rounds made
  await panel.getByRole('combobox', { name: 'Look for' }).click();
  await page.getByRole('option', { name: 'a spiral to the right' }).click();
  await panel
    .getByRole('button', { name: /^Use \d+ stitches on a/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'See what the colours do' }).click();
  await expect(panel.getByText('It makes a spiral to the right.')).toBeVisible();
  await expect(panel.getByText(/The spiral rises \d+° from the level/)).toBeVisible();
  await expect
    .poll(async () => {
      const kept = await server.read<{ id: string; body: { fabric: { yarn: { runs?: unknown[] } } } }[]>('/plans');
      return kept.find(({ id }) => SLING.endsWith(id))?.body.fabric.yarn.runs?.length;
    })
    .toBe(4);
});

test('a yarn that repeats is made: where a round ended says to work tighter', async ({ page, server }) => {
  await page.goto(server.url + planAt(19));
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  // stitch by stitch on the drawing
  await expect(page.locator('[data-part="tint"][fill="#56663A"]').first()).toBeAttached();
  await page.getByRole('button', { name: 'Start making' }).click();
  await page.getByRole('heading', { name: 'Foundation chain' }).waitFor();
  await tick(page, 'Chain done');
  for (let round = 1; round <= 4; round += 1) await tick(page, `Round ${round} done`);
  await page.getByRole('button', { name: 'More: this make' }).click();
  await page.getByRole('menuitem', { name: /Where the round ended/ }).click();
  const panel = page.getByRole('dialog', { name: 'Where the round ended' });
  await panel.getByRole('textbox', { name: 'Stitches into it' }).fill('3');
  await panel.getByRole('button', { name: 'See what it says' }).click();
  await expect(panel.getByText('Work a little tighter for the next rounds.')).toBeVisible();
  await expect(panel.getByText(/The yarn is 3 stitches ahead/)).toBeVisible();
  await expectAccessible(page);
});
