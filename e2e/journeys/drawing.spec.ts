import type { Plan } from '@keep-snug/core';
import { BOTH_SIZES, choose, expect, openStage, PHONE_PLAN, seeFlat, test } from '../testServer';

const PHONE_ID = PHONE_PLAN.split('/').at(-1)!;

test(
  'a dimension is drawn with the hand: it clicks to whole stitches, and is one step back',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_PLAN);
    await seeFlat(page);
    const knob = page.getByRole('slider', { name: 'Width, drawn' }).first();
    await expect(knob).toHaveAttribute('aria-valuenow', '16');
    const box = (await knob.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let step = 1; step <= 12; step += 1) await page.mouse.move(x, y + 2 * step, { steps: 2 });
    await page.mouse.up();
    // what was drawn may be drawn anew after the hand has let go
    await expect(async () => {
      const count = Number(await knob.getAttribute('aria-valuenow'));
      expect(count).toBeGreaterThan(17);
      const heading = page.getByRole('heading', { name: new RegExp(`Chain ${count + 1}, skip 1: ${count} stitches`) });
      await expect(heading).toBeVisible({ timeout: 500 });
    }).toPass();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: /: 16 stitches/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  },
);

test('a knob moves by the arrow keys, a stitch or a row at a time', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  const knob = page.getByRole('slider', { name: 'Width, drawn' }).first();
  await knob.focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('heading', { name: /: 17 stitches/ })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { name: /: 15 stitches/ })).toBeVisible();
  const flap = page.getByRole('slider', { name: 'Flap, drawn' });
  await flap.focus();
  await page.keyboard.press('ArrowRight');
  await expect
    .poll(async () => (await server.read<{ body: Plan }>(`/plans/${PHONE_ID}`)).body.fittings![0]!.overlapMm)
    .toBe(66);
  await page.getByRole('slider', { name: 'Height, drawn' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await server.read<{ body: Plan }>(`/plans/${PHONE_ID}`)).body.fit.coverMm).toBe(7);
});

test('looked into, the drawing shows single stitches, and comes back whole', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  const signs = page.locator('svg path[data-part="stitches"]');
  await page.getByRole('button', { name: 'Larger: Flat' }).waitFor();
  const before = await signs.count();
  for (let time = 0; time < 5; time += 1) await page.getByRole('button', { name: 'Larger: Flat' }).click();
  await expect.poll(() => signs.count()).toBeGreaterThan(before);
  // a cross for each single, two strokes each
  const strokes = await signs.evaluateAll((paths) =>
    paths.reduce((sum, path) => sum + path.getAttribute('d')!.split('M').length - 1, 0),
  );
  expect(strokes % 2).toBe(0);
  expect(strokes).toBeGreaterThan(20);
  await page.getByRole('button', { name: 'Whole: Flat' }).click();
  await expect(page.getByRole('button', { name: 'Whole: Flat' })).toHaveCount(0);
});

test('the wheel with Ctrl looks into the drawing too; alone it is the page’s', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  const whole = page.getByRole('button', { name: 'Whole: Flat' });
  await page.getByRole('button', { name: 'Larger: Flat' }).waitFor();
  await page.getByRole('img').first().hover();
  await page.mouse.wheel(0, -300);
  await expect(whole).toHaveCount(0);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -300);
  await page.keyboard.up('Control');
  await expect(whole).toBeVisible();
});

test(
  'the finished piece is turned by a hand drawn across it, and shown with nothing in it',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_PLAN);
    const picture = page.getByRole('button', { name: /^Show it from another side/ });
    await picture.waitFor();
    const draw = async (share: number) => {
      const { x, y, width, height } = (await picture.boundingBox())!;
      const from = x + width * (0.5 - share / 2);
      await page.mouse.move(from, y + height / 2);
      await page.mouse.down();
      await page.mouse.move(from + share * width, y + height / 2, { steps: 12 });
      await page.mouse.up();
    };
    await expect(picture).toHaveAccessibleName(/: Back$/);
    await draw(-0.6);
    await expect(picture).toHaveAccessibleName(/: Side$/);
    await draw(0.6);
    await expect(picture).toHaveAccessibleName(/: Back$/);
    // too little is no turn, and no press
    await draw(0.1);
    await expect(picture).toHaveAccessibleName(/: Back$/);
    await page.getByRole('tab', { name: 'Open', exact: true }).click();
    const seen = page.getByRole('img', { name: /^Open\./ });
    const filled = seen.locator('path[fill="#6D7B82"]');
    await expect(filled).toHaveCount(1);
    await page.getByRole('button', { name: 'Empty', exact: true }).click();
    await expect(filled).toHaveCount(0);
    await expect(seen).toBeVisible();
  },
);

