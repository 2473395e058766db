import { readFile } from 'node:fs/promises';
import { expectAccessible } from '../accessible';
import { expect, PHONE_PLAN, test } from '../testServer';

interface Kept {
  body: { title: string };
}

test('a pattern leaves as PDF, drawing, Markdown and as a plan file, which comes back to an empty house', async ({
  page,
  server,
  emptyServer,
}) => {
  await page.goto(server.url + PHONE_PLAN.replace('plan', 'sheet'));
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const panel = page.getByRole('dialog', { name: 'Save as a file' });
  const save = async (what: string, kind: string) => {
    await panel.getByRole('radio', { name: what, exact: true }).click();
    await panel.getByRole('radio', { name: kind, exact: true }).click();
    const download = page.waitForEvent('download');
    await panel.getByRole('button', { name: 'Save', exact: true }).click();
    const file = await download;
    return { name: file.suggestedFilename(), path: (await file.path())! };
  };
  await expectAccessible(page);
  const pdf = await save('Pattern', 'PDF');
  expect(pdf.name).toBe('field-phone-pouch-pattern.pdf');
  expect((await readFile(pdf.path)).subarray(0, 5).toString()).toBe('%PDF-');
  const drawing = await save('Drawing: flat', 'SVG at true size');
  expect(drawing.name).toBe('field-phone-pouch-flat-true-size.svg');
  expect(await readFile(drawing.path, 'utf8')).toContain('<title>Field phone pouch: Flat</title>');
  const markdown = await save('Pattern', 'Markdown');
  expect(markdown.name).toBe('field-phone-pouch.md');
  expect(await readFile(markdown.path, 'utf8')).toContain('## Front');
  const plan = await save('Pattern', 'Plan file');
  const text = await readFile(plan.path, 'utf8');

  await page.goto(emptyServer.url);
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open plan files' }).click();
  await (
    await chosen
  ).setFiles([
    { name: plan.name, mimeType: 'application/json', buffer: Buffer.from(text) },
    { name: 'cut-off.json', mimeType: 'application/json', buffer: Buffer.from(text.slice(0, 200)) },
  ]);
  await expect(page.getByText('1 plan added')).toBeVisible();
  await expect(page.getByText(/does not hold JSON, or was cut off/)).toBeVisible();
  await expect
    .poll(async () => (await emptyServer.read<Kept[]>('/plans')).map(({ body }) => body.title))
    .toEqual(['Field phone pouch']);

  // pasted where nothing is typed it comes in as well, and one of a newer program is refused kindly
  await page.evaluate(
    (pasted) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text', pasted);
      document.dispatchEvent(new ClipboardEvent('paste', { clipboardData }));
    },
    text.replace('keep-snug.plan/1', 'keep-snug.plan/2'),
  );
  await expect(page.getByText(/It was made by a newer Keep Snug/)).toBeVisible();
  // dropped on the page it is opened too
  await page.evaluate(
    (dropped) => {
      const dataTransfer = new DataTransfer();
      dataTransfer.items.add(new File([dropped], 'dropped.json', { type: 'application/json' }));
      document.dispatchEvent(new DragEvent('drop', { dataTransfer, cancelable: true }));
    },
    text.replace('Field phone pouch', 'Dropped pouch'),
  );
  await expect(page.getByText('Dropped pouch').first()).toBeVisible();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page).toHaveURL(/\/plan\//);
});

test('a link to a plan opens it in another house, and a printed page carries it as a code', async ({
  page,
  context,
  server,
  emptyServer,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.goto(server.url + PHONE_PLAN.replace('plan', 'sheet'));
  await page.getByRole('button', { name: 'More: this pattern' }).click();
  await page.getByRole('menuitem', { name: /^Copy a link/ }).click();
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible();
  const link = await page.evaluate(() => navigator.clipboard.readText());
  expect(link.startsWith(`${server.url}/open#`)).toBe(true);
  await expect(page.getByRole('img', { name: 'Code that opens this plan' })).toBeHidden();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('img', { name: 'Code that opens this plan' })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  await page.goto(link.replace(server.url, emptyServer.url));
  await expect(page).toHaveURL(/\/plan\//);
  await expect.poll(async () => (await emptyServer.read<Kept[]>('/plans')).length).toBe(1);
  await page.goto(`${emptyServer.url}/open#cut%20off`);
  await page.reload();
  await expect(page.getByText(/holds no plan, or was cut off/)).toBeVisible();
});
