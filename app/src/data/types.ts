import type { DocumentKind, Documents } from '@keep-snug/core/documents';

/** A document as this device has it. */
export interface LocalDocument<Body> {
  body: Body;
  /** The server's revision it is based on; 0 before it was ever sent. */
  revision: number;
  /** Changed here and not yet sent. */
  dirty: boolean;
  /** Names the last change made here: an answer to an earlier one does not settle it. */
  stamp?: string;
  /** Deleted here and not yet sent. */
  gone?: boolean;
  /** Deleted here, while it was changed elsewhere: it is asked about again before it goes. */
  goneHere?: true;
  /** What stands on the server where a change of ours came too late; null when it was deleted there. */
  theirs?: { revision: number; body: unknown } | null;
  /** Why the server would not take it. */
  refused?: string;
}

export type Shelf = Record<string, LocalDocument<unknown>>;

export type Shelves = { [K in DocumentKind]: Record<string, LocalDocument<Documents[K]>> };

export type DocumentWork = Work<LocalDocument<unknown>>;

/** What becomes of a record: nothing before, or nothing after, where there is none. */
export type Work<Record> = (held: Record | undefined) => Record | undefined;