test('keys of the board: stages, views, workings, steps, and the list of them', async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  await page.getByRole('button', { name: 'Fit', exact: true }).waitFor();
  await page.keyboard.press('1');
  await expect(page.getByRole('textbox', { name: 'Width', exact: true })).toBeVisible();
  await page.keyboard.press('4');
  await page.getByRole('radio', { name: 'roomy', exact: true }).click();
  await page.keyboard.press('u');
  await expect(page.getByRole('heading', { name: /: 16 stitches/ })).toBeVisible();
  await page.keyboard.press('U');
  await expect(page.getByRole('heading', { name: /: 18 stitches/ })).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.getByText(/^(Formula|Where from)$/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
});

test('a thing measured anew asks which plans follow', async ({ page, server }) => {
  await page.goto(`${server.url}/things`);
  await page.getByRole('button', { name: 'Edit: tissue packet' }).click();
  await page.getByRole('textbox', { name: 'Width', exact: true }).fill('70');
  const followers = page.getByRole('group', { name: 'Plans that may follow' });
  await expect(followers).toContainText('Hide tissue packet');
  await followers.getByRole('checkbox', { name: 'Hide tissue packet' }).click();
  await followers.getByRole('button', { name: 'Update 1 plan' }).click();
  const width = async (number: number) =>
    (await server.read<{ body: Plan }>(`/plans/b0000000-0000-4000-8000-${String(number).padStart(12, '0')}`)).body.thing
      .width;
  await expect.poll(() => width(4)).toMatchObject({ mm: 70 });
  expect(await width(13)).toMatchObject({ mm: 54 });
});

test('habits of the hand are set once, and every pattern follows them', async ({ page, server }) => {
  await page.goto(`${server.url}/settings`);
  await page.getByRole('radio', { name: 'joined with a slip stitch', exact: true }).click();
  await page.getByRole('radio', { name: 'chain 2', exact: true }).click();
  await page.goto(`${server.url}/sheet/b0000000-0000-4000-8000-000000000009`);
  await expect(page.getByText(/Chain 2: the first round goes into the first of them/)).toBeVisible();
  await expect(page.getByText(/join with a slip stitch to the first stitch/).first()).toBeVisible();
});

test(
  'the finished piece is turned over and opened, by a press and by the keys',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_PLAN);
    const shown = (side: string) => expect(page.getByRole('img', { name: new RegExp(`^${side}\\. `) })).toBeVisible();
    await shown('Front');
    await page.getByRole('button', { name: 'Show it from another side: Back' }).click();
    await shown('Back');
    await page.getByRole('tab', { name: 'Back' }).focus();
    await page.keyboard.press('ArrowRight');
    await shown('Side');
    await page.keyboard.press('ArrowRight');
    await shown('Open');
  },
);

test('a yarn shows its colour wherever the piece is seen', BOTH_SIZES, async ({ page, server }) => {
  await page.goto(server.url + PHONE_PLAN);
  const yarn = (hex: string) => page.locator(`pattern path[stroke="${hex}"]`).first();
  await page.getByRole('img', { name: /^Front\. / }).waitFor();
  await openStage(page, 'Fabric');
  await choose(page, 'Yarn', 'another yarn');
  await page.getByRole('button', { name: /^More about this yarn/ }).click();
  await page.getByLabel('Colour', { exact: true }).fill('5e7f8e');
  await expect(yarn('#5e7f8e')).toBeAttached();

  // from a photograph of two balls: what is pointed at, and the middle by the keys
  const balls = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 200, height: 100 });
    const paint = canvas.getContext('2d')!;
    for (const [x, colour] of [
      [0, '#aa3344'],
      [100, '#3355aa'],
    ] as const) {
      paint.fillStyle = colour;
      paint.fillRect(x, 0, 100, 100);
    }
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Colour from a photo' }).click();
  await (await chosen).setFiles({ name: 'balls.png', mimeType: 'image/png', buffer: Buffer.from(balls, 'base64') });
  const photo = page.getByRole('button', { name: 'Point at the yarn in the photo' });
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  const { x, width, height } = (await photo.boundingBox())!;
  expect(x + width).toBeLessThanOrEqual(page.viewportSize()!.width);
  const colour = page.getByLabel('Colour', { exact: true });
  await photo.click({ position: { x: 0.25 * width, y: height / 2 } });
  await expect(colour).toHaveValue('#aa3344');
  await photo.click({ position: { x: 0.75 * width, y: height / 2 } });
  await expect(colour).toHaveValue('#3355aa');
  await expect(yarn('#3355aa')).toBeAttached();
  await photo.focus();
  await page.keyboard.press('Enter');
  await expect(colour).toHaveValue(/^#(aa3344|3355aa)$/);
});
