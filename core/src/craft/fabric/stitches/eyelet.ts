import type { FieldValues } from '../../../base/units';
import { repeat, work, type Instruction, type Place } from '../instruction';
import { BASES } from './base';
import { placeBelow, type CourseContext, type StitchDefinition, type StitchPattern } from './definition';
import { factorsOf } from './plain';
import { foundationOf, uncounted } from './start';
import { CROSS, OVAL } from './symbols';

/** Yarn in a column of a hole against its width: a chain in one row, a single over it in the next (prior, ours). */
const CHAIN_AND_SINGLE = 5.2;

/** Holes: so many singles, then chain some and skip as many. The next course works one single in each chain. */
function make({ between: b, hole: a }: FieldValues): StitchPattern {
  const between = Number(b);
  const hole = Number(a);
  const span = between + hole;
  const holes = (repeats: number, into: Place): Instruction[] =>
    repeat(
      [
        work('single', between, into),
        { do: 'chain', chains: hole, spans: hole, as: 'chains' },
        { do: 'skip', times: hole, into },
      ],
      repeats,
    );
  const over = (repeats: number, turned: boolean, stitch = 'single'): Instruction[] =>
    repeat(
      turned
        ? [work(stitch, hole, 'chain'), work(stitch, between)]
        : [work(stitch, between), work(stitch, hole, 'chain')],
      repeats,
    );
  const course = (repeats: number, { below, course: number }: CourseContext, turned: boolean): Instruction[] => {
    if (below === 'pattern') return number % 2 === 0 ? over(repeats, turned) : holes(repeats, 'stitch');
    return holes(repeats, placeBelow(below));
  };
  return {
    id: 'eyelet',
    name: { US: 'eyelets', UK: 'eyelets' },
    summary: 'Rows of small holes, for a cord to run through.',
    base: 'single',
    rows: { repeat: span, edge: between },
    rounds: { repeat: span, edge: 0 },
    rowsInRepeat: 2,
    factors: {
      ...factorsOf('single'),
      stretchAcross: 0.12,
      stretchAlong: 0.08,
      yarn: (between * BASES.single.yarn + hole * CHAIN_AND_SINGLE) / span,
    },
    gap: hole,
    counted: { one: 'hole', many: 'holes', loops: true },
    symbols: [
      [...Array.from({ length: between }, () => CROSS), ...Array.from({ length: hole }, () => OVAL)],
      Array.from({ length: span }, () => CROSS),
    ],
    foundation: (counts) => foundationOf('single', counts),
    row: (context) => {
      const repeats = (context.stitches - between) / span;
      const closing = context.below === 'pattern' && context.course % 2 === 0;
      const edge = work('single', between, placeBelow(context.below));
      const rest = course(repeats, context, true);
      return [uncounted('single', context.below), ...(closing ? [edge, ...rest] : [...rest, edge])];
    },
    round: (context) => course(context.stitches / span, context, false),
    levelRow: (stitches, last, stitch) =>
      last % 2 === 1
        ? [work(stitch, between), ...over((stitches - between) / span, true, stitch)]
        : [work(stitch, stitches)],
    level: (stitches, last) => (last % 2 === 1 ? over(stitches / span, false) : [work('single', stitches)]),
  };
}

/** Eyelet rows and rounds: single, chain, skip (handbook 2.2). */
export const eyelet: StitchDefinition = {
  id: 'eyelet',
  name: { US: 'eyelets', UK: 'eyelets' },
  options: [
    {
      key: 'between',
      kind: 'number',
      label: 'Stitches between holes',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 20,
      default: 2,
    },
    {
      key: 'hole',
      kind: 'number',
      label: 'Chains over a hole',
      unit: 'chains',
      whole: true,
      min: 1,
      max: 6,
      default: 1,
    },
  ],
  make,
};
