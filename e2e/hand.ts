import type { Locator, Page } from '@playwright/test';
import { field } from './testServer';

/** What a thumb does on a phone, counted: every tap, and every field that is typed into. */
export class Hand {
  taps = 0;
  fields = 0;
  readonly #since = Date.now();

  constructor(private readonly page: Page) {}

  /** Since it began, with all that the machine takes. */
  get seconds(): number {
    return Math.round((Date.now() - this.#since) / 1000);
  }

  async tap(target: Locator): Promise<void> {
    this.taps += 1;
    await target.click();
  }

  async press(name: string | RegExp, role: 'button' | 'radio' | 'link' = 'button'): Promise<void> {
    await this.tap(this.page.getByRole(role, typeof name === 'string' ? { name, exact: true } : { name }).first());
  }

  async type(label: string, text: string, within: Page | Locator = this.page): Promise<void> {
    this.fields += 1;
    const line =
      within === this.page ? field(this.page, label) : within.getByRole('textbox', { name: label, exact: true });
    await line.fill(text);
  }

  async choose(label: string, option: string): Promise<void> {
    await this.tap(this.page.getByRole('combobox', { name: label, exact: true }));
    await this.tap(this.page.getByRole('option', { name: option, exact: true }));
  }
}
