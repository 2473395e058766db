import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { pathToFileURL } from 'node:url';
import { HOME } from '../settings';
import { DAMAGED, faultOf, FOLDER, GONE, NEWER, NO_PLACE, StoreProblem } from './trouble';

export interface Store {
  db: LibSQLDatabase;
  /** Runs a write after all earlier ones: SQLite takes one writer at a time. Reads do not queue. */
  write: <T>(work: () => Promise<T>) => Promise<T>;
  /**
   * Reads and writes.
   * @throws where either fails
   */
  check: () => Promise<void>;
  /** Writes what waits in the log into the file itself, and lets go of it. */
  close: () => Promise<void>;
}

const MIGRATIONS = `${HOME}server/drizzle`;

/**
 * Opens the SQLite file, creating it and its folder when missing, looks whether it is whole, and brings its tables up to
 * date.
 * @throws StoreProblem where the file cannot be used, with the remedy
 */
export async function openStore(file: string): Promise<Store> {
  try {
    return await opened(file);
  } catch (error) {
    const fault = faultOf(error);
    throw fault ? new StoreProblem(file, fault, { cause: error }) : error;
  }
}

async function opened(file: string): Promise<Store> {
  makeFolder(file);
  if (statSync(file, { throwIfNoEntry: false })?.isDirectory()) throw new StoreProblem(file, FOLDER);
  const client = createClient({ url: pathToFileURL(file).href, timeout: 5000 });
  try {
    await client.execute('PRAGMA journal_mode = WAL');
    await refuseDamaged(client, file);
    await refuseNewer(client, file);
    await client.execute('PRAGMA foreign_keys = OFF');
    const db = drizzle(client);
    await migrate(db, { migrationsFolder: MIGRATIONS });
    await client.execute('PRAGMA foreign_keys = ON');
    await writes(client);
    return { db, write: queue(), check: checking(client, file), close: closing(client) };
  } catch (error) {
    client.close();
    throw error;
  }
}

function makeFolder(file: string): void {
  try {
    mkdirSync(dirname(file), { recursive: true });
  } catch (error) {
    throw new StoreProblem(file, NO_PLACE, { cause: error });
  }
}

async function refuseDamaged(client: Client, file: string): Promise<void> {
  const { rows } = await client.execute('PRAGMA quick_check(1)');
  const first = String(Object.values(rows[0]!)[0]);
  if (first !== 'ok') throw new StoreProblem(file, DAMAGED(first));
}

/** Tables that a later program has changed would be written to as they were. */
async function refuseNewer(client: Client, file: string): Promise<void> {
  const { rows } = await client.execute("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'");
  if (rows.length === 0) return;
  const known = Math.max(...readMigrationFiles({ migrationsFolder: MIGRATIONS }).map((each) => each.folderMillis));
  const { rows: newer } = await client.execute({
    sql: 'SELECT 1 FROM __drizzle_migrations WHERE created_at > ?',
    args: [known],
  });
  if (newer.length > 0) throw new StoreProblem(file, NEWER);
}

/** Writes what stands there already, so that a full or guarded disk is noticed. */
async function writes(client: Client): Promise<void> {
  await client.execute('PRAGMA user_version = 0');
}

/** A file deleted under an open server goes on taking writes that nobody will find again. */
function checking(client: Client, file: string): Store['check'] {
  const { ino } = statSync(file);
  return async () => {
    if (statSync(file, { throwIfNoEntry: false })?.ino !== ino) throw new StoreProblem(file, GONE);
    await client.execute('SELECT count(*) FROM documents');
    await writes(client);
  };
}

function closing(client: Client): Store['close'] {
  return async () => {
    if (!client.closed) await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    client.close();
  };
}

function queue(): Store['write'] {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = last.then(work, work);
    last = next.catch(() => undefined);
    return next;
  };
}
