import type { ThingDraft } from '@keep-snug/core';
import { smallStorage } from '@/platform/storage';

const LEFT = 'keep-snug.left';

/** Sets down what is being measured while a page is left: there is no time then for this device's store. */
export function leaveDraft(draft: ThingDraft): void {
  try {
    smallStorage().setItem(LEFT, JSON.stringify(draft));
  } catch {
    // a full storage keeps the last one that was written down
  }
}

/** The store has it, or a later one. */
export const forgetLeftDraft = () => smallStorage().removeItem(LEFT);

/** What a page that was left had set down and the store may not have. */
export function leftDraft(): ThingDraft | undefined {
  const text = smallStorage().getItem(LEFT);
  try {
    return text === null ? undefined : (JSON.parse(text) as ThingDraft);
  } catch {
    return undefined;
  }
}
