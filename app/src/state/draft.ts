import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { DraftThing } from '@/things/readDraft';
import { deviceStorage } from './storage';

/** A thing being measured: every word as typed, so that leaving and coming back loses nothing. */
interface Draft extends DraftThing {
  keep: (draft: DraftThing) => void;
  clear: () => void;
}

export const BLANK: DraftThing = { kind: 'slab', texts: {}, ways: {}, counts: {}, members: [] };

export const useDraft = create<Draft>()(
  persist((set) => ({ ...BLANK, keep: (draft) => set(draft), clear: () => set(BLANK) }), {
    name: 'keep-snug.draft',
    version: 3,
    migrate: () => BLANK as Draft,
    storage: deviceStorage,
  }),
);
