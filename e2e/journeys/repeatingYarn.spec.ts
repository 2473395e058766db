import { expectAccessible } from '../accessible';
import { expect, openStage, planAt, test } from '../testServer';

const SLING = planAt(9);

test('runs typed from a trial row are added up, drawn on the piece, and a count for another pattern is taken', async ({
  page,
  server,
}) => {
  await page.goto(server.url + SLING);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await openStage(page, 'Fabric');
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
  await expect
    .poll(async () => {
      const kept = await server.read<{ id: string; body: { fabric: { yarn: { runs?: unknown[] } } } }[]>('/plans');
      return kept.find(({ id }) => SLING.endsWith(id))?.body.fabric.yarn.runs?.length;
    })
    .toBe(4);
});
