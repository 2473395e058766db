import type { MakeEvent } from '@keep-snug/core';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Store } from './database';
import type { PageBounds } from './documents';
import { events } from './schema';
import { NEXT } from './sequence';

interface StoredEvent {
  seq: number;
  event: MakeEvent;
}

/** So far an event may count beyond the greatest that is known of its make: what other devices did meanwhile, offline. */
const MOST_AHEAD = 1000;

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
      .where(sql`${events.id} IN (SELECT value FROM json_each(${ids})) AND json_valid(${events.body})`);
    return new Map(rows.map(({ id, body }) => [id, body]));
  }

  /** The greatest count of each make's events so far. */
  async function greatest(makes: readonly string[]): Promise<Map<string, number>> {
    const rows = await db.all<{ make: string; n: number }>(sql`
      SELECT make, max(n) AS n FROM events
      WHERE make IN (SELECT value FROM json_each(${JSON.stringify(makes)})) GROUP BY make`);
    return new Map(rows.map(({ make, n }) => [make, n]));
  }

  return {
    /**
     * Which of a batch count further than any device can have counted: everything after them would have to count further still.
     * @returns them by their index, with the most that they may say
     */
    beyond: async (batch: readonly MakeEvent[]): Promise<{ index: number; most: number }[]> => {
      const seen = await greatest([...new Set(batch.map(({ make }) => make))]);
      const inOrder = batch.map(({ make, n = 0 }, index) => ({ make, n, index })).sort((one, other) => one.n - other.n);
      return inOrder.flatMap(({ make, n, index }) => {
        const most = (seen.get(make) ?? 0) + MOST_AHEAD;
        if (n > most) return { index, most };
        seen.set(make, Math.max(n, seen.get(make) ?? 0));
        return [];
      });
    },

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
            SELECT seq, body FROM events WHERE seq > ${since} AND json_valid(body) ORDER BY seq LIMIT ${entries}
          )
        ) WHERE before <= ${bytes} ORDER BY seq`),

    /** Events that arrived after `since`, in the order they arrived. */
    since: async (since: number, limit: number, make?: string): Promise<StoredEvent[]> => {
      const newer = and(gt(events.seq, since), sql`json_valid(${events.body})`);
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
