import { EVEN, type CountCondition } from '../../craft/counts';
import { work, type Instruction } from '../../craft/fabric';
import { chosen, derive, type Figure } from '../../base/figure';
import { formatNumber, leastToken, mmToken, mostToken, plural } from '../../base/units';
import { type DemandContext, type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { frontOf, LEAST_ROUNDS, mouthAt, ownStitch, refuse, refuseOpen, toTheFold, withStitches } from '../common';

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

/** `N = a + b + a + b`: both handles alike, each in its half (law, handbook 6). */
function fits(chains: number): CountCondition {
  return {
    id: 'handles',
    text: `halves of at least ${chains + LEAST_BETWEEN}, for a handle of ${chains}`,
    allows: (count) => count % 2 === 0 && count / 2 >= chains + LEAST_BETWEEN,
  };
}

/** Rounds above the openings where nothing is said (handbook 6). */
const ABOVE = 4;

function place(context: FittingContext): Placed {
  const { built, options, path } = context;
  const wall = built.upright ?? mouthAt(built, path);
  const { fabric, stitches: n, to: top } = wall;
  refuseOpen(fabric, 'A handle', path);
  const chains = chainsOf(context);
  const a = chains.value;
  const half = Math.floor(n / 2);
  if (a + LEAST_BETWEEN > half)
    refuse(
      `${path}.openMm`,
      `A handle of ${plural(a, 'chain')} (${mmToken(a * fabric.chain.value)}) is longer than half the round (${plural(half, 'stitch', 'stitches')}) allows. Make it ${mostToken(Math.max(10, (half - LEAST_BETWEEN) * fabric.chain.value))} or less, or the bag wider.`,
    );
  const above = Number(options.above);
  const rounds = top - wall.from + 1;
  if (rounds < above + 2)
    refuse(
      rounds < LEAST_ROUNDS ? `${path}.kind` : `${path}.above`,
      rounds < LEAST_ROUNDS
        ? `A wall of ${plural(rounds, 'round')} is too low for handles. They need ${LEAST_ROUNDS} or more: make it higher.`
        : `A wall of ${plural(rounds, 'round')} has no room for ${plural(above, 'round')} above its handles. Use ${rounds - 2} or fewer.`,
    );
  const before = splitBefore(context, Math.floor((half - a) / 2), half - a);
  const after = half - a - before;
  const piece = built.pieces.find(({ id }) => id === wall.piece)!;
  const opens = top - above;
  const [open, filled] = [piece.courses[opens - 1]!, piece.courses[opens]!];
  const stitch = ownStitch(filled, fabric);
  const hole = (length: number): Instruction[] => [
    { do: 'chain', chains: length, spans: length, as: 'chains' },
    { do: 'skip', times: length, into: 'stitch' },
  ];
  // of an odd round the second half has a stitch more
  const rest = n - 2 * half;
  const { shift, notes } = toTheFold(wall, opens, { back: before, on: after + rest });
  const plain = (count: number): Instruction[] => (count > 0 ? [work(stitch, count)] : []);
  const both = (middle: Instruction[]) => [
    ...plain(before + shift),
    ...middle,
    ...plain(after + before),
    ...middle,
    ...plain(after + rest - shift),
  ];
  const h = fabric.rowHeight.value;
  const w = frontOf(built).width / half;
  return {
    figures: { chains, opening: derive('mm', 'a × wc', { a: chains, wc: fabric.chain }, (v) => v.a * v.wc) },
    place: `round ${opens}: ${before}, handle of ${a}, ${after}, and the same again; ${plural(n, 'stitch', 'stitches')} in all, ${plural(above, 'round')} above it`,
    rows: [
      { piece: piece.id, row: opens, instructions: withStitches(open, both(hole(a))) },
      // the chains are worked into like stitches, in the base stitch where the wall takes up one loop only
      {
        piece: piece.id,
        row: opens + 1,
        instructions: withStitches(filled, both([work(fabric.stitch.base, a, 'chain')])),
      },
    ],
    notes,
    top: { piece: piece.id, from: opens, to: piece.rows },
    steps: [],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'slot',
          x1: before * w,
          y1: above * h,
          x2: (before + a) * w,
          y2: above * h,
          label: `handle, ${a} chains`,
        },
      ],
    },
    advice: [
      ...roomAdvice(a * fabric.chain.value, String(options.size)),
      ...askew(before, after, a),
      ...atNeck(context, above * h),
    ],
    areas: [{ face: 'front', x: [before * w, (before + a) * w], y: [(above - 1) * h, (above + 1) * h] }],
  };
}

/** Stitches of a half before its handle: the middle, or as chosen. */
function splitBefore({ options, path }: FittingContext, middle: number, most: number): number {
  if (options.before === undefined) return middle;
  const before = Number(options.before);
  if (before > most)
    refuse(
      `${path}.before`,
      `${plural(before, 'stitch', 'stitches')} before the handle leave none after it: half the round has ${most} beside it. Use ${most} or fewer.`,
    );
  return before;
}

/** Handles above a thing's shoulder lie at its neck, where it tips out of the hand (ours). */
function atNeck({ built, thing }: FittingContext, below: number): Placed['advice'] {
  const shoulder = thing.stations?.find(({ name }) => name === 'shoulder');
  const narrows = thing.stations?.some(({ name }) => name === 'neck');
  const height = built.inside.depth.value - below;
  if (!shoulder || !narrows || built.upright || height <= shoulder.height) return [];
  return [
    {
      id: 'handles-at-neck',
      severity: 'advice',
      text: `The handles lie ${mmToken(height - shoulder.height)} above the shoulder, beside the neck: nothing fills the bag there.`,
      repair: 'Use more rounds above them, or a top handle.',
      at: 'fittings',
    },
  ];
}

/** What handles off the middle cost (handbook 6). */
function askew(before: number, after: number, chains: number): Placed['advice'] {
  const off = Math.abs(before - after) / 2;
  if (off < 1) return [];
  return [
    {
      id: 'handles-askew',
      severity: 'advice',
      text: `Each handle lies ${formatNumber(off)} stitches beside the middle of its half: ${before} before it and ${after} after. The bag hangs askew by as much.`,
      repair: `Use ${Math.floor((before + after) / 2)} before it, or a handle of ${chains} chains and the fold shifted.`,
      at: 'fittings',
    },
  ];
}

function roomAdvice(mm: number, size: string) {
  const least = ROOM[size as keyof typeof ROOM] ?? ROOM.hand;
  if (mm >= least - 1) return [];
  return [
    {
      id: 'handle-narrow',
      severity: 'advice' as const,
      text: `An opening of ${mmToken(mm)} is narrow for a ${size}: ${leastToken(least)} is usual.`,
      repair: `Make it ${leastToken(least)}.`,
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
  opens: ({ above }) => Number(above) + 1,
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
    {
      key: 'above',
      kind: 'number',
      label: 'Rounds above it',
      help: 'They carry the load: more where it is heavy.',
      unit: 'rounds',
      whole: true,
      min: 1,
      max: 20,
      default: ABOVE,
    },
    {
      key: 'before',
      kind: 'number',
      label: 'Stitches of each half before it',
      help: 'Left empty: in the middle.',
      unit: 'stitches',
      whole: true,
      min: 0,
      max: 500,
      optional: true,
    },
  ],
  demands: (context) => ({ conditions: [EVEN, fits(chainsOf(context).value)] }),
  place,
};
