import { CORNER, pickUp } from '../counts';
import { BASES } from '../fabric';
import { chosen, derive, type Figure } from '../figure';
import { formatNumber, plural } from '../units';
import { type FittingContext, type FittingDefinition, type Placed } from './definition';
import { frontOf } from './common';

interface Kind {
  id: string;
  name: string;
  /** Stitches of an edge for each repeat, and how the text words one. */
  repeat: number;
  text: string;
  corner: number;
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
    corner: 1,
    height: BASES.slip.roundHeight / BASES.single.roundHeight,
    yarn: BASES.slip.yarn,
  },
  {
    id: 'single',
    name: 'single',
    repeat: 1,
    text: '{single} in each',
    corner: CORNER.plain,
    height: 1,
    yarn: BASES.single.yarn,
  },
  {
    id: 'reverse',
    name: 'reverse single',
    repeat: 1,
    text: '{single} in each, worked backwards from {side:left} to {side:right}',
    corner: CORNER.low,
    height: 1,
    yarn: 7.5,
  },
  {
    id: 'loops',
    name: 'loops',
    repeat: 2,
    text: '(chain 3, {single} in the second stitch from there) round',
    corner: 1,
    height: 1,
    yarn: 9,
  },
];

/** Round the mouth: as many stitches as its own, or picked up along row ends at a simple ratio (handbook 4.2 and 6). */
function place({ built, fabric, options }: FittingContext): Placed {
  const kind = KINDS.find(({ id }) => id === options.edging)!;
  const face = frontOf(built);
  const girth = 2 * face.width;
  const along = built.mouth ? built.mouth.stitches : edgeStitches(2 * face.stitches, girth, fabric.stitchWidth.value);
  const count = kind.repeat * Math.max(1, Math.round(along / kind.repeat));
  const n = chosen(count, 'stitches', 'round the mouth');
  const rounds = Number(options.rounds);
  const deep: Figure<'mm'> = derive(
    'mm',
    'depth = rounds × h of single',
    { rounds: chosen(rounds, 'rows', 'typed'), h: fabric.also('single', 'rounds').rowHeight },
    (v) => v.rounds * v.h * kind.height,
  );
  const more = rounds > 1 ? ` Before it ${plural(rounds - 1, 'plain round')} of {single}.` : '';
  return {
    figures: { stitches: n, depth: deep },
    place: `round the mouth, ${plural(count, 'stitch', 'stitches')}, {mm:${formatNumber(deep.value)}} deep`,
    rows: [],
    steps: [
      {
        id: 'work-edging',
        section: 'closing',
        kind: 'assembly',
        phase: 'mouth',
        text: `Join the yarn at a side and work round the mouth, ${plural(count, 'stitch', 'stitches')} in all: ${kind.text}; ${plural(kind.corner, 'stitch', 'stitches')} in each outer corner.${more} Fasten off.`,
        check: {
          look: 'Does the edge lie flat?',
          repair: 'If it waves, leave a stitch out now and then; if it draws in, work looser.',
        },
        reaches: ['the mouth'],
        minutes: 3 + (count * rounds) / 18,
      },
    ],
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
    yarnMm: kind.yarn * girth * rounds,
  };
}

function edgeStitches(own: number, girth: number, w: number): number {
  return Math.abs(own * w - girth) < w ? own : pickUp(1, girth, w).stitches;
}

export const edging: FittingDefinition = {
  id: 'edging',
  name: 'Edging',
  summary: 'Round the mouth: slip stitch, single, reverse single or loops.',
  asks: [],
  figures: { stitches: 'Stitches', depth: 'Depth' },
  options: [
    { key: 'edging', kind: 'choice', label: 'Edging of', options: KINDS, default: 'single' },
    { key: 'rounds', kind: 'number', label: 'Rounds', unit: 'rounds', whole: true, min: 1, max: 6, default: 1 },
  ],
  place,
};
