const TURN = 'keep-snug.exchange';

/** Held back where the browser has no locks to hold. */
let held = false;

/** Does its work when no tab holds the turn to speak with the server; otherwise not at all. */
export async function inTurn(work: () => Promise<void>): Promise<void> {
  const locks = globalThis.navigator?.locks;
  if (!locks) return held ? undefined : work();
  await locks.request(TURN, { ifAvailable: true }, (lock) => (lock ? work() : undefined));
}

/**
 * Takes the turn for as long as what was done may still be undone: nothing is sent or read meanwhile, by any tab. A tab
 * that is closed gives it back.
 * @returns what gives it back
 */
export async function holdTurn(): Promise<() => void> {
  const locks = globalThis.navigator?.locks;
  if (!locks) {
    held = true;
    return () => {
      held = false;
    };
  }
  return new Promise((granted) => {
    void locks.request(TURN, () => new Promise<void>((release) => granted(release)));
  });
}
