import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { randomUUID } from 'node:crypto';
import { mkdirSync, statfsSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { pathToFileURL } from 'node:url';
import { HOME } from '../settings';
import { house } from './schema';
import { faultOf, FOLDER, FULL, GONE, NEWER, NO_PLACE, StoreProblem } from './trouble';
import { looked } from './wholeness';

export interface Store {
  db: LibSQLDatabase;
  /** The name of the file's history: a copy brought back bears another. */
  name: string;
  /** Runs a write after all earlier ones: SQLite takes one writer at a time. Reads do not queue. */
  write: <T>(work: () => Promise<T>) => Promise<T>;
  /**
   * Writes.
   * @throws where either fails
   */
  check: () => Promise<void>;
  /** Writes what waits in the log into the file itself, and lets go of it. */
  close: () => Promise<void>;
}

/** With less room than this on its disk a store is not well: small writes still fit where a plan does not. */
const LEAST_ROOM = 1_000_000;

const MIGRATIONS = `${HOME}server/drizzle`;

/** A libSQL server, where a house has outgrown one file. */
export interface Address {
  url: string;
  authToken?: string;
}

/**
 * Opens the SQLite file, creating it and its folder when missing, looks whether it is whole, and brings its tables up to
 * date; or does the same on a libSQL server, which looks after its files itself.
 * @throws StoreProblem where it cannot be used, with the remedy
 */
export async function openStore(place: string | Address): Promise<Store> {
  const named = typeof place === 'string' ? place : place.url;
  try {
    return typeof place === 'string' ? await openFile(place) : await openServer(place);
  } catch (error) {
    const fault = faultOf(error);
    throw fault ? new StoreProblem(named, fault, { cause: error }) : error;
  }
}

async function openFile(file: string): Promise<Store> {
  makeFolder(file);
  if (statSync(file, { throwIfNoEntry: false })?.isDirectory()) throw new StoreProblem(file, FOLDER);
  const client = createClient({ url: pathToFileURL(file).href, timeout: 5000 });
  return closedOnFailure(client, async () => {
    await client.execute('PRAGMA journal_mode = WAL');
    const damage = await looked(file);
    const store = await brought(client, file);
    const { ino } = statSync(file);
    return {
      ...store,
      check: async () => {
        // a file deleted under an open server goes on taking writes that nobody will find again
        if (statSync(file, { throwIfNoEntry: false })?.ino !== ino) throw new StoreProblem(file, GONE);
        const found = damage();
        if (found) throw found;
        const { bavail, bsize } = statfsSync(dirname(file));
        if (bavail * bsize < LEAST_ROOM) throw new StoreProblem(file, FULL);
        await store.check();
      },
      close: async () => {
        if (!client.closed) await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
        client.close();
      },
    };
  });
}

async function openServer(address: Address): Promise<Store> {
  const client = createClient(address);
  return closedOnFailure(client, () => brought(client, address.url));
}

async function closedOnFailure(client: Client, open: () => Promise<Store>): Promise<Store> {
  try {
    return await open();
  } catch (error) {
    client.close();
    throw error;
  }
}

/** Tables brought up to date, the house named. */
async function brought(client: Client, place: string): Promise<Store> {
  await refuseNewer(client, place);
  await client.execute('PRAGMA foreign_keys = OFF');
  const db = drizzle(client);
  await migrate(db, { migrationsFolder: MIGRATIONS });
  await client.execute('PRAGMA foreign_keys = ON');
  await db.insert(house).values({ id: 1, store: randomUUID() }).onConflictDoNothing();
  const [{ store: name } = { store: '' }] = await db.select().from(house);
  return {
    db,
    name,
    write: queue(),
    // a write of what stands there already, so that a full or guarded disk is noticed
    check: async () => void (await db.update(house).set({ store: name })),
    close: async () => client.close(),
  };
}

function makeFolder(file: string): void {
  try {
    mkdirSync(dirname(file), { recursive: true });
  } catch (error) {
    throw new StoreProblem(file, NO_PLACE, { cause: error });
  }
}

/** Tables that a later program has changed would be written to as they were. */
async function refuseNewer(client: Client, place: string): Promise<void> {
  const { rows } = await client.execute("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'");
  if (rows.length === 0) return;
  const known = Math.max(...readMigrationFiles({ migrationsFolder: MIGRATIONS }).map((each) => each.folderMillis));
  const { rows: newer } = await client.execute({
    sql: 'SELECT 1 FROM __drizzle_migrations WHERE created_at > ?',
    args: [known],
  });
  if (newer.length > 0) throw new StoreProblem(place, NEWER);
}

function queue(): Store['write'] {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = last.then(work, work);
    last = next.catch(() => undefined);
    return next;
  };
}
