import type { FieldValues } from '../../../base/units';
import { repeat, work, type Instruction } from '../instruction';
import { placeBelow, type CourseContext, type StitchDefinition, type StitchPattern } from './definition';
import { factorsOf } from './plain';
import { foundationOf, uncounted } from './start';
import { CROSS, line, move, type ChartSymbol } from './symbols';

const SPIKE: ChartSymbol = (x, y, w, h) => `${CROSS(x, y - 0.1 * h, w, h)}${move(x, y)}${line(x, y + 0.75 * h)}`;

const NAME = { US: 'single and spike stitches', UK: 'double crochet and spike stitches' };

/** Singles and spikes in turn, each over the other of the row below; plain where there is no second row to reach into. */
function course({ stitches, course: number, below }: CourseContext, turned: boolean): Instruction[] {
  if (below !== 'pattern') return [work('single', stitches, placeBelow(below))];
  const pair = [work('single', 1), work('spike', 1)];
  // turning sets the stitches over each other by itself; round upon round they must change places
  return repeat(turned || number % 2 === 0 ? pair : [...pair].reverse(), stitches / 2);
}

/** The same over an odd count with a plain stitch at both edges: every second row has two there, so that spikes stagger. */
function edged({ stitches, course: number, below }: CourseContext): Instruction[] {
  if (below !== 'pattern') return [work('single', stitches, placeBelow(below))];
  const plain = number % 2 === 0 ? 1 : 2;
  const pair = [work('spike', 1), work('single', 1)];
  const pairs = repeat(pair, (stitches + 1) / 2 - plain);
  return [work('single', plain), ...pairs, ...(plain === 2 ? [work('single', 1)] : [])];
}

function make({ edges }: FieldValues): StitchPattern {
  const plainEdges = edges === 'plain';
  return {
    id: 'spike',
    name: NAME,
    summary: plainEdges ? 'Dense and firm, with plain edges to join.' : 'Dense and firm, hardly stretches.',
    base: 'single',
    rows: plainEdges ? { repeat: 2, edge: 3 } : { repeat: 2, edge: 0 },
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
    row: (context) => [uncounted('single', context.below), ...(plainEdges ? edged(context) : course(context, true))],
    round: (context) => course(context, false),
  };
}

/** Single and spike stitches, staggered: dense, hardly stretches (handbook 2.2). */
export const spike: StitchDefinition = {
  id: 'spike',
  name: NAME,
  one: { US: 'spike stitch', UK: 'spike stitch' },
  options: [
    {
      key: 'edges',
      kind: 'choice',
      label: 'Edges of rows',
      options: [
        { id: 'even', name: 'in the pattern, an even count' },
        { id: 'plain', name: 'a plain stitch at both, an odd count' },
      ],
      default: 'even',
    },
  ],
  make,
};
