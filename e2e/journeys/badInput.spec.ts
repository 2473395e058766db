import { choose, expect, field, measureThing, openStage, test, unfold, BOTH_SIZES, PHONE_PLAN } from '../testServer';

test(
  'a new thing: each wrong line says what is wrong, and nothing typed is lost',
  BOTH_SIZES,
  async ({ page, emptyServer }) => {
    await page.goto(`${emptyServer.url}/new`);
    await measureThing(page);
    const wrong = [
      ['wide', /“wide” is not a length/],
      ['0', /0 mm is too small. The smallest is 1 mm/],
      ['-5 cm', /-5 cm is too small/],
      ['10 km', /“km” is not a unit used here/],
      ['10000 m', /10000 m is too large. The largest is 5 m/],
    ] as const;
    for (const [text, message] of wrong) {
      await field(page, 'Width').fill(text);
      await expect(page.getByText(message)).toBeVisible();
    }
    await field(page, 'Width').fill('82');
    await field(page, 'Edge radius').fill('9');
    await expect(page.getByText(/9 mm is more than half the depth/)).toBeVisible();
    await page.getByRole('button', { name: 'Plan a cover' }).click();
    await expect(page).toHaveURL(/\/new$/);

    await page.reload();
    await expect(field(page, 'Name')).toHaveValue('hide log book');
    await expect(field(page, 'Height')).toHaveValue('6.5 in');
    await expect(field(page, 'Edge radius')).toHaveValue('9');
  },
);

test('on the board a wrong entry takes the place of the drawing and says how to mend it', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await openStage(page, 'Thing');
  await field(page, 'Edge radius').fill('9');
  await expect(page.getByText(/9 mm is more than half the depth/).first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'No drawing yet' }).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /laid flat/ })).toHaveCount(0);
  await field(page, 'Edge radius').fill('5');
  await expect(page.getByText(/more than half the depth/)).toHaveCount(0);

  await openStage(page, 'Fabric');
  await field(page, 'Hook').fill('0');
  await expect(page.getByText('0 mm is too small. The smallest is 0.5 mm.')).toBeVisible();
  await unfold(page, 'How it was measured');
  await field(page, 'How many rows').fill('0');
  await expect(page.getByText('0 is too small. The smallest is 1.')).toBeVisible();
  // three times the usual: a question, and the swatch is used
  await field(page, 'Length of the rows').fill('40 cm');
  await expect(page.getByText('Please check')).toBeVisible();

  await openStage(page, 'Fittings');
  await field(page, 'Button diameter').fill('60');
  await expect(page.getByText(/A button of 60 mm is more than half the flap/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Remove: Flap' }).click();
  await expect(page.getByText(/button is more than half/)).toHaveCount(0);
  await choose(page, 'Add a fitting', 'Button loop');
  await expect(page.getByRole('heading', { name: 'Flap', exact: true })).toBeVisible();
  await expect(page.locator('body')).not.toContainText(/NaN|Infinity|undefined/);
});

test('an address that leads nowhere says so', async ({ page, server }) => {
  await page.goto(`${server.url}/plan/b0000000-0000-4000-8000-00000000dead`);
  await expect(page.getByRole('heading', { name: 'Plan not found' })).toBeVisible();
});
