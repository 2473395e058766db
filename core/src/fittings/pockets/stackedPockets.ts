import { chosen, derive } from '../../base/figure';
import type { Part } from '../../drawing/parts';
import { nth, tailOf } from '../../piece';
import { mmToken, mostToken, plural, typedToken } from '../../base/units';
import type { WorkStep } from '../../shapes';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { faceOf, frontOf, plainRows, refuse, smallPiece } from '../common';

/** Of each further pocket, so much shows below the one before (prior, ours). */
const SHOWS = 0.3;

/** Small pockets one above the other on the front, each a rectangle sewn on by three sides (handbook 6). */
function place({ built, fabric, options, path, schools }: FittingContext): Placed {
  const face = frontOf(built);
  const count = Number(options.count);
  const high = Number(options.heightMm);
  if (high > face.height - 10)
    refuse(
      `${path}.heightMm`,
      `A pocket of ${typedToken(high)} does not fit on a front of ${mmToken(face.height)}. Make it ${mostToken(Math.max(10, face.height - 10))} or less.`,
    );
  const need = high * (1 + SHOWS * (count - 1));
  if (need > face.height)
    refuse(
      `${path}.count`,
      `${plural(count, 'pocket')} of ${typedToken(high)} reach ${mmToken(need)} up a front of ${mmToken(face.height)}. Use fewer or lower ones.`,
    );
  const plain = plainRows(fabric);
  const margin = chosen(2 * plain.stitchWidth.value, 'mm', 'a stitch left free on each side');
  const width = derive('mm', 'width = front − margin', { front: chosen(face.width, 'mm', 'the front'), margin }, (v) =>
    Math.max(10, v.front - v.margin),
  );
  const piece = smallPiece({
    id: 'small-pocket',
    name: 'Small pocket',
    times: count,
    fabric: plain,
    width,
    length: chosen(high, 'mm', 'typed'),
    schools,
  });
  const tops = Array.from({ length: count }, (_, index) => face.height - high * (1 + SHOWS * index));
  const step: WorkStep = {
    id: 'sew-small-pockets',
    section: 'joining',
    kind: 'assembly',
    does: [
      {
        do: 'sew',
        id: 'small-pockets',
        what: piece.id,
        open: true,
        mm: 3 * count * (2 * high + width.value),
        tails: tops.map((_, index) => tailOf(nth(piece.id, index + 1), 'end')),
        at: tops.map((below) => ({ on: 'front' as const, below, of: faceOf(built) })),
        says: `${SEWN[count === 1 ? 'one' : 'several']} {all}.`,
      },
    ],
    check: {
      look: 'Equal margins left and right, rows level with the front’s?',
      repair: 'Pin both top corners before sewing.',
    },
    minutes: 10 * count,
  };
  return {
    figures: { width, height: piece.height },
    place: `${plural(count, 'pocket')} on the front, ${piece.stitches} stitches and ${piece.rows} rows each`,
    rows: [],
    pieces: [piece],
    steps: [step],
    parts: {
      // the lower lies over the higher
      folded: [...tops].reverse().flatMap((top): Part[] => [
        {
          type: 'ribbon',
          way: [1, 2 / 3, 1 / 3, 0].map((share) => [face.x + face.width / 2, face.y + top + share * high] as const),
          wide: face.width - margin.value,
          on: 'front',
          label: 'small pocket',
        },
        {
          type: 'line',
          kind: 'slot',
          x1: face.x + margin.value / 2,
          y1: face.y + top,
          x2: face.x + face.width - margin.value / 2,
          y2: face.y + top,
          label: 'small pocket',
        },
      ]),
    },
    advice: [],
    areas: [{ face: 'front', x: [margin.value / 2, face.width - margin.value / 2], y: [tops.at(-1)!, face.height] }],
  };
}

/** How they are sewn on, to where their tops lie. */
const SEWN = {
  one: 'sew the small pocket to the front, centred: side, bottom and side through the front alone, the top open. Its top edge lies',
  several:
    'sew the small pockets to the front, centred, from the lowest up: side, bottom and side through the front alone, the tops open. Their top edges lie',
} as const;

export const stackedPockets: FittingDefinition = {
  id: 'stacked-pockets',
  name: 'Stacked pockets',
  summary: 'Small pockets one above the other on the front.',
  asks: ['flat-front'],
  because: 'They are sewn to a front that lies flat and open.',
  figures: { width: 'Width', height: 'Height' },
  options: [
    { key: 'count', kind: 'number', label: 'How many', unit: '', whole: true, min: 1, max: 3, default: 1 },
    { key: 'heightMm', kind: 'length', label: 'Pocket height', min: 20, max: 400, default: 60 },
  ],
  place,
};
