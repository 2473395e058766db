import type { MakeEvent } from '@keep-snug/core';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Store } from './database';
import type { PageBounds } from './documents';
import { events } from './schema';
import { NEXT } from './sequence';

export interface StoredEvent {
  seq: number;
  event: MakeEvent;
}

/** Events of makes. Adding one twice leaves one. */
export function eventStore({ db, write }: Store) {
  // built once: a tick is the write that happens most
  const insertOne = db
    .insert(events)
    .values({
      seq: NEXT,
      id: sql.placeholder('id'),
      make: sql.placeholder('make'),
      kind: sql.placeholder('kind'),
      n: sql.placeholder('n'),
      body: sql.placeholder('body'),
    })
    .onConflictDoNothing({ target: events.id })
    .prepare();

  const insertMany = (batch: readonly MakeEvent[]) =>
    db.run(sql`
      INSERT INTO events (seq, id, make, kind, n, body)
      SELECT ${NEXT} + key, value ->> 'id', value ->> 'make', value ->> 'kind', coalesce(value ->> 'n', 0), value
      FROM json_each(${JSON.stringify(batch)}) WHERE true
      ON CONFLICT (id) DO NOTHING`);

  async function inserted(batch: readonly MakeEvent[]): Promise<number> {
    const [first] = batch;
    if (!first || batch.length > 1) return (await insertMany(batch)).rowsAffected;
    const { id, make, kind, n = 0 } = first;
    return (await insertOne.execute({ id, make, kind, n, body: first })).rowsAffected;
  }

  async function bodiesOf(batch: readonly MakeEvent[]): Promise<Map<string, unknown>> {
    const ids = JSON.stringify(batch.map(({ id }) => id));
    const rows = await db
      .select({ id: events.id, body: events.body })
      .from(events)
      .where(sql`${events.id} IN (SELECT value FROM json_each(${ids}))`);
    return new Map(rows.map(({ id, body }) => [id, body]));
  }

  return {
    /** @returns which of the batch, by their index, bear the id of another event; all others are kept */
    add: (batch: readonly MakeEvent[]): Promise<number[]> =>
      write(async () => {
        if (batch.length === 0 || (await inserted(batch)) === batch.length) return [];
        const kept = await bodiesOf(batch);
        return batch.flatMap((event, index) => (isDeepStrictEqual(kept.get(event.id), event) ? [] : index));
      }),

    /** A page of all events as they are stored; so many as hold no more than `bytes`, and one at least. */
    texts: async (since: number, { entries, bytes }: PageBounds): Promise<{ seq: number; body: string }[]> =>
      db.all(sql`
        SELECT seq, body FROM (
          SELECT seq, body, sum(length(body)) OVER (ORDER BY seq) - length(body) AS before FROM (
            SELECT seq, body FROM events WHERE seq > ${since} ORDER BY seq LIMIT ${entries}
          )
        ) WHERE before <= ${bytes} ORDER BY seq`),

    /** Events that arrived after `since`, in the order they arrived. */
    since: async (since: number, limit: number, make?: string): Promise<StoredEvent[]> => {
      const newer = gt(events.seq, since);
      const rows = await db
        .select({ seq: events.seq, body: events.body })
        .from(events)
        .where(make ? and(newer, eq(events.make, make)) : newer)
        .orderBy(asc(events.seq))
        .limit(limit);
      return rows.map(({ seq, body }) => ({ seq, event: body as MakeEvent }));
    },
  };
}

export type EventStore = ReturnType<typeof eventStore>;
