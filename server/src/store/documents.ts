import type { DocumentKind } from '@keep-snug/core/formats';
import { and, eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Store } from './database';
import { documents } from './schema';

export interface StoredDocument {
  id: string;
  revision: number;
  body: unknown;
  updatedAt: string;
}

export type Put = { done: true; kept: StoredDocument } | { done: false; present: StoredDocument | null };

/**
 * Documents by kind. A write names the revision it was made on; a stale one changes nothing, whichever process on the
 * same file wrote in between.
 */
export function documentStore({ db, write }: Store) {
  const columns = {
    id: documents.id,
    revision: documents.revision,
    body: documents.body,
    updatedAt: documents.updatedAt,
  };
  const at = (kind: DocumentKind, id: string) => and(eq(documents.kind, kind), eq(documents.id, id));

  const on = (kind: DocumentKind, id: string, revision: number) => and(at(kind, id), eq(documents.revision, revision));

  async function get(kind: DocumentKind, id: string): Promise<StoredDocument | null> {
    const [found] = await db.select(columns).from(documents).where(at(kind, id));
    return found ?? null;
  }

  return {
    get,
    list: (kind: DocumentKind): Promise<StoredDocument[]> =>
      db.select(columns).from(documents).where(eq(documents.kind, kind)),

    /**
     * A write that is sent again because its answer was lost is answered as it was the first time.
     * @param revision the revision this write was made on, 0 for a new document
     */
    put: (kind: DocumentKind, id: string, revision: number, body: unknown): Promise<Put> =>
      write(async () => {
        const kept: StoredDocument = { id, revision: revision + 1, body, updatedAt: new Date().toISOString() };
        // one statement: another process may write to the same file between two
        const { rowsAffected } =
          revision === 0
            ? await db
                .insert(documents)
                .values({ kind, ...kept })
                .onConflictDoNothing()
            : await db
                .update(documents)
                .set(kept)
                .where(on(kind, id, revision));
        if (rowsAffected > 0) return { done: true, kept };
        const present = await get(kind, id);
        const again = present?.revision === kept.revision && isDeepStrictEqual(present.body, body);
        return again ? { done: true, kept: present } : { done: false, present };
      }),

    remove: (kind: DocumentKind, id: string, revision: number): Promise<Put> =>
      write(async () => {
        const present = await get(kind, id);
        const { rowsAffected } = await db.delete(documents).where(on(kind, id, revision));
        return present && rowsAffected > 0 ? { done: true, kept: present } : { done: false, present };
      }),
  };
}

export type DocumentStore = ReturnType<typeof documentStore>;
