import { Piscina } from 'piscina';
import { notBegun, watchOver } from './processorTime';
import type { Question, Reckoned } from './work';

/** The reckoning took longer, or more memory, than anything that a maker would ask for. */
export class TooMuchToReckon extends Error {}

/** Whoever asked has gone: there is nobody to answer. */
export class NobodyWaits extends Error {}

/** More wait than could be answered before whoever asked has gone. */
const MOST_WAITING = 200;
const MEMORY = { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 64 } as const;
/** So often it is looked how much a question has taken. */
const LOOK_EVERY_MS = 50;

/** Threads that take up questions of one sort, one after another. */
interface Lane {
  /** Brings its threads up before anything is asked. */
  warm: () => void;
  /**
   * @param deadlineMs of processor time, from when a thread takes the question up
   * @throws TooMuchToReckon beyond the bounds, NobodyWaits where `gone` was signalled
   */
  answer: (question: Question, deadlineMs: number, gone?: AbortSignal) => Promise<Reckoned>;
  close: () => Promise<void>;
}

/** @param filename the threads' program */
export function createLane(filename: string, threads: number): Lane {
  let made: Piscina | undefined;
  const pool = () =>
    (made ??= new Piscina({ filename, minThreads: threads, maxThreads: threads, resourceLimits: MEMORY }));
  const waiting = new Set<() => void>();
  let working = 0;

  /** What waits is held back here, so that whoever hangs up while waiting takes no thread at all. */
  async function turn(gone: AbortSignal | undefined): Promise<void> {
    if (gone?.aborted) throw new NobodyWaits();
    if (working < threads) {
      working += 1;
      return;
    }
    if (waiting.size >= MOST_WAITING) throw new TooMuchToReckon();
    await new Promise<void>((resolve, reject) => {
      const leave = () => {
        waiting.delete(come);
        reject(new NobodyWaits());
      };
      const come = () => {
        gone?.removeEventListener('abort', leave);
        resolve();
      };
      gone?.addEventListener('abort', leave, { once: true });
      waiting.add(come);
    });
  }

  function done(): void {
    const [next] = waiting;
    if (!next) {
      working -= 1;
      return;
    }
    waiting.delete(next);
    next();
  }

  async function run(question: Question, deadlineMs: number, gone: AbortSignal | undefined): Promise<Reckoned> {
    const begun = notBegun();
    const spent = watchOver(begun);
    const late = new AbortController();
    const looking = setInterval(() => {
      if (spent() > deadlineMs) late.abort();
    }, LOOK_EVERY_MS);
    const signal = gone ? AbortSignal.any([gone, late.signal]) : late.signal;
    try {
      return (await pool().run({ question, begun }, { signal })) as Reckoned;
    } catch (error) {
      if (gone?.aborted) throw new NobodyWaits();
      throw beyondBounds(error) ? new TooMuchToReckon(undefined, { cause: error }) : error;
    } finally {
      clearInterval(looking);
    }
  }

  return {
    warm: () => void pool(),
    answer: async (question, deadlineMs, gone) => {
      await turn(gone);
      try {
        return await run(question, deadlineMs, gone);
      } finally {
        done();
      }
    },
    close: async () => made?.destroy(),
  };
}

function beyondBounds(error: unknown): boolean {
  const { name, code } = error as { name?: string; code?: string };
  return name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY';
}
