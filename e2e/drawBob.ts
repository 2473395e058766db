import type { Page } from '@playwright/test';

/** Draws a plumb bob to a place of the picture it hangs in, px of the picture. */
export async function drawBob(
  page: Page,
  name: string | RegExp,
  [x, y]: readonly [number, number],
  { width, height }: { width: number; height: number },
): Promise<void> {
  const frame = (await page.getByRole('img', { name: 'Your picture' }).boundingBox())!;
  const bob = (await page.getByRole('button', { name }).boundingBox())!;
  // the point it hangs from, at its top
  await page.mouse.move(bob.x + 24, bob.y + 12);
  await page.mouse.down();
  await page.mouse.move(frame.x + (x / width) * frame.width, frame.y + (y / height) * frame.height, { steps: 4 });
  await page.mouse.up();
}
