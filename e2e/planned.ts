import type { Page } from '@playwright/test';
import { choose, expect, field, measureAnew, openStage } from './testServer';

/** A thing of a kind begun anew, to be measured. */
export async function measured(page: Page, url: string, kind: string, name: string): Promise<void> {
  await page.goto(url);
  await measureAnew(page);
  await page.getByRole('radio', { name: kind, exact: true }).click();
  await field(page, 'Name').fill(name);
}

/** Bands one after the other, each in its stitch, for so many rows or for what is left. */
export async function bands(
  page: Page,
  list: readonly (readonly [stitch: string, rows: number | 'fill', colour?: string])[],
  worked: 'rows' | 'rounds' = 'rows',
): Promise<void> {
  await openStage(page, 'Fabric');
  await page.getByRole('button', { name: 'Several stitches' }).click();
  for (const _more of list.slice(2)) await page.getByRole('button', { name: 'Add a band' }).click();
  for (const [index, [stitch, rows, colour]] of list.entries()) {
    const band = `band ${index + 1}`;
    await choose(page, `Stitch of ${band}`, stitch);
    await choose(page, `Length of ${band}`, rows === 'fill' ? 'what is left' : `so many ${worked}`);
    if (rows !== 'fill') await field(page, `${worked === 'rows' ? 'Rows' : 'Rounds'} of ${band}`).fill(String(rows));
    if (colour) await field(page, `Colour of ${band}`).fill(colour);
  }
}

/** A fitting added to the plan. */
export async function fitted(page: Page, name: string): Promise<void> {
  await openStage(page, 'Fittings');
  await choose(page, 'Add a fitting', name);
}

/** The written pattern. */
export const sheet = async (page: Page) => {
  await page.getByRole('button', { name: 'Pattern', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
};
