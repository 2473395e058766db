import { DOCUMENT_KINDS } from '@keep-snug/core/documents';
import { useEffect } from 'react';
import { create } from 'zustand';
import { deleteDocument, eventsSince, listDocuments, putDocument, sendEvents } from './api';
import { useBoard } from './board';
import { useEvents } from './events';
import { useLibrary, type LocalDocument } from './library';

/** Whether the server was there the last time it was asked. */
export const useLine = create<{ reached: boolean | null }>(() => ({ reached: null }));

const BATCH = 200;
const SOON_MS = 250;
const AGAIN_MS = 3000;
const REFRESH_MS = 30_000;

async function sendDocuments(): Promise<void> {
  for (const kind of DOCUMENT_KINDS) {
    const shelf = useLibrary.getState().shelves[kind] as Record<string, LocalDocument<unknown>>;
    for (const [id, { dirty, gone, body, revision, theirs }] of Object.entries(shelf)) {
      if (!dirty || theirs !== undefined) continue;
      const answer = gone ? await deleteDocument(kind, id, revision) : await putDocument(kind, id, revision, body);
      useLibrary.getState().answered(kind, id, body, answer);
    }
  }
}

async function sendWaitingEvents(): Promise<void> {
  const { byMake, unsent } = useEvents.getState();
  const waiting = new Set(unsent);
  const all = Object.values(byMake)
    .flat()
    .filter((event) => waiting.has(event.id));
  for (let from = 0; from < all.length; from += BATCH) {
    useEvents.getState().confirmed(await sendEvents(all.slice(from, from + BATCH)));
  }
}

async function fetchAll(): Promise<void> {
  for (const kind of DOCUMENT_KINDS) useLibrary.getState().receive(kind, await listDocuments(kind));
  useEvents.getState().receive(await eventsSince(useEvents.getState().seq));
}

let running: Promise<void> | null = null;
let fetchedAt = -Infinity;

/** Sends what waits, then fetches what is new, one round at a time. */
function round(): Promise<void> {
  running ??= exchange().finally(() => {
    running = null;
  });
  return running;
}

async function exchange(): Promise<void> {
  // what is still being drawn is sent once the hand rests
  if (useBoard.getState().dragging) return;
  try {
    await sendDocuments();
    await sendWaitingEvents();
    if (Date.now() - fetchedAt > REFRESH_MS || !useLine.getState().reached) {
      await fetchAll();
      fetchedAt = Date.now();
    }
    useLine.setState({ reached: true });
  } catch {
    // away, or answering what cannot be read: what waits here goes on waiting
    useLine.setState({ reached: false });
  }
}

/** How much waits to be sent. */
export function useWaiting(): number {
  const events = useEvents((state) => state.unsent.length);
  const documents = useLibrary((state) =>
    DOCUMENT_KINDS.reduce(
      (sum, kind) => sum + Object.values(state.shelves[kind]).filter((held) => held.dirty).length,
      0,
    ),
  );
  return events + documents;
}

/** Keeps this device and the server in step for as long as the app is open. */
export function useSync(): void {
  const waiting = useWaiting();
  useEffect(() => {
    const again = setInterval(() => void round(), AGAIN_MS);
    const now = () => {
      fetchedAt = -Infinity;
      void round();
    };
    void round();
    globalThis.addEventListener?.('online', now);
    globalThis.addEventListener?.('focus', now);
    return () => {
      clearInterval(again);
      globalThis.removeEventListener?.('online', now);
      globalThis.removeEventListener?.('focus', now);
    };
  }, []);
  const drawing = useBoard((state) => state.dragging);
  useEffect(() => {
    if (waiting === 0 || drawing) return undefined;
    const soon = setTimeout(() => void round(), SOON_MS);
    return () => clearTimeout(soon);
  }, [waiting, drawing]);
}
