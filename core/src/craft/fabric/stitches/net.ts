import { plural, type FieldValues } from '../../../base/units';
import { inOne, repeat, work, type Instruction, type Place } from '../instruction';
import { BASES, CHAIN, type BaseId } from './base';
import { placeBelow, type CourseContext, type StitchDefinition, type StitchPattern } from './definition';
import { factorsOf } from './plain';
import { foundationOf, uncounted } from './start';
import { BOW, CROSS, type ChartSymbol } from './symbols';

/**
 * How high a loop stands against the width of a single: its half chain is the slope over half of what it spans (law on
 * a slack-free loop), and the single that holds it sits on top.
 */
export function loopRise(chains: number, skips: number): number {
  const slope = (CHAIN.width * (chains + 1)) / 2;
  const half = (skips + 1) / 2;
  return Math.max(0.5, Math.sqrt(Math.max(0, slope ** 2 - half ** 2)));
}

/** The stitch that stands for so many chains of a loop, from low to high. */
const STANDS_FOR: readonly BaseId[] = ['slip', 'single', 'half-double', 'double', 'treble'];

/** A round's last loop as half its chain and a stitch that stands for the other half (handbook 4.4). */
function closing(chains: number, spans: number): Instruction {
  const half = Math.max(Math.floor(chains / 2), chains - (STANDS_FOR.length - 1));
  return { do: 'close-loop', chains: half, stitch: STANDS_FOR[chains - half]!, spans };
}

/** One bow over all the stitches a loop spans. */
function loopSymbols(skips: number): ChartSymbol[] {
  const wide: ChartSymbol = (x, y, w, h) => BOW(x + ((skips - 1) / 2) * w, y, skips * w, h);
  return Array.from({ length: skips }, (_, index) => (index === 0 ? wide : () => ''));
}

function make({ chains: c, skips: s, closes }: FieldValues): StitchPattern {
  const chains = Number(c);
  const skips = Number(s);
  const span = skips + 1;
  const loop: Instruction = { do: 'chain', chains, spans: skips, as: 'space' };
  const first = (loops: number, into: Place) =>
    repeat([loop, { do: 'skip', times: skips, into }, work('single', 1, into)], loops);
  // a round upon loops holds each loop in its middle, and passes over the single between
  const upon = (loops: number) =>
    repeat([loop, work('single', 1, 'space'), { do: 'skip', times: 1, into: 'stitch' }], loops);
  const rise = loopRise(chains, skips);
  const level = (stitch: string, loops: number) => repeat([inOne(stitch, skips, 'space'), work(stitch, 1)], loops);
  const halved = closes !== 'full';
  const close = closing(chains, skips);

  // joined in mid-loop: the single comes first, the last loop is closed into it
  const joinedRound = (loops: number, below: CourseContext['below']): Instruction[] => {
    const skip = (into: Place): Instruction => ({ do: 'skip', times: below === 'pattern' ? 1 : skips, into });
    if (below === 'pattern') {
      const single = work('single', 1, 'space');
      return [{ do: 'mid-loop' }, ...repeat([single, loop, skip('stitch')], loops - 1), single, skip('stitch'), close];
    }
    const into = placeBelow(below);
    const single = work('single', 1, into);
    return [...repeat([single, loop, skip(into)], loops - 1), single, skip(into), close];
  };
  const round = ({ stitches, below, joined }: CourseContext) => {
    const loops = stitches / span;
    if (joined && halved) return joinedRound(loops, below);
    return below === 'pattern' ? upon(loops) : first(loops, placeBelow(below));
  };
  const row = (context: CourseContext): Instruction[] => {
    const { below } = context;
    const loops = (context.stitches - 1) / span;
    const into = placeBelow(below);
    const edge = work('single', 1, into);
    if (below !== 'pattern') return [uncounted('single', below), edge, ...first(loops, into)];
    // turned: the last single comes first; each loop is held back to its own single, so that the edges stay straight
    return [
      uncounted('single', below),
      edge,
      ...repeat([loop, { do: 'skip', times: 1, into: 'space' }, work('single', 1)], loops),
    ];
  };
  return {
    id: 'net',
    name: { US: 'chain mesh', UK: 'chain mesh' },
    summary: `Chain-${chains} loops over ${plural(skips, 'stitch', 'stitches')}: light and stretchy.`,
    base: 'single',
    rows: { repeat: span, edge: 1 },
    rounds: { repeat: span, edge: 0 },
    rowsInRepeat: 1,
    factors: {
      ...factorsOf('single'),
      rowHeight: rise,
      roundHeight: rise,
      thickness: 1.2,
      stretchAcross: 0.4,
      stretchAlong: 0.5,
      yarn: (chains * CHAIN.yarn * CHAIN.width + BASES.single.yarn) / span,
    },
    gap: skips,
    counted: { one: `loop of ${chains} chains`, many: `loops of ${chains} chains`, loops: true },
    symbols: [[CROSS, ...loopSymbols(skips)]],
    foundation: (counts) => foundationOf('single', counts),
    row,
    round,
    level: (stitches, _course, joined) => {
      const plain = level('single', stitches / span);
      return joined && halved ? [{ do: 'mid-loop' }, ...plain] : plain;
    },
    closesItself: true,
    levelRow: (stitches, _course, stitch) => [work(stitch, 1), ...level(stitch, (stitches - 1) / span)],
  };
}

/** Net: chain some, skip fewer, a single to hold the loop (handbook 2.2). */
export const net: StitchDefinition = {
  id: 'net',
  name: { US: 'chain mesh', UK: 'chain mesh' },
  options: [
    {
      key: 'chains',
      kind: 'number',
      label: 'Chains in a loop',
      unit: 'chains',
      whole: true,
      min: 2,
      max: 15,
      default: 5,
    },
    {
      key: 'skips',
      kind: 'number',
      label: 'Stitches under a loop',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 10,
      default: 3,
    },
    {
      key: 'closes',
      kind: 'choice',
      label: 'A joined round closes with',
      options: [
        { id: 'half', name: 'half a loop’s chain and a tall stitch' },
        { id: 'full', name: 'its whole chain and {single}, on in a spiral' },
      ],
      default: 'half',
    },
  ],
  make,
};
