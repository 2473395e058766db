import { sectionWord, type KeptEvent, type TapeCheck } from '@keep-snug/core';
import { measuredAfter, type Progress } from '@/reading/useProgress';

/** The moment to measure that has come with the last row, where nobody did yet. */
export function momentOf({ checks, state, next }: Progress, events: readonly KeptEvent[]): TapeCheck | null {
  const check = checks.find(({ step }) => step === state.last?.step);
  if (!check || !next || next.row === null || measuredAfter(events, check.step)) return null;
  return check;
}

/** Why now, as it is asked. */
export function momentText({ because, before, what }: TapeCheck): string {
  if (because === 'first') return 'The first one is done. Is it as wide as planned? Now a change costs least.';
  if (what === 'diameter') return `The base is done, and the ${sectionWord(before!)} comes next. Measure across it.`;
  if (because === 'section') return `The ${sectionWord(before!)} comes next. Measure before you start it.`;
  return 'Count and measure again: heights drift.';
}

const LIES: Readonly<Record<TapeCheck['what'], (count: number, rows: string) => string>> = {
  width: (count) => `Across its ${count} stitches`,
  girth: (count) => `All round its ${count} stitches`,
  diameter: () => 'Through the middle of the base',
  rows: (count, rows) => (count === 1 ? `Its first ${rows.slice(0, -1)}` : `All ${count} ${rows} so far`),
};

/** What the tape is laid on, as its line is called. */
export const momentLabel = ({ what, count }: TapeCheck, worked: 'rows' | 'rounds'): string => LIES[what](count, worked);
