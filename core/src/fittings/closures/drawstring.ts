import { EVEN, type CountCondition } from '../../craft/counts';
import { repeat, work } from '../../craft/fabric';
import { chosen, derive, prior, type Figure } from '../../base/figure';
import type { Free, Stretch, Work } from '../../piece';
import type { MouthPlace, Part, WorkStep } from '../../shapes';
import { formatNumber, plural, typedToken, type FieldValues } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Notion, type Placed } from '../definition';
import {
  chainsFor,
  cord,
  frontOf,
  LEAST_ROUNDS,
  mouthAt,
  ownStitch,
  withStitches,
  refuse,
  refuseOpen,
  TWIST,
} from '../common';

/** So much cord hangs out at each end, mm (prior, handbook 6). */
const END_MM = 120;

/** A loop at a cord's end, to hang it by, mm (prior, ours). */
const END_LOOP_MM = 30;

/** Stitches of the mouth to each loop of a loop edging. */
const LOOP_COLUMNS = 2;

const throughLoops = ({ through }: FieldValues): boolean => through === 'loops';

/** Stitches to each hole, or to each loop. */
const span = (options: FieldValues): number =>
  throughLoops(options) ? LOOP_COLUMNS : Number(options.between) + Number(options.hole);

/** An even number of holes brings both ends out together, an odd one through one hole (handbook 6). */
function holesOf(options: FieldValues): CountCondition {
  const columns = span(options);
  const odd = options.ends === 'one-hole';
  return {
    id: odd ? 'odd-holes' : 'even-holes',
    text: `an ${odd ? 'odd' : 'even'} number of holes, ${columns} stitches each`,
    allows: (count) => count % (2 * columns) === (odd ? columns : 0),
  };
}

/** What a cord is drawn through, and what is done for it. */
interface Passage {
  rows: Placed['rows'];
  top?: Placed['top'];
  steps: WorkStep[];
  count: number;
  /** What it is drawn through, in words, and where that is. */
  through: string;
  where: string;
}

function place(context: FittingContext): Placed {
  const { built, options, path } = context;
  const loops = throughLoops(options);
  const opening = mouthAt(built, path);
  const mouth = loops ? opening : (built.upright ?? opening);
  const { fabric } = mouth;
  const passage = loops ? loopsRound(context, mouth) : eyelets(context, mouth);
  const w = (2 * frontOf(built).width) / mouth.stitches;
  const n = chosen(mouth.stitches, 'stitches', 'round the opening');
  const length = derive(
    'mm',
    'cord = mouth girth + 2 × 120 mm',
    { n, w: fabric.stitchWidth, ends: prior(END_MM, 'mm', 0, 'hanging out at each end') },
    (v) => v.n * v.w + 2 * v.ends,
  );
  const cords = options.cords === 'two' && options.cord !== 'tie' ? 2 : 1;
  const made = cordMade(String(options.cord), length, context, cords);
  const columns = span(options);
  const y = loops ? 0 : 2.5 * fabric.rowHeight.value;
  const across = Math.max(3, Number(loops ? 1 : options.hole) * w * 0.7);
  const seen = Array.from(
    { length: Math.floor(passage.count / 2) },
    (_, index) => [(index + 0.7) * columns * w, y] as const,
  );
  return {
    figures: { holes: chosen(passage.count, 'stitches', 'holes round the opening'), length, ...made.figures },
    place: `${passage.where}; ${plural(cords, 'cord')} of {mm:${formatNumber(length.value)}}`,
    rows: passage.rows,
    ...(passage.top ? { top: passage.top } : {}),
    steps: [...passage.steps, ...made.steps, thread(passage, made, options, cords), knot(made, options, cords)],
    parts: {
      folded: [
        ...woven(seen, 0.12 * frontOf(built).height),
        { type: 'dots', points: seen, diameter: across, label: loops ? 'loops' : 'eyelets', draws: true },
      ],
    },
    advice: [],
    areas: loops
      ? []
      : [{ face: 'front', x: [0, (mouth.stitches / 2) * w], y: [fabric.rowHeight.value, 3 * fabric.rowHeight.value] }],
    notions: [...toggles(options, cords, made.thick), ...(options.end === 'bell' ? [{ name: 'bell', count: 1 }] : [])],
    ...(options.end === 'bell' ? { hazards: ['small-part' as const] } : {}),
  };
}

