import { inOne, repeat, work, type Instruction } from '../instruction';
import { BASES } from './base';
import { placeBelow, type CourseContext } from './definition';
import { factorsOf, fixed } from './plain';
import { uncounted } from './start';
import { post } from './symbols';

/** A V against its base stitches, where no edging holds it (prior, handbook 2.2). */
const V_WIDER = 1.3;

/** Vs of two half doubles: over plain stitches in every second one, over Vs in the middle of each. */
function course(vs: number, { below }: CourseContext): Instruction[] {
  if (below === 'pattern') return [inOne('half-double', 2, 'gap', 2, vs)];
  const into = placeBelow(below);
  return repeat([{ do: 'skip', times: 1, into }, inOne('half-double', 2, into)], vs);
}

/** Half-double V stitches: wider than their base unless an edging holds them, and stretchy (handbook 2.2). */
export const halfDoubleV = fixed({
  id: 'half-double-v',
  name: { US: 'half double V stitch', UK: 'half treble V stitch' },
  summary: 'Wide and stretchy Vs; quick to work.',
  base: 'half-double',
  rows: { repeat: 2, edge: 2 },
  rounds: { repeat: 2, edge: 0 },
  rowsInRepeat: 1,
  factors: {
    ...factorsOf('half-double'),
    width: BASES['half-double'].width * V_WIDER,
    stretchAcross: 0.25,
    stretchAlong: 0.12,
  },
  gap: 0.2,
  counted: { one: 'V', many: 'Vs', stitches: 2 },
  settlesIn: 3,
  symbols: [[post(0, -0.22), post(0, 0.22)]],
  foundation: () => ({ skipped: 1, counts: false }),
  row: (context) => {
    const edge = work('half-double', 1, placeBelow(context.below));
    return [uncounted('half-double', context.below), edge, ...course((context.stitches - 2) / 2, context), edge];
  },
  round: (context) => course(context.stitches / 2, context),
});
