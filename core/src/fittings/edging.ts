import { pickUp } from '../counts';
import { BASES, type WorkedFabric } from '../fabric';
import { chosen, derive, type Figure } from '../figure';
import { borderCount, reversed, type Border, type BorderStitch, type Stretch } from '../piece';
import type { Built, WorkStep } from '../shapes';
import { formatNumber, plural } from '../units';
import { type FittingContext, type FittingDefinition, type Placed } from './definition';
import { frontOf, refuse } from './common';

interface Kind {
  id: BorderStitch;
  name: string;
  /** Stitches of an edge for each repeat, and how the text words one. */
  repeat: number;
  text: string;
  /** Height of a round against one of single. */
  height: number;
  /** Yarn against the edge's length (prior; handbook 2.2, reverse and loops ours). */
  yarn: number;
}

/** Edgings by what they are worked of (handbook 6). */
const KINDS: readonly Kind[] = [
  {
    id: 'slip',
    name: 'slip stitch',
    repeat: 1,
    text: '{slip} in each',
    height: BASES.slip.roundHeight / BASES.single.roundHeight,
    yarn: BASES.slip.yarn,
  },
  {
    id: 'single',
    name: 'single',
    repeat: 1,
    text: '{single} in each',
    height: 1,
    yarn: BASES.single.yarn,
  },
  {
    id: 'reverse',
    name: 'reverse single',
    repeat: 1,
    text: '{single} in each, worked backwards from {side:left} to {side:right}',
    height: 1,
    yarn: 7.5,
  },
  {
    id: 'loops',
    name: 'loops',
    repeat: 2,
    text: '(chain 3, {single} in the second stitch from there) round',
    height: 1,
    yarn: 9,
  },
];

/** Around the mouth: on the shape's own way around it, or as many stitches as the mouth has (handbook 4.2, 4.4 and 6). */
function place(context: FittingContext): Placed {
  const { built, fabric, options, path } = context;
  const kind = KINDS.find(({ id }) => id === options.edging)!;
  const rounds = Number(options.rounds);
  const face = frontOf(built);
  const { rim } = built;
  if (typeof rim === 'string') refuse(`${path}.kind`, rim);
  const borders = bordersOf(built, kind, rounds);
  const count = borders
    ? borders.reduce((sum, border) => sum + borderCount(border), 0)
    : mouthCount(built, kind, fabric);
  const n = chosen(count, 'stitches', 'around the mouth');
  const deep: Figure<'mm'> = derive(
    'mm',
    'depth = (plain rounds + k) × h of single, k the last one against single',
    {
      plain: chosen(rounds - 1, 'rows', 'typed'),
      k: chosen(kind.height, '1', kind.name),
      h: fabric.also('single', 'rounds').rowHeight,
    },
    (v) => (v.plain + v.k) * v.h,
  );
  return {
    figures: { stitches: n, depth: deep },
    place: `around the mouth, ${plural(count, 'stitch', 'stitches')}, {mm:${formatNumber(deep.value)}} deep`,
    rows: [],
    steps: borders
      ? borders.map((border, index) => ({
          id: index === 0 ? 'work-edging' : `work-edging-${index + 1}`,
          ...STEP,
          does: [border, { do: 'fasten-off' }],
          minutes: 3,
        }))
      : [{ id: 'work-edging', ...STEP, text: inWords(kind, count, rounds), minutes: 3 + (count * rounds) / 18 }],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'cord',
          x1: face.x,
          y1: face.y,
          x2: face.x + face.width,
          y2: face.y,
          label: `edging, ${kind.name}`,
        },
      ],
    },
    advice: [],
    areas: [{ face: 'mouth', x: [0, face.width], y: [0, 4] }],
    yarnMm: borders ? 0 : kind.yarn * 2 * face.width * rounds,
  };
}

/** What every step of it has. */
const STEP = {
  section: 'closing',
  kind: 'assembly',
  phase: 'mouth',
  check: {
    look: 'Does the edge lie flat?',
    repair: 'If it waves, leave a stitch out now and then; if it draws in, work looser.',
  },
  reaches: ['the mouth'],
} as const satisfies Partial<WorkStep>;

/** The edging as work, where the shape knows its way; reverse single goes the other way around. */
function bordersOf({ rim, lips }: Built, { id }: Kind, rounds: number): Border[] | undefined {
  const way = (path: readonly Stretch[]) => (id === 'reverse' && rounds === 1 ? reversed(path) : path);
  const border = { do: 'border', stitch: id, courses: rounds } as const;
  if (typeof rim === 'function')
    return [{ ...border, id: 'rim', path: way(rim()), closed: true, from: 'at a side of the opening' }];
  return lips?.().map(({ from, path }, index) => ({
    ...border,
    id: `lip-${index + 1}`,
    path: way(path),
    closed: false,
    from,
  }));
}

function mouthCount(built: Built, { repeat }: Kind, fabric: WorkedFabric): number {
  const face = frontOf(built);
  const w = fabric.stitchWidth.value;
  const along = built.mouth ? built.mouth.stitches : edgeStitches(2 * face.stitches, 2 * face.width, w);
  return repeat * Math.max(1, Math.round(along / repeat));
}

function inWords(kind: Kind, count: number, rounds: number): string {
  const plain = rounds > 1 ? `${plural(rounds - 1, 'plain round')} of {single}, then ` : '';
  return `Join the yarn at a side and work around the mouth, ${plural(count, 'stitch', 'stitches')}: ${plain}${kind.text}. Fasten off.`;
}

function edgeStitches(own: number, girth: number, w: number): number {
  return Math.abs(own * w - girth) < w ? own : pickUp(1, girth, w).stitches;
}

export const edging: FittingDefinition = {
  id: 'edging',
  name: 'Edging',
  summary: 'Around the mouth: slip stitch, single, reverse single or loops.',
  asks: [],
  figures: { stitches: 'Stitches', depth: 'Depth' },
  options: [
    { key: 'edging', kind: 'choice', label: 'Edging of', options: KINDS, default: 'single' },
    { key: 'rounds', kind: 'number', label: 'Rounds', unit: 'rounds', whole: true, min: 1, max: 6, default: 1 },
  ],
  place,
};
