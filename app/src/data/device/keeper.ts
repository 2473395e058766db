import { isFinished, type ThingDraft } from '@keep-snug/core';
import type { DocumentKind } from '@keep-snug/core/documents';
import { create } from 'zustand';
import { useBoard } from '../board';
import { forgetLeftDraft, leaveDraft } from './leftDraft';
import { documentRecord, openDevice, type Cursor, type Device, type EventRecord } from './database';
import type { LocalDocument, DocumentWork, Work } from '../types';
import { onPage, onWindow } from '@/platform/page';
type EventWork = Work<EventRecord>;

interface DocumentWorks {
  kind: DocumentKind;
  id: string;
  works: DocumentWork[];
}

/** What was written down, as it stands now. */
export interface Written {
  documents: { kind: DocumentKind; id: string; held: LocalDocument<unknown> | undefined }[];
  events: { id: string; record: EventRecord | undefined }[];
}

/** Why this device keeps nothing at the moment: no room left, or the browser refuses. */
type Trouble = 'full' | 'refused';

export const useKeeping = create<{
  trouble: Trouble | null;
  /** Changes that are only in this page. */ unkept: number;
}>(() => ({ trouble: null, unkept: 0 }));

const AGAIN_MS = 3000;
/** So many records go into one transaction at most. */
const PORTION = 1000;
/** So long after a drag what was drawn is written down: writing takes longer than a frame. */
const CALM_MS = 250;

let started = false;
let device: Device | null = null;
let told: (written: Written) => void = () => undefined;
let documents = new Map<string, DocumentWorks>();
let events = new Map<string, EventWork[]>();
let cursor: Cursor | undefined;
let draft: ThingDraft | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;
let running: Promise<void> | null = null;
/** A draft on its way into the store. */
let leaving: ThingDraft | undefined;

const keyOf = (kind: DocumentKind, id: string) => `${kind}/${id}`;

/** Whether a change of this page's to a document is still to be written down. */
export const isDocumentPending = (kind: DocumentKind, id: string) => documents.has(keyOf(kind, id));
export const isEventPending = (id: string) => events.has(id);

/**
 * Opens this device's store; from here on what is kept is written down.
 * @param onWritten told after every time something was
 * @returns nothing where the browser keeps nothing
 */
export async function startKeeping(onWritten: (written: Written) => void): Promise<Device | null> {
  told = onWritten;
  started = true;
  await reopen();
  soon();
  return device;
}

/** Lets go of the store; what is changed from here on waits. */
export function stopKeeping(): void {
  started = false;
  clearTimeout(timer);
  timer = undefined;
  device?.close();
  device = null;
}

/** Tells why this device keeps nothing now: it is full, or it does not let us. */
export function tellTrouble(error: unknown): void {
  const isFull = (error as { name?: string }).name === 'QuotaExceededError';
  useKeeping.setState({ trouble: isFull ? 'full' : 'refused' });
}

async function reopen(): Promise<void> {
  try {
    device = await openDevice(() => {
      device = null;
    });
  } catch {
    useKeeping.setState({ trouble: 'refused' });
  }
}

/** Writes down what becomes of a document, on whatever other tabs made of it meanwhile. */
export function keepDocument(kind: DocumentKind, id: string, work: DocumentWork): void {
  const key = keyOf(kind, id);
  const known = documents.get(key);
  if (known) known.works.push(work);
  else documents.set(key, { kind, id, works: [work] });
  soon();
}

export function keepEvent(id: string, work: EventWork): void {
  const known = events.get(id);
  if (known) known.push(work);
  else events.set(id, [work]);
  soon();
}

/** Writes down how far was read, together with what was read. */
export function keepCursor(next: Cursor): void {
  cursor = next;
  soon();
}

/** Writes down the thing being measured, every word as typed. */
export function keepDraft(next: ThingDraft): void {
  draft = next;
  soon();
}

const nothingWaits = () => documents.size + events.size === 0 && !cursor && !draft;

function soon(): void {
  if (useKeeping.getState().trouble) useKeeping.setState({ unkept: documents.size + events.size });
  if (started) timer ??= setTimeout(inCalm, useBoard.getState().dragging ? CALM_MS : 0);
}

function inCalm(): void {
  timer = undefined;
  if (useBoard.getState().dragging) soon();
  else void writeDown();
}

