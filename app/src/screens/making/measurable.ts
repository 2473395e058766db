import type { Happening } from '@keep-snug/core';
import type { Progress } from '@/reading/useProgress';

export type What = Extract<Happening, { kind: 'measured' }>['what'];

/** Something of the work so far that a tape can be laid on. */
export interface Measurable {
  what: What;
  name: string;
  /** What is counted in it, and how many there are: the maker may say another number. */
  counts: string;
  count: number;
  /** Which way the tape lies on the piece. */
  lies: 'across' | 'up';
}

/** Few stitches or rows make a poor gauge: so many are asked for where there are as many. */
const USUAL = 10;

const isOfRows = ({ kind, row }: Progress['worked']['steps'][number]) => kind === 'foundation' || row !== null;

/** What can be measured of the piece on the hook, the surest first. */
export function measurables({ worked, state, piece, rowsDone }: Progress): Measurable[] {
  // what is worked on it after its rows counts other stitches
  const last = worked.steps
    .filter((step) => step.piece === piece.id && state.done.includes(step.id) && isOfRows(step))
    .at(-1);
  const stitches = last?.ends ?? 0;
  const rounds = piece.worked === 'rounds';
  const rows = rounds ? 'rounds' : 'rows';
  const alongStitches: Measurable[] =
    stitches === 0
      ? []
      : [
          rounds
            ? { what: 'girth', name: 'All round it', counts: 'stitches', count: stitches, lies: 'across' }
            : { what: 'width', name: 'Across it', counts: 'stitches', count: stitches, lies: 'across' },
          ...(stitches > USUAL
            ? [{ what: 'stitches', name: 'Some stitches', counts: 'stitches', count: USUAL, lies: 'across' } as const]
            : []),
        ];
  const alongRows: Measurable[] =
    rowsDone === 0 ? [] : [{ what: 'rows', name: `Some ${rows}`, counts: rows, count: rowsDone, lies: 'up' }];
  return [...alongStitches, ...alongRows];
}