/** The cord as it is seen from in front: before the fabric from each second hole to the next, its ends hanging from the outer ones. */
function woven(holes: readonly (readonly [number, number])[], hangs: number): Part[] {
  const piece = (x1: number, y1: number, x2: number, y2: number): Part => ({
    type: 'line',
    kind: 'cord',
    x1,
    y1,
    x2,
    y2,
    label: 'cord',
  });
  const runs = holes.flatMap(([x, y], index) => {
    const next = holes[index + 1];
    return index % 2 === 1 && next ? [piece(x, y, next[0], next[1])] : [];
  });
  const [first] = holes;
  return first ? [...runs, piece(first[0], first[1], first[0] - hangs / 4, first[1] + hangs)] : runs;
}

/** A round of holes near the top of the wall, filled by the next (handbook 6). */
function eyelets({ built, options, path }: FittingContext, wall: MouthPlace): Passage {
  const { fabric, stitches, from, to } = wall;
  refuseOpen(fabric, 'An eyelet round', path);
  const [between, hole] = [Number(options.between), Number(options.hole)];
  const columns = span(options);
  const count = Math.floor(stitches / columns);
  const rounds = to - from + 1;
  if (rounds < LEAST_ROUNDS)
    refuse(
      `${path}.kind`,
      `${from > 1 && built.pieces[0]!.bands ? 'A top band' : 'A wall'} of ${plural(rounds, 'round')} is too low for an eyelet round. It needs ${LEAST_ROUNDS} or more: make it higher.`,
    );
  if (count < 2)
    refuse(
      `${path}.between`,
      `${plural(stitches, 'stitch', 'stitches')} round leave fewer than two holes of ${columns}. Set them closer.`,
    );
  const rest = stitches - count * columns;
  const piece = built.pieces.find(({ id }) => id === wall.piece)!;
  // under a shoulder's first round, else with one more above it where the band has one
  const row = to - (built.upright || rounds === LEAST_ROUNDS ? 1 : 2);
  const [open, filled] = [piece.courses[row - 1]!, piece.courses[row]!];
  const stitch = ownStitch(filled, fabric);
  const over = rest > 0 ? [work(stitch, rest)] : [];
  const chain = { do: 'chain', chains: hole, spans: hole, as: 'chains' } as const;
  const skip = { do: 'skip', times: hole, into: 'stitch' } as const;
  return {
    rows: [
      {
        piece: piece.id,
        row,
        instructions: withStitches(open, [...repeat([work(stitch, between), chain, skip], count), ...over]),
      },
      {
        piece: piece.id,
        row: row + 1,
        instructions: withStitches(filled, [
          ...repeat([work(stitch, between), work(fabric.stitch.base, hole, 'chain')], count),
          ...over,
        ]),
      },
    ],
    top: { piece: piece.id, from: row, to: piece.rows },
    steps: [],
    count,
    through: `the holes of round ${row}`,
    where: `round ${row}: ${plural(count, 'hole')}, ${plural(between, 'stitch', 'stitches')} between`,
  };
}

