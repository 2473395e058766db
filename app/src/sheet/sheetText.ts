import { sectionWord, type Plan, type Step, type Worked } from '@keep-snug/core';
import { courseWord } from '@/making/useProgress';
import { factsOf, termsLine, type Reading } from './sheetFacts';

export interface SheetLine {
  id: string;
  /** `Row 1, right side`, `Rows 2 to 34`; nothing for steps that are no rows. */
  label: string;
  text: string;
  ends: number | string | null;
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
      ends: step.counted ?? step.ends,
      note: step.note,
      check: step.check,
    });
  }
  return lines;
}

function alike(a: Step, b: Step): boolean {
  return a.text === b.text && a.ends === b.ends && a.section === b.section && a.piece === b.piece;
}

const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase());

/** Steps in working order, those that follow each other in one section under its heading. */
export function groupsOf({ steps }: Pick<Worked, 'steps'>): { name: string; steps: Step[] }[] {
  const groups: { name: string; steps: Step[] }[] = [];
  steps.forEach((step, index) => {
    const before = steps[index - 1];
    if (before?.section === step.section && before.pieceName === step.pieceName) return groups.at(-1)!.steps.push(step);
    const name = capital(sectionWord(step.section));
    return groups.push({ name: step.pieceName ? `${step.pieceName}: ${name.toLowerCase()}` : name, steps: [step] });
  });
  return groups;
}

/** The whole pattern as plain text, with everything the sheet has: terms, materials, headings, checks, safety. */
export function sheetText(plan: Plan, worked: Worked, reading: Reading): string {
  const head = [
    worked.title,
    termsLine(reading.terms),
    ...factsOf(plan, worked, reading).map((fact) => fact.join(': ')),
  ];
  const advice = worked.advice.map(({ text, repair }) => `Note: ${text} ${repair}`);
  const sections = groupsOf(worked).map(({ name, steps }) =>
    [name.toUpperCase(), ...linesOf(steps).flatMap(lineText)].join('\n'),
  );
  const safety = worked.cautions.length > 0 ? ['SAFETY', ...worked.cautions.map(({ text }) => text)] : [];
  return [head, advice, ...sections.map((section) => [section]), safety]
    .filter((part) => part.length > 0)
    .map((part) => part.join('\n'))
    .join('\n\n');
}

function lineText({ label, text, ends, note, check }: SheetLine): string[] {
  const line = [label && `${label}:`, text, ends === null ? '' : `(${ends})`, note ?? ''].filter(Boolean).join(' ');
  return check ? [line, `  Check: ${check.look} If not: ${check.repair}`] : [line];
}
