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

/**
 * @returns what is known of the file by and by: nothing, or once it was found, what is wrong
 * @throws StoreProblem where a file that is soon looked through is damaged
 */
export async function looked(file: string): Promise<() => StoreProblem | undefined> {
  let found: StoreProblem | undefined;
  const looking = lookThrough(file);
  if (statSync(file).size <= LOOKED_THROUGH_FIRST) await looking;
  else
    looking.catch((error: StoreProblem) => {
      found = error;
    });
  return () => found;
}
