import type { DocumentKind } from '@keep-snug/core/formats';
import { and, eq } from 'drizzle-orm';
import type { Store } from './database';
import { documents } from './schema';

export interface StoredDocument {
  id: string;
  revision: number;
  body: unknown;
  updatedAt: string;
}

export type Put = { done: true; kept: StoredDocument } | { done: false; present: StoredDocument | null };

/** Documents by kind. A write names the revision it was made on; a stale one changes nothing. */
export function documentStore({ db, write }: Store) {
  const columns = {
    id: documents.id,
    revision: documents.revision,
    body: documents.body,
    updatedAt: documents.updatedAt,
  };
  const at = (kind: DocumentKind, id: string) => and(eq(documents.kind, kind), eq(documents.id, id));

  async function get(kind: DocumentKind, id: string): Promise<StoredDocument | null> {
    const [found] = await db.select(columns).from(documents).where(at(kind, id));
    return found ?? null;
  }

  return {
    get,
    list: (kind: DocumentKind): Promise<StoredDocument[]> =>
      db.select(columns).from(documents).where(eq(documents.kind, kind)),

    /** @param revision the revision this write was made on, 0 for a new document */
    put: (kind: DocumentKind, id: string, revision: number, body: unknown): Promise<Put> =>
      write(async () => {
        const present = await get(kind, id);
        if ((present?.revision ?? 0) !== revision) return { done: false, present };
        const kept: StoredDocument = { id, revision: revision + 1, body, updatedAt: new Date().toISOString() };
        await db
          .insert(documents)
          .values({ kind, ...kept })
          .onConflictDoUpdate({ target: [documents.kind, documents.id], set: kept });
        return { done: true, kept };
      }),

    remove: (kind: DocumentKind, id: string, revision: number): Promise<Put> =>
      write(async () => {
        const present = await get(kind, id);
        if (!present || present.revision !== revision) return { done: false, present };
        await db.delete(documents).where(at(kind, id));
        return { done: true, kept: present };
      }),
  };
}

export type DocumentStore = ReturnType<typeof documentStore>;
