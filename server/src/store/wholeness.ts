import Database from 'libsql/promise';
import { statSync } from 'node:fs';
import { DAMAGED, faultOf, StoreProblem } from './trouble';

/** A file larger than this is looked through while it is already used: that takes seconds. */
const LOOKED_THROUGH_FIRST = 64_000_000;

/** Looks whether every page of a file is as it should be, beside everything else. */
async function lookThrough(file: string): Promise<void> {
  const db = new Database(file, {});
  try {
    const statement = await db.prepare('PRAGMA quick_check(1)');
    const [row] = (await statement.all()) as Record<string, unknown>[];
    const first = String(Object.values(row ?? {})[0]);
    if (first !== 'ok') throw new StoreProblem(file, DAMAGED(first));
  } catch (error) {
    const fault = faultOf(error);
    throw fault ? new StoreProblem(file, fault, { cause: error }) : error;
  } finally {
    db.close();
  }
}

/** What is known of a file is looked at again after so long, ms. */
const AGAIN_AFTER_MS = 600_000;

interface Wholeness {
  /** What is wrong with the file, as far as it is known; looked into first where there is doubt. */
  known: () => Promise<StoreProblem | undefined>;
  /** Something failed that should not have: what was known before no longer stands. */
  doubt: () => void;
}

/**
 * @returns what is known of the file by and by
 * @throws StoreProblem where a file that is soon looked through is damaged
 */
export async function looked(file: string): Promise<Wholeness> {
  let found: StoreProblem | undefined;
  let at = 0;
  let looking: Promise<void> | undefined;
  let doubted = false;
  const look = (): Promise<void> =>
    (looking ??= lookThrough(file)
      .then(
        () => (found = undefined),
        (error: StoreProblem) => (found = error),
      )
      .then(() => {
        [at, looking, doubted] = [Date.now(), undefined, false];
      }));
  const isSoon = () => (statSync(file, { throwIfNoEntry: false })?.size ?? 0) <= LOOKED_THROUGH_FIRST;
  const first = look();
  if (isSoon()) await first;
  if (found) throw found;
  return {
    known: async () => {
      if (doubted || Date.now() - at > AGAIN_AFTER_MS) {
        const again = look();
        // a large file goes on being looked through beside everything else
        if (isSoon()) await again;
      }
      return found;
    },
    doubt: () => {
      doubted = true;
    },
  };
}
