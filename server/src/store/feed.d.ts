import type { MakeEvent } from '@keep-snug/core';
import type { Store } from './database';
/** A change as it is told: a document as it stands, a tombstone, or an event. */
export type Change =
  | {
      seq: number;
      kind: string;
      id: string;
      revision: number;
      body: unknown;
    }
  | {
      seq: number;
      kind: string;
      id: string;
      revision: number;
      deleted: true;
    }
  | {
      seq: number;
      kind: 'events';
      id: string;
      event: MakeEvent;
    };
export interface Changes {
  entries: Change[];
  /** Where to go on from. */
  next: number;
  /** What was written under that number; null before anything was. */
  last: string | null;
}
/** A page holds at most so much. */
export declare const PAGE: {
  readonly entries: 1000;
  readonly bytes: 256000;
};
/**
 * Everything that changed, in the order it was written: documents as they stand, tombstones, the events of makes on the
 * hook, and of the others only that they were finished or reopened.
 */
export declare function feed(store: Store): {
  /**
   * One page of what was written after `since`.
   * @param last what the asker knows to have been written under `since`
   * @returns nothing where this file has another history than the asker's
   */
  changes: (since: number, limit: number, last?: string) => Promise<Changes | null>;
};
/** As many as a page holds, and one at least. */
export declare function withinBytes<T>(all: readonly T[]): T[];
export type Feed = ReturnType<typeof feed>;
