import { blankDraft, THINGS, type ThingDraft } from '@keep-snug/core';
import { create } from 'zustand';

/** A thing being measured: every word as typed, so that leaving and coming back loses nothing. */
interface Draft {
  draft: ThingDraft;
  keep: (draft: ThingDraft) => void;
  clear: () => void;
}

export const BLANK: ThingDraft = blankDraft(THINGS[0]!);

export const useDraft = create<Draft>()((set) => ({
  draft: BLANK,
  keep: (draft) => set({ draft }),
  clear: () => set({ draft: BLANK }),
}));
