import { BASES, lastFabric, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, type Figure } from '../../base/figure';
import {
  borderAlong,
  borderCount,
  edgesOf,
  placesIn,
  reversed,
  seenFromBehind,
  wayFor,
  type Border,
  type BorderStitch,
  type Piece,
  type RawEdge,
  type Stretch,
} from '../../piece';
import type { Cloth, Part } from '../../drawing';
import type { Built, WorkStep } from '../../shapes';
import { FRONT_TOP } from '../../shapes/common/panelWork';
import { formatNumber, plural, type FieldValues } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { clothsOf, frontOf, refuse } from '../common';
import { RIM } from '../onEdging';

interface Kind {
  id: BorderStitch;
  name: string;
  /** Stitches of an edge for each repeat. */
  repeat: number;
  /** Height of a round against one of single. */
  height: number;
}

/** Loops of three chains against the width of a single (prior, handbook 2.2). */
const LOOPS_HIGH = 0.9;

/** Edgings by what they are worked of (handbook 6). */
const KINDS: readonly Kind[] = [
  { id: 'slip', name: 'slip stitch', repeat: 1, height: BASES.slip.roundHeight / BASES.single.roundHeight },
  { id: 'single', name: '{single}', repeat: 1, height: 1 },
  { id: 'reverse', name: '{reverse}', repeat: 1, height: BASES.reverse.roundHeight / BASES.single.roundHeight },
  { id: 'loops', name: 'loops', repeat: 2, height: LOOPS_HIGH / BASES.single.roundHeight },
];

/** How deep so many rounds are, mm: a round of each kind is as high as its own stitch (law, handbook 3). */
const deepOf = (kind: Kind, rounds: number, fabric: WorkedFabric): Figure<'mm'> =>
  derive(
    'mm',
    'depth = (plain rounds + k) × h, k the last one against a plain one',
    {
      plain: chosen(rounds - 1, 'rows', 'typed, and one where spaces are filled first'),
      k: chosen(kind.height, '1', 'the last round'),
      h: fabric.also('single', 'rounds').rowHeight,
    },
    (v) => (v.plain + v.k) * v.h,
  );

const kindOf = (options: FieldValues): Kind => KINDS.find(({ id }) => id === options.edging)!;

/** Around the mouth: on the shape’s own way around it, or along each of its edges (handbook 4.2, 4.4 and 6). */
function place(context: FittingContext): Placed {
  const { built, fabric, options, path } = context;
  const kind = kindOf(options);
  const rounds = Number(options.rounds);
  const face = frontOf(built);
  const { rim } = built;
  if (typeof rim === 'string') refuse(`${path}.kind`, rim);
  const borders = bordersOf(built, kind, rounds).map((border) => heldSo(border, options, path));
  const count = borders.reduce((sum, border) => sum + borderCount(border), 0);
  const n = chosen(count, 'stitches', 'around the opening');
  const deep = deepOf(kind, borders[0]?.courses ?? rounds, fabric);
  return {
    figures: { stitches: n, depth: deep },
    place: `around the opening, ${counted(kind, count)}, {mm:${formatNumber(deep.value)}} deep`,
    rows: [],
    steps: borders.map((border, index) => ({
      id: index === 0 ? 'work-edging' : `work-edging-${index + 1}`,
      ...STEP,
      ...(built.rimGoesOn
        ? ({ after: built.pieces[0]!.id, goesOn: true, does: [border] } as const)
        : { does: [border, { do: 'fasten-off' } as const] }),
      minutes: 3,
    })),
    parts: { folded: borders.slice(0, 1).map((border) => seenFrom(built, border, deep.value)) },
    advice: [],
    areas: [{ face: 'mouth', x: [0, face.width], y: [0, 4] }],
  };
}

/** A border with the side facing that is said, and its rounds turned where they are to be (handbook 4.4). */
function heldSo(border: Border, { edging, faces, turns }: FieldValues, path: string): Border {
  if (edging === 'reverse') return border;
  const held: Border =
    faces === 'inside' ? { ...border, path: reversed(border.path).map(seenFromBehind), side: 'wrong' } : border;
  if (turns !== 'each' || border.courses === 1) return held;
  if (!border.closed || border.path.some(({ corner }) => corner))
    refuse(
      `${path}.turns`,
      'The way around this opening has ends or corners, and rounds that are turned go round without any. Let them go all one way.',
    );
  return { ...held, turned: true };
}

/** What people count of it: loops, where it is of loops. */
const counted = ({ id, repeat }: Kind, count: number): string =>
  id === 'loops' ? plural(Math.floor(count / repeat), 'loop') : plural(count, 'stitch', 'stitches');

/** What of it is seen from the front, stitch for stitch: of a flap what lies around it, else what lies along the mouth. */
function seenFrom(built: Built, border: Border, deep: number): Part {
  const flap = clothsOf(built, 'folded').find(({ role }) => role === 'flap');
  const around = flap && seenAround(flap, border, built.pieces[0]!);
  const { box, rounds } = around ?? { box: { ...mouthOf(built), h: 0 }, rounds: seenAlong(border) };
  return { type: 'border', ...box, depth: deep / rounds.length, rounds };
}

