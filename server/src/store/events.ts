import type { MakeEvent } from '@keep-snug/core';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { Store } from './database';
import { events } from './schema';

/** Events of makes. Adding one twice leaves one. */
export function eventStore({ db, write }: Store) {
  // built once: a tick is the write that happens most
  const insertOne = db
    .insert(events)
    .values({ id: sql.placeholder('id'), make: sql.placeholder('make'), body: sql.placeholder('body') })
    .onConflictDoNothing({ target: events.id })
    .prepare();

  return {
    add: (batch: readonly MakeEvent[]): Promise<void> =>
      write(async () => {
        const rows = batch.map((event) => ({ id: event.id, make: event.make, body: event }));
        if (rows.length === 1) await insertOne.execute(rows[0]);
        else if (rows.length > 1) await db.insert(events).values(rows).onConflictDoNothing({ target: events.id });
      }),

    /** Events that arrived after `since`, in the order they arrived. */
    since: async (since: number, make?: string) => {
      const newer = gt(events.seq, since);
      const rows = await db
        .select({ seq: events.seq, body: events.body })
        .from(events)
        .where(make ? and(newer, eq(events.make, make)) : newer)
        .orderBy(asc(events.seq));
      return rows.map(({ seq, body }) => ({ seq, event: body as MakeEvent }));
    },
  };
}

export type EventStore = ReturnType<typeof eventStore>;
