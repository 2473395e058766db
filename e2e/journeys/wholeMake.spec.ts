import type { KeptEvent, Make, Mended, Plan } from '@keep-snug/core';
import type { Page } from '@playwright/test';
import {
  BOTH_SIZES,
  choose,
  expect,
  field,
  PHONE_MAKE,
  PHONE_MAKE_ID,
  test,
  tick,
  type TestServer,
} from '../testServer';

const PLAN_ID = 'b0000000-0000-4000-8000-0000000000aa';

/** Two panels in two colours, with a border in one of them. */
const PLAN: Plan = {
  format: 'keep-snug.plan/1',
  title: 'Log book case',
  thing: {
    kind: 'slab',
    name: 'log book',
    width: { mm: 120, by: 'ruler' },
    height: { mm: 170, by: 'ruler' },
    depth: { mm: 14, by: 'ruler' },
  },
  fabric: {
    stitch: 'single',
    hookMm: 4,
    yarn: { name: 'slate wool', metresPer100g: 225, category: 3, fibre: 'wool', colour: 'slate', ballGrams: 50 },
    colours: [
      { name: 'slate', rows: 6 },
      { name: 'sand', rows: 2 },
    ],
  },
  shape: { kind: 'two-panels', edging: 2, edgingColour: 'sand', join: 'single' },
  fit: { name: 'slides' },
};

const eventsOf = async (server: TestServer, make: string) =>
  (await server.read<{ event: KeptEvent }[]>(`/events?make=${make}`)).map(({ event }) => event);

/** The make as the program has it: what is followed, and what of it is done. */
async function mended(server: TestServer, make: string): Promise<Mended> {
  const { body } = await server.read<{ body: Make }>(`/makes/${make}`);
  const answer = await fetch(`${server.url}/api/mend`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ plan: body.plan, events: await eventsOf(server, make) }),
  });
  if (!answer.ok) throw new Error(`mend: ${answer.status} ${await answer.text()}`);
  return answer.json() as Promise<Mended>;
}

/** The other device works on: all that is still to do, up to a step that is named. */
async function workedOn(page: Page, server: TestServer, make: string, until: (id: string) => boolean): Promise<void> {
  const { worked, state } = await mended(server, make);
  const done = new Set(state.done);
  const left = worked.steps.map(({ id }) => id).filter((id) => !done.has(id));
  const end = left.findIndex(until);
  const under = (await eventsOf(server, make)).findLast(({ kind }) => kind === 'decided')?.id ?? null;
  await server.happened(
    make,
    left.slice(0, end < 0 ? left.length : end).map((step) => ({ kind: 'ticked', step, under })),
  );
  await page.reload();
}

test(
  'two panels in two colours with a border: made, measured twice, out of yarn, finished',
  BOTH_SIZES,
  async ({ page, server }) => {
    await server.put(`/plans/${PLAN_ID}`, PLAN);
    await page.goto(`${server.url}/plan/${PLAN_ID}`);
    await page
      .getByRole('button', { name: /^Start/ })
      .first()
      .click();
    await expect(page).toHaveURL(/\/make\//);
    const make = page.url().split('/').at(-1)!;
    await tick(page, 'Chain done');
    await tick(page, 'Row 1 done');
    // the cheapest moment: it comes out wider, and a round of border less is said to be best
    await field(page, 'Across its 21 stitches').fill('13.6 cm');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByRole('button', { name: 'See what you can do' }).click();
    await page.getByRole('button', { name: 'Do this: Work a round of border less' }).click();
    await expect.poll(async () => (await eventsOf(server, make)).at(-1)).toMatchObject({ choice: 'border-less' });
    await workedOn(page, server, make, (id) => id === 'body-row-9');
    await expect(page.getByRole('heading', { name: /^Row 9 of/ })).toBeVisible();
    await field(page, 'All 8 rows so far').fill('44 mm');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect.poll(async () => (await eventsOf(server, make)).at(-1)?.kind).toBe('measured');
    // the ball of one of the two colours: it ends in the second panel
    await page.keyboard.press('w');
    await choose(page, 'Which ball', 'slate');
    await field(page, 'The ball weighs').fill('6 g');
    await page.getByRole('button', { name: 'See how far it goes' }).click();
    await expect(page.getByRole('heading', { name: /^Slate lasts \d+ times in 100\.$/ })).toBeVisible();
    await expect(page.getByText(/^It runs out near row \d+ of the (first|second) panel, front\.$/)).toBeVisible();
    await expect(page.getByText(/^Begin another ball of that colour with row \d+ of the/)).toBeVisible();
    await page.keyboard.press('Escape');
    await workedOn(page, server, make, (id) => id === 'edging');
    await expect(page.getByRole('heading', { name: 'Edging', level: 1 })).toBeVisible();
    await expect(page.getByText('Panel, 2 of 2: 0/31')).toBeVisible();
    // the second of them is counted as the first was
    await workedOn(page, server, make, (id) => id === 'second-panel');
    await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
    await expect(page.getByText('Panel, 1 of 2: done')).toBeVisible();
    await tick(page, 'Chain done');
    await tick(page, 'Row 1 done');
    await expect(page.getByText('Panel, 2 of 2: 1/31')).toBeVisible();
    await workedOn(page, server, make, () => false);
    await page.getByRole('button', { name: 'Mark as finished' }).click();
    await field(page, 'Width').fill('146 mm');
    await field(page, 'Yarn used').fill('31');
    await page.getByRole('radio', { name: 'just right' }).click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(/^In this one your stitches came out \d+ % wider/)).toBeVisible();
    await page.getByRole('button', { name: 'Go to the ledger' }).click();
    const entry = page.getByRole('group', { name: PLAN.title });
    await expect(entry.getByText(/^Made: 146.mm/)).toBeVisible();
    await expect(entry.getByText('Sits just right, 31 g of yarn', { exact: false })).toBeVisible();
  },
);

test(
  'a strip is laid round its item before it is joined, and folded where it fits',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_MAKE);
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
    const { worked } = await mended(server, PHONE_MAKE_ID);
    const first = worked.steps.find(({ section, row }) => section === 'joining' && row === null)!.id;
    await workedOn(page, server, PHONE_MAKE_ID, (id) => id === first);
    await page.getByRole('button', { name: 'Try the folds' }).click();
    const pocket = page.getByRole('slider', { name: 'Pocket', exact: true });
    const told = await page.getByText(/^Pocket: \d+ rows, /).innerText();
    const front = Number(/\d+/.exec(told)![0]);
    await pocket.focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText(new RegExp(`^Pocket: ${front + 1} rows, `))).toBeVisible();
    // pocket, fold and flap hang together: a shorter flap is a deeper pocket
    await page.getByRole('slider', { name: 'Flap', exact: true }).focus();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByText(new RegExp(`^Pocket: ${front + 2} rows, `))).toBeVisible();
    await page.getByRole('button', { name: 'Fold it there' }).click();
    await expect.poll(async () => (await eventsOf(server, PHONE_MAKE_ID)).at(-1)).toMatchObject({ choice: 'refold' });
    await expect(page.getByText('Before you join: lay it round the item')).toBeHidden();
    await workedOn(page, server, PHONE_MAKE_ID, () => false);
    await expect(page.getByRole('button', { name: 'Mark as finished' })).toBeVisible();
  },
);
