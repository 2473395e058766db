import type { Plan } from '@keep-snug/core';
import { randomUUID } from 'node:crypto';
import { Hand } from '../hand';
import { expect, field, fromMenu, openStage, PHONE_ONLY, PHONE_PLAN, test, tick, type TestServer } from '../testServer';

/** Whole jobs as a new maker does them: an empty house, a phone, one thumb. */
interface Kept<Body> {
  id: string;
  body: Body;
}

const plansOf = (server: TestServer) => server.read<Kept<Plan>[]>('/plans');

/** Says what a job took, and holds it to less than it once did. */
function took(job: string, { taps, fields, seconds }: Hand, once: { taps: number; fields: number }): void {
  console.log(`${job}: ${taps} taps, ${fields} fields, ${seconds} s (once ${once.taps} and ${once.fields})`);
  expect(taps).toBeLessThan(once.taps);
  expect(fields).toBeLessThan(once.fields);
}

test('a phone pouch: measured, a swatch, ten rows, one undone, a note', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = new Hand(page);
  await page.goto(emptyServer.url);
  await hand.press('New plan');
  await hand.press(/something else/i);
  for (const [label, text] of [
    ['Name', 'field phone'],
    ['Width', '78'],
    ['Height', '164'],
    ['Depth', '14'],
  ] as const)
    await hand.type(label, text);
  await hand.press('Plan a cover');
  await hand.press('Measure a swatch');
  await hand.press('Measure stitches of a swatch');
  await hand.type('Length of the stitches', '118');
  await expect(page.getByRole('heading', { name: /^Chain \d+, skip 1: 1[5-7] stitches/ })).toBeVisible();
  await hand.press('Start making');
  for (const name of ['Chain done', ...Array.from({ length: 10 }, (_, row) => `Row ${row + 1} done`)]) {
    hand.taps += 1;
    await tick(page, name);
  }
  await hand.press('Undo');
  await expect(page.getByRole('heading', { name: /^Row 10 of/ })).toBeVisible();
  await hand.press('Note');
  await hand.type('Note', 'a knot to hide');
  await hand.press('Save note');
  await expect(page.getByText('a knot to hide')).toBeVisible();
  await expect.poll(async () => (await emptyServer.read<unknown[]>('/events')).length).toBe(13);
  took('phone pouch', hand, { taps: 37, fields: 7 });
});

test('no tape at hand: so many of my chains reach around the glasses', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = new Hand(page);
  await page.goto(emptyServer.url);
  await hand.press('New plan');
  await hand.press(/something else/i);
  await hand.press('my chains', 'radio');
  await hand.type('Name', 'reading glasses');
  await hand.type('Chains around it', '34');
  await hand.type('Chains along its height', '36');
  await hand.press('Plan a cover');
  await expect(field(page, 'Name of the plan')).toHaveValue('Pouch for the reading glasses');
  await expect.poll(async () => (await plansOf(emptyServer)).length).toBe(1);
  const [{ body }] = (await plansOf(emptyServer)) as [Kept<Plan>];
  expect(body.fabric.gauge!.chains).toEqual([{ count: 34, reaches: 'round' }]);
  const worked = await emptyServer.reckon<{
    thing: { girth: { value: number } };
    fabric: { chain: { value: number } };
  }>(body);
  // whatever they measure, 34 of them are the girth
  expect(worked.thing.girth.value / worked.fabric.chain.value).toBeGreaterThan(32);
  expect(worked.thing.girth.value / worked.fabric.chain.value).toBeLessThan(36);
  await hand.press('Start making');
  await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
  took('chain around glasses', hand, { taps: 28, fields: 6 });
});

