import { repeat, work, type GroupPart, type Instruction, type Place } from '../instruction';
import { placeBelow, type CourseContext } from './definition';
import { factorsOf, fixed } from './plain';
import { uncounted } from './start';
import { OVAL, post } from './symbols';

const V: readonly GroupPart[] = [
  { stitch: 'double', count: 1 },
  { chains: 1, spans: 1 },
  { stitch: 'double', count: 1 },
];

/** Vs of double, chain, double over three columns: in every third stitch, then each in the space of the V below. */
function course(vs: number, { below }: CourseContext): Instruction[] {
  const into: Place = below === 'pattern' ? 'space' : placeBelow(below);
  const beside: Place = below === 'chain' ? 'chain' : 'stitch';
  const skip: Instruction = { do: 'skip', times: 1, into: beside };
  return repeat([skip, { do: 'group', parts: V, over: 1, into, times: 1 }, skip], vs);
}

/** One stitch in each double and one in each space. */
const level = (stitch: string, vs: number) => repeat([work(stitch, 1), work(stitch, 1, 'space'), work(stitch, 1)], vs);

/** Double V stitches: open, very stretchy across (handbook 2.2). */
export const doubleV = fixed({
  id: 'double-v',
  name: { US: 'double V stitch', UK: 'treble V stitch' },
  summary: 'Open Vs that stretch: for bottle walls.',
  base: 'double',
  rows: { repeat: 3, edge: 2 },
  rounds: { repeat: 3, edge: 0 },
  rowsInRepeat: 1,
  factors: { ...factorsOf('double'), thickness: 1.5, stretchAcross: 0.3, stretchAlong: 0.15, yarn: 8.8 },
  gap: 1,
  counted: { one: 'V', many: 'Vs', stitches: 2 },
  settlesIn: 3,
  symbols: [[post(1, -0.22), OVAL, post(1, 0.22)]],
  foundation: () => ({ skipped: 3, counts: false }),
  row: (context) => {
    const edge = work('double', 1, placeBelow(context.below));
    return [uncounted('double', context.below), edge, ...course((context.stitches - 2) / 3, context), edge];
  },
  round: (context) => course(context.stitches / 3, context),
  level: (stitches) => level('single', stitches / 3),
  levelRow: (stitches, _course, stitch) => [work(stitch, 1), ...level(stitch, (stitches - 2) / 3), work(stitch, 1)],
});