type Box = Record<'x' | 'y' | 'w' | 'h', number>;
type Rounds = Extract<Part, { type: 'border' }>['rounds'];

/** Along the front's top edge, or half of what goes all around. */
function seenAlong(border: Border): Rounds {
  const front = ({ lies }: Stretch) => lies.line === FRONT_TOP;
  const half = border.path.some(front) ? 1 : 2;
  return borderAlong(border, half === 1 ? front : () => true).map(({ stitch, stitches }) => ({
    stitch,
    corner: 0,
    sides: [Math.ceil(stitches / half), 0, 0, 0],
  }));
}

/** Around a flap that hangs over the front: along its end, and of what lies along its sides as much as hangs there. */
function seenAround({ x, y, w, h }: Cloth, border: Border, piece: Piece): { box: Box; rounds: Rounds } | undefined {
  const first = border.path.findIndex(({ corner }) => corner);
  if (first < 0) return undefined;
  const beside = border.path[first + 3] ?? border.path[first - 1]!;
  const [span] = beside.spans;
  const { pitch } = edgesOf(piece)[span.edge as RawEdge] ?? { pitch: piece.fabric.stitchWidth.value };
  const share = Math.min(1, h / (placesIn(span) * pitch));
  const ends = borderAlong(border, (_stretch, at) => at === first + 1);
  const side = border.path.indexOf(beside);
  const sides = borderAlong(border, (_stretch, at) => at === side);
  const rounds = ends.map(({ stitch, stitches }, round) => {
    const side = Math.round(share * sides[round]!.stitches);
    return { stitch, corner: 3, sides: [0, side, stitches, side] as const };
  });
  return { box: { x, y, w, h }, rounds };
}

/** Where the mouth lies in the folded view: the upper edge of what reaches highest at the front. */
function mouthOf(built: Built): { x: number; y: number; w: number } {
  const { x, y, width } = frontOf(built);
  const tapers = clothsOf(built, 'folded').filter((cloth) => cloth.top !== undefined && cloth.y < y);
  return tapers.reduce((at, { x, y, w, top = w }) => (y < at.y ? { x: x + (w - top) / 2, y, w: top } : at), {
    x,
    y,
    w: width,
  });
}

/** What every step of it has. */
const STEP = {
  section: 'closing',
  kind: 'assembly',
  check: {
    look: 'Does the edge lie flat?',
    repair: 'If it waves, leave a stitch out now and then; if it draws in, work looser.',
  },
} as const satisfies Partial<WorkStep>;

/** The edging as work, on the way the shape knows. */
function bordersOf({ rim, lips }: Built, { id }: Kind, rounds: number): Border[] {
  const border = { do: 'border', stitch: id } as const;
  if (typeof rim === 'function') {
    const path = rim();
    // spaces are filled with plain stitches first
    const fills = id !== 'single' && path.some(({ upon }) => upon) ? 1 : 0;
    const courses = rounds + fills;
    return [{ ...border, courses, id: RIM, path: courses > 1 ? path : wayFor(path, id), closed: true }];
  }
  return (lips?.() ?? []).map(({ path }, index) => {
    const lip = { ...border, courses: rounds, id: `lip-${index + 1}`, closed: false };
    if (id !== 'reverse' || rounds % 2 === 0) return { ...lip, path };
    // what is worked backwards has the right side facing, not turned from the row before it
    return rounds === 1
      ? { ...lip, path: reversed(path) }
      : { ...lip, path: reversed(path).map(seenFromBehind), side: 'wrong' };
  });
}

export const edging: FittingDefinition = {
  id: 'edging',
  name: 'Edging',
  summary: 'Around the opening: slip stitch, {single}, {reverse} or loops.',
  asks: [],
  figures: { stitches: 'Stitches', depth: 'Depth' },
  options: [
    { key: 'edging', kind: 'choice', label: 'Edging of', options: KINDS, default: 'single' },
    { key: 'rounds', kind: 'number', label: 'Rounds', unit: 'rounds', whole: true, min: 1, max: 6, default: 1 },
    {
      key: 'faces',
      kind: 'choice',
      label: 'Worked with',
      options: [
        { id: 'outside', name: 'the outside facing' },
        { id: 'inside', name: 'the inside facing' },
      ],
      default: 'outside',
      when: ({ edging }) => edging !== 'reverse',
    },
    {
      key: 'turns',
      kind: 'choice',
      label: 'Its rounds',
      options: [
        { id: 'none', name: 'go all one way' },
        { id: 'each', name: 'are turned after each' },
      ],
      default: 'none',
      when: ({ edging, rounds }) => edging !== 'reverse' && Number(rounds) > 1,
    },
  ],
  demands: ({ options, fabric }) => {
    const kind = kindOf(options);
    // spaces of an open fabric are filled with plain stitches first
    const fills = kind.id !== 'single' && lastFabric(fabric).stitch.level ? 1 : 0;
    return { rim: deepOf(kind, Number(options.rounds) + fills, fabric) };
  },
  place,
};
