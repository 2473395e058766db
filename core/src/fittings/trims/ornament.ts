import { inOne, work, type Instruction } from '../../craft/fabric';
import { chosen, derive, prior, type Figure } from '../../base/figure';
import { spotWords, tailOf, type Spot, type Work } from '../../piece';
import { typedToken } from '../../base/units';
import { faceOf, flapDown, IN_FROM, frontOf, lengthOf, refuse, refuseBeside } from '../common';
import { type FittingContext, type FittingDefinition, type Notion, type Placed } from '../definition';

interface OrnamentKind {
  id: string;
  name: string;
  /** How many are sewn on. */
  count: number;
  /** What is done with them there, in words. */
  sew: string;
  notion?: string;
}

/** What is sewn on for its looks (handbook 6). */
const KINDS: readonly OrnamentKind[] = [
  { id: 'flower', name: 'a crocheted flower', count: 1, sew: 'sew the flower on' },
  { id: 'bead', name: 'a bead', count: 1, sew: 'sew the bead on, through its hole three times', notion: 'bead' },
  {
    id: 'face',
    name: 'a face of two buttons',
    count: 2,
    sew: 'sew both buttons on beside each other, as eyes, a button apart',
    notion: 'small button',
  },
  { id: 'ring', name: 'a ring', count: 1, sew: 'sew the ring on at its top', notion: 'ring' },
  { id: 'bell', name: 'a bell', count: 1, sew: 'sew the bell on by its eye', notion: 'small bell' },
];

/** What is left of a flower to sew it on with, mm (prior, ours). */
const FLOWER_TAIL_MM = 250;

const PETALS = 5;

/** Five petals around a ring. */
const FLOWER: readonly (readonly Instruction[])[] = [
  [work('single', PETALS, 'ring'), { do: 'join' }],
  [
    {
      ...inOne('double', 3, 'stitch', 1, PETALS),
      parts: [
        { stitch: 'slip', count: 1 },
        { chains: 2, spans: 0 },
        { stitch: 'double', count: 3 },
        { chains: 2, spans: 0 },
        { stitch: 'slip', count: 1 },
      ],
    } as Instruction,
  ],
];

const flowerMade: Work = {
  do: 'free',
  id: 'flower',
  lead: 'The flower:',
  courses: FLOWER,
  times: 1,
  tails: FLOWER_TAIL_MM,
  rounds: true,
};

/** A third of the way down the front; where a flap hangs over that, half-way from its edge to the bottom (prior, ours). */
function usualBelow(front: Figure<'mm'>, edge: Figure<'mm'> | undefined): Figure<'mm'> {
  const third = prior(1 / 3, '1', 0, 'a third of the way down');
  if (!edge) return derive('mm', 'below = a third of the front', { front, third }, (v) => v.front * v.third);
  return derive(
    'mm',
    'below = half-way from the flap’s edge to the bottom',
    { front, edge },
    (v) => (v.front + v.edge) / 2,
  );
}

/** Where the middle of it comes, mm from the front’s left and top edges. */
function middleOf({ built, options, path }: FittingContext, across: number): { x: number; y: Figure<'mm'> } {
  const face = frontOf(built);
  const x = options.inFromMm === undefined ? face.width / 2 : Number(options.inFromMm);
  const front = chosen(face.height, 'mm', 'the front');
  const y =
    options.belowMm === undefined
      ? usualBelow(front, built.flap?.edgeBelowFrontTop)
      : lengthOf(options.belowMm, 'typed');
  const least = across / 2;
  refuseBeside({ mm: x, least, most: face.width - least }, `${path}.inFromMm`);
  refuseBeside({ mm: y.value, least, most: face.height - least }, `${path}.belowMm`, 'below the top');
  return { x, y };
}

/** Where it sits: on which face, how far down the closed piece its middle comes, mm, and the same in words. */
interface Seat {
  face: 'front' | 'flap';
  x: number;
  down: number;
  below: Figure<'mm'>;
  spot: Spot;
  layer: string;
}

const across = (x: number, { inFromMm }: FittingContext['options']): number | 'middle' =>
  inFromMm === undefined ? 'middle' : x;

function onFront(context: FittingContext, wide: number): Seat {
  const { x, y } = middleOf(context, wide);
  const spot: Spot = { on: 'front', below: y.value, inMm: across(x, context.options), of: faceOf(context.built) };
  return { face: 'front', x, down: y.value, below: y, spot, layer: 'the front layer' };
}

/**
 * On the flap, as far above its edge as is asked, else half-way up what is seen of it.
 *
 * @throws PlanProblem where there is no flap, or it is too short
 */
