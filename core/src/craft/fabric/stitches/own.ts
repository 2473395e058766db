import type { FieldValues } from '../../../base/units';
import { placeBelow, type CourseContext, type StitchDefinition, type StitchPattern } from './definition';
import { factorsOf } from './plain';
import { foundationOf, uncounted } from './start';
import { OVAL } from './symbols';

/** How each row of its repeat is worked, a line a row, as the maker typed it; without what a pattern numbers and ends itself. */
const wordsOf = (typed: FieldValues[string]): string[] =>
  String(typed ?? '')
    .split('\n')
    .map((line) => line.replace(/^\s*(?:row|round|rnd)?\s*\d+\s*[:.)]\s*/i, '').replace(/[.\s]+$/, ''))
    .filter((line) => line.trim() !== '');

/**
 * A pattern of the maker's own: its name, its multiples, its rows, and a swatch. Its rows are known by number only, so
 * every one is taken to end on as many stitches as it began on (handbook 2.2).
 */
function make(options: FieldValues): StitchPattern {
  const name = String(options.name ?? '').trim() || 'own pattern';
  const rowsInRepeat = Number(options.rowsInRepeat);
  const words = wordsOf(options.words);
  const course = ({ stitches, course: number, below }: CourseContext) => {
    const row = ((number - 1) % rowsInRepeat) + 1;
    const says = words[row - 1];
    return { do: 'own-row' as const, row, name, stitches, into: placeBelow(below), ...(says ? { says } : {}) };
  };
  return {
    id: 'own',
    name: { US: name, UK: name },
    summary: 'A pattern of your own.',
    base: 'single',
    rows: { repeat: Number(options.repeat), edge: Number(options.edge) },
    rounds: { repeat: Number(options.roundsRepeat ?? options.repeat), edge: 0 },
    rowsInRepeat,
    factors: factorsOf('single'),
    gap: 0,
    symbols: [[(x, y, w, h) => OVAL(x, y, 0.8 * w, h)]],
    foundation: (counts) => foundationOf('single', counts),
    row: (context) => [uncounted('single', context.below), course(context)],
    round: (context) => [course(context)],
  };
}

const count = (key: string, label: string, more: object = {}) =>
  ({ key, kind: 'number', label, unit: 'stitches', whole: true, min: 1, max: 60, default: 1, ...more }) as const;

export const own: StitchDefinition = {
  id: 'own',
  name: { US: 'a pattern of your own', UK: 'a pattern of your own' },
  wantsSwatch: true,
  options: [
    { key: 'name', kind: 'text', label: 'Its name', max: 60, default: 'own pattern' },
    count('repeat', 'Multiple of'),
    count('edge', 'Plus', { min: 0, default: 0 }),
    {
      ...count('roundsRepeat', 'Multiple of, in rounds'),
      default: undefined,
      optional: true,
      help: 'Left empty: as in rows.',
    },
    {
      key: 'rowsInRepeat',
      kind: 'number',
      label: 'Rows in its repeat',
      unit: 'rows',
      whole: true,
      min: 1,
      max: 60,
      default: 1,
    },
    {
      key: 'words',
      kind: 'text',
      label: 'How each row is worked',
      help: 'A line for each row of the repeat, in your own words. They stand in the pattern and are read aloud.',
      max: 4000,
      lines: true,
      optional: true,
    },
  ],
  make,
};
