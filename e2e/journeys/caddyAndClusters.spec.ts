import { measured, sheet } from '../planned';
import { choose, expect, field, openStage, test } from '../testServer';

/** A caddy and a pouch of clusters, each from the measured thing to the written pattern. */

test('a caddy over a rail: tabs chained out beyond both edges, two pockets behind, one below the other', async ({
  page,
  emptyServer,
}) => {
  await measured(page, emptyServer.url, 'Flat and boxy', 'notebook');
  for (const [label, text] of [
    ['Width', '100'],
    ['Height', '150'],
    ['Depth', '12'],
  ] as const)
    await field(page, label).fill(text);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Thing');
  await choose(page, 'Carried by', 'A bar or an arm');
  await page.getByRole('radio', { name: /^round/ }).click();
  await field(page, 'Bar diameter').fill('40');
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Over-the-rail caddy');
  await field(page, 'Pocket depth').fill('150');
  await field(page, 'Pockets behind').fill('2');
  await field(page, 'Depth of the first pocket behind').fill('60');
  await sheet(page);
  const texts = await page.getByRole('main').innerText();
  // in the order they are worked: out to both sides, both holes, back to the fabric, down, closed, down, closed
  const found = [
    /leave the remaining \d+ stitches unworked/,
    /single crochet in each of the next \d+ stitches, chain \d+\./,
    /chain \d+, skip \d+ chains.*chain \d+, skip \d+ stitches/,
    /Slip stitch along the next \d+ stitches/,
    /Chain \d+ and join with a slip stitch to the other end of the row/,
    /With the pocket laid flat single crochet through both layers/,
  ].map((pattern) => texts.search(pattern));
  expect(found.every((at) => at >= 0)).toBe(true);
  expect([...found].sort((a, b) => a - b)).toEqual(found);
  expect(texts.match(/join with a slip stitch to the other end/g)).toHaveLength(2);
  expect(texts.match(/With the pocket laid flat/g)).toHaveLength(2);
  await expect(page.getByText(/buttons? \(20 mm\)/i).first()).toBeVisible();
});

test('a pouch of groups from a ring, its flap bordered and looped in the pass that joins it', async ({
  page,
  emptyServer,
}) => {
  await measured(page, emptyServer.url, 'Flat and boxy', 'phone');
  for (const [label, text] of [
    ['Width', '78'],
    ['Height', '160'],
    ['Depth', '9'],
  ] as const)
    await field(page, label).fill(text);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Group rectangles');
  await choose(page, 'Strip in the middle', 'two groups a row, from a ring');
  await field(page, 'Last round in another colour').fill('sand');
  await sheet(page);
  await expect(page.getByText(/\(3 double crochet, chain 1, 3 double crochet\) into the ring/).first()).toBeVisible();
  await expect(page.getByText(/go down the row ends of the strip/).first()).toBeVisible();
  await expect(page.getByText(/^With sand: /).first()).toBeVisible();
  await expect(
    page.getByText(/through both layers, down the left side: .*2 single crochet in the corner.*for the loop/).first(),
  ).toBeVisible();
});
