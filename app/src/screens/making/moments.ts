import { sectionWord, type KeptEvent } from '@keep-snug/core';
import type { Progress } from '@/reading/useProgress';

/** Rows are worth counting again every so often, mm (handbook 8). */
const EVERY_MM = 40;

export interface Moment {
  /** The step it comes after. */
  step: string;
  text: string;
}

/** Whether now is a moment to measure: after the first course, every 40 mm, and where a section ends (handbook 8). */
export function momentOf({ worked, state, next, piece }: Progress, events: readonly KeptEvent[]): Moment | null {
  const done = worked.steps.find(({ id }) => id === state.last?.step);
  if (!done || done.row === null || done.piece !== piece.id || !next || next.row === null) return null;
  const measured = events.some((event) => event.kind === 'measured' && event.atStep === done.id);
  if (measured) return null;
  if (done.row === 1)
    return { step: done.id, text: 'The first one is done. Is it as wide as planned? Now a change costs least.' };
  if (next.section !== done.section)
    return { step: done.id, text: `The ${sectionWord(next.section)} comes next. Measure before you start it.` };
  const before = worked.steps.find(({ piece: of, row }) => of === done.piece && row === done.row! - 1);
  const passed = (mm: number | null | undefined) => Math.floor((mm ?? 0) / EVERY_MM);
  if (passed(done.heightMm) === passed(before?.heightMm)) return null;
  return { step: done.id, text: 'Count and measure again: heights drift.' };
}