/** Loops of chains all round the mouth, worked on from its last round (handbook 6). */
function loopsRound({ built, path }: FittingContext, { piece, stitches }: MouthPlace): Passage {
  const { rim } = built;
  if (typeof rim !== 'function' || !built.rimGoesOn)
    return refuse(`${path}.through`, 'Loops continue from a last round. Begin at the bottom, or use eyelets.');
  const count = Math.floor(stitches / LOOP_COLUMNS);
  const way: readonly Stretch[] = rim();
  const fills = way.some(({ upon }) => upon) ? 1 : 0;
  return {
    rows: [],
    steps: [
      {
        id: 'work-loops',
        section: 'closing',
        kind: 'assembly',
        after: piece,
        goesOn: true,
        does: [
          {
            do: 'border',
            id: 'loops',
            stitch: 'loops',
            courses: 1 + fills,
            path: way,
            closed: true,
          },
        ],
        check: { look: 'All loops alike?', repair: 'Pull it out to the one that differs.' },
        minutes: 2,
      },
    ],
    count,
    through: 'the loops',
    where: `${plural(count, 'loop')} round the opening`,
  };
}

interface Cord {
  figures: Record<string, Figure>;
  steps: WorkStep[];
  /** Done when it is threaded. */
  does: Work[];
  /** Whether it hangs at the mouth, where it was chained on. */
  tied: boolean;
  /** mm. */
  thick: number;
}

function cordMade(kind: string, length: Figure<'mm'>, { built, path }: FittingContext, cords: number): Cord {
  const { fabric, piece } = built.mouth!;
  const wc = fabric.chain;
  if (kind === 'twisted') {
    const cut = derive('mm', 'cut = 2 × 1.35 × finished, of each pair', { length }, (v) => TWIST * v.length);
    const says = `cut ${cords === 2 ? 'two pairs of strands, each' : 'a pair of strands'} {cut:${formatNumber(cut.value)}} long. Knot ${cords === 2 ? 'each pair' : 'them'} at both ends, fix one end and twist until the cord kinks. Fold it in half and let it twist on itself.`;
    const twist: Work = { do: 'sew', id: 'cord', mm: 2 * cut.value * cords, made: true, says };
    return { figures: { cut }, steps: [], does: [twist], tied: false, thick: 0.6 * wc.value };
  }
  const { chains } = chainsFor(length, wc);
  const made: Free = { ...cord('cord', 'For the cord:', chains.value, 0), times: cords };
  if (kind !== 'tie') return { figures: { chains }, steps: [], does: [made], tied: false, thick: 0.5 * wc.value };
  if (!built.rimGoesOn)
    return refuse(
      `${path}.cord`,
      'A tie is chained on from a last round. Begin at the bottom, or use a cord of its own.',
    );
  const onward: WorkStep = {
    id: 'chain-tie',
    section: 'closing',
    kind: 'assembly',
    after: piece,
    goesOn: true,
    does: [{ ...made, lead: 'The tie, on from where you are:', onward: true }],
    minutes: 1,
  };
  return { figures: { chains }, steps: [onward], does: [], tied: true, thick: 0.5 * wc.value };
}

/** After all rounds of the mouth; what slides on the cord goes on before its ends are fixed (handbook 6). */
function thread({ through }: Passage, { does, tied }: Cord, options: FieldValues, cords: number): WorkStep {
  const out =
    options.ends === 'one-hole' ? 'starting and ending at the same hole' : 'starting and ending beside each other';
  const way = cords === 2 ? 'the second from the opposite side' : out;
  const what = tied
    ? `weave the tie in and out through ${through}, all round and back to where it begins.`
    : `weave the cord in and out through ${through}, ${way}.`;
  const toggle = options.toggle === 'yes' ? ` Slide the toggle over ${tied ? 'it' : 'both ends'}.` : '';
  return {
    id: 'thread-cord',
    section: 'closing',
    kind: 'closure',
    does: [
      ...does,
      {
        do: 'sew',
        id: 'thread',
        ...(tied || does[0]?.do !== 'free' ? {} : { what: 'cord' }),
        mm: 0,
        says: what + toggle,
      },
    ],
    check: {
      look: 'Does the opening draw shut, and open again?',
      repair: 'Use a smoother cord.',
    },
    minutes: 4,
  };
}

