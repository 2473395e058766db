import { capital } from '../../base/units';
import { sectionWord } from '../../drawing';
import type { MakingStep } from '../log';
import type { Sitting } from './sittings';

/** What is worked in a sitting, in a line: from where to where, and where it is left. */
export function sittingText({ steps, ends }: Sitting): string {
  const [first] = steps;
  const last = steps.at(-1);
  if (!first || !last) return 'Continue a long row.';
  const stretch = stretchText(first, last);
  return `${capital(stretch)}${ENDINGS[ends](last)}.`;
}

const ENDINGS: Readonly<Record<Sitting['ends'], (last: MakingStep) => string>> = {
  whole: () => ': done',
  piece: ({ row }) => (row === null ? '' : ', to the end of the piece'),
  section: ({ row, section }) => (row === null ? '' : `, to the end of the ${sectionWord(section)}`),
  colour: () => ', before the next colour',
  row: () => '',
  'within-row': () => '',
};

function stretchText(first: MakingStep, last: MakingStep): string {
  if (first === last) return placeText(first);
  if (first.row !== null && last.row !== null && first.piece === last.piece && first.copy === last.copy)
    return `${pieceText(last)}${last.kind === 'round' ? 'rounds' : 'rows'} ${first.row} to ${last.row}`;
  return `${placeText(first)} to ${placeText(last)}`;
}

function placeText(step: MakingStep): string {
  const { kind, row, section } = step;
  if (kind === 'foundation') return `${pieceText(step)}the start`;
  return row === null ? sectionWord(section) : `${pieceText(step)}${kind} ${row}`;
}

const pieceText = ({ pieceName }: MakingStep): string => (pieceName ? `${pieceName.toLowerCase()}, ` : '');
