import type { KeptEvent, ThingDraft } from '@keep-snug/core';
import type { DocumentKind } from '@keep-snug/core/documents';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { LocalDocument } from '../types';

/** A document on this device. Sparse keys stand only where they say something: an index then holds only those. */
export interface DocumentRecord {
  kind: DocumentKind;
  id: string;
  held: LocalDocument<unknown>;
  /** Where it is looked for at the start: its kind, or the ledger, for a make that is finished. */
  shelf: DocumentKind | 'ledger';
  /** It is to be sent. */
  waits?: 1;
}

/** An event on this device. */
export interface EventRecord {
  id: string;
  make: string;
  event: KeptEvent;
  /** It is to be sent. */
  waits?: 1;
  /** Why the server would not take it. */
  refused?: string;
  /** It finishes a make or opens it again. */
  ending?: 1;
}

/** How far this device has read, and in which house. */
export interface Cursor {
  store: string;
  seq: number;
  /** What was written there under that number. */
  last: string | null;
}

interface Meta {
  cursor: Cursor;
  /** The thing being measured. */
  draft: ThingDraft;
  /** The last number an earlier version had read, before houses had names. */
  earlier: number;
}

interface Schema extends DBSchema {
  documents: {
    key: [DocumentKind, string];
    value: DocumentRecord;
    indexes: { shelf: DocumentRecord['shelf']; waits: number };
  };
  events: {
    key: string;
    value: EventRecord;
    indexes: { make: string; waits: number; ending: number; refused: string };
  };
  meta: { key: keyof Meta; value: Meta[keyof Meta] };
}

export type Device = IDBPDatabase<Schema>;

const NAME = 'keep-snug';

/** @throws where the browser keeps nothing for this page */
export function openDevice(onLost: () => void): Promise<Device> {
  return openDB<Schema>(NAME, 1, {
    upgrade: (db) => {
      const documents = db.createObjectStore('documents', { keyPath: ['kind', 'id'] });
      documents.createIndex('shelf', 'shelf');
      documents.createIndex('waits', 'waits');
      const events = db.createObjectStore('events', { keyPath: 'id' });
      events.createIndex('make', 'make');
      events.createIndex('waits', 'waits');
      events.createIndex('ending', 'ending');
      events.createIndex('refused', 'refused');
      db.createObjectStore('meta');
    },
    terminated: onLost,
  });
}

export async function readMeta<K extends keyof Meta>(db: Device, key: K): Promise<Meta[K] | undefined> {
  return (await db.get('meta', key)) as Meta[K] | undefined;
}

/** An event as a record; what it was before stays where nothing else is said. */
export function eventRecord(event: KeptEvent, state: Pick<EventRecord, 'waits' | 'refused'> = {}): EventRecord {
  const ends = event.kind === 'finished' || event.kind === 'reopened';
  return { id: event.id, make: event.make, event, ...state, ...(ends ? { ending: 1 } : {}) };
}

/** A document as a record. */
export function documentRecord(
  kind: DocumentKind,
  id: string,
  held: LocalDocument<unknown>,
  shelf: DocumentRecord['shelf'] = kind,
): DocumentRecord {
  return { kind, id, held, shelf, ...(held.dirty ? { waits: 1 } : {}) };
}
