import { EVEN } from '../../craft/counts';
import { chosen, derive, prior } from '../../base/figure';
import { formatLength, formatNumber } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { frontOf, refuse } from '../common';

/** Lengths zips are sold in, mm (prior, ordinary haberdashery). */
export const ZIPS_MM = [100, 120, 150, 180, 200, 220, 250, 300, 350, 400, 450, 500, 550, 600] as const;

/** The longest standard zip that is no longer than the mouth; its ends are tucked (handbook 6). */
export function zipFor(mouthMm: number): number | undefined {
  return ZIPS_MM.filter((length) => length <= mouthMm).at(-1);
}

/** The shortest standard zip at least as long as the mouth; its surplus goes inside (handbook 6). */
function zipAbove(mouthMm: number): number | undefined {
  return ZIPS_MM.find((length) => length >= mouthMm);
}

function place({ built, path, options }: FittingContext): Placed {
  const face = frontOf(built);
  const below = zipFor(face.width);
  const length = options.size === 'above' ? (zipAbove(face.width) ?? below) : below;
  if (length === undefined)
    return refuse(
      `${path}.kind`,
      `The opening is ${formatLength(face.width)} wide, and the shortest zip is ${formatLength(ZIPS_MM[0])}. Close it with a button or a drawstring.`,
    );
  const over = Math.max(0, length - face.width);
  const sewn = Math.min(length, face.width);
  const mouth = chosen(face.width, 'mm', 'the opening, flat');
  const figure = derive(
    'mm',
    length > face.width
      ? 'the next standard length above the opening'
      : 'the nearest standard length below the opening',
    { mouth, standard: prior(length, 'mm', 0, 'as sold') },
    () => length,
  );
  return {
    figures: { zip: figure },
    place:
      over > 0
        ? `along the whole opening, {mm:${formatNumber(over)}} of it pushed inside`
        : `along the opening, {mm:${formatNumber((face.width - length) / 2)}} free at each end`,
    rows: [],
    steps: [
      {
        id: 'sew-zip',
        section: 'closing',
        kind: 'closure',
        does: [
          {
            do: 'sew',
            id: 'zip',
            mm: 0,
            layers: 'mouth',
            says: `with sewing thread backstitch the zip’s tape to the inside of the opening, a row below the edge, front first, then back, the zip open. ${over ? `Push the {mm:${formatNumber(over)}} that are over inside at the closed end and tack them down.` : 'Tuck both ends in.'}`,
          },
        ],
        check: {
          look: 'Does it run freely, no stitch caught in its teeth?',
          repair: 'Unpick the place and sew a little further from the teeth.',
        },
        minutes: 25,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'seam',
          x1: face.x + (face.width - sewn) / 2,
          y1: face.y + 4,
          x2: face.x + (face.width + sewn) / 2,
          y2: face.y + 4,
          label: 'zip',
        },
      ],
    },
    advice: [],
    areas: [{ face: 'mouth', x: [0, face.width], y: [0, 10] }],
    notions: [
      { name: 'zip', size: `${formatNumber(length / 10)} cm`, count: 1 },
      { name: 'sewing thread', count: 1 },
      { name: 'sewing needle', count: 1 },
    ],
  };
}

export const zip: FittingDefinition = {
  id: 'zip',
  holdsIn: true,
  gives: 'pull',
  name: 'Zip',
  summary: 'The nearest standard length below the opening, sewn in by hand.',
  asks: ['straight-mouth'],
  because: 'A zip closes a straight opening.',
  figures: { zip: 'Zip' },
  // its two edges are as long as each other
  demands: ({ fabric }) => (fabric.worked === 'rounds' ? { conditions: [EVEN] } : {}),
  options: [
    {
      key: 'size',
      kind: 'choice',
      label: 'Standard length',
      options: [
        { id: 'below', name: 'the nearest below the opening' },
        { id: 'above', name: 'the next above, surplus inside' },
      ],
      default: 'below',
    },
  ],
  place,
};
