import { expectAccessible } from '../accessible';
import { BOTH_SIZES, choose, expect, field, leadTo, openStage, planAt, tick, test } from '../testServer';

test(
  'scraps: are they enough, where does each run out, and anew from the scale',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + planAt(1));
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await openStage(page, 'Colours');
    await page.getByRole('button', { name: 'Make it from scraps' }).click();
    await field(page, 'Grams of scrap 1').fill('9');
    await field(page, 'Scrap 1').fill('oat end');
    await page.getByRole('button', { name: 'Add a scrap' }).click();
    await field(page, 'Grams of scrap 2').fill('30');
    await page.getByRole('button', { name: 'Largest first' }).click();
    await expect(page.getByText(/^Together they last \d+ times in 100/)).toBeVisible();
    await expect(page.getByText(/^oat end: (runs out in|reaches the end|is not needed)/)).toBeVisible();
    const planned = await page.getByText(/^scrap 2: /).innerText();
    await expectAccessible(page);
    const before = page.url();
    await leadTo(page, 'Copy plan');
    await expect.poll(() => page.url()).not.toBe(before);
    await page.getByRole('button', { name: 'Start making' }).click();
    for (const step of [
      'Chain done',
      'Row 1 done',
      'Row 2 done',
      'Row 3 done',
      'Row 4 done',
      'Row 5 done',
      'Row 6 done',
    ])
      await tick(page, step);
    await page.getByRole('button', { name: 'More: this make' }).click();
    await page.getByRole('menuitem', { name: /Weigh the ball/ }).click();
    const panel = page.getByRole('dialog', { name: 'Weigh the ball' });
    await panel.getByRole('textbox', { name: 'The ball weighs' }).fill('25');
    await panel.getByRole('button', { name: 'See how far it goes' }).click();
    await expect(panel.getByText(/^scrap 2: /)).not.toHaveText(planned);
  },
);

test('stripes by a rule, in their own colours, and neighbours that are too alike are told', async ({
  page,
  server,
}) => {
  await page.goto(server.url + planAt(16));
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await openStage(page, 'Colours');
  await choose(page, 'Stripes', 'at random');
  const painted = () => page.locator('[data-part="tint"]').first().getAttribute('d');
  const before = await painted();
  await page.getByRole('button', { name: 'Throw again' }).click();
  await expect.poll(painted).not.toBe(before);
  await field(page, 'Look of sand').fill('moss');
  await expect(page.getByText(/about as light as each other/).first()).toBeVisible();
  await expect(page.locator('[data-part="tint"]').first()).toHaveAttribute('fill', /^#/);
});
