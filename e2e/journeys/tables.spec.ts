import { readFile } from 'node:fs/promises';
import { expectAccessible } from '../accessible';
import { expect, test } from '../testServer';

interface Kept {
  body: { name: string };
}

test('things leave as a table, are changed in it, and come into another house row by row', async ({
  page,
  server,
  emptyServer,
}) => {
  await page.goto(`${server.url}/settings`);
  await page.getByRole('button', { name: 'Tables for a spreadsheet (CSV)' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Things as CSV' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('keep-snug-things.csv');
  const lines = (await readFile((await file.path())!, 'utf8')).split('\r\n').filter(Boolean);
  const many = lines.length - 1;

  await page.goto(`${emptyServer.url}/tables`);
  // one of them is spoilt: its width is no number any more
  const spoilt = lines.map((line, index) => (index === 1 ? line.replace(',78,', ',seventy-eight,') : line));
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a CSV of Things' }).click();
  await (
    await chosen
  ).setFiles([{ name: 'things.csv', mimeType: 'text/csv', buffer: Buffer.from(spoilt.join('\r\n')) }]);
  await expect(page.getByText(/were recognised/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Check the rows' }).click();
  await expect(page.getByText(/“seventy-eight” is not a length/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: `Bring in ${many - 1} rows` }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect.poll(async () => (await emptyServer.read<Kept[]>('/things')).length).toBe(many - 1);
  await page.getByRole('textbox', { name: 'width (mm)' }).fill('7,8 cm');
  await page.getByRole('button', { name: 'Bring in 1 row' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect.poll(async () => (await emptyServer.read<Kept[]>('/things')).length).toBe(many);
  expect(await emptyServer.read<Kept[]>('/things')).toContainEqual(
    expect.objectContaining({ body: expect.objectContaining({ name: 'field phone in its bumper' }) }),
  );
});
