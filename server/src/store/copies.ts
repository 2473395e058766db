import { createClient, type Client } from '@libsql/client';
import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { openStore } from './database';
import { inspected, refuseHostile, type Unreadable } from './inspect';
import { house } from './schema';
import { faultOf, StoreProblem } from './trouble';

const TAKEN = 'is there already. Name a file that is not, so that nothing is written over.';
const MISSING = 'is not there. Name the file that a backup was written to.';
const NOT_YET = 'is not there yet: there is nothing to back up.';
const HELD = 'is in use. Stop the server first, then bring the backup back.';

/** What came of a backup that was brought back. */
export interface BroughtBack {
  aside: string | undefined;
  unreadable: readonly Unreadable[];
}

const LISTED = 5;

const UNREADABLE = (all: readonly Unreadable[]): string => {
  const listed = all.slice(0, LISTED).map(({ kind, id, why }) => `\n  ${kind} ${id}: ${why}`);
  const more = all.length > LISTED ? `\n  and ${all.length - LISTED} more` : '';
  return `holds ${all.length === 1 ? 'an entry' : `${all.length} entries`} that cannot be read; nothing was replaced.${listed.join('')}${more}\nTo bring back all the rest: ./snug restore FILE --even-so`;
};

const clientOf = (file: string) => createClient({ url: pathToFileURL(file).href, timeout: 2000 });

/** Files of SQLite's own beside the one that is named. */
const ENDS = ['', '-wal', '-shm'];

/**
 * Writes a whole copy of a store into a file that is not there yet; the server may run meanwhile.
 * @returns its size in bytes
 * @throws StoreProblem with the remedy
 */
export async function backUp(from: string, into: string): Promise<number> {
  if (!existsSync(from)) throw new StoreProblem(from, NOT_YET);
  if (existsSync(into)) throw new StoreProblem(into, TAKEN);
  const half = `${into}.half`;
  rmSync(half, { force: true });
  await using(from, (client) => client.execute({ sql: 'VACUUM INTO ?', args: [half] }), half);
  renameSync(half, into);
  return statSync(into).size;
}

/**
 * Puts a backup in a store's place. It is looked through first and gets a name of its own, so that devices offer anew
 * what came after it; the file so far is laid aside, whole.
 * @param evenSo where entries that cannot be read are no reason to leave it
 * @returns where the file so far lies now, nothing where there was none; and what of the backup cannot be read
 * @throws StoreProblem with the remedy; nothing is changed then
 */
export async function bringBack(from: string, into: string, now: Date, evenSo = false): Promise<BroughtBack> {
  if (!existsSync(from)) throw new StoreProblem(from, MISSING);
  const fresh = `${into}.fresh`;
  try {
    removed(fresh);
    copyFileSync(from, fresh);
    // what was written last may still lie in the log beside it
    if (existsSync(`${from}-wal`)) copyFileSync(`${from}-wal`, `${fresh}-wal`);
    await refuseHostile(fresh);
    await renamed(fresh);
    const unreadable = await inspected(fresh);
    if (unreadable.length > 0 && !evenSo) throw new StoreProblem(from, UNREADABLE(unreadable));
    const aside = existsSync(into) ? await laidAside(into, now) : undefined;
    renameSync(fresh, into);
    return { aside, unreadable };
  } catch (error) {
    const ofCopy = error instanceof StoreProblem && error.file === fresh;
    throw ofCopy ? new StoreProblem(from, error.fault, { cause: error }) : error;
  } finally {
    removed(fresh);
  }
}

function removed(file: string): void {
  for (const end of ENDS) rmSync(file + end, { force: true });
}

/** Looks a copy through by opening it, and gives its history another name. */
async function renamed(file: string): Promise<void> {
  const store = await openStore(file);
  await store.db.update(house).set({ store: randomUUID() });
  await store.close();
}

async function laidAside(file: string, now: Date): Promise<string> {
  const aside = `${file}.${now.toISOString().slice(0, 19).replace(/[-:]/g, '').replace('T', '-')}`;
  // leaving the log behind is allowed to whoever is alone with the file
  await using(file, (client) => client.execute('PRAGMA journal_mode = DELETE')).catch((error: unknown) => {
    if (faultOf(error) === undefined && !/locked/.test(String(error))) throw error;
    throw new StoreProblem(file, HELD, { cause: error });
  });
  for (const end of ENDS) if (existsSync(file + end)) renameSync(file + end, aside + end);
  return aside;
}

async function using(file: string, work: (client: Client) => Promise<unknown>, named = file): Promise<void> {
  const client = clientOf(file);
  try {
    await work(client);
  } catch (error) {
    const fault = faultOf(error);
    throw fault ? new StoreProblem(named, fault, { cause: error }) : error;
  } finally {
    client.close();
  }
}
