import { DOCUMENT_KINDS, type DocumentKind, type Documents } from '@keep-snug/core/documents';
import { unknownIn } from '@keep-snug/core/unknown';
import { useMemo } from 'react';
import { create } from 'zustand';
import { keepDocument } from './device/keeper';
import { afterAnswer, offeredAnew, received, type PutAnswer, type ServerChange } from './held';
import { newId } from '@/platform/ids';
import type { LocalDocument, Shelf, Shelves, DocumentWork } from './types';

interface Library {
  shelves: Shelves;
  /** Documents that this version does not know, kept as they came: no room but the bench's own card for them sees one. */
  strangers: Record<DocumentKind, Shelf>;
  /** Whether the server's documents have ever been seen on this device. */
  loaded: boolean;
  add: <K extends DocumentKind>(kind: K, body: Documents[K]) => string;
  /** Lays a document under an id of its own: one that was deleted, or one of a file. */
  lay: (kind: DocumentKind, id: string, body: unknown) => void;
  /** Many of them in one go. */
  layAll: (list: readonly { kind: DocumentKind; id: string; body: unknown }[]) => void;
  change: <K extends DocumentKind>(kind: K, id: string, body: Documents[K]) => void;
  remove: (kind: DocumentKind, id: string) => void;
  /** Settles a clash: keep what is here, or take what is there. */
  settle: (kind: DocumentKind, id: string, whose: 'mine' | 'theirs') => void;
  /** Takes in what the server has; what was changed here and not yet sent stays. */
  receive: (changes: readonly ServerChange[]) => void;
  /** Takes in the answer to the write of a change. */
  answered: (kind: DocumentKind, id: string, sent: LocalDocument<unknown>, answer: PutAnswer) => void;
  /** All of it is to be sent anew, to a house that does not know it. */
  offerAnew: (ids: readonly { kind: DocumentKind; id: string }[]) => void;
  /** Puts documents back as they were, or takes them out where they were not. */
  putBack: (list: readonly { kind: DocumentKind; id: string; held: LocalDocument<unknown> | undefined }[]) => void;
  /** As it stands in this device's store, where another tab may have written. */
  adopt: (list: readonly { kind: DocumentKind; id: string; held: LocalDocument<unknown> | undefined }[]) => void;
}

export const EMPTY: Shelves = { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {}, hours: {}, batches: {} };

export const NO_STRANGERS = Object.fromEntries(DOCUMENT_KINDS.map((kind) => [kind, {}])) as Record<DocumentKind, Shelf>;

interface Patch {
  kind: DocumentKind;
  id: string;
  work: DocumentWork;
}

export const useLibrary = create<Library>()((set, get) => {
  /** Here at once, in this device's store as soon as may be. */
  const apply = (patches: readonly Patch[]) => {
    for (const { kind, id, work } of patches) keepDocument(kind, id, work);
    set((state) =>
      patched(
        state,
        patches.map(({ kind, id, work }) => ({ kind, id, held: work(heldIn(state, kind, id)) })),
      ),
    );
  };
  const onHeld = (kind: DocumentKind, id: string, work: DocumentWork) => {
    if (heldIn(get(), kind, id)) apply([{ kind, id, work: (held) => (held ? work(held) : undefined) }]);
  };
  const isNew = (body: unknown): DocumentWork => {
    const stamp = newId();
    return (held) => ({ ...offeredAnew(held, body), stamp });
  };

  return {
    shelves: EMPTY,
    strangers: NO_STRANGERS,
    loaded: false,
    add: (kind, body) => {
      const id = newId();
      apply([{ kind, id, work: isNew(body) }]);
      return id;
    },
    lay: (kind, id, body) => apply([{ kind, id, work: isNew(body) }]),
    layAll: (list) => apply(list.map(({ kind, id, body }) => ({ kind, id, work: isNew(body) }))),
    change: (kind, id, body) => {
      const stamp = newId();
      onHeld(kind, id, (held) => {
        const { refused: _mended, ...rest } = held!;
        return { ...rest, body, dirty: true, stamp };
      });
    },
    remove: (kind, id) => {
      const stamp = newId();
      // one that was never sent may be on its way: it is taken back there too
      onHeld(kind, id, (held) => ({ ...held!, dirty: true, gone: true, stamp }));
    },
    settle: (kind, id, whose) =>
      onHeld(kind, id, (held) => {
        const { theirs, goneHere, ...mine } = held!;
        const stamp = newId();
        if (whose === 'mine')
          return { ...mine, ...(goneHere ? { gone: true } : {}), revision: theirs?.revision ?? 0, dirty: true, stamp };
        return theirs ? { body: theirs.body, revision: theirs.revision, dirty: false } : undefined;
      }),
    receive: (changes) => {
      apply(changes.map((change) => ({ ...change, work: (held) => received(held, change) })));
      if (!get().loaded) set({ loaded: true });
    },
    answered: (kind, id, sent, answer) =>
      apply([{ kind, id, work: (held) => held && afterAnswer(held, sent, answer) }]),
    offerAnew: (ids) =>
      apply(
        ids.map(({ kind, id }) => ({
          kind,
          id,
          work: (held) => (held && !held.gone ? offeredAnew(held, held.body) : undefined),
        })),
      ),
    putBack: (list) => apply(list.map(({ kind, id, held }) => ({ kind, id, work: () => held }))),
    adopt: (list) => set((state) => patched(state, list)),
  };
});

