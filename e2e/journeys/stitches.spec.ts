import {
  BOTH_SIZES,
  choose,
  expect,
  field,
  openStage,
  unfold,
  PHONE_MAKE,
  PHONE_PLAN,
  planAt,
  test,
  tick,
} from '../testServer';

interface Kept<T> {
  body: T;
}

test(
  'a maker meets a word in the counter room, opens it, steps through it and goes on',
  BOTH_SIZES,
  async ({ page, server }) => {
    // the same pouch, in spike stitches
    const plan = (await server.read<Kept<object>>(`/plans/${PHONE_PLAN.split('/').at(-1)!}`)).body;
    await page.goto(server.url + PHONE_PLAN);
    await openStage(page, 'Fabric');
    await choose(page, 'Stitch', 'single and spike stitches');
    await page.getByRole('button', { name: 'How it is worked' }).click();
    await expect(page.getByRole('heading', { name: 'Spike stitch' })).toBeVisible();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await expect
      .poll(async () => (await server.read<Kept<object>>(`/plans/${PHONE_PLAN.split('/').at(-1)!}`)).body)
      .not.toEqual(plan);

    await page.goto(server.url + planAt(2));
    await openStage(page, 'Fabric');
    await choose(page, 'Stitch', 'single and spike stitches');
    await page.getByRole('button', { name: 'Start making' }).click();
    await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
    await tick(page, 'Chain done');
    await tick(page, 'Row 1 done');
    const word = page.getByRole('button', { name: 'spike stitch: how it is done' });
    await word.click();
    await expect(page.getByText('Begin with 1 loop on the hook.')).toBeVisible();
    await page.getByRole('button', { name: 'Next', exact: true }).click();
    await expect(page.getByText(/one row down/)).toBeVisible();
    // the arrows step on as well, and no row is counted by them
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText('Move 2 of 3')).toBeVisible();
    await page.keyboard.press('ArrowLeft');
    await expect(page.getByText('Move 1 of 3')).toBeVisible();
    // a word in it leads on, and back
    await page.getByRole('tab', { name: 'Back loop' }).click();
    await expect(page.getByText('The strand farther from you.')).toBeVisible();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await expect(page.getByRole('heading', { name: /^Row 2 of/ })).toBeVisible();
    await tick(page, 'Row 2 done');
    await expect(page.getByRole('heading', { name: /^Row 3 of/ })).toBeVisible();
  },
);

test('every stitch is found by a word of it, and a practice swatch becomes the gauge of a plan', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/things`);
  await page.getByRole('button', { name: 'Stitches: how each is worked' }).click();
  const search = page.getByRole('searchbox', { name: 'Search stitches' });
  // one line, wherever it stands
  expect((await search.boundingBox())!.height).toBeLessThan(60);
  expect((await page.getByRole('heading', { level: 2 }).first().boundingBox())!.y).toBeLessThan(260);
  await search.fill('crab');
  await page.getByRole('button', { name: 'Reverse single crochet' }).click();
  await expect(page.getByText(/Also called: crab stitch/)).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByRole('searchbox', { name: 'Search stitches' }).fill('quilting');
  await expect(page.getByText(/Nothing here is called “quilting”/)).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search stitches' }).fill('half double');
  await page.getByRole('button', { name: 'Half double crochet', exact: true }).click();
  await page.getByRole('button', { name: 'Practise it on a swatch' }).click();
  await choose(page, 'Yarn', 'slate wool');
  await page.getByRole('button', { name: 'Start the swatch' }).click();
  await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
  await tick(page, 'Chain done');
  for (let row = 1; row <= 12; row += 1) await tick(page, `Row ${row} done`);
  for (let step = 0; step < 3; step += 1) await tick(page, 'Done');
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  await page.getByRole('button', { name: 'Save as a swatch' }).click();
  await expect(page.getByText(/Nothing is measured yet/)).toBeVisible();
  await field(page, 'Their width').fill('58 mm');
  await field(page, 'Their height').fill('62 mm');
  await page.getByRole('button', { name: 'Save as a swatch' }).click();
  await expect
    .poll(async () =>
      (await server.read<Kept<{ stitch: string; gauge: object }>[]>('/swatches')).map(({ body }) => body),
    )
    .toContainEqual(
      expect.objectContaining({
        stitch: 'half-double',
        gauge: {
          stitches: [{ count: 10, overMm: 58, by: 'tape' }],
          rows: [{ count: 8, overMm: 62, by: 'tape' }],
        },
      }),
    );

  // a plan in that yarn and stitch is sized by it
  await page.goto(server.url + planAt(2));
  await openStage(page, 'Fabric');
  await choose(page, 'Stitch', 'half double crochet');
  await unfold(page, 'Measure a swatch');
  await choose(page, 'Swatch', 'half double crochet on 4 mm');
  await expect(page.getByRole('button', { name: /^Stitches to 10 cm: 17\. Workings/ })).toBeVisible();
});

test('the sheet is read short in UK terms, with only the abbreviations it uses, and charted', async ({
  page,
  server,
}) => {
  await page.goto(server.url + PHONE_PLAN.replace('plan', 'sheet'));
  await expect(page.getByText(/Single crochet in the 2nd chain from the hook/)).toBeVisible();
  await page.getByRole('radio', { name: 'UK' }).click();
  await page.getByRole('radio', { name: 'Short' }).click();
  await expect(page.getByText('Dc in 2nd ch from hook and in each ch across, turn. (16 sts)')).toBeVisible();
  await expect(page.getByText('Ch 1, dc in each st across, turn. (16 sts)').first()).toBeVisible();
  const sheet = (await page.getByRole('main').innerText()).replace(/\s+/g, ' ');
  // but for the line that tells one language in the other
  expect(sheet.replace('US single crochet', '')).not.toMatch(/single crochet|\bskip\b|\bgauge\b|\bhtr\b/i);
  expect(sheet).toContain('Written in UK crochet terms (UK double crochet = US single crochet).');
  await expect(page.getByRole('img', { name: 'Chart, rows 1 to 12' })).toBeVisible();
  await page.getByRole('button', { name: 'Rows after' }).click();
  await expect(page.getByRole('img', { name: 'Chart, rows 13 to 24' })).toBeVisible();
  // the style stays where it was set
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByText(/dc in each st across/).first()).toBeVisible();
  await page.getByRole('button', { name: 'More: this make' }).click();
  await page.getByRole('menuitem', { name: /^Chart/ }).click();
  await expect(page.getByRole('img', { name: /^Chart, rows/ })).toBeVisible();
});
