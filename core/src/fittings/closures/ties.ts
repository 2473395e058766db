import { chosen, derive, prior } from '../../base/figure';
import { formatNumber, plural } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { chainsFor, cord, faceOf, frontOf } from '../common';

/** For the bow, mm (prior, handbook 6). */
const BOW_MM = 250;

/** Layers of a case folded in thirds, in halves, or not at all. */
const LAYERS: Readonly<Record<string, number>> = { none: 1, halves: 2, thirds: 3 };

/** Yarn to sew it on by its middle, mm (prior, ours). */
const SEWN_MM = 150;

/** Where a tie is held: at an edge, or on the back, through its outer layer alone. */
const TIE_AT: Readonly<Record<string, { name: string; place: string; sew: string; x: number }>> = {
  edge: { name: 'at one side edge', place: 'at the middle of one side', sew: 'to one side edge', x: 1 },
  back: {
    name: 'at the middle of the back',
    place: 'at the middle of the back, through its outer layer',
    sew: 'to the middle of the back, through the back’s outer layer only',
    x: 0.5,
  },
};

/** A tie round the folded bundle: its girth times the turns, and 250 mm for the bow (law, with the bow a prior; handbook 6). */
function place({ built, fabric, thing, options }: FittingContext): Placed {
  const face = frontOf(built);
  const layers = LAYERS[String(options.folded)]!;
  const wide = chosen(face.width / layers, 'mm', layers === 1 ? 'the case' : 'the case folded');
  const turns = chosen(Number(options.turns), '1', 'turns');
  const count = chosen(layers, '1', 'times folded upon itself');
  const girth = derive(
    'mm',
    'bundle = 2 (width + layers × (D + 2t))',
    { width: wide, layers: count, D: thing.depth, t: fabric.thickness },
    (v) => 2 * (v.width + v.layers * (v.D + 2 * v.t)),
  );
  const bow = prior(BOW_MM, 'mm', 0, 'for the bow');
  const length = derive('mm', 'tie = bundle × turns + 250 mm', { girth, turns, bow }, (v) => v.girth * v.turns + v.bow);
  const where = TIE_AT[String(options.at)] ?? TIE_AT.edge!;
  const { chains } = chainsFor(length, fabric.chain);
  const at = face.height / 2;
  return {
    figures: { girth, length, chains },
    place: `${where.place}, {mm:${formatNumber(at)}} below the top; ${plural(chains.value, 'chain')}`,
    rows: [],
    steps: [
      {
        id: 'sew-tie',
        section: 'closing',
        kind: 'closure',
        does: [
          cord('tie', 'For the tie:', chains.value, 0),
          {
            do: 'sew',
            id: 'tie-on',
            what: 'tie',
            at: [{ on: 'back', below: at, of: faceOf(built) }],
            says: `sew it by its middle ${where.sew}, {at}.`,
            mm: SEWN_MM,
          },
        ],
        check: {
          look: 'Before you cut the tie: round the filled piece, does it leave a bow?',
          repair: 'Add chains until it does.',
          before: true,
        },
        minutes: 6,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'cord',
          x1: face.x + where.x * face.width,
          y1: face.y + at,
          x2: face.x + (where.x + 0.2) * face.width,
          y2: face.y + at,
          label: 'tie',
        },
      ],
    },
    advice: [],
  };
}

export const ties: FittingDefinition = {
  id: 'ties',
  holdsIn: true,
  name: 'Ties',
  summary: 'Go round the folded bundle and end in a bow.',
  asks: ['bundle'],
  because: 'There is nothing to tie round: it is held by its tabs.',
  hazards: ['cord'],
  figures: { girth: 'Round the bundle', length: 'Length', chains: 'Chains' },
  options: [
    {
      key: 'folded',
      kind: 'choice',
      label: 'The case is',
      options: [
        { id: 'none', name: 'not folded' },
        { id: 'halves', name: 'folded in halves' },
        { id: 'thirds', name: 'folded in thirds' },
      ],
      default: 'none',
    },
    {
      key: 'at',
      kind: 'choice',
      label: 'Sewn on',
      options: Object.entries(TIE_AT).map(([id, { name }]) => ({ id, name })),
      default: 'edge',
    },
    { key: 'turns', kind: 'number', label: 'Turns around it', unit: '', whole: true, min: 1, max: 6, default: 1 },
  ],
  place,
};
