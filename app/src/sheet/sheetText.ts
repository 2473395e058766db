import type { Step, Worked } from '@keep-snug/core';
import { courseWord } from '@/making/useProgress';

export interface SheetLine {
  id: string;
  /** `Row 1, right side`, `Rows 2 to 34`; nothing for steps that are no rows. */
  label: string;
  text: string;
  ends: number | null;
  note: string | null;
  check: Step['check'];
}

/** Steps as they are read: rows alike and in a run become one line. */
export function linesOf(steps: readonly Step[]): SheetLine[] {
  const lines: SheetLine[] = [];
  let first: Step | null = null;
  for (const step of steps) {
    const last = lines.at(-1);
    if (first && last && step.row && alike(first, step) && !last.note) {
      last.label = `${courseWord(first)}s ${first.row} to ${step.row}${first.kind === 'row' ? `, ${first.side} side first` : ''}`;
      last.note = step.note;
      last.check = step.check;
      continue;
    }
    first = step.row ? step : null;
    lines.push({
      id: step.id,
      label: step.row
        ? `${courseWord(step)} ${step.row}${step.kind === 'row' ? `, ${step.side} side facing` : ''}`
        : '',
      text: step.text,
      ends: step.ends,
      note: step.note,
      check: step.check,
    });
  }
  return lines;
}

function alike(a: Step, b: Step): boolean {
  return a.text === b.text && a.ends === b.ends && a.section === b.section && a.piece === b.piece;
}

/** The whole pattern as plain text. */
export function sheetText(worked: Worked): string {
  const lines = linesOf(worked.steps).map(({ label, text, ends, note }) =>
    [label && `${label}:`, text, ends === null ? '' : `(${ends})`, note ?? ''].filter(Boolean).join(' '),
  );
  return [worked.title, '', ...lines].join('\n');
}
