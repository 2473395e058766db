import type { FieldValues } from '../../../base/units';
import { placeBelow, type CourseContext, type StitchDefinition, type StitchPattern } from './definition';
import { factorsOf } from './plain';
import { foundationOf, uncounted } from './start';
import { OVAL } from './symbols';

/**
 * A pattern of the maker's own: its name, its multiples, its rows, and a swatch. Its rows are known by number only, so
 * every one is taken to end on as many stitches as it began on (handbook 2.2).
 */
function make(options: FieldValues): StitchPattern {
  const name = String(options.name ?? '').trim() || 'own pattern';
  const rowsInRepeat = Number(options.rowsInRepeat);
  const course = ({ stitches, course: number, below }: CourseContext) => ({
    do: 'own-row' as const,
    row: ((number - 1) % rowsInRepeat) + 1,
    name,
    stitches,
    into: placeBelow(below),
  });
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
  ],
  make,
};
