import { inOne, work, type Instruction } from '../../craft/fabric';
import { chosen, derive, prior, type Figure } from '../../base/figure';
import { tailOf, type Work } from '../../piece';
import { formatNumber, typedToken } from '../../base/units';
import { IN_FROM, frontOf, lengthOf, refuseBeside } from '../common';
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
  from: '',
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

function place(context: FittingContext): Placed {
  const { built, fabric, options } = context;
  const kind = KINDS.find(({ id }) => id === options.ornament)!;
  const across = Number(options.acrossMm);
  const { x, y } = middleOf(context, across);
  const face = frontOf(built);
  const where = `{mm:${formatNumber(y.value)}} below the front’s top edge, ${options.inFromMm === undefined ? 'in the middle' : `{mm:${formatNumber(x)}} in from the {side:left} side`}`;
  const flower = kind.id === 'flower';
  return {
    figures: { below: y },
    place: `${kind.name}, ${where}`,
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
            says: `${kind.sew}, ${where}, through the front layer only.`,
          },
        ],
        check: { look: 'Does it hold a good pull?', repair: 'Sew over it three more times.' },
        minutes: flower ? 15 : 6,
      },
    ],
    parts: { folded: [{ type: 'button', x: face.x + x, y: face.y + y.value, diameter: across }] },
    advice: [],
    areas: [{ face: 'front', x: [x - across / 2, x + across / 2], y: [y.value - across / 2, y.value + across / 2] }],
    ...notionsOf(kind, across, fabric.yarn.value),
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
  summary: 'A flower, a bead, a face of buttons, a ring or a bell on the front.',
  asks: [],
  figures: { below: 'Below the front’s top' },
  options: [
    { key: 'ornament', kind: 'choice', label: 'Ornament', options: KINDS, default: 'flower' },
    { key: 'acrossMm', kind: 'length', label: 'Across', min: 3, max: 100, default: 20 },
    {
      key: 'belowMm',
      kind: 'length',
      label: 'Below the front’s top',
      help: 'To its middle. Left empty: a third of the front, or below the flap.',
      min: 0,
      max: 2000,
      optional: true,
    },
    { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' },
  ],
  place,
};
