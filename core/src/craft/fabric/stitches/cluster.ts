import { inOne, repeat, work, type Instruction, type Place } from '../instruction';
import { BASES } from './base';
import { placeBelow, type CourseContext } from './definition';
import { factorsOf, fixed } from './plain';
import { uncounted } from './start';
import { post } from './symbols';

/** How far the outer two lean apart above the place they share, in widths (ours). */
const LEAN = 0.24;

/** Three doubles in one place: over plain stitches in every third one, over clusters between them. */
function course(clusters: number, { below }: CourseContext): Instruction[] {
  if (below === 'pattern') return [inOne('double', 3, 'gap', 3, clusters)];
  const into: Place = placeBelow(below);
  const skip: Instruction = { do: 'skip', times: 1, into };
  return repeat([skip, inOne('double', 3, into), skip], clusters);
}

/** Three-double clusters (handbook 2.2). */
export const cluster = fixed({
  id: 'cluster',
  name: { US: '3-double-crochet groups', UK: '3-treble groups' },
  summary: 'Three in one space: quick, open between groups.',
  base: 'double',
  rows: { repeat: 3, edge: 2 },
  rounds: { repeat: 3, edge: 0 },
  rowsInRepeat: 1,
  factors: { ...factorsOf('double'), stretchAcross: 0.2, stretchAlong: 0.15 },
  gap: 0.5,
  counted: { one: 'group of 3', many: 'groups of 3', stitches: 3 },
  symbols: [[post(1, -LEAN), BASES.double.symbol, post(1, LEAN)]],
  foundation: () => ({ skipped: 3, counts: false }),
  row: (context) => {
    const edge = work('double', 1, placeBelow(context.below));
    return [uncounted('double', context.below), edge, ...course((context.stitches - 2) / 3, context), edge];
  },
  round: (context) => course(context.stitches / 3, context),
});
