import { work, type Instruction } from '../instruction';
import { placeBelow, type CourseContext } from './definition';
import { factorsOf, fixed } from './plain';
import { uncounted } from './start';
import { post } from './symbols';

/** Pairs of doubles, the second behind the first; plain doubles into the chain, which has no legs to cross over. */
function course({ stitches, below }: CourseContext): Instruction[] {
  if (below === 'chain') return [work('double', stitches, placeBelow(below))];
  return [{ do: 'crossed', stitch: 'double', times: stitches / 2 }];
}

/** Crossed doubles, in pairs (handbook 2.2). */
export const crossedDouble = fixed({
  id: 'crossed-double',
  name: { US: 'crossed double crochet', UK: 'crossed treble' },
  summary: 'Pairs that cross: thicker than plain, textured.',
  base: 'double',
  rows: { repeat: 2, edge: 0 },
  rounds: { repeat: 2, edge: 0 },
  rowsInRepeat: 1,
  factors: {
    ...factorsOf('double'),
    rowHeight: 1.7,
    roundHeight: 1.8,
    thickness: 1.8,
    stretchAcross: 0.12,
    stretchAlong: 0.1,
    yarn: 12,
  },
  gap: 0.1,
  symbols: [[post(1, 0.22), post(1, -0.22)]],
  foundation: () => ({ skipped: 3, counts: false }),
  row: (context) => [uncounted('double', context.below), ...course(context)],
  round: course,
});
