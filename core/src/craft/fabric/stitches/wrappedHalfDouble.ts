import { repeat, work, type Instruction } from '../instruction';
import { placeBelow, type CourseContext } from './definition';
import { factorsOf, fixed } from './plain';
import { uncounted } from './start';
import { line, move, OVAL, post, type ChartSymbol } from './symbols';

const WRAPPED: ChartSymbol = (x, y, w, h) => `${post(0)(x, y, w, h)}${OVAL(x, y + 0.1 * h, 0.7 * w, h)}`;

const TOGETHER: ChartSymbol = (x, y, w, h) =>
  `${move(x, y - 0.4 * h)}${line(x - 0.34 * w, y + 0.4 * h)}${move(x, y - 0.4 * h)}${line(x + 0.34 * w, y + 0.4 * h)}`;

/** A half double, one wrapped round its post, then two drawn together: three columns out of three. */
function course(repeats: number, { below }: CourseContext): Instruction[] {
  const into = placeBelow(below);
  if (below === 'chain') return [work('half-double', 3 * repeats, into)];
  return repeat(
    [
      work('half-double', 1, into),
      { do: 'wrapped', stitch: 'half-double', times: 1 },
      { do: 'together', stitch: 'half-double', over: 2, times: 1 },
    ],
    repeats,
  );
}

/** A half double wrapped round the one before, then a decrease (handbook 2.2). */
export const wrappedHalfDouble = fixed({
  id: 'wrapped-half-double',
  name: { US: 'wrapped half double crochet', UK: 'wrapped half treble' },
  summary: 'Knotted texture, thick and warm.',
  base: 'half-double',
  rows: { repeat: 3, edge: 2 },
  rounds: { repeat: 3, edge: 0 },
  rowsInRepeat: 1,
  factors: {
    ...factorsOf('half-double'),
    width: 1,
    rowHeight: 1.15,
    roundHeight: 1.2,
    thickness: 2.4,
    stretchAcross: 0.08,
    stretchAlong: 0.08,
    yarn: 10,
  },
  gap: 0,
  symbols: [[post(0), WRAPPED, TOGETHER]],
  foundation: () => ({ skipped: 1, counts: false }),
  row: (context) => {
    const edge = work('half-double', 1, placeBelow(context.below));
    return [uncounted('half-double', context.below), edge, ...course((context.stitches - 2) / 3, context), edge];
  },
  round: (context) => course(context.stitches / 3, context),
});
