import type { Plan } from '@keep-snug/core';
import type { Page } from '@playwright/test';
import { expectAccessible } from '../accessible';
import { Hand } from '../hand';
import { expect, field, PHONE_ONLY, test, type TestServer } from '../testServer';

/** From an empty house to the first chain: a cover as one wants it, by its own measures. */

interface Kept {
  id: string;
  body: Plan;
}

const planIn = async (server: TestServer): Promise<Plan> => {
  await expect.poll(async () => (await server.read<Kept[]>('/plans')).length).toBe(1);
  return (await server.read<Kept[]>('/plans'))[0]!.body;
};

/** Says what a job took, and holds it to what it may take. */
function took(job: string, { taps, fields, seconds }: Hand, most: { taps: number; fields: number }): void {
  console.log(`${job}: ${taps} taps, ${fields} fields, ${seconds} s (at most ${most.taps} and ${most.fields})`);
  expect(taps).toBeLessThanOrEqual(most.taps);
  expect(fields).toBeLessThanOrEqual(most.fields);
}

async function begun(page: Page, server: TestServer, cover: RegExp): Promise<Hand> {
  const hand = new Hand(page);
  await page.goto(server.url);
  await hand.press('New plan');
  await hand.press(cover);
  return hand;
}

async function made(page: Page, hand: Hand): Promise<void> {
  await hand.press('Plan it');
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await hand.press('Start making');
  await expect(page.getByRole('heading', { name: /^Foundation chain|^Magic ring|ring/i }).first()).toBeVisible();
}

test('a phone pouch', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = await begun(page, emptyServer, /^Phone pouch/);
  await expectAccessible(page);
  for (const [label, text] of [
    ['Width', '78'],
    ['Height', '164'],
    ['Depth', '14'],
  ] as const)
    await hand.type(label, text);
  await made(page, hand);
  const { thing, fittings, shape } = await planIn(emptyServer);
  expect(thing).toMatchObject({ kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } });
  expect([shape.kind, ...fittings!.map(({ kind }) => kind)]).toEqual(['strip-across', 'flap', 'button-loop']);
  took('phone pouch', hand, { taps: 5, fields: 4 });
});

test('a hook case for seven hooks, a channel for each', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = await begun(page, emptyServer, /^Hook case/);
  await hand.type('Sizes of the hooks', '2 2.5 3 3.5 4 5 6');
  await hand.type('Their length', '150');
  await hand.type('Grip, at its thickest', '9');
  await made(page, hand);
  const { thing, fittings } = await planIn(emptyServer);
  expect(thing.tools).toHaveLength(7);
  expect(fittings!.map(({ kind }) => kind)).toContain('dividers');
  took('hook case', hand, { taps: 9, fields: 9 });
});

test('a caddy for a chair’s arm', PHONE_ONLY, async ({ page, emptyServer }) => {
  const hand = await begun(page, emptyServer, /^Chair-arm caddy/);
  for (const [label, text] of [
    ['Arm width', '95'],
    ['In front: width', '50'],
    ['In front: height', '180'],
    ['In front: depth', '20'],
    ['Behind: width', '110'],
    ['Behind: height', '150'],
    ['Behind: depth', '12'],
  ] as const)
    await hand.type(label, text);
  await made(page, hand);
  expect((await planIn(emptyServer)).shape.kind).toBe('saddle');
  took('caddy', hand, { taps: 8, fields: 7 });
});

test('a glasses case in inches, and a tote without a tape', PHONE_ONLY, async ({ page, emptyServer }) => {
  await page.goto(`${emptyServer.url}/settings`);
  await page.getByRole('radio', { name: 'inches' }).click();
  const hand = await begun(page, emptyServer, /^Glasses case/);
  for (const [label, text] of [
    ['Width', '2 1/8'],
    ['Height', '5.9'],
    ['Depth', '1 3/8'],
  ] as const)
    await hand.type(label, text);
  await made(page, hand);
  took('glasses case in inches', hand, { taps: 6, fields: 4 });
  const { thing } = await planIn(emptyServer);
  expect((thing.width as { mm: number }).mm).toBeCloseTo(53.975, 3);

  const tote = await begun(page, emptyServer, /^Shopping tote/);
  await tote.press('Plan it');
  await tote.press('Start making');
  took('tote without a tape', tote, { taps: 6, fields: 2 });
});

test('what is missing is said at its line, and nothing that was typed is lost', async ({ page, emptyServer }) => {
  await page.goto(`${emptyServer.url}/start/tissue-cover`);
  await field(page, 'Width').fill('wide');
  await expect(page.getByText(/wide/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page).toHaveURL(/tissue-cover$/);
  await expect(page.getByText(/^Nothing typed/).first()).toBeVisible();
  await field(page, 'Width').fill('56');
  await page.getByRole('button', { name: 'Back to what people make' }).click();
  await page.getByRole('button', { name: /^Tissue cover/ }).click();
  await expect(field(page, 'Width')).toHaveValue('56');
});
