import { sql } from 'drizzle-orm';
import type { Store } from './database';
import { events, marks } from './schema';

/** Documents and events share one sequence; marks hold every number that a document ever had. */
const LAST = sql<number>`max(coalesce((SELECT max(${events.seq}) FROM ${events}), 0), coalesce((SELECT max(${marks.seq}) FROM ${marks}), 0))`;

/** The sequence of a write: taken within its own statement, so that no other process can take it too. */
export const NEXT = sql<number>`(SELECT ${LAST} + 1)`;

/** The number of the latest write. */
export async function lastSeq({ db }: Pick<Store, 'db'>): Promise<number> {
  const row = await db.get<{ seq: number }>(sql`SELECT ${LAST} AS seq`);
  return row.seq;
}

/**
 * What was written under a number: an event's id, or the random mark of a document's write.
 * @returns nothing where nothing was
 */
export async function markAt({ db }: Pick<Store, 'db'>, seq: number): Promise<string | null> {
  const row = await db.get<{ mark: string | null }>(
    sql`SELECT coalesce((SELECT ${events.id} FROM ${events} WHERE ${events.seq} = ${seq}), (SELECT ${marks.mark} FROM ${marks} WHERE ${marks.seq} = ${seq})) AS mark`,
  );
  return row.mark;
}
