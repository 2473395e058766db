import { expectAccessible } from '../accessible';
import { BOTH_SIZES, choose, expect, field, leadTo, planAt, test } from '../testServer';

interface Kept {
  id: string;
  body: { batch?: { variant: string }; title: string };
}

test(
  'a batch of three: sizes and yarns, what to buy, one begun and seen done',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + planAt(15));
    await leadTo(page, 'Make several');
    await expect(page.getByRole('img', { name: '0 of 2 pieces done' })).toBeVisible();
    await field(page, 'Name of the batch').fill('Three for the wardens');
    await field(page, 'How many of 1').fill('1');
    for (const [index, yarn] of ['slate wool', 'kelp cotton cord'].entries()) {
      await page.getByRole('button', { name: 'Add a size or yarn' }).click();
      await choose(page, `Yarn of ${index + 2}`, yarn);
      await field(page, `Name of ${index + 2}`).fill(`in ${yarn}`);
    }
    await expect(page.getByRole('img', { name: '0 of 3 pieces done' })).toBeVisible();
    await expect(page.getByText(/^(\d+ balls?|you have enough)$/)).toHaveCount(3);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Start in slate wool' }).click();
    await expect(page).toHaveURL(/\/make\//);
    const id = page.url().split('/').at(-1)!;
    await expect
      .poll(async () => (await server.read<Kept[]>('/makes')).find((make) => make.id === id)?.body.title)
      .toBe('Three for the wardens: in slate wool');
    await server.happened(id, [{ kind: 'finished', fits: 'right' }]);
    await page.goto(server.url);
    await page.getByRole('button', { name: 'Open the batch: Three for the wardens' }).click();
    await expect(page.getByRole('img', { name: '1 of 3 pieces done' })).toBeVisible();
  },
);
