const LONGEST_MS = 2000;

/** Until nothing more pressing is to be done: what is looked at is drawn first. */
export function whenIdle(): Promise<unknown> {
  return new Promise((resolve) => {
    if (globalThis.requestIdleCallback) globalThis.requestIdleCallback(resolve, { timeout: LONGEST_MS });
    else setTimeout(resolve);
  });
}
