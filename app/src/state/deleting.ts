import type { DocumentKind } from '@keep-snug/core/documents';
import { create } from 'zustand';
import { useLibrary, type LocalDocument, type Shelf } from './library';

interface Last {
  kind: DocumentKind;
  id: string;
  name: string;
  held: LocalDocument<unknown>;
}

interface Deleting {
  /** What was deleted last, for as long as it can be undone by one press. */
  last: Last | null;
  remove: (kind: DocumentKind, id: string, name: string) => void;
  undo: () => void;
  forget: () => void;
}

const heldNow = (kind: DocumentKind, id: string): LocalDocument<unknown> | undefined =>
  (useLibrary.getState().shelves[kind] as Shelf)[id];

/** Deletes a document, and brings it back by one press while it is still said that it is gone. */
export const useDeleting = create<Deleting>()((set, get) => ({
  last: null,
  remove: (kind, id, name) => {
    const held = heldNow(kind, id);
    if (!held) return;
    useLibrary.getState().remove(kind, id);
    set({ last: { kind, id, name, held } });
  },
  undo: () => {
    const { last } = get();
    if (!last) return;
    const { kind, id, held } = last;
    const { putBack, lay } = useLibrary.getState();
    // where the server knows of it already, it comes back as one that was deleted
    if (heldNow(kind, id)) putBack([{ kind, id, held }]);
    else lay(kind, id, held.body);
    set({ last: null });
  },
  forget: () => set({ last: null }),
}));