test('six hooks and scissors, each in a channel of its own', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = new Hand(page);
  await page.goto(emptyServer.url);
  await hand.press('New plan');
  await hand.press(/something else/i);
  await hand.press('Tools', 'radio');
  await hand.type('Name', 'storm hooks');
  const tool = (number: number) => page.getByRole('group', { name: `Tool ${number}`, exact: true });
  for (const [label, text] of [
    ['Length', '145'],
    ['Grip diameter', '11'],
    ['How many', '6'],
  ] as const)
    await hand.type(label, text, tool(1));
  await hand.press('Add a tool');
  for (const [label, text] of [
    ['Length', '110'],
    ['Grip diameter', '40'],
    ['How many', '1'],
  ] as const)
    await hand.type(label, text, tool(2));
  await hand.press('Plan a cover');
  await openStage(page, 'Fittings');
  await expect(page.getByRole('group', { name: 'Dividers', exact: true }).getByText(/From the left: /)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Channel 7, / })).toBeVisible();
  took('hooks and scissors', hand, { taps: 19, fields: 8 });
});

test(
  'a sling for a bottle: the strap is proposed, its load comes from the bottle',
  PHONE_ONLY,
  async ({ page, emptyServer }) => {
    const hand = new Hand(page);
    await page.goto(emptyServer.url);
    await hand.press('New plan');
    await hand.press(/something else/i);
    await hand.press('Round and upright', 'radio');
    await hand.type('Name', 'night watch flask');
    await hand.type('Height', '242');
    await hand.type('Circumference', '232');
    await hand.press('Plan a cover');
    await hand.press('Thing');
    await hand.choose('Carried by', 'The body');
    await openStage(page, 'Fittings');
    await expect(page.getByRole('button', { name: /^Weight it carries: \d+ g, estimate/ })).toBeVisible();
    await openStage(page, 'Thing');
    await field(page, 'Volume it holds').fill('750');
    await openStage(page, 'Fittings');
    await expect(page.getByRole('button', { name: /^Weight it carries: 750 g/ })).toBeVisible();
    took('sling', hand, { taps: 10, fields: 4 });
  },
);

test('a caddy for the walking frame: what hangs over a bar is proposed', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = new Hand(page);
  await page.goto(emptyServer.url);
  await hand.press('New plan');
  await hand.press(/something else/i);
  await hand.press('Several together', 'radio');
  await hand.type('Name', 'frame needs');
  for (const [index, sizes] of [
    ['110', '150', '12'],
    ['78', '164', '14'],
  ].entries()) {
    await hand.choose('Add one more', 'Flat and boxy');
    const member = page.getByRole('group', { name: new RegExp(`^${index + 1}: `) });
    for (const [at, label] of ['Width', 'Height', 'Depth'].entries()) await hand.type(label, sizes[at]!, member);
  }
  await hand.press('Plan a cover');
  await hand.press('Thing');
  await hand.choose('Carried by', 'A bar or an arm');
  await hand.press(/^round/, 'radio');
  await expect(page.getByText(/walking frame/)).toBeVisible();
  await hand.type('Bar diameter', '30');
  await expect.poll(async () => (await plansOf(emptyServer))[0]?.body.shape.kind).toBe('saddle');
  await expect(page.getByRole('heading', { name: /stitches/ }).first()).toBeVisible();
  took('walking-frame caddy', hand, { taps: 30, fields: 13 });
});

test('a striped gift bag with a drawstring', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = new Hand(page);
  await page.goto(emptyServer.url);
  await hand.press('New plan');
  await hand.press(/something else/i);
  await hand.press('Loose things', 'radio');
  await hand.type('Name', 'season’s gift');
  await hand.type('Bag width', '100');
  await hand.type('Bag height', '140');
  await hand.press('Plan a cover');
  await hand.press('Colours');
  await hand.press('Add stripes');
  await hand.type('Colour 1', 'kelp');
  await hand.type('Colour 2', 'sand');
  await hand.press('Fittings');
  await hand.choose('Add a fitting', 'Drawstring');
  await expect.poll(async () => JSON.stringify((await plansOf(emptyServer))[0]?.body.fittings)).toContain('drawstring');
  await hand.press('Sums');
  await expect(page.getByText(/^kelp: about \d+ m/)).toBeVisible();
  await expect(page.getByText(/^sand: about \d+ m/)).toBeVisible();
  took('striped gift bag', hand, { taps: 17, fields: 7 });
});

