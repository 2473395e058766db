import type { Schools, Step } from '../pattern';
import { formatKnown } from '../base/units';
import { toldStep, type Voice } from './told';

/** A line of a written pattern: a step, or a run of rows alike. */
export interface WrittenLine {
  id: string;
  /** “Row 1 (RS)”, “Rows 2–34 (start with a WS row)”; nothing for what is no row. */
  label: string;
  text: string;
  /** What it ends on, with its unit. */
  count: string | null;
  note: string | null;
  /** What the piece then measures, where a run of rows ends. */
  measures: string | null;
  /** First and last row of it within its piece. */
  rows: { from: number; to: number } | null;
  /** What is looked at before it is done, and after. */
  before: WrittenCheck[];
  after: WrittenCheck[];
}

/** A check at its place. */
export interface WrittenCheck {
  /** The row it belongs to, where its line has several and this is not the last. */
  at: string;
  look: string;
  /** What to do where it is not so; nothing where that was told before. */
  repair: string | null;
}

type Reads = Pick<Schools, 'terms' | 'ring' | 'units'>;

/** Rows alike and in a run; a step that is no row is a run of its own. */
interface Run {
  first: Step;
  last: Step;
}

/** Whether one follows the other and says the same. */
const goesOn = ({ first, last }: Run, step: Step): boolean =>
  last.row !== null &&
  step.row === last.row + 1 &&
  last.note === null &&
  // a new colour is said where it begins, and its rows go on from there
  step.lead === '' &&
  bodyOf(first) === step.text &&
  first.ends === step.ends &&
  first.section === step.section &&
  first.piece === step.piece;

/** What a row says besides what it is worked with from here on. */
const bodyOf = ({ text, lead }: Pick<Step, 'text' | 'lead'>): string => text.slice(lead.length);

/** Steps as runs of rows alike, in order. */
function runsOfSteps(steps: readonly Step[]): Run[] {
  const runs: Run[] = [];
  for (const step of steps) {
    const run = runs.at(-1);
    if (run && goesOn(run, step)) run.last = step;
    else runs.push({ first: step, last: step });
  }
  return runs;
}

/** What is no longer than so many letters is told as soon as where it stands (ours). */
const WORTH_REPEATING = 60;

const NOT_TURNED = ' Do not turn.';
/** Where what comes next begins with turning. */
const NOT_YET = ' Do not turn yet.';

/** The same row where it is turned after it. */
const turned = (body: string, voice: Voice): string =>
  voice === 'full' ? `${body} Turn.` : body.replace(/\.$/, ', turn.');

/** Rows of a run that are read again and again are told once, and repeated by number from then on. */
const REPEATED_FROM = 2;

/** What stands about some steps. */
interface About {
  /** What was told of the piece already, by its text: the row it stands in. */
  before?: Map<string, number>;
  /** Checks of a run, to stand with its line. */
  checks?: (run: readonly Step[]) => Pick<WrittenLine, 'before' | 'after'>;
  /** Whether what comes after them begins with turning. */
  turnsNext?: boolean;
}

/** Steps as they are read: runs of rows alike in one line, later ones by the number of the first. */
export function linesOf(
  steps: readonly Step[],
  voice: Voice,
  reads: Reads,
  { before = new Map<string, number>(), checks = () => ({ before: [], after: [] }), turnsNext = false }: About = {},
): WrittenLine[] {
  const runs = runsOfSteps(steps);
  return runs.map(({ first, last }, at) => {
    const { text, count } = toldStep(first, voice, reads);
    const { note } = toldStep(last, voice, reads);
    const body = text.slice(first.lead.length);
    const known = first.row === null ? undefined : before.get(body);
    const isRun = first.row !== null && last.row! - first.row >= REPEATED_FROM - 1;
    const toldBy = (row: number | undefined, repeated: boolean) =>
      row !== undefined && repeated ? first.lead + repeats(first, row, voice) : undefined;
    // the last row of a piece is one of those before it that is not turned
    const lastOf = (one: string) => {
      const row = first.row === null || one.length < WORTH_REPEATING ? undefined : before.get(turned(one, voice));
      if (row === undefined) return undefined;
      const next = runs[at + 1]?.first.text.startsWith('Turn.') ?? turnsNext;
      return first.lead + repeats(first, row, voice) + (next ? NOT_YET : NOT_TURNED);
    };
    if (first.row !== null && known === undefined) before.set(body, first.row);
    return {
      id: first.id,
      label: labelOf(first, last, voice),
      text: toldBy(known, isRun) ?? lastOf(body) ?? text,
      count,
      note: note === null || first.row === last.row ? note : ofLast(note, last.row!),
      measures: isRun && last.row! - first.row! >= MEASURED_FROM - 1 ? measured(last, reads) : null,
      rows: first.row === null ? null : { from: first.row, to: last.row! },
      ...checks(steps.slice(steps.indexOf(first), steps.indexOf(last) + 1)),
    };
  });
}

/** Of several rows in one line, “this row” is the last one. */
const ofLast = (note: string, row: number): string => note.replace(/\bthis (row|round|rnd)\b/gi, `$1 ${row}`);

function repeats({ kind }: Step, row: number, voice: Voice): string {
  const word = kind === 'round' ? 'round' : 'row';
  return voice === 'full' ? `Repeat ${word} ${row}.` : `Rep ${kind === 'round' ? 'Rnd' : 'Row'} ${row}.`;
}

/** Fewer rows in one line are not measured by themselves (ours). */
const MEASURED_FROM = 8;

/** How well a height by rows is known, as a share (prior: gauge with a swatch, handbook 2.1). */
const ROWS_SPREAD = 0.03;

function measured({ heightMm, kind }: Step, { units }: Reads): string | null {
  if (heightMm === null || kind === 'round') return null;
  return `It then measures about ${formatKnown(heightMm, ROWS_SPREAD * heightMm, units)} from its beginning.`;
}

function labelOf(first: Step, last: Step, voice: Voice): string {
  if (first.row === null) return '';
  const word = first.kind === 'round' ? (voice === 'full' ? 'Round' : 'Rnd') : 'Row';
  if (first.row !== last.row) {
    const side = first.kind === 'row' && first.turns ? startsWith(first, voice) : '';
    return `${word}s ${first.row}–${last.row}${side}`;
  }
  return `${word} ${first.row}${first.kind === 'row' && first.side ? ` (${sideOf(first)})` : ''}`;
}

const sideOf = ({ side }: Step) => (side === 'right' ? 'RS' : 'WS');

const startsWith = (first: Step, voice: Voice): string =>
  voice === 'full' ? ` (start with a ${sideOf(first)} row)` : ` (${sideOf(first)} first)`;
