import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { randomUUID } from 'node:crypto';
import { mkdirSync, statfsSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { pathToFileURL } from 'node:url';
import { mark, MIGRATIONS, refuseForeign, refuseForeignServer } from './identity';
import { house } from './schema';
import { faultOf, FOLDER, FULL, GONE, NO_PLACE, REFUSED, StoreProblem } from './trouble';
import { looked } from './wholeness';

export interface Store {
  db: LibSQLDatabase;
  /** The name of the file's history: a copy brought back bears another. */
  name: string;
  /** Runs a write after all earlier ones: SQLite takes one writer at a time. Reads do not queue. */
  write: <T>(work: () => Promise<T>) => Promise<T>;
  /** Remembers a read or a write that failed: the next look is a thorough one, and tells of it until it is good again. */
  failed: (error: unknown) => void;
  /**
   * Looks whether the file is where it was and whole, and writes on trial.
   * @throws StoreProblem where any of it is not so
   */
  check: () => Promise<void>;
  /** Writes what waits in the log into the file itself, and lets go of it. */
  close: () => Promise<void>;
}

/** With less room than this on its disk a store is not well: small writes still fit where a plan does not. */
const LEAST_ROOM = 1_000_000;

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
    // before anything is written: its log, too, would be
    await refuseForeign(client, file);
    await client.execute('PRAGMA journal_mode = WAL');
    const damage = await looked(file);
    const store = await brought(client);
    await mark(client);
    const { ino, dev } = statSync(file);
    const inPlace = () => {
      const now = statSync(file, { throwIfNoEntry: false });
      // a file deleted or replaced under an open server goes on taking writes that nobody will find again
      if (now?.ino !== ino || now.dev !== dev) throw new StoreProblem(file, GONE);
    };
    return {
      ...store,
      write: (work) =>
        store.write(() => {
          inPlace();
          return work();
        }),
      failed: (error) => {
        store.failed(error);
        damage.doubt();
      },
      check: async () => {
        inPlace();
        const found = await damage.known();
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
  return closedOnFailure(client, async () => {
    await refuseForeignServer(client, address.url);
    return brought(client);
  });
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
async function brought(client: Client): Promise<Store> {
  const db = drizzle(client);
  await migrate(db, { migrationsFolder: MIGRATIONS });
  await db.insert(house).values({ id: 1, store: randomUUID() }).onConflictDoNothing();
  const [{ store: name } = { store: '' }] = await db.select().from(house);
  const write = queue();
  const trial = trialOf(client, write);
  let trouble: StoreProblem | undefined;
  return {
    db,
    name,
    write,
    failed: (error) => {
      const fault = error instanceof StoreProblem ? error.fault : faultOf(error);
      if (fault)
        trouble =
          error instanceof StoreProblem ? error : new StoreProblem('The file of this house', fault, { cause: error });
    },
    check: async () => {
      try {
        await trial();
        trouble = undefined;
      } catch (error) {
        trouble ??= new StoreProblem('The file of this house', faultOf(error) ?? REFUSED, { cause: error });
      }
      if (trouble) throw trouble;
    },
    close: async () => client.close(),
  };
}

/** As large as a large plan. */
const TRIAL_BYTES = 64_000;

/** Writes a document as large as plans are, and takes it back: what is full, guarded or damaged shows in it. */
function trialOf(client: Client, write: Store['write']): () => Promise<void> {
  const body = JSON.stringify('x'.repeat(TRIAL_BYTES));
  return () =>
    write(async () => {
      const tx = await client.transaction('write');
      try {
        await tx.execute({
          sql: `INSERT INTO documents (kind, id, revision, body, updated_at, seq) VALUES ('trial', ?, 1, ?, '',
            (SELECT max(coalesce((SELECT max(seq) FROM events), 0), coalesce((SELECT max(seq) FROM marks), 0)) + 1))`,
          args: [randomUUID(), body],
        });
      } finally {
        await tx.rollback();
      }
    });
}

function makeFolder(file: string): void {
  try {
    mkdirSync(dirname(file), { recursive: true });
  } catch (error) {
    throw new StoreProblem(file, NO_PLACE, { cause: error });
  }
}

function queue(): Store['write'] {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = last.then(work, work);
    last = next.catch(() => undefined);
    return next;
  };
}