test(
  'a change of mind: another shape and back, and a step back after a reload',
  PHONE_ONLY,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_PLAN);
    const id = PHONE_PLAN.split('/').at(-1);
    const now = async () => (await server.read<Kept<Plan>>(`/plans/${id}`)).body;
    const before = await now();
    const hand = new Hand(page);
    await openStage(page, 'Shape');
    await hand.choose('Shape', 'Tube in the round');
    await expect(page.getByText(/Left off on this shape: flap, button loop/)).toBeVisible();
    await hand.choose('Shape', 'Folded strip, rows across');
    await expect(page.getByText(/Left off/)).toBeHidden();
    await expect.poll(async () => (await now()).fittings).toEqual(before.fittings);
    await openStage(page, 'Thing');
    await field(page, 'Width').fill('90');
    await expect.poll(async () => JSON.stringify((await now()).thing.width)).toContain('90');
    await page.reload();
    await hand.press('Undo');
    await expect.poll(async () => (await now()).thing.width).toEqual(before.thing.width);
  },
);

test(
  'sixty things and plans: found by a word, the main action at the thumb',
  PHONE_ONLY,
  async ({ page, emptyServer }) => {
    const name = (index: number) => (index === 41 ? 'ringer’s pliers' : `box number ${index}`);
    const thing = (index: number) => ({
      kind: 'slab',
      name: name(index),
      width: { mm: 60 + index },
      height: { mm: 120 },
      depth: { mm: 12 },
    });
    for (let index = 0; index < 60; index += 1) {
      await emptyServer.put(`/things/${randomUUID()}`, { name: name(index), thing: thing(index) });
      await emptyServer.put(`/plans/${randomUUID()}`, {
        format: 'keep-snug.plan/1',
        title: `Cover for ${name(index)}`,
        thing: thing(index),
        fabric: { stitch: 'single', hookMm: 4, yarn: { category: 4 } },
        shape: { kind: 'strip-across' },
        fit: { name: 'snug' },
      });
    }
    await page.goto(emptyServer.url);
    await expect(page.getByRole('button', { name: 'New plan' })).toBeInViewport();
    await page.getByPlaceholder('Search plans').fill('RINGER');
    await expect(page.getByText('1 of 60', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Open the plan: Cover for ringer’s pliers' }).click();
    await expect(field(page, 'Name of the plan')).toHaveValue('Cover for ringer’s pliers');
    await page.goto(`${emptyServer.url}/things`);
    await expect(page.getByRole('button', { name: 'Measure an item' })).toBeInViewport();
    // only what is seen is drawn
    await expect(page.getByRole('group', { name: /^box number/ }).first()).toBeVisible();
    expect(await page.getByRole('group', { name: /^box number/ }).count()).toBeLessThan(45);
    await page.getByPlaceholder('Search items').fill('pliers');
    await fromMenu(page, 'ringer’s pliers', 'Edit');
    await expect(page.getByRole('heading', { name: 'ringer’s pliers', level: 2 })).toBeVisible();
    await page.goto(`${emptyServer.url}/new`);
    await expect(page.getByRole('heading', { name: 'Or measure another' })).toBeInViewport();
  },
);

test('last year’s again, with another yarn: the old one stays as it was', PHONE_ONLY, async ({ page, server }) => {
  await page.goto(`${server.url}/ledger`);
  const before = await plansOf(server);
  await page.getByRole('button', { name: 'Make it again in another yarn: Tide table case' }).click();
  await expect(field(page, 'Name of the plan')).toHaveValue('Tide table case (copy)');
  await page.getByRole('combobox', { name: 'Yarn', exact: true }).click();
  await page.getByRole('option', { name: 'kelp cotton cord', exact: true }).click();
  await expect.poll(async () => (await plansOf(server)).length).toBe(before.length + 1);
  const now = await plansOf(server);
  for (const { id, body } of before) expect(now.find((plan) => plan.id === id)!.body).toEqual(body);
});