/** Fixed with the mouth fully open, so that it opens again (handbook 6). */
function knot({ tied }: Cord, { end }: FieldValues, cords: number): WorkStep {
  const ends = tied ? 'its end' : cords === 2 ? 'the ends of each cord together' : 'the ends';
  const carries: Readonly<Record<string, string>> = {
    bell: `thread a bell on, and knot ${ends} below it`,
    loop: `fold ${ends} back to a loop of {mm:${END_LOOP_MM}} and knot it`,
  };
  return {
    id: 'knot-cord',
    // what slides on the cord is on it by then
    follows: ['thread-cord', 'make-bobble'],
    section: 'closing',
    kind: 'closure',
    does: [
      {
        do: 'sew',
        id: 'knot',
        mm: 0,
        says: `pull the opening fully open, then ${carries[String(end)] ?? `knot ${ends}`}.`,
      },
    ],
    minutes: 1,
  };
}

const toggles = ({ toggle }: FieldValues, cords: number, thick: number): Notion[] =>
  toggle === 'yes' ? [{ name: 'toggle', size: `with a hole of ${typedToken(2 * cords * thick)}`, count: cords }] : [];

export const drawstring: FittingDefinition = {
  id: 'drawstring',
  holdsIn: true,
  name: 'Drawstring',
  summary: 'A cord through an eyelet round near the top, or through loops round the opening.',
  asks: ['round-mouth'],
  because: 'It runs through rounds near an opening.',
  gives: 'cord',
  hazards: ['cord'],
  figures: { holes: 'Holes', length: 'Length', cut: 'Cut length', chains: 'Chains' },
  coversMouth: throughLoops,
  cordEnds: ({ cord: kind }) => (kind === 'tie' ? 1 : 2),
  // the round of holes, and the one below it
  opens: ({ through }) => (through === 'loops' ? 0 : 3),
  options: [
    {
      key: 'through',
      kind: 'choice',
      label: 'Through',
      options: [
        { id: 'eyelets', name: 'an eyelet round' },
        { id: 'loops', name: 'loops of chain' },
      ],
      default: 'eyelets',
    },
    {
      key: 'between',
      kind: 'number',
      label: 'Stitches between holes',
      help: 'Of an eyelet round.',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 12,
      default: 3,
    },
    {
      key: 'hole',
      kind: 'number',
      label: 'Chains over a hole',
      help: 'Of an eyelet round.',
      unit: 'chains',
      whole: true,
      min: 1,
      max: 4,
      default: 1,
    },
    {
      key: 'ends',
      kind: 'choice',
      label: 'Its ends come out',
      help: 'Side by side from an even number of holes, of one hole from an odd one.',
      options: [
        { id: 'together', name: 'side by side' },
        { id: 'one-hole', name: 'of one hole' },
      ],
      default: 'together',
    },
    {
      key: 'cord',
      kind: 'choice',
      label: 'Cord',
      options: [
        { id: 'chain', name: 'a chain' },
        { id: 'twisted', name: 'a twisted cord' },
        { id: 'tie', name: 'a chained-on tie' },
      ],
      default: 'chain',
    },
    {
      key: 'cords',
      kind: 'choice',
      label: 'How it draws',
      help: 'A tie is always one.',
      options: [
        { id: 'one', name: 'one cord' },
        { id: 'two', name: 'two, from opposite sides' },
      ],
      default: 'one',
    },
    {
      key: 'end',
      kind: 'choice',
      label: 'At its end',
      options: [
        { id: 'knot', name: 'a knot' },
        { id: 'bell', name: 'a bell' },
        { id: 'loop', name: 'a loop' },
      ],
      default: 'knot',
    },
    {
      key: 'toggle',
      kind: 'choice',
      label: 'Toggle',
      options: [
        { id: 'no', name: 'none' },
        { id: 'yes', name: 'one on each cord' },
      ],
      default: 'no',
    },
  ],
  demands: ({ options }) => ({
    conditions: options.ends === 'one-hole' ? [holesOf(options)] : [EVEN, holesOf(options)],
  }),
  place,
};
