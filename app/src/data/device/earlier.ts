import type { KeptEvent, ThingDraft } from '@keep-snug/core';
import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/documents';
import same from 'fast-deep-equal';
import { newId } from '@/platform/ids';
import { smallStorage, type SmallStorage } from '@/platform/storage';
import { documentRecord, eventRecord, readMeta, type Device } from './database';
import type { LocalDocument } from '../types';

/** Where an earlier version kept everything; a tab of it that is still open may go on writing there. */
const LIBRARY = 'keep-snug.library';
const EVENTS = 'keep-snug.events';
const DRAFT = 'keep-snug.draft';
/** Drafts before this version were of another form. */
const DRAFT_VERSION = 4;

interface Earlier {
  documents: { kind: DocumentKind; id: string; held: LocalDocument<unknown> }[];
  events: KeptEvent[];
  unsent: Set<string>;
  seq: number;
}

/**
 * Moves what an earlier version kept in the browser's small storage into this device's store: merged by id in one
 * transaction, read back, and only then removed from where it was.
 */
export async function moveIn(db: Device, storage: SmallStorage = smallStorage()): Promise<void> {
  await moveDraft(db, storage);
  const [library, events] = [storage.getItem(LIBRARY), storage.getItem(EVENTS)];
  if (library === null && events === null) return;
  const earlier = readEarlier(library, events);
  const tx = db.transaction(['documents', 'events', 'meta'], 'readwrite', { durability: 'strict' });
  const documents = tx.objectStore('documents');
  for (const { kind, id, held } of earlier.documents) {
    const present = await documents.get([kind, id]);
    const { as, stands } = beside(present?.held, held);
    await documents.put(documentRecord(kind, as === 'another' ? newId() : id, stands, present?.shelf));
  }
  const store = tx.objectStore('events');
  for (const event of earlier.events) {
    if (await store.get(event.id)) continue;
    await store.put(eventRecord(event, earlier.unsent.has(event.id) ? { waits: 1 } : {}));
  }
  if (!(await tx.objectStore('meta').get('cursor'))) await tx.objectStore('meta').put(earlier.seq, 'earlier');
  await tx.done;
  if (!(await isThere(db, earlier))) return;
  // a tab of the earlier version may have written meanwhile: that is moved in at the next start
  if (storage.getItem(LIBRARY) === library) storage.removeItem(LIBRARY);
  if (storage.getItem(EVENTS) === events) storage.removeItem(EVENTS);
}

async function moveDraft(db: Device, storage: SmallStorage): Promise<void> {
  const text = storage.getItem(DRAFT);
  if (text === null) return;
  const { draft } = stateIn<{ draft: ThingDraft }>(text, DRAFT_VERSION);
  if (draft && !(await readMeta(db, 'draft'))) await db.put('meta', draft, 'draft');
  storage.removeItem(DRAFT);
}

function readEarlier(library: string | null, events: string | null): Earlier {
  const { shelves = {} } = stateIn<{ shelves: Record<string, Record<string, LocalDocument<unknown>>> }>(library);
  const {
    byMake = {},
    unsent = [],
    seq = 0,
  } = stateIn<{
    byMake: Record<string, KeptEvent[]>;
    unsent: string[];
    seq: number;
  }>(events);
  return {
    documents: DOCUMENT_KINDS.flatMap((kind) =>
      Object.entries(shelves[kind] ?? {}).map(([id, held]) => ({ kind, id, held })),
    ),
    events: Object.values(byMake).flat(),
    unsent: new Set(unsent),
    seq,
  };
}

/** What a text of the small storage holds; one that cannot be read holds nothing that anyone could use. */
function stateIn<State>(text: string | null, from = 0): Partial<State> {
  try {
    const { state = {}, version = 0 } = JSON.parse(text ?? '{}') as { state?: Partial<State>; version?: number };
    return version >= from ? state : {};
  } catch {
    return {};
  }
}

/** Where an earlier document goes beside one of the same id that is here: what was changed on either side stays. */
function beside(
  present: LocalDocument<unknown> | undefined,
  earlier: LocalDocument<unknown>,
): { as: 'itself' | 'another'; stands: LocalDocument<unknown> } {
  if (!present) return { as: 'itself', stands: earlier };
  if (!earlier.dirty || earlier.gone || same(present.body, earlier.body)) return { as: 'itself', stands: present };
  if (!present.dirty) return { as: 'itself', stands: { ...present, body: earlier.body, dirty: true, stamp: newId() } };
  return { as: 'another', stands: { body: earlier.body, revision: 0, dirty: true } };
}

async function isThere(db: Device, { documents, events }: Earlier): Promise<boolean> {
  const kept = await Promise.all([
    ...documents.map(({ kind, id }) => db.getKey('documents', [kind, id])),
    ...events.map(({ id }) => db.getKey('events', id)),
  ]);
  return kept.every((key) => key !== undefined);
}
