import type { Plan, Worked } from '@keep-snug/core';
import { choose, expect, field, openStage, test, type TestServer } from '../testServer';

async function planned(server: TestServer): Promise<{ plan: Plan; worked: Worked }> {
  const plans = await server.read<{ body: Plan }[]>('/plans');
  const plan = plans.at(-1)!.body;
  return { plan, worked: await server.reckon<Worked>(plan) };
}

test('a bottle: round taken for across is questioned, moved by a press, and sized', async ({ page, emptyServer }) => {
  await page.goto(`${emptyServer.url}/new`);
  await page.getByRole('radio', { name: 'Round and upright', exact: true }).click();
  await field(page, 'Name').fill('tea flask');
  await field(page, 'Height').fill('9 1/2 in');
  await field(page, 'Diameter').fill('240');
  await expect(page.getByText('A diameter of 240 mm is 754 mm around.', { exact: true })).toBeVisible();
  await expect(page.getByText(/Did you measure around the item\?/)).toBeVisible();
  await page.getByRole('button', { name: 'It is the circumference' }).click();
  await expect(field(page, 'Circumference')).toHaveValue('240');
  await expect(page.getByText('240 mm around is 76.4 mm in diameter.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await expect(field(page, 'Name of the plan')).toHaveValue('Sling for the tea flask');
  await expect.poll(async () => (await emptyServer.read<unknown[]>('/plans')).length).toBe(1);
  const { worked, plan } = await planned(emptyServer);
  expect(plan.shape.kind).toBe('disc-wall');
  await expect(page.getByRole('heading', { name: worked.pieces[0]!.summary })).toBeVisible();
  // without a swatch nothing is asserted
  await expect(page.getByText(/easure (them|ten rows of a swatch),? and about \d+ of 100 fit/)).toBeVisible();
});

test('tools are listed one by one, and dividers give each its channel', async ({ page, emptyServer }) => {
  await page.goto(`${emptyServer.url}/new`);
  await page.getByRole('radio', { name: 'Tools', exact: true }).click();
  await field(page, 'Name').fill('hooks');
  for (const [index, [length, grip]] of [
    ['138', '9'],
    ['145', '11'],
    ['150', '13'],
    ['140', '10'],
    ['6 in', '1/2 in'],
  ].entries()) {
    if (index > 0) await page.getByRole('button', { name: 'Add a tool' }).click();
    const tool = page.getByRole('group', { name: `Tool ${index + 1}`, exact: true });
    await tool.getByRole('textbox', { name: 'Length', exact: true }).fill(length!);
    await tool.getByRole('textbox', { name: 'Grip diameter', exact: true }).fill(grip!);
  }
  await page.reload();
  await expect(
    page.getByRole('group', { name: 'Tool 5', exact: true }).getByRole('textbox', { name: 'Length', exact: true }),
  ).toHaveValue('6 in');
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Fittings');
  // each tool has its channel from the start
  const dividers = page.getByRole('group', { name: 'Dividers', exact: true });
  await expect(dividers.getByText(/From the left: tool 1 \d+ stitches/)).toBeVisible();
  await expect(dividers.getByRole('button', { name: /^Channel 5, tool 5: / })).toBeVisible();
  await openStage(page, 'Thing');
  await page.getByRole('button', { name: 'Remove: tool 5' }).click();
  await openStage(page, 'Fittings');
  await expect(dividers.getByRole('button', { name: /^Channel 5/ })).toHaveCount(0);
});

test('a set holds things of several kinds, and a wrong one is told at its field', async ({ page, emptyServer }) => {
  await page.goto(`${emptyServer.url}/new`);
  await page.getByRole('radio', { name: 'Several together', exact: true }).click();
  await field(page, 'Name').fill('desk things');
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await expect(page.getByText(/Nothing in it yet/)).toBeVisible();
  await choose(page, 'Add one more', 'Flat and boxy');
  const first = page.getByRole('group', { name: '1: flat and boxy' });
  for (const [name, text] of [
    ['Width', '90'],
    ['Height', '140'],
    ['Depth', '10'],
    ['Edge radius', '8'],
  ] as const)
    await first.getByRole('textbox', { name, exact: true }).fill(text);
  await expect(first.getByText(/8 mm is more than half the depth/)).toBeVisible();
  await first.getByRole('textbox', { name: 'Edge radius', exact: true }).fill('');
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await expect(field(page, 'Name of the plan')).toHaveValue('Caddy for the desk things');
});
