import type { KeptEvent, Make, Mended, Plan } from '@keep-snug/core';
import type { Page } from '@playwright/test';
import { BOTH_SIZES, expect, field, PHONE_MAKE, PHONE_MAKE_ID, test, tick, type TestServer } from '../testServer';

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
    // the cheapest moment: it comes out wider, and one way is said to be best
    await field(page, 'Across its 21 stitches').fill('13.6 cm');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByRole('button', { name: 'See what you can do' }).click();
    await page.getByRole('button', { name: /^Do this/ }).first().click();
    await expect.poll(async () => (await eventsOf(server, make)).at(-1)?.kind).toBe('decided');
    await workedOn(page, server, make, (id) => id === 'body-row-9');
    await expect(page.getByRole('heading', { name: /^Row 9 of/ })).toBeVisible();
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    await page.getByRole('radio', { name: /^Some rows/ }).click();
    console.log((await page.locator('body').innerText()).slice(60, 1600));
    await field(page, 'They measure').fill('44 mm');
    await page.getByRole('button', { name: 'See what it says' }).click();
    console.log((await page.locator('body').innerText()).slice(60, 2600));
    await page.getByRole('button', { name: /^Do this/ }).first().click();
    await page.keyboard.press('w');
    await field(page, 'The ball weighs').fill('9 g');
    await page.getByRole('button', { name: 'See how far it goes' }).click();
    console.log((await page.locator('body').innerText()).slice(60, 2600));
    await page.getByRole('button', { name: /^Do this: .* in a second yarn/ }).click();
    console.log((await page.locator('body').innerText()).slice(60, 1600));
    await workedOn(page, server, make, (id) => id.includes('@2'));
    console.log((await page.locator('body').innerText()).slice(60, 1600));
  },
);
void PHONE_MAKE; void PHONE_MAKE_ID; void workedOn;
