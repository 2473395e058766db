import type { DocumentKind } from '@keep-snug/core/documents';
import { create } from 'zustand';
import { everyHeld, useLibrary } from './library';
import { settleYarn } from './takeFromBox';
import type { LocalDocument } from './types';

interface Last {
  /** What was done, in a word. */
  done: 'Deleted' | 'Other version used';
  kind: DocumentKind;
  id: string;
  name: string;
  held: LocalDocument<unknown>;
}

interface Deleting {
  /** What was deleted last, for as long as it can be undone by one press. */
  last: Last | null;
  remove: (kind: DocumentKind, id: string, name: string) => void;
  /** Takes the other version of a clash; one's own comes back by one press. */
  takeTheirs: (kind: DocumentKind, id: string, name: string) => void;
  undo: () => void;
  forget: () => void;
}

const heldNow = (kind: DocumentKind, id: string): LocalDocument<unknown> | undefined =>
  everyHeld(useLibrary.getState()).find((one) => one.kind === kind && one.id === id)?.held;

/** Deletes a document, and brings it back by one press while it is still said that it is gone. */
export const useDeleting = create<Deleting>()((set, get) => ({
  last: null,
  remove: (kind, id, name) => {
    const held = heldNow(kind, id);
    if (!held) return;
    useLibrary.getState().remove(kind, id);
    // its yarn comes back to the box
    if (kind === 'makes') settleYarn(id);
    set({ last: { done: 'Deleted', kind, id, name, held } });
  },
  takeTheirs: (kind, id, name) => {
    const held = heldNow(kind, id);
    if (!held) return;
    useLibrary.getState().settle(kind, id, 'theirs');
    set({ last: { done: 'Other version used', kind, id, name, held } });
  },
  undo: () => {
    const { last } = get();
    if (!last) return;
    const { done, kind, id, held } = last;
    const { putBack, lay } = useLibrary.getState();
    const now = heldNow(kind, id);
    // one's own last edit, made on what stands there now
    if (done === 'Other version used' && now) {
      useLibrary.getState().change(kind, id, held.body as never);
      return set({ last: null });
    }
    // where the server knows of it already, it comes back as one that was deleted
    if (heldNow(kind, id)) putBack([{ kind, id, held }]);
    else lay(kind, id, held.body);
    if (kind === 'makes') settleYarn(id);
    set({ last: null });
  },
  forget: () => set({ last: null }),
}));
