import type { FieldValues } from '../../../base/units';
import { work } from '../instruction';
import { BASES, type BaseId } from './base';
import { placeBelow, type CourseContext, type Factors, type StitchDefinition, type StitchPattern } from './definition';
import { factorsOf } from './plain';
import { foundationOf, plainRow } from './start';

/** Mixed stripes: a list of rows of different stitches, over and over; their heights add (handbook 2.2). */
function make({ rows }: FieldValues): StitchPattern {
  const list = (rows as readonly BaseId[]).length > 0 ? (rows as readonly BaseId[]) : (['single'] as const);
  const factors = list.map(factorsOf);
  const mean = (key: keyof Factors) => factors.reduce((sum, f) => sum + f[key], 0) / factors.length;
  const at = (course: number): BaseId => list[(course - 1) % list.length]!;
  const row = (context: CourseContext) => plainRow(at(context.course), at(context.course), context);
  return {
    id: 'stripes',
    name: { US: 'mixed stripes', UK: 'mixed stripes' },
    summary: 'Rows of different heights, over and over.',
    base: list[0]!,
    rows: { repeat: 1, edge: 0 },
    rounds: { repeat: 1, edge: 0 },
    rowsInRepeat: list.length,
    factors: {
      width: mean('width'),
      rowHeight: mean('rowHeight'),
      roundHeight: mean('roundHeight'),
      thickness: Math.max(...factors.map((f) => f.thickness)),
      stretchAcross: Math.min(...factors.map((f) => f.stretchAcross)),
      stretchAlong: mean('stretchAlong'),
      yarn: mean('yarn'),
    },
    rowShares: factors.map((f) => f.rowHeight / mean('rowHeight')),
    roundShares: factors.map((f) => f.roundHeight / mean('roundHeight')),
    gap: 0,
    symbols: list.map((stitch) => [BASES[stitch].symbol]),
    foundation: (counts) => foundationOf(list[0]!, counts),
    row,
    round: ({ stitches, below, course }) => [work(at(course), stitches, placeBelow(below))],
  };
}

export const stripes: StitchDefinition = {
  id: 'stripes',
  name: { US: 'mixed stripes', UK: 'mixed stripes' },
  options: [
    {
      key: 'rows',
      kind: 'choices',
      label: 'Rows of the stripe, from the bottom up',
      options: Object.values(BASES)
        .filter(({ edgesOnly }) => !edgesOnly)
        .map(({ id }) => ({ id, name: `{${id}}` })),
      most: 24,
      default: ['single', 'single', 'double'],
    },
  ],
  make,
};
