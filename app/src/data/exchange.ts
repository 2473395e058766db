import type { MakeEvent } from '@keep-snug/core';
import {
  benchFirst,
  changesSince,
  eventsOf,
  OtherHouse,
  sendDocument,
  sendEvents,
  type ChangesPage,
  type Entry,
} from './api';
import { whenIdle } from '@/platform/idle';
import { deviceNow, readCursor, readEarlierSeq } from './device';
import type { Cursor } from './device/database';
import { keepCursor } from './device/keeper';
import { everyKey } from './device/laying';
import { useEvents } from './events';
import type { ServerChange } from './held';
import { everyHeld, useLibrary } from './library';
import type { LocalDocument } from './types';

/** A batch holds at most so much: the server takes a megabyte, and a slow line a part of it. */
const BATCH = { events: 500, bytes: 200_000 } as const;

/** How far this page has read; told anew by the store when this tab takes the lead. */
let cursor: Cursor | undefined;

export async function readOn(): Promise<void> {
  cursor = (await readCursor()) ?? cursor;
}

/** Forgets how far was read: for tests, and when the store was let go. */
export function forget(): void {
  cursor = undefined;
}

/**
 * One round: sends what waits, then reads what is new, all with the one house this device knows.
 * @param reading whether to read too; sending alone is enough while nothing else is due
 * @returns what another house was offered anew, where one answered
 * @throws Away where the server could not be reached
 */
export async function exchange(reading: boolean): Promise<Offered | null> {
  try {
    const house = cursor?.store ?? (await firstMeeting());
    await sendDocuments(house);
    await sendWaitingEvents(house);
    if (reading) await readChanges(house);
    return null;
  } catch (error) {
    if (!(error instanceof OtherHouse)) throw error;
    return offerAnew(error.store);
  }
}

/** What this device had and another house is offered. */
export interface Offered {
  documents: number;
  events: number;
}

/**
 * Another house than the one this device knew, or another history of it: nothing here is deleted for that. Everything is
 * offered anew, documents as new ones or as a clash, events by their ids.
 */
async function offerAnew(store: string): Promise<Offered> {
  const keys = await allKeys();
  useLibrary.getState().offerAnew(keys.documents);
  useEvents.getState().offerAnew(keys.events);
  moveTo({ store, seq: 0, last: null });
  return { documents: keys.documents.length, events: keys.events.length };
}

async function allKeys() {
  const db = deviceNow();
  if (db) return everyKey(db);
  return {
    documents: heldDocuments().map(({ kind, id }) => ({ kind, id })),
    events: Object.values(useEvents.getState().byMake).flatMap((list) => list.map(({ id }) => id)),
  };
}

function moveTo(next: Cursor): void {
  cursor = next;
  keepCursor(next);
}

/**
 * A device that knows no house yet takes the first. One that an earlier version left knows how far it had read and which
 * revisions it had: a house that is behind that is another.
 */
async function firstMeeting(): Promise<string> {
  const earlierSeq = await readEarlierSeq();
  if (earlierSeq === undefined && heldDocuments().every(({ held }) => held.revision === 0)) {
    const { store } = await changesSince(0, null, undefined, 1);
    moveTo({ store, seq: 0, last: null });
    return store;
  }
  const pages = await everyPage();
  const { store, next } = pages.at(-1)!;
  const entries = pages.flatMap((page) => page.entries);
  if (isBehind(entries, next, earlierSeq ?? 0)) throw new OtherHouse(store);
  takeIn(entries);
  offerUnknown(entries);
  moveTo({ store, seq: next, last: pages.at(-1)!.last });
  useLibrary.setState({ loaded: true });
  return store;
}

async function everyPage(house?: string): Promise<ChangesPage[]> {
  const pages: ChangesPage[] = [];
  let page = await changesSince(0, null, house);
  pages.push(page);
  while (page.entries.length > 0) {
    page = await changesSince(page.next, page.last, page.store);
    pages.push(page);
  }
  return pages;
}

const keyOf = ({ kind, id }: { kind: string; id: string }) => `${kind}/${id}`;

function heldDocuments(): { kind: ServerChange['kind']; id: string; held: LocalDocument<unknown> }[] {
  return everyHeld(useLibrary.getState());
}

function isBehind(entries: readonly Entry[], top: number, seq: number): boolean {
  const known = new Map(heldDocuments().map((each) => [keyOf(each), each.held.revision]));
  return top < seq || entries.some((entry) => 'revision' in entry && entry.revision < (known.get(keyOf(entry)) ?? 0));
}

/** What this device took from the house before houses told of deletions, and the house does not have, is offered anew. */
function offerUnknown(entries: readonly Entry[]): void {
  const there = new Set(entries.map(keyOf));
  const unknown = heldDocuments().filter((each) => each.held.revision > 0 && !there.has(keyOf(each)));
  if (unknown.length > 0) useLibrary.getState().offerAnew(unknown);
}

