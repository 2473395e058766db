import type { DocumentKind } from '@keep-snug/core/formats';
import { and, desc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Store } from './database';
import { documents } from './schema';
import { NEXT } from './sequence';
import { DAY_MS } from '../time';

export interface StoredDocument {
  id: string;
  revision: number;
  body: unknown;
  updatedAt: string;
}

/** What one page of a long answer holds at most. */
export interface PageBounds {
  entries: number;
  bytes: number;
}

/** A deleted document that can still come back. */
export interface DeletedDocument extends StoredDocument {
  kind: string;
  deletedAt: string;
}

export type Put = { done: true; kept: StoredDocument } | { done: false; present: StoredDocument | null };

const MOST_ASIDE = 50;

/** So long a deleted document can come back. */
const KEPT_DAYS = 30;

/**
 * Documents by kind. A write names the revision it was made on; a stale one changes nothing, whichever process on the
 * same file wrote in between. What is the same already is never stale.
 */
export function documentStore({ db, write }: Store) {
  const columns = {
    id: documents.id,
    revision: documents.revision,
    body: documents.body,
    updatedAt: documents.updatedAt,
  };
  const at = (kind: DocumentKind, id: string) => and(eq(documents.kind, kind), eq(documents.id, id));
  const on = (kind: DocumentKind, id: string, revision: number) =>
    and(at(kind, id), eq(documents.revision, revision), isNull(documents.deletedAt));
  // a row that holds no JSON any more is set aside by name: it is in no answer, and breaks none
  const readable = sql`json_valid(${documents.body})`;
  const present = and(isNull(documents.deletedAt), readable);

  async function get(kind: DocumentKind, id: string): Promise<StoredDocument | null> {
    const [found] = await db
      .select(columns)
      .from(documents)
      .where(and(at(kind, id), present));
    return found ?? null;
  }

  /** One statement: another process may write to the same file between two. */
  const insert = (kind: DocumentKind, id: string, body: unknown, updatedAt: string) =>
    db.insert(documents).values({ kind, id, revision: 1, body, updatedAt, seq: NEXT, deletedAt: null });

  /** A new document, or one in the place of its tombstone. */
  const create = (kind: DocumentKind, id: string, body: unknown, updatedAt: string) =>
    insert(kind, id, body, updatedAt).onConflictDoUpdate({
      target: [documents.kind, documents.id],
      set: { revision: sql`${documents.revision} + 1`, body, updatedAt, seq: sql`excluded.seq`, deletedAt: null },
      setWhere: isNotNull(documents.deletedAt),
    });

  const change = (kind: DocumentKind, id: string, revision: number, body: unknown, updatedAt: string) =>
    db
      .update(documents)
      .set({ revision: revision + 1, body, updatedAt, seq: NEXT })
      .where(on(kind, id, revision));

  return {
    get,
    list: (kind: DocumentKind): Promise<StoredDocument[]> =>
      db
        .select(columns)
        .from(documents)
        .where(and(eq(documents.kind, kind), present)),

    /** A page of a kind as it is stored, by id, from the one after `after`; so many as hold no more than `bytes`, and one at least. */
    texts: async (
      kind: DocumentKind,
      after: string,
      { entries, bytes }: PageBounds,
    ): Promise<{ id: string; body: string }[]> =>
      db.all(sql`
        SELECT id, body FROM (
          SELECT id, body, sum(length(body)) OVER (ORDER BY id) - length(body) AS before FROM (
            SELECT id, body FROM documents
            WHERE kind = ${kind} AND id > ${after} AND deleted_at IS NULL AND json_valid(body) ORDER BY id LIMIT ${entries}
          )
        ) WHERE before <= ${bytes} ORDER BY id`),

    /** @param revision the revision this write was made on, 0 for a new document */
    put: (kind: DocumentKind, id: string, revision: number, body: unknown): Promise<Put> =>
      write(async () => {
        const updatedAt = new Date().toISOString();
        const { rowsAffected } =
          revision === 0 ? await create(kind, id, body, updatedAt) : await change(kind, id, revision, body, updatedAt);
        const stands = await get(kind, id);
        const done = rowsAffected > 0 || isDeepStrictEqual(stands?.body, body);
        return done && stands ? { done: true, kept: stands } : { done: false, present: stands };
      }),

    /** Leaves a tombstone. One that is there already is left as it is, and answered as the first time. */
    remove: (kind: DocumentKind, id: string, revision: number): Promise<Put> =>
      write(async () => {
        const deletedAt = new Date().toISOString();
        await db
          .update(documents)
          .set({ revision: revision + 1, deletedAt, seq: NEXT })
          .where(on(kind, id, revision));
        const [stands] = await db
          .select({ ...columns, deletedAt: documents.deletedAt })
          .from(documents)
          .where(and(at(kind, id), readable));
        if (!stands) return { done: false, present: null };
        const { deletedAt: gone, ...document } = stands;
        return gone === null ? { done: false, present: document } : { done: true, kept: document };
      }),

    /** What cannot be read any more, by name: as many as anybody would look into. */
    setAside: (): Promise<{ kind: string; id: string }[]> =>
      db.all(sql`
        SELECT kind, id FROM documents WHERE deleted_at IS NULL AND NOT json_valid(body)
        UNION ALL SELECT 'events', id FROM events WHERE NOT json_valid(body) LIMIT ${MOST_ASIDE}`),

    /** Lays a document where none is and none was. */
    lay: (kind: DocumentKind, id: string, body: unknown): Promise<void> =>
      write(async () => void (await insert(kind, id, body, new Date().toISOString()).onConflictDoNothing())),

    /** What can still come back, the latest first. */
    deleted: (): Promise<DeletedDocument[]> =>
      db
        .select({ ...columns, kind: documents.kind, deletedAt: sql<string>`${documents.deletedAt}` })
        .from(documents)
        .where(and(sql`${documents.deletedAt} > ${longAgo()}`, readable))
        .orderBy(desc(documents.deletedAt)),

    /** Empties tombstones that are too old to come back; that they were deleted stays known. */
    empty: (): Promise<void> =>
      write(
        async () =>
          void (await db.run(
            sql`UPDATE ${documents} SET body = 'null' WHERE deleted_at <= ${longAgo()} AND body <> 'null'`,
          )),
      ),
  };
}

function longAgo(): string {
  return new Date(Date.now() - KEPT_DAYS * DAY_MS).toISOString();
}

export type DocumentStore = ReturnType<typeof documentStore>;
