import type { DocumentKind } from '@keep-snug/core/formats';
import type { Store } from './database';
export interface StoredDocument {
  id: string;
  revision: number;
  body: unknown;
  updatedAt: string;
}
/** A deleted document that can still come back. */
export interface DeletedDocument extends StoredDocument {
  kind: string;
  deletedAt: string;
}
export type Put =
  | {
      done: true;
      kept: StoredDocument;
    }
  | {
      done: false;
      present: StoredDocument | null;
    };
/** So long a deleted document can come back. */
export declare const KEPT_DAYS = 30;
/**
 * Documents by kind. A write names the revision it was made on; a stale one changes nothing, whichever process on the
 * same file wrote in between. What is the same already is never stale.
 */
export declare function documentStore({ db, write }: Store): {
  get: (kind: DocumentKind, id: string) => Promise<StoredDocument | null>;
  list: (kind: DocumentKind) => Promise<StoredDocument[]>;
  /** @param revision the revision this write was made on, 0 for a new document */
  put: (kind: DocumentKind, id: string, revision: number, body: unknown) => Promise<Put>;
  /** Leaves a tombstone. One that is there already is left as it is, and answered as the first time. */
  remove: (kind: DocumentKind, id: string, revision: number) => Promise<Put>;
  /** Lays a document where none is and none was. */
  lay: (kind: DocumentKind, id: string, body: unknown) => Promise<void>;
  /** What can still come back, the latest first. */
  deleted: () => Promise<DeletedDocument[]>;
  /** Empties tombstones that are too old to come back; that they were deleted stays known. */
  empty: () => Promise<void>;
};
export type DocumentStore = ReturnType<typeof documentStore>;
