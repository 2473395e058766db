import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Whatever the Tab key stops at says what it is. */
async function expectNamed(page: Page): Promise<void> {
  const nameless = await page.locator('[tabindex="0"], button, input, textarea, a[href]').evaluateAll((all) =>
    all
      .filter(
        (one) => one.getAttribute('tabindex') !== '-1' && one.checkVisibility() && !one.closest('[aria-hidden=true]'),
      )
      .filter((one) => {
        const labels = (one as HTMLInputElement).labels;
        const role = one.getAttribute('role') ?? one.tagName;
        // both ends of what keeps the focus in a window: from there it goes on within
        if (role === 'presentation') return false;
        // a box that holds what can be pressed is none itself; one that scrolls is scrolled by its keys
        const isBox = role === 'DIV' && one.scrollHeight <= one.clientHeight && one.scrollWidth <= one.clientWidth;
        const isNamed =
          one.getAttribute('aria-label') || one.getAttribute('aria-labelledby') || labels?.length || one.textContent;
        return isBox || !isNamed;
      })
      .map((one) => one.outerHTML.slice(0, 160)),
  );
  expect(nameless).toEqual([]);
}

/** Nothing serious stands in the way of those who use other means. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
  await expectNamed(page);
}
