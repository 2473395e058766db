import type { FabricSpec } from '@keep-snug/core';
import { create } from 'zustand';

/** What was said to a start so far, so that leaving and coming back loses nothing. */
export interface StartDraft {
  /** Lines as typed, by where the answer goes. */
  texts: Readonly<Record<string, string>>;
  /** What it is to be worked in, where that was said here. */
  fabric?: FabricSpec;
}

interface StartDrafts {
  byStart: Readonly<Record<string, StartDraft>>;
  keep: (start: string, draft: StartDraft) => void;
  clear: (start: string) => void;
}

export const NOTHING_SAID: StartDraft = { texts: {} };

export const useStartDrafts = create<StartDrafts>()((set) => ({
  byStart: {},
  keep: (start, draft) => set(({ byStart }) => ({ byStart: { ...byStart, [start]: draft } })),
  clear: (start) => set(({ byStart: { [start]: _done, ...byStart } }) => ({ byStart })),
}));
