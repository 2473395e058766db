import type { Client } from '@libsql/client';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { HOME } from '../settings';
import { FOREIGN, NEWER, StoreProblem } from './trouble';

/** What tells a file of ours from any other program's: "KSNG", where SQLite keeps such a mark. */
const OURS = 0x4b534e47;

export const MIGRATIONS = `${HOME}server/drizzle`;

/** What every file of ours has had since the first, for those from before they were marked. */
const FIRST_TABLES = ['documents', 'events', '__drizzle_migrations'];

const one = async (client: Client, sql: string): Promise<number> =>
  Number(Object.values((await client.execute(sql)).rows[0] ?? {})[0] ?? 0);

export const tablesOf = async (client: Client): Promise<string[]> =>
  (await client.execute("SELECT name FROM sqlite_master WHERE type = 'table'")).rows.map(({ name }) => String(name));

/**
 * Looks whose a file is before anything is written into it: one of ours, or one in which nothing is yet.
 * @throws StoreProblem where it is another program's, or a newer Keep Snug's
 */
export async function refuseForeign(client: Client, place: string): Promise<void> {
  const tables = await tablesOf(client);
  const mark = await one(client, 'PRAGMA application_id');
  if (mark !== OURS && (mark !== 0 || !mayBeOurs(tables))) throw new StoreProblem(place, FOREIGN);
  await refuseNewer(client, place, tables);
}

/** A database with nothing in it yet, or with what every one of ours has. */
const mayBeOurs = (tables: readonly string[]): boolean =>
  tables.length === 0 || FIRST_TABLES.every((table) => tables.includes(table));

/**
 * The same of a libSQL server, which keeps no marks: a PRAGMA holds for one request there, or is not taken at all.
 * @throws StoreProblem where it is another program's, or a newer Keep Snug's
 */
export async function refuseForeignServer(client: Client, place: string): Promise<void> {
  const tables = await tablesOf(client);
  if (!mayBeOurs(tables)) throw new StoreProblem(place, FOREIGN);
  await refuseNewer(client, place, tables);
}

/** Tables that a later program has changed would be written to as they were. */
async function refuseNewer(client: Client, place: string, tables: readonly string[]): Promise<void> {
  if (!tables.includes('__drizzle_migrations')) return;
  const migrations = readMigrationFiles({ migrationsFolder: MIGRATIONS });
  const known = Math.max(...migrations.map((each) => each.folderMillis));
  const { rows } = await client.execute({
    sql: 'SELECT 1 FROM __drizzle_migrations WHERE created_at > ?',
    args: [known],
  });
  if (rows.length > 0) throw new StoreProblem(place, NEWER);
}

/** Marks a file as ours, with how many changes its tables have been through. */
export async function mark(client: Client): Promise<void> {
  const { length } = readMigrationFiles({ migrationsFolder: MIGRATIONS });
  await client.execute(`PRAGMA application_id = ${OURS}`);
  await client.execute(`PRAGMA user_version = ${length}`);
}
