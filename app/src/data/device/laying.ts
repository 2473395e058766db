import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/documents';
import { whenIdle } from '@/platform/idle';
import { useEvents } from '../events';
import { useLibrary } from '../library';
import { readMeta, type Device, type DocumentRecord, type EventRecord } from './database';
import type { LocalDocument } from '../types';

/** So many finished makes are read at once, so that the hand is not held up. */
const PORTION = 500;
/** A long ledger waits until the bench is drawn, ms. */
const AFTER_THE_BENCH_MS = 1500;

/** Lays out what is on the bench: every document but finished makes, and what happened to the makes on the hook. */
export async function layOut(db: Device): Promise<void> {
  const tx = db.transaction(['documents', 'events'], 'readonly');
  const byShelf = tx.objectStore('documents').index('shelf');
  const documents = (await Promise.all(DOCUMENT_KINDS.map((kind) => byShelf.getAll(kind)))).flat();
  const makes = documents.filter(({ kind }) => kind === 'makes');
  const events = tx.objectStore('events');
  const found = await Promise.all([
    ...makes.map(({ id }) => events.index('make').getAll(id)),
    events.index('waits').getAll(),
    events.index('refused').getAll(),
  ]);
  takeIn(documents, found.flat());
  useLibrary.setState({ loaded: (await readMeta(db, 'cursor')) !== undefined });
}

/** Then the ledger: its makes, and how they ended. */
export async function layOutLedger(db: Device): Promise<void> {
  const count = await db.countFromIndex('documents', 'shelf', 'ledger');
  if (count === 0) return;
  if (count > PORTION) await new Promise((resolve) => setTimeout(resolve, AFTER_THE_BENCH_MS));
  const all: DocumentRecord[] = [];
  const makes = IDBKeyRange.bound(['makes', ''], ['makes', []]);
  for (let from: IDBKeyRange | undefined = makes; from;) {
    const portion: DocumentRecord[] = await db.getAll('documents', from, PORTION);
    all.push(...portion);
    const last = portion.at(-1);
    from = last && portion.length === PORTION ? IDBKeyRange.bound(['makes', last.id], ['makes', []], true) : undefined;
    await whenIdle();
  }
  // at once: whoever shows them goes through all of them each time
  takeIn(all, await db.getAllFromIndex('events', 'ending'));
}

function takeIn(documents: readonly DocumentRecord[], events: readonly EventRecord[]): void {
  if (events.length > 0) useEvents.getState().adopt(events.map((record) => ({ id: record.id, record })));
  if (documents.length > 0) useLibrary.getState().adopt(documents.map(({ kind, id, held }) => ({ kind, id, held })));
}

/** Everything that happened to one make, as far as this device has it. */
export async function layOutMake(db: Device, make: string): Promise<void> {
  takeIn([], await db.getAllFromIndex('events', 'make', make));
}

/** What another tab wrote down. */
export async function takeOver(
  db: Device,
  keys: { documents: readonly { kind: DocumentKind; id: string }[]; events: readonly string[] },
): Promise<void> {
  const tx = db.transaction(['documents', 'events'], 'readonly');
  const documents = await Promise.all(
    keys.documents.map(
      async ({ kind, id }): Promise<{ kind: DocumentKind; id: string; held: LocalDocument<unknown> | undefined }> => {
        const record = await tx.objectStore('documents').get([kind, id]);
        return { kind, id, held: record?.held };
      },
    ),
  );
  const events = await Promise.all(
    keys.events.map(async (id) => ({ id, record: await tx.objectStore('events').get(id) })),
  );
  useLibrary.getState().adopt(documents);
  useEvents.getState().adopt(events);
}

/** The ids of everything on this device, laid out or not. */
export async function everyKey(
  db: Device,
): Promise<{ documents: { kind: DocumentKind; id: string }[]; events: string[] }> {
  const [documents, events] = await Promise.all([db.getAllKeys('documents'), db.getAllKeys('events')]);
  return { documents: documents.map(([kind, id]) => ({ kind, id })), events };
}
