import { bands, fitted, measured, sheet } from '../planned';
import { choose, expect, field, openStage, test } from '../testServer';

/** Pieces of several stitches, borders and joins, each from the measured thing to the written pattern. */

test('a hook case in staggered spikes, joined in one pass with its flap, snaps in its corners', async ({
  page,
  emptyServer,
}) => {
  await measured(page, emptyServer.url, 'Tools', 'storm hooks');
  const tool = (number: number) => page.getByRole('group', { name: `Tool ${number}`, exact: true });
  const fill = async (number: number, sizes: readonly (readonly [string, string])[]) => {
    for (const [label, text] of sizes) await tool(number).getByRole('textbox', { name: label, exact: true }).fill(text);
  };
  await fill(1, [
    ['Length', '145'],
    ['Grip diameter', '10'],
    ['How many', '3'],
  ]);
  await page.getByRole('button', { name: 'Add a tool' }).click();
  await fill(2, [
    ['Length', '90'],
    ['Grip diameter', '45'],
    ['Grip thickness, if flat', '8'],
    ['How many', '1'],
  ]);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Fabric');
  await choose(page, 'Stitch', 'single and spike stitches');
  await choose(page, 'Edges of rows', 'a plain stitch at both, an odd count');
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Folded strip, rows across');
  await choose(page, 'Sides', 'reverse single crochet outside');
  await choose(page, 'Joined', 'in one pass, around the flap or the back’s edge');
  await fitted(page, 'Flap');
  await fitted(page, 'Snap');
  await choose(page, 'Where', 'two, in the flap’s corners');
  // each tool had its channel from the start
  await field(page, 'Channel to make shallower').fill('4');
  await expect(page.getByText(/^From the left: .*slim|^From the left: /)).toBeVisible();
  const chain = await page.getByRole('heading', { name: /^Chain \d+, skip 1: \d+ stitches/ }).textContent();
  expect(Number(/: (\d+) stitches/.exec(chain!)![1]) % 2).toBe(1);
  await sheet(page);
  await expect(
    page.getByText(/\[spike stitch in the next stitch, single crochet in the next stitch\]/).first(),
  ).toBeVisible();
  await expect(page.getByText(/up the left side: \d+ reverse single crochet along \d+ row ends/)).toBeVisible();
  await expect(page.getByText(/2 reverse single crochet in the corner; across the flap’s edge/)).toBeVisible();
  await expect(page.getByText(/in both corners of the flap/)).toBeVisible();
  await expect(page.getByText(/backstitch across channel 4/)).toBeVisible();
});

test('a caddy of several stitches, joined and bordered in one pass, its pockets stitched on top', async ({
  page,
  emptyServer,
}) => {
  await measured(page, emptyServer.url, 'Several together', 'frame needs');
  for (const [index, sizes] of [
    ['110', '150', '12'],
    ['78', '164', '14'],
  ].entries()) {
    await choose(page, 'Add one more', 'Flat and boxy');
    const member = page.getByRole('group', { name: new RegExp(`^${index + 1}: `) });
    for (const [at, label] of ['Width', 'Height', 'Depth'].entries())
      await member.getByRole('textbox', { name: label, exact: true }).fill(sizes[at]!);
  }
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Folded strip, rows across');
  await choose(page, 'Sides', 'crocheted together outside');
  await choose(page, 'Joined', 'in one pass, around the flap or the back’s edge');
  await field(page, 'Pocket only so deep').fill('110');
  await bands(page, [
    ['half double crochet', 2],
    ['half double V stitch', 'fill'],
    ['half double crochet', 2],
  ]);
  await fitted(page, 'Dividers');
  await choose(page, 'Lines between', 'crocheted on, along a column');
  await sheet(page);
  await expect(
    page.getByText(/2 half double crochet in the middle of each of the next \d+ pairs/).first(),
  ).toBeVisible();
  await expect(page.getByText(/\(\d+ Vs and 2 stitches\)$/).first()).toBeVisible();
  await expect(page.getByText(/3 single crochet in the corner; across the back’s top edge/)).toBeVisible();
  await expect(page.getByText(/Slip stitch in each of the next \d+ rows/)).toBeVisible();
});

test('a phone pouch worked sideways in five bands, a loop in the row along its flap', async ({ page, emptyServer }) => {
  await measured(page, emptyServer.url, 'Flat and boxy', 'field phone');
  for (const [label, text] of [
    ['Width', '75'],
    ['Height', '150'],
    ['Depth', '9'],
  ] as const)
    await field(page, label).fill(text);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Thing');
  await choose(page, 'Carried by', 'The body');
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Folded strip, rows lengthwise');
  await field(page, 'Rows along the far end').fill('1');
  await bands(page, [
    ['single crochet', 2],
    ['half double crochet', 2],
    ['crossed double crochet', 'fill'],
    ['half double crochet', 2],
    ['single crochet', 2],
  ]);
  await fitted(page, 'Tassel');
  await choose(page, 'Hangs from', 'a side edge');
  await choose(page, 'Strap', 'sewn cloth');
  await field(page, 'Body loop').fill('110 cm');
  await sheet(page);
  await expect(page.getByText(/across the flap’s edge: .*chain \d+ for the loop/)).toBeVisible();
  await expect(page.getByText(/Cut a strip of cloth/)).toBeVisible();
  await expect(page.getByText(/Sew it to the right side edge, a row below the opening/)).toBeVisible();
});
