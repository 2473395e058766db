import type { MakeEvent } from '@keep-snug/core';
import type { Store } from './database';
export interface StoredEvent {
  seq: number;
  event: MakeEvent;
}
/** Events of makes. Adding one twice leaves one. */
export declare function eventStore({ db, write }: Store): {
  /** @returns which of the batch, by their index, bear the id of another event; all others are kept */
  add: (batch: readonly MakeEvent[]) => Promise<number[]>;
  /** Events that arrived after `since`, in the order they arrived. */
  since: (since: number, limit: number, make?: string) => Promise<StoredEvent[]>;
};
export type EventStore = ReturnType<typeof eventStore>;