/** A page that is left writes down what it holds before it goes. */
export function leavePage(): void {
  const unwritten = draft ?? leaving;
  if (unwritten) leaveDraft(unwritten);
  void writeDown();
}
onWindow('pagehide', leavePage);
onPage('visibilitychange', leavePage);

/** Writes down what waits, a portion in one transaction; what cannot be written goes on waiting. */
export async function writeDown(): Promise<void> {
  while (running) await running;
  if (!started || nothingWaits()) return;
  running = attempt().finally(() => {
    running = null;
  });
  await running;
}

async function attempt(): Promise<void> {
  if (!device) await reopen();
  if (!device) return later();
  const due = taken();
  leaving = due.draft;
  try {
    const written = await transact(device, due);
    if (due.draft) forgetLeftDraft();
    useKeeping.setState({ trouble: null, unkept: 0 });
    told(written);
    if (!nothingWaits()) soon();
  } catch (error) {
    takeBack(due);
    tellTrouble(error);
    later();
  } finally {
    leaving = undefined;
  }
}

interface Due {
  documents: typeof documents;
  events: typeof events;
  cursor: Cursor | undefined;
  draft: ThingDraft | undefined;
}

/** What is written down next. How far was read is written with the last of what was read, never before it. */
function taken(): Due {
  const due: Due = { documents: portion(documents), events: portion(events), cursor: undefined, draft };
  draft = undefined;
  if (documents.size + events.size === 0) [due.cursor, cursor] = [cursor, undefined];
  return due;
}

function portion<Key, Value>(all: Map<Key, Value>): Map<Key, Value> {
  const first = new Map([...all].slice(0, PORTION));
  for (const key of first.keys()) all.delete(key);
  return first;
}

/** What came meanwhile goes on from what could not be written. */
function takeBack(due: Due): void {
  for (const [key, { works }] of documents) {
    const before = due.documents.get(key);
    if (before) before.works.push(...works);
    else due.documents.set(key, documents.get(key)!);
  }
  for (const [id, works] of events) due.events.set(id, [...(due.events.get(id) ?? []), ...works]);
  [documents, events] = [due.documents, due.events];
  [cursor, draft] = [cursor ?? due.cursor, draft ?? due.draft];
}

function later(): void {
  useKeeping.setState({ unkept: documents.size + events.size });
  clearTimeout(timer);
  timer = setTimeout(inCalm, AGAIN_MS);
}

async function transact(db: Device, due: Due): Promise<Written> {
  const tx = db.transaction(['documents', 'events', 'meta'], 'readwrite', { durability: 'strict' });
  // whatever fails within it, the transaction tells
  tx.done.catch(() => undefined);
  const written: Written = { documents: [], events: [] };
  const makes = new Set<string>();
  const eventStore = tx.objectStore('events');
  await Promise.all(
    [...due.events].map(async ([id, works]) => {
      const before = await eventStore.get(id);
      const record = works.reduce<EventRecord | undefined>((held, work) => work(held), before);
      written.events.push({ id, record });
      if ((record ?? before)?.ending) makes.add((record ?? before)!.make);
      if (record) await eventStore.put(record);
      else if (before) await eventStore.delete(id);
    }),
  );
  const documentStore = tx.objectStore('documents');
  await Promise.all(
    [...due.documents.values()].map(async ({ kind, id, works }) => {
      const before = await documentStore.get([kind, id]);
      const held = works.reduce<LocalDocument<unknown> | undefined>((now, work) => work(now), before?.held);
      written.documents.push({ kind, id, held });
      if (kind === 'makes') makes.add(id);
      if (held) await documentStore.put(documentRecord(kind, id, held, before?.shelf));
      else if (before) await documentStore.delete([kind, id]);
    }),
  );
  await Promise.all(
    [...makes].map(async (make) => {
      const record = await documentStore.get(['makes', make]);
      if (!record) return;
      const known = await eventStore.index('make').getAll(make);
      const shelf = isFinished(known.map(({ event }) => event)) ? 'ledger' : 'makes';
      if (shelf !== record.shelf) await documentStore.put({ ...record, shelf });
    }),
  );
  if (due.cursor) await tx.objectStore('meta').put(due.cursor, 'cursor');
  if (due.draft) await tx.objectStore('meta').put(due.draft, 'draft');
  tx.commit();
  await tx.done;
  return written;
}
