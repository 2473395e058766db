import type { Plan, Worked } from '@keep-snug/core';
import { expect, field, openStage, test, type House } from '../house';

/** A plan of the sample data for each shape. */
const PLANS = [
  ['strip-across', 1],
  ['strip-along', 6],
  ['ring-tube', 7],
  ['round-chain', 8],
  ['disc-wall', 9],
  ['two-panels', 10],
  ['cluster-panels', 11],
  ['saddle', 12],
  ['packet', 13],
  ['layered', 14],
] as const;

const idOf = (number: number) => `b0000000-0000-4000-8000-${String(number).padStart(12, '0')}`;

async function reckoned(house: House, id: string): Promise<Worked> {
  const { body } = await house.read<{ body: Plan }>(`/plans/${id}`);
  const answer = await fetch(`${house.url}/api/reckon`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  return (await answer.json()) as Worked;
}

for (const [shape, number] of PLANS) {
  test(`${shape}: from its thing to a sheet whose counts are those of the reckoning`, async ({ page, house }) => {
    const id = idOf(number);
    await page.goto(`${house.url}/plan/${id}`);
    const before = await reckoned(house, id);
    await expect(page.getByRole('heading', { name: before.pieces[0]!.summary })).toBeVisible();

    // a looser fit, and the next count up, as the tags offer it
    await openStage(page, 'Fit');
    await page.getByRole('radio', { name: 'roomy', exact: true }).click();
    const more = page.getByRole('radio', { name: /(stitches|rows|rounds), / }).last();
    await more.click();
    await expect(more).toBeChecked();
    await expect
      .poll(async () => Object.keys((await house.read<{ body: Plan }>(`/plans/${id}`)).body.picks ?? {}).length)
      .toBe(1);
    const worked = await reckoned(house, id);
    await expect(page.getByRole('heading', { name: worked.pieces[0]!.summary })).toBeVisible();

    await page.getByRole('button', { name: 'Sheet', exact: true }).click();
    for (const { summary } of worked.pieces) await expect(page.getByText(summary).first()).toBeVisible();
    const last = worked.steps.filter(({ row }) => row !== null).at(-1)!;
    await expect(page.getByText(last.text).first()).toBeAttached();
    for (const caution of worked.cautions) await expect(page.getByText(caution.text)).toBeAttached();
  });
}

test('ways to make it: compared in words, taken by a press, and taken back', async ({ page, house }) => {
  await page.goto(`${house.url}/plan/${idOf(1)}`);
  await page.getByRole('button', { name: 'Ways to make it' }).first().click();
  await expect(page.getByRole('group', { name: 'Disc and wall' })).toContainText('take it round a chain');
  await expect(page.getByRole('group', { name: 'Saddle caddy' })).toContainText(/bar/);
  const way = page.getByRole('group', { name: 'Round a chain' }).first();
  await expect(way).toContainText(/Fits \d+ times in 100/);
  await way.getByRole('button', { name: 'Take this way: Round a chain' }).click();
  await expect(page.getByRole('heading', { name: /round both its sides/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /Chain 17, skip 1: 16 stitches/ })).toBeVisible();
});

test('another stitch brings its multiple, its rows and its options', async ({ page, house }) => {
  await page.goto(`${house.url}/plan/${idOf(9)}`);
  await openStage(page, 'Fabric');
  await page.getByRole('combobox', { name: 'Stitch', exact: true }).selectOption({ label: 'net of chain loops' });
  await field(page, 'Chains in a loop').fill('7');
  await expect
    .poll(async () => (await house.read<{ body: Plan }>(`/plans/${idOf(9)}`)).body.fabric.pattern)
    .toMatchObject({ chains: 7 });
  const worked = await reckoned(house, idOf(9));
  expect(worked.choices[0]!.options.find(({ best }) => best)!.count % 4).toBe(0);
  await page.getByRole('button', { name: 'Sheet', exact: true }).click();
  await expect(page.getByText(/chain 7, single crochet in the next space/).first()).toBeVisible();
});

test('no gauge but a chain that reaches round: everything follows it', async ({ page, house }) => {
  await page.goto(`${house.url}/plan/${idOf(7)}`);
  await openStage(page, 'Fabric');
  await page.getByRole('button', { name: 'Take off: Stitches across', exact: true }).click();
  await page.getByRole('button', { name: 'Take off: Rows up', exact: true }).click();
  await page.getByRole('button', { name: 'My chain reaches round it' }).click();
  await field(page, 'How many chains').fill('30');
  // 128 mm round over 30 chains
  await expect(page.getByRole('button', { name: /^A chain: 4\.\d mm/ })).toBeVisible();
  await expect(page.getByText(/Fits \d+ times in 100/)).toBeVisible();
});