async function sendDocuments(store: string): Promise<void> {
  for (const { kind, id, held } of heldDocuments()) {
    if (!held.dirty || held.theirs !== undefined) continue;
    useLibrary.getState().answered(kind, id, held, await sendDocument(store, kind, id, held));
  }
}

async function sendWaitingEvents(store: string): Promise<void> {
  for (const batch of batches(waitingEvents())) await sendBatch(store, batch);
}

function waitingEvents(): MakeEvent[] {
  const { byMake, unsent } = useEvents.getState();
  if (unsent.length === 0) return [];
  const waiting = new Set(unsent);
  const all = Object.values(byMake)
    .flat()
    .filter(({ id }) => waiting.has(id));
  return all.map(({ seq: _seq, ...event }) => event as MakeEvent);
}

function batches(all: readonly MakeEvent[]): MakeEvent[][] {
  const made: MakeEvent[][] = [];
  let bytes = Infinity;
  for (const event of all) {
    const size = JSON.stringify(event).length;
    if (bytes + size > BATCH.bytes || made.at(-1)!.length >= BATCH.events) {
      made.push([]);
      bytes = 0;
    }
    made.at(-1)!.push(event);
    bytes += size;
  }
  return made;
}

/** What the server refuses is set aside with its reason; all else goes on. */
async function sendBatch(store: string, batch: readonly MakeEvent[]): Promise<void> {
  const { confirmed, setAside } = useEvents.getState();
  const answer = await sendEvents(store, batch);
  if (answer.is === 'kept') return confirmed(batch.map(({ id }) => id));
  const reasons = reasonsById(batch, answer.errors);
  if (reasons.size > 0) {
    setAside([...reasons].map(([id, reason]) => ({ id, reason })));
    const rest = batch.filter(({ id }) => !reasons.has(id));
    return rest.length > 0 ? sendBatch(store, rest) : undefined;
  }
  // refused as a whole: by halves what it is about comes out
  if (batch.length === 1) return setAside([{ id: batch[0]!.id, reason: answer.title }]);
  const middle = Math.ceil(batch.length / 2);
  await sendBatch(store, batch.slice(0, middle));
  return sendBatch(store, batch.slice(middle));
}

/** Which events a refusal names, `[3].text`, and why. */
function reasonsById(
  batch: readonly MakeEvent[],
  errors: readonly { path: string; message: string }[],
): Map<string, string> {
  const reasons = new Map<string, string>();
  for (const { path, message } of errors) {
    const event = batch[Number(/^\[(\d+)\]/.exec(path)?.[1] ?? -1)];
    if (event) reasons.set(event.id, [reasons.get(event.id), message].filter(Boolean).join(' '));
  }
  return reasons;
}

async function readChanges(store: string): Promise<void> {
  if (cursor!.seq === 0) return readAll(store);
  for (;;) {
    const page = await changesSince(cursor!.seq, cursor!.last, store);
    if (page.next !== cursor!.seq) {
      takeIn(page.entries);
      moveTo({ store, seq: page.next, last: page.last });
    }
    useLibrary.setState({ loaded: true });
    if (page.entries.length === 0) return;
    await reopened(store, page.entries);
  }
}

/**
 * The first reading of a house. Makes come before what happened to them, so that a finished one would lie on the bench
 * until its end is read: what is on the hook comes first, all else at once when all of it is here.
 */
async function readAll(store: string): Promise<void> {
  takeIn(await benchFirst(store));
  useLibrary.setState({ loaded: true });
  await whenIdle();
  const pages = await everyPage(store);
  takeIn(pages.flatMap(({ entries }) => entries));
  const { next, last } = pages.at(-1)!;
  moveTo({ store, seq: next, last });
}

function takeIn(entries: readonly Entry[]): void {
  const events = entries.flatMap((entry) => ('event' in entry ? [{ ...entry.event, seq: entry.seq }] : []));
  if (events.length > 0) useEvents.getState().receive(events);
  const documents = entries.filter((entry): entry is ServerChange & { seq: number } => !('event' in entry));
  if (documents.length > 0) useLibrary.getState().receive(documents);
}

/** A make that was finished comes with what happened to it only when it is asked for. */
async function reopened(store: string, entries: readonly Entry[]): Promise<void> {
  const makes = new Set(
    entries.flatMap((entry) => ('event' in entry && entry.event.kind === 'reopened' ? entry.event.make : [])),
  );
  for (const make of makes) useEvents.getState().receive(await eventsOf(store, make));
}

/** Fetches everything that happened to a make, where the server is known and there. */
export async function fetchMake(make: string): Promise<void> {
  if (cursor) useEvents.getState().receive(await eventsOf(cursor.store, make));
}
