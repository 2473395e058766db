import { derive, prior } from '../../base/figure';
import { formatNumber } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { frontOf } from '../common';

/** Round every cut edge, and at the top, mm (prior, handbook 6). */
const SEAM_MM = 10;
const TOP_MM = 15;

/** Cut size of a lining from the inside size, folded at the bottom: seam allowance and top turn added (law, handbook 6). */
function place({ built, thing }: FittingContext): Placed {
  const seam = prior(SEAM_MM, 'mm', 0, 'seam allowance');
  const top = prior(TOP_MM, 'mm', 0, 'turned in at the top');
  const { girth, depth } = built.inside;
  const wide = derive('mm', 'cut wide = inside girth / 2 + 2 seams', { girth, seam }, (v) => v.girth / 2 + 2 * v.seam);
  const long = derive(
    'mm',
    'cut long = 2 (inside depth + D/2 + top turn), folded at the bottom',
    { depth, D: thing.depth, top },
    (v) => 2 * (v.depth + v.D / 2 + v.top),
  );
  const face = frontOf(built);
  return {
    figures: { wide, long },
    place: `cut one piece {mm:${formatNumber(wide.value)}} by {mm:${formatNumber(long.value)}}, folded across the middle`,
    rows: [],
    steps: [
      {
        id: 'sew-lining',
        section: 'closing',
        kind: 'closure',
        does: [
          {
            do: 'sew',
            id: 'lining',
            mm: 0,
            layers: 'inside',
            says: `cut a piece of lining fabric {mm:${toCut(wide.value)}} × {mm:${toCut(long.value)}}. Fold it in half, right sides together. Sew both sides with a seam of {mm:${SEAM_MM}}. Put it in the pouch without turning it. Fold {mm:${TOP_MM}} of the top in and hem it to the opening a row below the edge.`,
          },
        ],
        check: {
          look: 'Does it lie at the bottom without pulling?',
          repair: 'Let the side seams out, or turn less in at the top.',
        },
        minutes: 35,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'seam',
          x1: face.x,
          y1: face.y + 6,
          x2: face.x + face.width,
          y2: face.y + 6,
          label: 'lining',
        },
      ],
    },
    advice: [],
    notions: [
      { name: 'lining cloth', size: `{cut:${formatNumber(wide.value)}} × {cut:${formatNumber(long.value)}}`, count: 1 },
      { name: 'sewing thread', count: 1 },
      { name: 'sewing needle', count: 1 },
    ],
  };
}

/** Fabric is cut to whole steps of so much, and never too small, mm. */
const CUT_STEP_MM = 5;
const toCut = (mm: number): number => Math.ceil(mm / CUT_STEP_MM - 1e-9) * CUT_STEP_MM;

/** What a lining’s sheet is cut and turned by, mm. */
export const lining: FittingDefinition = {
  id: 'lining',
  cloth: { seam: SEAM_MM, top: TOP_MM, toCut },
  name: 'Lining',
  summary: 'A cut sheet for the inside: keeps slim tools from poking through.',
  asks: ['open-mouth'],
  because: 'A lining is dropped in through an opening.',
  figures: { wide: 'Cut width', long: 'Cut length' },
  options: [],
  place,
};
