import type { Plan, Worked } from '@keep-snug/core';
import { choose, expect, field, leadTo, openStage, planAt, test, unfold, type TestServer } from '../testServer';

/** The sample data has a plan of each shape. */
const SHAPE_PLANS = {
  'strip-across': 1,
  'strip-along': 6,
  'ring-tube': 7,
  'round-chain': 8,
  'disc-wall': 9,
  'two-panels': 10,
  'cluster-panels': 11,
  saddle: 12,
  packet: 13,
  layered: 14,
};

const idOf = (number: number) => planAt(number).split('/').at(-1)!;

async function workedOf(server: TestServer, id: string): Promise<Worked> {
  return server.reckon<Worked>((await server.read<{ body: Plan }>(`/plans/${id}`)).body);
}

test('every shape has its sheet, with the counts of the reckoning', async ({ page, server }) => {
  for (const [shape, number] of Object.entries(SHAPE_PLANS)) {
    const worked = await workedOf(server, idOf(number));
    expect(await server.read(`/plans/${idOf(number)}`)).toMatchObject({ body: { shape: { kind: shape } } });
    await page.goto(`${server.url}/plan/${idOf(number)}`);
    await expect(page.getByRole('heading', { name: worked.pieces[0]!.summary })).toBeVisible();
    await page.getByRole('button', { name: 'Pattern', exact: true }).click();
    for (const { summary } of worked.pieces) await expect(page.getByText(summary).first()).toBeVisible();
    const last = worked.steps.filter(({ row }) => row !== null).at(-1)!;
    await expect(page.getByText(last.text).first()).toBeAttached();
    for (const caution of worked.cautions) await expect(page.getByText(caution.text)).toBeAttached();
  }
});

test('a looser fit, and the next count up, are those of the sheet', async ({ page, server }) => {
  const id = idOf(8);
  await page.goto(server.url + planAt(8));
  await openStage(page, 'Fit');
  await page.getByRole('radio', { name: 'roomy', exact: true }).click();
  const last = page.getByRole('radio', { name: /(stitches|rows|rounds), / }).last();
  const more = (await last.getAttribute('aria-label'))!;
  await last.click();
  await expect(page.getByRole('radio', { name: more, exact: true })).toBeChecked();
  await expect
    .poll(async () => Object.keys((await server.read<{ body: Plan }>(`/plans/${id}`)).body.picks ?? {}).length)
    .toBe(1);
  const worked = await workedOf(server, id);
  await expect(page.getByRole('heading', { name: worked.pieces[0]!.summary })).toBeVisible();
  await page.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(page.getByText(worked.pieces[0]!.summary).first()).toBeVisible();
});

test('ways to make it: compared in words, taken by a press, and taken back', async ({ page, server }) => {
  await page.goto(server.url + planAt(1));
  await leadTo(page, 'Compare ways to make it');
  await expect(page.getByRole('group', { name: 'Round base with sides' })).toContainText('use an oval base instead');
  await expect(page.getByRole('group', { name: 'Over-the-rail caddy' })).toContainText(/bar/);
  const way = page.getByRole('group', { name: 'Oval base, in the round' }).first();
  await expect(way).toContainText(/Fits \d+ times in 100/);
  await way.getByRole('button', { name: 'Use this: Oval base, in the round' }).click();
  await expect(page.getByRole('heading', { name: /worked along both sides/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /Chain 17, skip 1: 16 stitches/ })).toBeVisible();
});

test('another stitch brings its multiple, its rows and its options', async ({ page, server }) => {
  await page.goto(server.url + planAt(9));
  await openStage(page, 'Fabric');
  await choose(page, 'Stitch', 'chain mesh');
  await field(page, 'Chains in a loop').fill('7');
  await expect
    .poll(async () => (await server.read<{ body: Plan }>(`/plans/${idOf(9)}`)).body.fabric.pattern)
    .toMatchObject({ chains: 7 });
  const worked = await workedOf(server, idOf(9));
  expect(worked.choices[0]!.options.find(({ best }) => best)!.count % 4).toBe(0);
  await page.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(page.getByText(/chain 7, single crochet in the next space/).first()).toBeVisible();
});

test('no gauge but a chain that reaches round: everything follows it', async ({ page, server }) => {
  await page.goto(server.url + planAt(7));
  await openStage(page, 'Fabric');
  await unfold(page, 'How it was measured');
  await page.getByRole('button', { name: 'Remove: Stitches (width)', exact: true }).click();
  await page.getByRole('button', { name: 'Remove: Rows (height)', exact: true }).click();
  await unfold(page, 'Measure something else');
  await page.getByRole('button', { name: 'Measure with a chain around the item' }).click();
  await field(page, 'How many chains').fill('30');
  // 128 mm round over 30 chains
  await expect(page.getByRole('button', { name: /^Chains to 10 cm: 2\d/ })).toBeVisible();
  await expect(page.getByText(/Fits \d+ times in 100/)).toBeVisible();
});
