import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { HOME } from '../settings';

export interface Store {
  db: LibSQLDatabase;
  /** Runs a write after all earlier ones: SQLite takes one writer at a time. Reads do not queue. */
  write: <T>(work: () => Promise<T>) => Promise<T>;
  /** Writes what waits in the log into the file itself, and lets go of it. */
  close: () => Promise<void>;
}

const MIGRATIONS = `${HOME}server/drizzle`;

/** Opens the SQLite file, creating it and its folder when missing, and brings its tables up to date. */
export async function openStore(file: string): Promise<Store> {
  mkdirSync(dirname(file), { recursive: true });
  const client: Client = createClient({ url: `file:${file}`, timeout: 5000 });
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA foreign_keys = OFF');
  const db = drizzle(client);
  await migrate(db, { migrationsFolder: MIGRATIONS });
  await client.execute('PRAGMA foreign_keys = ON');
  const close = async () => {
    if (!client.closed) await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    client.close();
  };
  return { db, write: queue(), close };
}

function queue(): Store['write'] {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = last.then(work, work);
    last = next.catch(() => undefined);
    return next;
  };
}
