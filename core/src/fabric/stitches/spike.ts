import { repeat, work, type Instruction } from '../instruction';
import { placeBelow, type CourseContext } from './definition';
import { factorsOf, fixed } from './plain';
import { foundationOf, uncounted } from './start';
import { CROSS, line, move, type ChartSymbol } from './symbols';

const SPIKE: ChartSymbol = (x, y, w, h) => `${CROSS(x, y - 0.1 * h, w, h)}${move(x, y)}${line(x, y + 0.75 * h)}`;

/** Singles and spikes in turn, each over the other of the row below; plain where there is no second row to reach into. */
function course({ stitches, course: number, below }: CourseContext, turned: boolean): Instruction[] {
  if (below !== 'pattern') return [work('single', stitches, placeBelow(below))];
  const pair = [work('single', 1), work('spike', 1)];
  // turning sets the stitches over each other by itself; round upon round they must change places
  return repeat(turned || number % 2 === 0 ? pair : [...pair].reverse(), stitches / 2);
}

/** Single and spike stitches, staggered: dense, hardly stretches (handbook 2.2). */
export const spike = fixed(
  {
    id: 'spike',
    name: { US: 'single and spike stitches', UK: 'double crochet and spike stitches' },
    summary: 'Dense and firm, hardly stretches.',
    base: 'single',
    rows: { repeat: 2, edge: 0 },
    rounds: { repeat: 2, edge: 0 },
    rowsInRepeat: 2,
    factors: {
      ...factorsOf('single'),
      rowHeight: 0.85,
      roundHeight: 0.92,
      thickness: 2.2,
      stretchAcross: 0.05,
      stretchAlong: 0.05,
      yarn: 7.6,
    },
    gap: 0,
    symbols: [
      [CROSS, SPIKE],
      [SPIKE, CROSS],
    ],
    foundation: (counts) => foundationOf('single', counts),
    row: (context) => [uncounted('single', context.below), ...course(context, true)],
    round: (context) => course(context, false),
  },
  { one: { US: 'spike stitch', UK: 'spike stitch' } },
);
