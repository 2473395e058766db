import { choose, expect, field, fromMenu, openStage, test, unfold } from '../testServer';

interface Kept<T> {
  body: T;
}

test('a yarn and its swatch are put in the box and size a new plan', async ({ page, emptyServer }) => {
  await page.goto(`${emptyServer.url}/yarn`);
  await expect(page.getByText('No yarn in the box')).toBeVisible();
  await page.getByRole('button', { name: 'Add a yarn' }).click();
  // nothing is put in the box before it is known what it is
  await page.getByRole('button', { name: 'Save yarn' }).click();
  await expect(page.getByText(/No name yet/)).toBeVisible();
  await expect(page.getByText(/How thick is it/)).toBeVisible();
  await field(page, 'Yarn name').fill('kelp linen');
  await field(page, 'Length on the label').fill('250');
  await choose(page, 'Fibre', 'linen');
  await page.getByRole('button', { name: 'Save yarn' }).click();
  await page.getByRole('button', { name: 'Edit: kelp linen' }).click();
  await field(page, 'Left').fill('75,5');
  await page.getByRole('button', { name: 'Add a swatch of kelp linen' }).click();
  await expect(page.getByText('not measured yet')).toBeVisible();
  await choose(page, 'Stitch', 'single crochet');
  await field(page, 'Length of the stitches').fill('90 mm');
  await expect(page.getByText(/22 stitches to 10 cm/)).toBeVisible();
  await page.getByRole('button', { name: /^Stitches to 10 cm: 22. Workings/ }).click();
  await expect(page.getByText('90 mm over 20')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect
    .poll(async () => (await emptyServer.read<Kept<{ name: string; gramsLeft: number }>[]>('/yarns'))[0]?.body)
    .toMatchObject({ name: 'kelp linen', gramsLeft: 75.5 });

  await page.goto(`${emptyServer.url}/new`);
  await field(page, 'Name').fill('seed packet');
  for (const [name, size] of [
    ['Width', '80'],
    ['Height', '120'],
    ['Depth', '5'],
  ] as const)
    await field(page, name).fill(size);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Fabric');
  await expect(page.getByRole('combobox', { name: 'Yarn', exact: true })).toContainText('kelp linen');
  await unfold(page, 'How it was measured');
  await expect(field(page, 'Length of the stitches')).toHaveValue('90 mm');

  // what is on the shelf is drawn there, and what is deleted stays away
  await page.goto(`${emptyServer.url}/things`);
  await expect(page.getByText('80 × 120 × 5 mm, 170 mm around')).toBeVisible();
  await fromMenu(page, 'seed packet', 'Delete');
  await expect.poll(async () => (await emptyServer.read<unknown[]>('/things')).length).toBe(0);
  await page.reload();
  await expect(page.getByText('No items yet')).toBeVisible();
});

test('a plan without a swatch is an estimate everywhere, until rows of a swatch are measured', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/plan/b0000000-0000-4000-8000-000000000004`);
  await openStage(page, 'Fabric');
  await unfold(page, 'Measure a swatch');
  await expect(page.getByRole('button', { name: /^Stitches to 10 cm: .*, estimate. Workings/ })).toBeVisible();
  await page.getByRole('button', { name: 'Measure stitches of a swatch' }).click();
  await expect(page.getByRole('button', { name: /^Stitches to 10 cm: .*, estimate. Workings/ })).toBeVisible();
  await field(page, 'Length of the stitches').fill('12 cm');
  await expect(page.getByRole('button', { name: /^Stitches to 10 cm: [^,]*\. Workings/ })).toBeVisible();
  const before = (await server.read<unknown[]>('/swatches')).length;
  await page.getByRole('button', { name: 'Save this swatch' }).click();
  await expect.poll(async () => (await server.read<unknown[]>('/swatches')).length).toBe(before + 1);
  await page.goto(`${server.url}/yarn`);
  await expect(page.getByRole('group', { name: 'Swatch, oat cotton on 4.5 mm' })).toHaveCount(2);
});
