import { readFileSync, readlinkSync } from 'node:fs';

/**
 * The processor time a reckoning thread has taken, told across threads. A deadline counts this, never the clock: a slow or busy
 * machine answers late instead of not at all.
 *
 * Where the system tells no time of single threads (there is no `/proc`), the whole process's stands for it.
 */

/** Ticks of the kernel's accounting in a second: fixed for programs on Linux (proc(5), sysconf(_SC_CLK_TCK)). */
const TICKS_A_SECOND = 100;

/** Cells of what a thread writes when it begins: its number, 0 while it has not. */
const CELLS = 1;

/** Shared with the thread that takes a question up. */
export type Begun = Int32Array<SharedArrayBuffer>;

export const notBegun = (): Begun => new Int32Array(new SharedArrayBuffer(CELLS * Int32Array.BYTES_PER_ELEMENT));

/** Where the system does not number its threads. */
const UNNUMBERED = -1;

/** Called in a thread, as it takes a question up. */
export function begin(begun: Begun): void {
  Atomics.store(begun, 0, ownNumber());
}

function ownNumber(): number {
  try {
    return Number(readlinkSync('/proc/thread-self').split('/').at(-1)) || UNNUMBERED;
  } catch {
    return UNNUMBERED;
  }
}

/**
 * @param thread the number that a thread wrote
 * @returns the processor time it has taken since it was made, ms
 */
function spentBy(thread: number): number {
  try {
    const stat = readFileSync(`/proc/self/task/${thread}/stat`, 'latin1');
    // the name before may hold spaces and brackets; user and system time are the 12th and 13th after it
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return ((Number(fields[11]) + Number(fields[12])) * 1000) / TICKS_A_SECOND;
  } catch {
    const { user, system } = process.cpuUsage();
    return (user + system) / 1000;
  }
}

/**
 * A watch over one question: it counts from when a thread took it up.
 * @returns the processor time it has taken so far, ms; 0 while it waits for its thread
 */
export function watchOver(begun: Begun): () => number {
  let from: number | undefined;
  return () => {
    const thread = Atomics.load(begun, 0);
    if (thread === 0) return 0;
    const spent = spentBy(thread);
    from ??= spent;
    return spent - from;
  };
}
