import { anyScene, cardTaps, rendered, thingTaps, type Scene } from '../../core/src/craft/photograph/fixtures/scene';
import { expectAccessible } from '../accessible';
import { drawBob } from '../drawBob';
import { greyPng } from '../greyPng';
import { expect, test } from '../testServer';

const SCENE: Scene = {
  ...anyScene(4),
  width: 1200,
  height: 900,
  tilt: 18,
  shadow: 0.2,
  thing: { long: 150, wide: 64, high: 12, corner: 4, dark: 45 },
};

test('a phone’s length is measured in a picture with a card beside it, and filled in with how sure it is', async ({
  page,
  server,
}) => {
  await page.setViewportSize({ width: 1280, height: 900 });
  await page.goto(`${server.url}/new`);
  await page.getByRole('button', { name: 'Measure from a photograph' }).click();
  const room = page.getByRole('dialog');
  const chosen = page.waitForEvent('filechooser');
  await room.getByRole('button', { name: 'Choose a picture' }).click();
  const png = greyPng(rendered(SCENE, 4));
  await (await chosen).setFiles([{ name: 'table.png', mimeType: 'image/png', buffer: png }]);
  const picture = room.getByRole('img', { name: 'Your picture' });
  await expect(picture).toBeVisible();

  // before the card is pointed at, its edges are nowhere near
  const corners = cardTaps(SCENE, () => 0);
  for (const [index, name] of ['First', 'Second', 'Third', 'Fourth'].entries())
    await drawBob(
      page,
      new RegExp(`^${name} corner of the card`),
      [corners[index]![0] + 3, corners[index]![1] - 3],
      SCENE,
    );
  await room.getByRole('button', { name: 'Find the card’s edges' }).click();
  await expect(room.getByText(/Its edges are found/)).toBeVisible();
  await room.getByRole('button', { name: 'Measure the item' }).click();
  await room.getByRole('textbox', { name: /How high above the card/ }).fill('12 mm');
  for (const [index, place] of thingTaps(SCENE, () => 0).entries())
    await drawBob(page, new RegExp(`^Mark ${index + 1} on the item`), place, SCENE);
  await expect(room.getByText(/^Length: 1(49|50|51)/)).toBeVisible();
  await expect(room.getByText(/give or take/)).toBeVisible();
  await expectAccessible(page);
  await room.getByRole('combobox', { name: 'Length is for' }).click();
  await page.getByRole('option', { name: 'Height' }).click();
  await room.getByRole('button', { name: 'Use length' }).click();
  await expect(room.getByText(/Filled in as Height, measured from a photograph/)).toBeVisible();
  await room.getByRole('button', { name: 'Close' }).click();
  const height = Number((await page.getByRole('textbox', { name: /^Height/ }).inputValue()).replace(/[^\d.]/g, ''));
  expect(Math.abs(height - 150)).toBeLessThan(2);
});

test('what is no picture is told with what to do', async ({ page, server }) => {
  await page.goto(`${server.url}/new`);
  await page.getByRole('button', { name: 'Measure from a photograph' }).click();
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a picture' }).click();
  await (await chosen).setFiles([{ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') }]);
  await expect(page.getByText(/“notes.png” cannot be opened as a picture here/)).toBeVisible();
});
