import { expect, openStage, PHONE_ONLY, PHONE_PLAN, test } from '../testServer';

/** A phone on its side, a small one, the smallest there are, and a phone at twice its size. */
const SIZES = [
  { width: 844, height: 390 },
  { width: 640, height: 400 },
  { width: 320, height: 568 },
  { width: 195, height: 422 },
] as const;

const STAGES = ['Thing', 'Fabric', 'Shape', 'Fit', 'Fittings', 'Colours', 'Sums'] as const;

for (const size of SIZES)
  test(
    `every control of every stage is reached at ${size.width} by ${size.height}`,
    PHONE_ONLY,
    async ({ page, server }) => {
      await page.setViewportSize(size);
      await page.goto(server.url + PHONE_PLAN);
      await expect(page.getByRole('button', { name: /^(Start making|Continue)$/ })).toBeInViewport();
      for (const stage of STAGES) {
        await openStage(page, stage);
        const controls = page
          .getByRole('main')
          .locator(':is(button, [role=button], [role=radio], [role=combobox], input):visible:not([inert] *)');
        const count = await controls.count();
        expect(count).toBeGreaterThan(STAGES.length);
        for (let index = 0; index < count; index += 1) {
          const control = controls.nth(index);
          if (await control.isDisabled()) continue;
          // as far as a finger comes: scrolled to, and nothing lies over it
          await control.click({ trial: true, timeout: 15_000 });
        }
      }
    },
  );

test('with the largest letters the plan is begun on the smallest screen', PHONE_ONLY, async ({ page, server }) => {
  await page.setViewportSize({ width: 320, height: 568 });
  await page.goto(`${server.url}/settings`);
  await page.getByRole('radio', { name: 'larger', exact: true }).click();
  await page.goto(server.url + PHONE_PLAN);
  await page.getByRole('button', { name: /^(Start making|Continue)$/ }).click({ trial: true });
  await openStage(page, 'Fabric');
  await page.getByRole('textbox', { name: 'Hook', exact: true }).click({ trial: true });
});
