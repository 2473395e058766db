import type { MakeEvent } from '@keep-snug/core';
import { sql } from 'drizzle-orm';
import type { Store } from './database';
import { lastSeq, markAt } from './sequence';

/** A change as it is told: a document as it stands, a tombstone, or an event. */
export type Change =
  | { seq: number; kind: string; id: string; revision: number; body: unknown }
  | { seq: number; kind: string; id: string; revision: number; deleted: true }
  | { seq: number; kind: 'events'; id: string; event: MakeEvent };

export interface Changes {
  entries: Change[];
  /** Where to go on from. */
  next: number;
  /** What was written under that number; null before anything was. */
  last: string | null;
}

interface EventRow {
  seq: number;
  id: string;
  body: string;
}

interface DocumentRow extends EventRow {
  kind: string;
  revision: number;
  gone: number;
}

/** A page holds at most so much. */
export const PAGE = { entries: 1000, bytes: 256_000 } as const;

/**
 * Everything that changed, in the order it was written: documents as they stand, tombstones, the events of makes on the
 * hook, and of the others only that they were finished or reopened.
 */
export function feed(store: Store) {
  const { db } = store;

  /** Read only as far as a page reaches: what comes after the first that is too much is left where it is. */
  async function documentsBetween(since: number, top: number, limit: number): Promise<Change[]> {
    const rows = await db.all<DocumentRow>(sql`
      SELECT seq, kind, id, revision, body, gone FROM (
        SELECT *, sum(length(body)) OVER (ORDER BY seq) - length(body) AS before FROM (
          SELECT seq, kind, id, revision, body, deleted_at IS NOT NULL AS gone
          FROM documents WHERE seq > ${since} AND seq <= ${top} AND json_valid(body) ORDER BY seq LIMIT ${limit}
        )
      ) WHERE before <= ${PAGE.bytes} ORDER BY seq`);
    return rows.map(toldOf);
  }

  const told = (rows: readonly EventRow[]) =>
    rows.map(({ seq, id, body }): Change => ({ seq, kind: 'events', id, event: JSON.parse(body) as MakeEvent }));

  async function endingsBetween(since: number, top: number, limit: number): Promise<Change[]> {
    const rows = await db.all<EventRow>(sql`
      SELECT seq, id, body FROM events INDEXED BY events_endings
      WHERE kind IN ('finished', 'reopened') AND seq > ${since} AND seq <= ${top} AND json_valid(body) ORDER BY seq LIMIT ${limit}`);
    return told(rows);
  }

  async function onHookBetween(since: number, top: number, limit: number): Promise<Change[]> {
    const rows = await db.all<EventRow>(sql`
      SELECT seq, id, body FROM events INDEXED BY events_by_make
      WHERE make IN (SELECT make FROM make_states WHERE open = 1) AND seq > ${since} AND seq <= ${top}
        AND kind NOT IN ('finished', 'reopened') AND json_valid(body) ORDER BY seq LIMIT ${limit}`);
    return told(rows);
  }

  return {
    /**
     * What a device with nothing on it needs first: the makes on the hook, what happened to them, and the plans. As much
     * as a page holds; all else comes with the changes.
     */
    bench: async (): Promise<Change[]> => {
      const top = await lastSeq(store);
      const rows = await db.all<DocumentRow>(sql`
        SELECT seq, kind, id, revision, body, 0 AS gone FROM documents
        WHERE deleted_at IS NULL AND json_valid(body) AND (kind = 'plans' OR (kind = 'makes' AND id IN (SELECT make FROM make_states WHERE open = 1)))
        ORDER BY kind, seq DESC LIMIT ${PAGE.entries}`);
      return withinBytes([...rows.map(toldOf), ...(await onHookBetween(0, top, PAGE.entries))]);
    },

    /**
     * One page of what was written after `since`.
     * @param last what the asker knows to have been written under `since`
     * @returns nothing where this file has another history than the asker's
     */
    changes: async (since: number, limit: number, last?: string): Promise<Changes | null> => {
      // all that is asked below ends here: a write in between is told on a later page
      const top = await lastSeq(store);
      if (last !== undefined && (since > top || (await markAt(store, since)) !== last)) return null;
      const found = await Promise.all(
        [documentsBetween, endingsBetween, onHookBetween].map((read) => read(since, top, limit)),
      );
      const all = found.flat().sort((a, b) => a.seq - b.seq);
      const entries = withinBytes(all.slice(0, limit));
      const next = entries.at(-1)?.seq ?? Math.max(since, top);
      return { entries, next, last: await markAt(store, next) };
    },
  };
}

function toldOf({ seq, kind, id, revision, body, gone }: DocumentRow): Change {
  const told = { seq, kind, id, revision };
  return gone ? { ...told, deleted: true } : { ...told, body: JSON.parse(body) as unknown };
}

/** As many as a page holds, and one at least. */
export function withinBytes<T>(all: readonly T[]): T[] {
  let bytes = 0;
  const end = all.findIndex((each, index) => {
    bytes += Buffer.byteLength(JSON.stringify(each));
    return index > 0 && bytes > PAGE.bytes;
  });
  return end < 0 ? [...all] : all.slice(0, end);
}

export type Feed = ReturnType<typeof feed>;
