import { createLane } from './lane';
import type { Question, Reckoned } from './work';

export { NobodyWaits, TooMuchToReckon } from './lane';

/** What a question may take of a processor, ms: whoever runs on a slow machine waits longer, and is answered. */
export const DEADLINE_MS: Readonly<Record<Question['is'], number>> = {
  reckon: 2000,
  chance: 2000,
  ways: 5000,
  mend: 5000,
  paper: 20_000,
  repeat: 5000,
};

/** What takes long has a lane of its own, so that nothing short waits for it. */
const LONG: ReadonlySet<Question['is']> = new Set(['ways', 'paper', 'repeat']);

/** Of the short ones two work side by side: one that has to be ended does not hold up the other. */
const THREADS = { short: 2, long: 1 } as const;

const WARM_AFTER_MS = 2000;

export interface Reckoner {
  /**
   * @param gone signalled where nobody waits for the answer any more: the work is ended
   * @throws TooMuchToReckon where it goes beyond its bounds, NobodyWaits where `gone` was signalled; the server goes on
   */
  reckon: (question: Question, gone?: AbortSignal) => Promise<Reckoned>;
  close: () => Promise<void>;
}

/**
 * Reckons in threads of its own, so that nothing asked of it holds up the others.
 * @param filename the thread's program
 * @param deadlines of processor time, ms
 */
export function createReckoner(filename: string, deadlines = DEADLINE_MS): Reckoner {
  const lanes = { short: createLane(filename, THREADS.short), long: createLane(filename, THREADS.long) };
  // what is asked of a server that has just started is seldom to be reckoned: it comes up the sooner
  const warming = setTimeout(() => Object.values(lanes).forEach(({ warm }) => warm()), WARM_AFTER_MS).unref();
  return {
    reckon: (question, gone) =>
      lanes[LONG.has(question.is) ? 'long' : 'short'].answer(question, deadlines[question.is], gone),
    close: async () => {
      clearTimeout(warming);
      await Promise.all(Object.values(lanes).map(({ close }) => close()));
    },
  };
}
