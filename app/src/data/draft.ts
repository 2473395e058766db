import { blankDraft, inUnits, THINGS, type LengthUnit, type ThingDraft } from '@keep-snug/core';
import { create } from 'zustand';
import { useSettings } from './settings';

/** A thing being measured: every word as typed, so that leaving and coming back loses nothing. */
interface Draft {
  draft: ThingDraft;
  /** What its bare numbers were typed as: they go on saying so in a house that has changed its unit since. */
  units: LengthUnit;
  keep: (draft: ThingDraft) => void;
  clear: () => void;
}

export const BLANK: ThingDraft = blankDraft(THINGS[0]!);

export const useDraft = create<Draft>()((set) => ({
  draft: BLANK,
  units: useSettings.getState().units,
  keep: (draft) => set({ draft, units: useSettings.getState().units }),
  clear: () => set({ draft: BLANK }),
}));

/** What is being measured, as it reads in the unit that is used now. */
export function draftNow(): ThingDraft {
  const { draft, units } = useDraft.getState();
  return inUnits(draft, units, useSettings.getState().units);
}