function onFlap(context: FittingContext, wide: number): Seat {
  const { built, options, path } = context;
  const high = flapDown(built);
  if (!built.flap || high <= 0) refuse(`${path}.on`, 'There is no flap. Add one, or put the ornament on the front.');
  const { width } = frontOf(built);
  const x = options.inFromMm === undefined ? width / 2 : Number(options.inFromMm);
  const seen = chosen(high, 'mm', 'of the flap in front');
  const above =
    options.aboveMm === undefined
      ? derive('mm', 'half of what is seen of the flap', { seen }, (v) => v.seen / 2)
      : lengthOf(options.aboveMm, 'typed');
  const least = wide / 2;
  refuseBeside({ mm: x, least, most: width - least }, `${path}.inFromMm`);
  refuseBeside({ mm: above.value, least, most: high - least }, `${path}.aboveMm`, 'above its edge', 'the flap');
  const spot: Spot = { on: 'flap', above: above.value, inMm: across(x, options), of: { wide: width, high } };
  return { face: 'flap', x, down: high - above.value, below: above, spot, layer: 'the flap' };
}

function place(context: FittingContext): Placed {
  const { built, fabric, options } = context;
  const kind = KINDS.find(({ id }) => id === options.ornament)!;
  const wide = Number(options.acrossMm);
  const seat = options.on === 'flap' ? onFlap(context, wide) : onFront(context, wide);
  const { x, down, below } = seat;
  const face = frontOf(built);
  const flower = kind.id === 'flower';
  return {
    figures: { below },
    place: `${kind.name}, ${spotWords(seat.spot)}`,
    rows: [],
    steps: [
      {
        id: 'sew-ornament',
        section: 'finishing',
        kind: 'finish',
        does: [
          ...(flower ? [flowerMade] : []),
          {
            do: 'sew',
            id: 'ornament',
            ...(flower ? { what: 'flower', tails: [tailOf('flower', 'end')], mm: FLOWER_TAIL_MM } : { mm: 0 }),
            at: [seat.spot],
            says: `${kind.sew}, {at}, through ${seat.layer} only.`,
          },
        ],
        check: { look: 'Does it hold a good pull?', repair: 'Sew over it three more times.' },
        minutes: flower ? 15 : 6,
      },
    ],
    parts: {
      folded: [{ type: 'button', x: face.x + x, y: seat.face === 'flap' ? down : face.y + down, diameter: wide }],
    },
    advice: [],
    areas: [{ face: seat.face, x: [x - wide / 2, x + wide / 2], y: [down - wide / 2, down + wide / 2] }],
    ...notionsOf(kind, wide, fabric.yarn.value),
    hazards: flower ? [] : ['small-part'],
  };
}

/** What is sewn on must let needle and yarn through. */
function notionsOf({ notion, count }: OrnamentKind, across: number, yarn: number): { notions?: Notion[] } {
  if (!notion) return {};
  return {
    notions: [
      { name: notion, size: typedToken(across), count },
      {
        name: 'sewing needle that goes through its hole',
        size: `thread, or a hole of ${typedToken(yarn)} for yarn`,
        count: 1,
      },
    ],
  };
}

/** Something sewn to the front for its looks (handbook 6). */
export const ornament: FittingDefinition = {
  id: 'ornament',
  name: 'Ornament',
  summary: 'A flower, a bead, a face of buttons, a ring or a bell on the front or the flap.',
  asks: [],
  figures: { below: 'Its place' },
  options: [
    { key: 'ornament', kind: 'choice', label: 'Ornament', options: KINDS, default: 'flower' },
    { key: 'acrossMm', kind: 'length', label: 'Across', min: 3, max: 100, default: 20 },
    {
      key: 'on',
      kind: 'choice',
      label: 'Sewn on',
      options: [
        { id: 'front', name: 'the front' },
        { id: 'flap', name: 'the flap' },
      ],
      default: 'front',
    },
    {
      key: 'belowMm',
      kind: 'length',
      label: 'Below the front’s top',
      help: 'To its middle. Left empty: a third of the front, or below the flap.',
      min: 0,
      max: 2000,
      optional: true,
      when: ({ on }) => on !== 'flap',
    },
    {
      key: 'aboveMm',
      kind: 'length',
      label: 'Above the flap’s edge',
      help: 'To its middle. Left empty: half-way up.',
      min: 0,
      max: 2000,
      optional: true,
      when: ({ on }) => on === 'flap',
    },
    { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' },
  ],
  place,
};
