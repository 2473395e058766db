import { Piscina } from 'piscina';
import type { Question, Reckoned } from './work';

/** From the start of the work, ms. */
export const DEADLINE_MS: Readonly<Record<Question['is'], number>> = {
  reckon: 2000,
  chance: 2000,
  ways: 5000,
  mend: 5000,
  paper: 20_000,
  repeat: 5000,
};

/** One works, one is kept ready for when the other has to be ended. */
const THREADS = 2;
/** More wait than could be answered before whoever asked has gone. */
const MOST_WAITING = 200;
const WARM_AFTER_MS = 2000;
const MEMORY = { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 64 } as const;

/** The reckoning took longer, or more memory, than anything that a maker would ask for. */
export class TooMuchToReckon extends Error {}

export interface Reckoner {
  /** @throws TooMuchToReckon where it goes beyond its bounds; the server goes on */
  reckon: (question: Question) => Promise<Reckoned>;
  close: () => Promise<void>;
}

/**
 * Reckons in threads of its own, so that nothing asked of it holds up the others.
 * @param filename the thread's program
 * @param deadlines when to give up, ms
 */
export function createReckoner(filename: string, deadlines = DEADLINE_MS): Reckoner {
  let threads: Piscina | undefined;
  const pool = () =>
    (threads ??= new Piscina({ filename, minThreads: THREADS, maxThreads: THREADS, resourceLimits: MEMORY }));
  // what is asked of a server that has just started is seldom to be reckoned: it comes up the sooner
  const warming = setTimeout(pool, WARM_AFTER_MS).unref();
  const waiting: (() => void)[] = [];
  let working = 0;

  /** The deadline counts from the start of the work: what waits is held back here. */
  async function turn(): Promise<void> {
    if (working < THREADS) {
      working += 1;
      return;
    }
    if (waiting.length >= MOST_WAITING) throw new TooMuchToReckon();
    await new Promise<void>((resolve) => waiting.push(resolve));
  }

  function done(): void {
    const next = waiting.shift();
    if (next) next();
    else working -= 1;
  }

  return {
    reckon: async (question) => {
      await turn();
      try {
        return (await pool().run(question, { signal: AbortSignal.timeout(deadlines[question.is]) })) as Reckoned;
      } catch (error) {
        throw beyondBounds(error) ? new TooMuchToReckon(undefined, { cause: error }) : error;
      } finally {
        done();
      }
    },
    close: async () => {
      clearTimeout(warming);
      await threads?.destroy();
    },
  };
}

function beyondBounds(error: unknown): boolean {
  const { name, code } = error as { name?: string; code?: string };
  return name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY';
}
