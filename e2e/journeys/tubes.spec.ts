import type { Page } from '@playwright/test';
import { bands, fitted, measured, sheet } from '../planned';
import { choose, expect, field, openStage, test, unfold } from '../testServer';

/** Bags worked in rounds, each from the measured thing to the written pattern. */

async function joined(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/settings`);
  await page.getByRole('radio', { name: 'joined with a slip stitch', exact: true }).click();
}

async function fill(page: Page, sizes: readonly (readonly [string, string])[]): Promise<void> {
  for (const [label, text] of sizes) await field(page, label).fill(text);
}

test('a bottle bag round a chain: plain rounds, a net closed in mid-loop, plain rounds, a handle over the opening', async ({
  page,
  emptyServer,
}) => {
  await joined(page, emptyServer.url);
  await measured(page, emptyServer.url, 'Round and upright', 'lamp oil');
  await fill(page, [
    ['Height', '240'],
    ['Diameter', '75'],
  ]);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Oval base, in the round');
  await bands(
    page,
    [
      ['single crochet', 6],
      ['chain mesh', 'fill'],
      ['single crochet', 4],
    ],
    'rounds',
  );
  await fitted(page, 'Top handle');
  await fill(page, [
    ['Stitches at the base', '8'],
    ['Stitches along the handle', '4'],
  ]);
  await sheet(page);
  await expect(
    page.getByText(/chain 2, double crochet in the first stitch to close the last loop/).first(),
  ).toBeVisible();
  await expect(page.getByText(/\(\d+ loops of 5 chains and \d+ stitches\)$/).first()).toBeVisible();
  await expect(
    page.getByText(/\[3 single crochet in the next space, single crochet in the next stitch\]/),
  ).toBeVisible();
  await expect(page.getByText(/Bring the handle over to the other side/)).toBeVisible();
});

test('a sling on a disc: plain rounds, open Vs, plain rounds, its step levelled, a strap with tails', async ({
  page,
  emptyServer,
}) => {
  await measured(page, emptyServer.url, 'Round and upright', 'flask');
  await fill(page, [
    ['Height', '210'],
    ['Diameter', '70'],
  ]);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Thing');
  await choose(page, 'Carried by', 'The body');
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Round base with sides');
  await bands(
    page,
    [
      ['single crochet', 3],
      ['double V stitch', 'fill'],
      ['single crochet', 3],
    ],
    'rounds',
  );
  await openStage(page, 'Fittings');
  await choose(page, 'Strap', 'a chain with rows along it');
  await fill(page, [
    ['Body loop', '110 cm'],
    ['Stitches or rows wide', '4'],
  ]);
  await sheet(page);
  await expect(page.getByText(/\(\d+ Vs\)$/).first()).toBeVisible();
  await expect(page.getByText(/above the first stitch of round 1, then slip stitch in the next stitch/)).toBeVisible();
  await expect(page.getByText(/Leave a tail of 300 mm to sew with\. Chain \d+\./)).toBeVisible();
  await expect(page.getByText(/With its tails, sew the strap on/)).toBeVisible();
});

test('a gift bag in two colours, drawn shut by a tie through loops round its opening', async ({
  page,
  emptyServer,
}) => {
  await joined(page, emptyServer.url);
  await measured(page, emptyServer.url, 'Loose things', 'sea glass');
  await fill(page, [
    ['Bag width', '100'],
    ['Bag height', '110'],
  ]);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Round base with sides');
  await fill(page, [
    ['Stitches in the ring', '8'],
    ['More in each round', '8'],
  ]);
  await choose(page, 'The base', 'may cup or ruffle: it is meant to');
  await bands(
    page,
    [
      ['single crochet', 'fill'],
      ['single crochet', 5, 'kelp'],
    ],
    'rounds',
  );
  await fitted(page, 'Drawstring');
  await choose(page, 'Through', 'loops of chain');
  await choose(page, 'Cord', 'a chained-on tie');
  await sheet(page);
  await expect(page.getByText(/^With kelp: Repeat round \d+\./)).toBeVisible();
  await expect(page.getByText(/\(\d+ loops\)/).first()).toBeVisible();
  await expect(page.getByText(/^The tie, on from where you are: Chain \d+\.$/)).toBeVisible();
  await expect(page.getByText(/all round and back to where it begins/)).toBeVisible();
  await expect(page.getByText(/^Pull the opening fully open, then knot its end\.$/)).toBeVisible();
});

test('a tote of two yarns held together, each counted by itself', async ({ page, emptyServer }) => {
  await measured(page, emptyServer.url, 'Loose things', 'shore finds');
  await fill(page, [
    ['Bag width', '200'],
    ['Bag height', '180'],
  ]);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Fabric');
  await unfold(page, 'More about this yarn');
  await page.getByRole('button', { name: 'Hold another yarn with it' }).click();
  const second = page.getByRole('group', { name: 'Yarn 2', exact: true });
  await second.getByRole('button', { name: 'More about this yarn' }).click();
  await second.getByRole('textbox', { name: 'Yarn name' }).fill('sand');
  await fitted(page, 'Side handles');
  await field(page, 'Rounds above it').fill('3');
  await sheet(page);
  await expect(page.getByText(/and sand held together: Chain \d+/)).toBeVisible();
  await expect(page.getByText(/sand \d+ g/).first()).toBeVisible();
  await page.goBack();
  await openStage(page, 'Fabric');
  await page.getByRole('button', { name: 'Remove yarn 2' }).click();
  await expect(page.getByRole('group', { name: 'Yarn 2', exact: true })).toHaveCount(0);
});

test('a sleeve that shows its other side is turned through, its opening edged in rounds that turn', async ({
  page,
  emptyServer,
}) => {
  await measured(page, emptyServer.url, 'Flat and boxy', 'tea tin');
  await fill(page, [
    ['Width', '70'],
    ['Height', '120'],
    ['Depth', '25'],
  ]);
  await page.getByRole('button', { name: 'Plan a cover' }).click();
  await openStage(page, 'Shape');
  await choose(page, 'Shape', 'Tube in the round');
  await page.getByRole('button', { name: 'Further choices' }).click();
  await choose(page, 'Outside is', 'the other side');
  await expect(page.getByText('outside is: the other side')).toBeVisible();
  await fitted(page, 'Edging');
  await field(page, 'Rounds').fill('2');
  await choose(page, 'Its rounds', 'are turned after each');
  await choose(page, 'Worked with', 'the inside facing');
  await sheet(page);
  await expect(page.getByText(/^Turn the tube inside out, the loop kept on the hook/)).toBeVisible();
  await expect(page.getByText(/^Turn\. Round 1: .* Turn\. Round 2: /)).toBeVisible();
  await expect(page.getByText(/^Lay the tube flat, the outside out/)).toBeVisible();
});
