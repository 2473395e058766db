import type { Page } from '@playwright/test';
import { BOTH_SIZES, expect, PHONE_MAKE, test } from '../testServer';

/** Tabs on until the control of that name has the focus. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let step = 0; step < 120; step += 1) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const at = document.activeElement;
      return at?.getAttribute('aria-label') ?? at?.textContent ?? '';
    });
    if (typeof name === 'string' ? label === name : name.test(label)) return;
  }
  throw new Error(`no way to ${String(name)} by the Tab key`);
}

test('a plan, from its thing to a ticked row, without a pointer', async ({ page, emptyServer }) => {
  await page.goto(emptyServer.url);
  await page.getByRole('button', { name: 'New plan' }).waitFor();
  await tabTo(page, 'New plan');
  await page.keyboard.press('Enter');
  await tabTo(page, /something else/i);
  await page.keyboard.press('Enter');
  await tabTo(page, 'Name');
  await page.keyboard.type('ring box');
  for (const [name, size] of [
    ['Width', '60'],
    ['Height', '90'],
    ['Depth', '12'],
  ] as const) {
    await tabTo(page, name);
    await page.keyboard.type(size);
  }
  // Enter in any line does what the button does
  await page.keyboard.press('Enter');
  await expect(page.getByRole('img', { name: /laid flat/ })).toBeVisible();

  await tabTo(page, 'Fit');
  await page.keyboard.press('Enter');
  // radios are one stop: the arrows choose among them
  await tabTo(page, 'snug');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'slides', exact: true })).toBeChecked();
  await tabTo(page, 'Ease (around), in percent');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('set by you', { exact: true })).toBeVisible();
  await tabTo(page, /^Inside circumference/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('inside = 2F − πt')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('inside = 2F − πt')).toHaveCount(0);

  await page.keyboard.press('Shift+Tab');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await tabTo(page, 'Start making');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: /^Row 2 of/ })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('heading', { name: /^Row 1 of/ })).toBeVisible();
});

test('a note is written from the keyboard and comes up at its row', BOTH_SIZES, async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
  await page.keyboard.type('a knot to hide');
  await page.getByRole('button', { name: 'Save note' }).click();
  await expect(page.getByText('a knot to hide')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByText('next row')).toBeVisible();
});

test('Enter and Space on the target, one upon the other, tick and break nothing', async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  const target = page.getByRole('button', { name: /^Row \d+ done$/ });
  const before = Number(/\d+/.exec((await target.getAttribute('aria-label'))!)![0]);
  await target.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  // the second key is a trembling hand, or a row of its own where the machine was slow between them
  const then = new RegExp(`^Row (${before + 1}|${before + 2}) done$`);
  await expect(page.getByRole('button', { name: then })).toBeVisible();
});