type Held = LocalDocument<unknown>;
type Both = Pick<Library, 'shelves' | 'strangers'>;

function heldIn({ shelves, strangers }: Both, kind: DocumentKind, id: string): Held | undefined {
  return (shelves[kind] as Shelf)[id] ?? strangers[kind][id];
}

/** Every document on this device, those that are not known here too. */
export function everyHeld({ shelves, strangers }: Both): { kind: DocumentKind; id: string; held: Held }[] {
  return DOCUMENT_KINDS.flatMap((kind) =>
    [shelves[kind] as Shelf, strangers[kind]].flatMap((shelf) =>
      Object.entries(shelf).map(([id, held]) => ({ kind, id, held })),
    ),
  );
}

const looked = new WeakMap<object, boolean>();

/** A body is looked at once: it never changes, only gives way to another. */
function isStrange(kind: DocumentKind, { body }: Held): boolean {
  if (typeof body !== 'object' || body === null) return true;
  const before = looked.get(body);
  if (before !== undefined) return before;
  const strange = unknownIn(kind, body) !== undefined;
  looked.set(body, strange);
  return strange;
}

/**
 * Shelves with some of their documents changed or taken out. What has not changed stays the same object, so that nothing
 * is reckoned again for it.
 */
function patched(both: Both, list: readonly { kind: DocumentKind; id: string; held: Held | undefined }[]): Both {
  const next = { shelves: {} as Record<string, Shelf>, strangers: {} as Record<string, Shelf> };
  const put = (where: keyof Both, kind: DocumentKind, id: string, held: Held | undefined) => {
    const before = (both[where][kind] as Shelf)[id];
    const now = next[where][kind]?.[id] ?? before;
    if (now === held || (now && held && isSame(now, held))) return;
    next[where][kind] ??= { ...(both[where][kind] as Shelf) };
    if (held) next[where][kind][id] = held;
    else delete next[where][kind][id];
  };
  for (const { kind, id, held } of list) {
    const strange = held !== undefined && isStrange(kind, held);
    put('shelves', kind, id, strange ? undefined : held);
    put('strangers', kind, id, strange ? held : undefined);
  }
  const grown = <K extends keyof Both>(where: K): Both[K] =>
    Object.keys(next[where]).length === 0 ? both[where] : { ...both[where], ...next[where] };
  return { shelves: grown('shelves'), strangers: grown('strangers') };
}

/** Every change has a stamp, every sending an answer: by these alone two states of a document differ. */
function isSame(a: LocalDocument<unknown>, b: LocalDocument<unknown>): boolean {
  return (
    a.stamp === b.stamp &&
    a.revision === b.revision &&
    a.dirty === b.dirty &&
    a.gone === b.gone &&
    a.refused === b.refused &&
    a.goneHere === b.goneHere &&
    a.theirs?.revision === b.theirs?.revision &&
    (a.theirs === undefined) === (b.theirs === undefined)
  );
}

/** The documents of a kind that are not deleted; the same list for as long as none of them changes. */
export function useShelf<K extends DocumentKind>(kind: K): [string, LocalDocument<Documents[K]>][] {
  const shelf = useLibrary((state) => state.shelves[kind]) as Record<string, LocalDocument<Documents[K]>>;
  return useMemo(() => Object.entries(shelf).filter(([, held]) => !held.gone), [shelf]);
}
