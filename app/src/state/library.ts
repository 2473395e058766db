import type { DocumentKind, Documents } from '@keep-snug/core/documents';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { ServerDocument, PutAnswer } from './api';
import { newId } from './ids';
import { calmStorage } from './storage';

/** A document as this device has it. */
export interface LocalDocument<Body> {
  body: Body;
  /** The server's revision it is based on; 0 before it was ever sent. */
  revision: number;
  /** Changed here and not yet sent. */
  dirty: boolean;
  /** Taken off here and not yet sent. */
  gone?: boolean;
  /** What stands on the server where a change of ours came too late; null when it was taken off there. */
  theirs?: ServerDocument | null;
  /** Why the server would not take it. */
  refused?: string;
}

type Shelves = { [K in DocumentKind]: Record<string, LocalDocument<Documents[K]>> };

interface Library {
  shelves: Shelves;
  /** Whether the server's documents have ever been seen on this device. */
  loaded: boolean;
  add: <K extends DocumentKind>(kind: K, body: Documents[K]) => string;
  change: <K extends DocumentKind>(kind: K, id: string, body: Documents[K]) => void;
  remove: (kind: DocumentKind, id: string) => void;
  /** Settles a clash: keep what is here, or take what is there. */
  settle: (kind: DocumentKind, id: string, whose: 'mine' | 'theirs') => void;
  /** Takes in what the server has; what was changed here and not yet sent stays. */
  receive: (kind: DocumentKind, list: readonly ServerDocument[]) => void;
  /** Takes in the answer to a write of `sent`. */
  answered: (kind: DocumentKind, id: string, sent: unknown, answer: PutAnswer) => void;
}

const EMPTY: Shelves = { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {} };

type Shelf = Record<string, LocalDocument<unknown>>;

export const useLibrary = create<Library>()(
  persist(
    (set, get) => {
      const onShelf = (kind: DocumentKind, work: (shelf: Shelf) => Shelf) =>
        set((state) => ({ shelves: { ...state.shelves, [kind]: work(state.shelves[kind] as Shelf) } }));
      const onHeld = (
        kind: DocumentKind,
        id: string,
        work: (held: LocalDocument<unknown>) => LocalDocument<unknown> | undefined,
      ) => {
        const held = (get().shelves[kind] as Shelf)[id];
        if (!held) return;
        onShelf(kind, ({ [id]: _old, ...rest }) => {
          const next = work(held);
          return next ? { ...rest, [id]: next } : rest;
        });
      };

      return {
        shelves: EMPTY,
        loaded: false,
        add: (kind, body) => {
          const id = newId();
          onShelf(kind, (shelf) => ({ ...shelf, [id]: { body, revision: 0, dirty: true } }));
          return id;
        },
        change: (kind, id, body) => onHeld(kind, id, (held) => ({ ...held, body, dirty: true, refused: undefined })),
        remove: (kind, id) =>
          onHeld(kind, id, (held) => (held.revision === 0 ? undefined : { ...held, dirty: true, gone: true })),
        settle: (kind, id, whose) =>
          onHeld(kind, id, ({ theirs, ...held }) => {
            if (whose === 'mine') return { ...held, revision: theirs?.revision ?? 0, dirty: true };
            return theirs ? { body: theirs.body, revision: theirs.revision, dirty: false } : undefined;
          }),
        receive: (kind, list) => {
          onShelf(kind, (shelf) => received(shelf, list));
          set({ loaded: true });
        },
        answered: (kind, id, sent, answer) => onHeld(kind, id, (held) => afterAnswer(held, sent, answer)),
      };
    },
    { name: 'keep-snug.library', storage: calmStorage<Library>() },
  ),
);

/**
 * A shelf after the server's list came in: unsent work stays, all else is as it stands there. What has not changed stays
 * the same object, so that nothing is reckoned again for it.
 */
export function received(shelf: Shelf, list: readonly ServerDocument[]): Shelf {
  const next: Shelf = {};
  for (const { id, body, revision } of list) {
    const held = shelf[id];
    next[id] = held && (unsettled(held) || held.revision >= revision) ? held : { body, revision, dirty: false };
  }
  for (const [id, held] of Object.entries(shelf)) {
    if (!(id in next) && unsettled(held)) next[id] = held;
  }
  return next;
}

function unsettled(held: LocalDocument<unknown>): boolean {
  return held.dirty || held.theirs !== undefined || held.refused !== undefined;
}

/** A held document after the server answered a write. A change made meanwhile is still to be sent. */
export function afterAnswer(
  held: LocalDocument<unknown>,
  sent: unknown,
  answer: PutAnswer,
): LocalDocument<unknown> | undefined {
  if (answer.is === 'stale') return { ...held, dirty: false, theirs: answer.present };
  if (answer.is === 'refused') return { ...held, dirty: held.body !== sent, refused: answer.message };
  if (held.gone) return undefined;
  return { ...held, revision: answer.kept.revision, dirty: held.body !== sent };
}

/** The documents of a kind that are not taken off. */
export function useShelf<K extends DocumentKind>(kind: K): [string, LocalDocument<Documents[K]>][] {
  const shelf = useLibrary((state) => state.shelves[kind]) as Record<string, LocalDocument<Documents[K]>>;
  return Object.entries(shelf).filter(([, held]) => !held.gone);
}
