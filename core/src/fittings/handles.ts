import { EVEN, type CountCondition } from '../counts';
import { work, type Instruction } from '../fabric';
import { chosen, derive, type Figure } from '../figure';
import { formatLength, formatNumber, plural } from '../units';
import { type DemandContext, type FittingContext, type FittingDefinition, type Placed } from './definition';
import { withStitches, refuse, refuseOpen } from './common';

/** Room for a hand, and for a finger, mm (prior, handbook 6). */
const ROOM = { hand: 90, finger: 70 } as const;

/** The handle's chains for a wanted opening, in whole chains. */
function chainsOf({ fabric, options }: DemandContext): Figure<'chains'> {
  const open = chosen(
    Number(options.openMm ?? ROOM[options.size as keyof typeof ROOM]),
    'mm',
    options.openMm === undefined ? `room for a ${String(options.size)}` : 'typed',
  );
  return derive('chains', 'a = opening / wc, rounded up', { open, wc: fabric.chain }, (v) =>
    Math.ceil(v.open / v.wc - 1e-9),
  );
}

/** Stitches that must be left between handles. */
const LEAST_BETWEEN = 2;

/** `N = a + b + a + b`: both handles alike, centred over the flat halves (law, handbook 6). */
function fits(chains: number): CountCondition {
  return {
    id: 'handles',
    text: `halves of at least ${chains + LEAST_BETWEEN}, of the parity of the handle’s ${chains}`,
    allows: (count) => count % 2 === 0 && count / 2 >= chains + LEAST_BETWEEN && (count / 2 - chains) % 2 === 0,
  };
}

function place(context: FittingContext): Placed {
  const { built, fabric, path } = context;
  refuseOpen(fabric, 'A handle', path);
  const { mouth } = built;
  const n = mouth!.stitches;
  const chains = chainsOf(context);
  const a = chains.value;
  const half = n / 2;
  if (a + LEAST_BETWEEN > half)
    refuse(
      `${path}.openMm`,
      `A handle of ${plural(a, 'chain')} (${formatLength(a * fabric.chain.value)}) is longer than half the round (${plural(half, 'stitch', 'stitches')}) allows. Make it ${formatLength(Math.max(10, (half - LEAST_BETWEEN) * fabric.chain.value))} or less, or the bag wider.`,
    );
  const top = mouth!.to;
  if (top - mouth!.from < 3)
    refuse(
      `${path}.kind`,
      `A wall of ${plural(top - mouth!.from + 1, 'round')} is too low for handles. They need 4 or more: make it higher.`,
    );
  const before = Math.floor((half - a) / 2);
  const after = half - a - before;
  const stitch = fabric.stitch.base;
  const hole = (length: number): Instruction[] => [
    { do: 'chain', chains: length, spans: length, as: 'chains' },
    { do: 'skip', times: length, into: 'stitch' },
  ];
  const side = (middle: Instruction[]): Instruction[] => [
    ...(before > 0 ? [work(stitch, before)] : []),
    ...middle,
    ...(after > 0 ? [work(stitch, after)] : []),
  ];
  const piece = built.pieces.find(({ id }) => id === mouth!.piece)!;
  const open = withStitches(piece.courses[top - 3]!, [...side(hole(a)), ...side(hole(a))]);
  const filled = withStitches(piece.courses[top - 2]!, [
    ...side([work(stitch, a, 'chain')]),
    ...side([work(stitch, a, 'chain')]),
  ]);
  const h = fabric.rowHeight.value;
  const w = fabric.stitchWidth.value;
  return {
    figures: { chains, opening: derive('mm', 'a × wc', { a: chains, wc: fabric.chain }, (v) => v.a * v.wc) },
    place: `round ${top - 2}: ${before}, handle of ${a}, ${after}, and the same again; ${plural(n, 'stitch', 'stitches')} in all`,
    rows: [
      { piece: piece.id, row: top - 2, instructions: open },
      { piece: piece.id, row: top - 1, instructions: filled },
    ],
    steps: [],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'slot',
          x1: before * w,
          y1: 2 * h,
          x2: (before + a) * w,
          y2: 2 * h,
          label: `handle, ${a} chains`,
        },
      ],
    },
    advice: roomAdvice(a * fabric.chain.value, String(context.options.size)),
    areas: [{ face: 'front', x: [before * w, (before + a) * w], y: [h, 3 * h] }],
  };
}

function roomAdvice(mm: number, size: string) {
  const least = ROOM[size as keyof typeof ROOM] ?? ROOM.hand;
  if (mm >= least - 1) return [];
  return [
    {
      id: 'handle-narrow',
      severity: 'advice' as const,
      text: `An opening of ${formatLength(mm)} is narrow for a ${size}: ${formatLength(least)} is usual.`,
      repair: `Make it ${formatNumber(least)} mm.`,
      at: 'fittings',
    },
  ];
}

export const handles: FittingDefinition = {
  id: 'handles',
  name: 'Side handles',
  summary: 'Two openings near the top, alike and opposite, to carry it by.',
  asks: ['round-mouth'],
  because: 'They are left open in a round.',
  figures: { chains: 'Chains', opening: 'Opening' },
  options: [
    {
      key: 'size',
      kind: 'choice',
      label: 'Room for',
      options: [
        { id: 'hand', name: 'a hand' },
        { id: 'finger', name: 'a finger or two' },
      ],
      default: 'hand',
    },
    {
      key: 'openMm',
      kind: 'length',
      label: 'Opening width',
      help: 'Left empty: as usual for a hand or a finger.',
      min: 20,
      max: 400,
      optional: true,
    },
  ],
  demands: (context) => ({ conditions: [EVEN, fits(chainsOf(context).value)] }),
  place,
};
