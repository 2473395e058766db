import { EVEN, reachOf, refuseBeyond } from '../../craft/counts';
import { work, type Instruction } from '../../craft/fabric';
import { chosen, derive, prior, type Figure } from '../../base/figure';
import { formatNumber, plural } from '../../base/units';
import { backwards, type Span, type Work } from '../../piece';
import type { Course, MouthPlace, Piece } from '../../shapes';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { centredOn, frontOf, mouthAt, plainRows, refuse, refuseOpen, toTheFold } from '../common';

/** Room under the handle for a hand, mm (prior, handbook 6). */
const ROOM_MM = 90;

/** Stitches of its base where the opening is wide enough. */
const FOOT = 10;

const up: Instruction = { do: 'turning-chain', chains: 1, counts: false };

/** Down from the foot to the run, one stitch less at each end of a row. */
function narrowing(from: number, to: number): number[] {
  const counts: number[] = [];
  for (let now = from; now > to;) {
    now = Math.max(to, now - 2);
    counts.push(now);
  }
  return counts;
}

/** A row that goes from one count to another by a change at each end, or by one over all where there are too few. */
function tongueRow(from: number, to: number): Instruction[] {
  const by = Math.abs(to - from);
  const between = (used: number): Instruction[] => (from > used ? [work('single', from - used)] : []);
  if (by === 0) return [up, work('single', to)];
  if (to < from) {
    const together = (over: number): Instruction => ({ do: 'together', stitch: 'single', over, times: 1 });
    if (by === 2 && from === 3) return [up, together(3)];
    return by === 2 ? [up, together(2), ...between(4), together(2)] : [up, together(2), ...between(2)];
  }
  const into = (count: number): Instruction => ({
    do: 'group',
    parts: [{ stitch: 'single', count }],
    over: 1,
    into: 'stitch',
    times: 1,
  });
  if (by === 2 && from === 1) return [up, into(3)];
  return by === 2 ? [up, into(2), ...between(2), into(2)] : [up, into(2), ...between(1)];
}

/** Its last row crocheted to the stitches opposite, right sides together: the ridge comes to lie inside (handbook 6). */
function tongueJoin({ id, stitches: foot, rows }: Piece, { piece: body }: MouthPlace, from: number): Work[] {
  const tip: Span = { piece: id, edge: 'last', from: 1, to: foot };
  const mouth: Span = { piece: body, edge: 'mouth', from, to: from + foot - 1 };
  const says = `Bring the handle over to the other side, not twisted and right sides together, so that its last row lies on stitches ${mouth.from} to ${mouth.to} of the opening.`;
  // right sides together the inside faces: of the handle where its last row shows the right side, else of the opening
  const odd = rows % 2 === 1;
  const spans: [Span, Span] = odd ? [tip, mouth] : [backwards(mouth), backwards(tip)];
  return [
    { do: 'fold', fold: { id, inside: 'edges', says, lays: [[tip, mouth]] } },
    {
      do: 'border',
      id: 'tongue-end',
      stitch: 'single',
      courses: 1,
      closed: false,
      side: 'wrong',
      path: [{ spans, stitches: foot, lies: { through: 'both' } }],
    },
    { do: 'fasten-off' },
  ];
}

/**
 * Stitches of its base: what is chosen, else ten, or half of a narrow half, so that what goes in still passes.
 *
 * @throws PlanProblem where those chosen leave nothing of the half free
 */
function footOf(asked: unknown, half: number, path: string): number {
  if (asked === undefined) return Math.max(2, Math.min(FOOT, Math.floor(half / 2)));
  const foot = Number(asked);
  if (foot > half - 1)
    refuse(
      `${path}.foot`,
      `A foot of ${plural(foot, 'stitch', 'stitches')} is wider than half the round (${half}). Use ${half - 1} or fewer.`,
    );
  return foot;
}

/** How far it stands above the opening at its middle: as typed, else room for a hand. */
const riseOf = ({ riseMm }: FittingContext['options']): Figure<'mm'> =>
  riseMm === undefined ? prior(ROOM_MM, 'mm', 0, 'room for a hand, each side') : chosen(Number(riseMm), 'mm', 'typed');

/** A centred tongue over the mouth: starts in the middle of one half, narrows, runs, widens, joins the other (handbook 6). */
function place({ built, options, path }: FittingContext): Placed {
  const mouth = mouthAt(built, path);
  const { fabric } = mouth;
  refuseOpen(fabric, 'A tongue handle', path);
  const half = Math.floor(mouth.stitches / 2);
  const foot = footOf(options.foot, half, path);
  const narrow = Math.min(Number(options.run), foot);
  // a stitch less at each end of a row, so that it stays in the middle
  const run = narrow + ((foot - narrow) % 2);
  const plain = plainRows(fabric);
  const rise = riseOf(options);
  const over = chosen(half * fabric.stitchWidth.value, 'mm', 'across the opening');
  const length = derive(
    'mm',
    'tongue = across the opening + 2 × room × 0.6',
    { over, rise },
    (v) => v.over + 1.2 * v.rise,
  );
  const down = narrowing(foot, run);
  const rows = Math.max(2 * down.length + 1, Math.round(length.value / plain.rowHeight.value));
  refuseBeyond(rows, 'courses', 'thing');
  const counts = [
    ...down,
    ...Array<number>(rows - 2 * down.length).fill(run),
    ...[...down].reverse().slice(1),
    ...(down.length > 0 ? [foot] : []),
  ];
  const courses = counts.map((ends, index): Course => ({
    instructions: tongueRow(counts[index - 1] ?? foot, ends),
    ends,
    kind: 'row',
    turned: index > 0,
    section: 'tongue',
  }));
  const { before } = centredOn(half, foot);
  // as many stitches are free on one side as on the other, wherever the foot begins
  const free = Math.floor((mouth.stitches - 2 * foot) / 2);
  const { shift, notes } = toTheFold(mouth, mouth.to + 1, {
    back: before,
    on: mouth.stitches - before - free - 2 * foot,
  });
  const [first, opposite] = [before + shift + 1, before + shift + foot + free + 1];
  const seen = frontOf(built).width / half;
  const n = chosen(foot, 'stitches', 'foot of the tongue');
  const r = chosen(courses.length, 'rows', 'rows of the tongue');
  const piece: Piece = {
    id: 'tongue',
    name: 'Top handle',
    times: 1,
    worked: 'rows',
    foundation: {
      kind: 'picked-up',
      count: foot,
      edge: 'seam',
      from: { at: 'stitches', line: 'the opening', from: first, to: first + foot - 1 },
    },
    stitches: foot,
    rows: courses.length,
    roundCounts: counts,
    counts: { foundation: n, stitches: n, rows: r },
    width: derive('mm', 'n × w', { n, w: plain.stitchWidth }, (v) => v.n * v.w),
    height: derive('mm', 'rows × h', { r, h: plain.rowHeight }, (v) => v.r * v.h),
    sections: [
      {
        name: 'tongue',
        rows: courses.length,
        from: 1,
        to: courses.length,
        stitches: foot,
        mm: courses.length * plain.rowHeight.value,
        count: r,
      },
    ],
    summary: `Pick up ${foot}, narrow to ${run}, ${plural(courses.length, 'row')}`,
    courses,
    reach: reachOf(plain.rowHeight.value),
    fabric: plain,
    notes: {},
  };
  return {
    figures: { length, width: piece.width },
    place: `stitches ${first} to ${first + foot - 1} of one half, joined to those opposite; ${plural(courses.length, 'row')}`,
    rows: [],
    notes,
    pieces: [piece],
    steps: [
      {
        id: 'join-tongue',
        section: 'handle',
        kind: 'assembly',
        after: piece.id,
        does: tongueJoin(piece, mouth, opposite),
        check: {
          look: 'The handle is not twisted, and the same number of stitches is free on both sides.',
          repair: `Unpick it and move it by one stitch. It should stand {mm:${formatNumber(rise.value)}} above the opening at its middle.`,
        },
        minutes: 2,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'cord',
          x1: before * seen,
          y1: 0,
          x2: (before + foot) * seen,
          y2: 0,
          label: `tongue, ${formatNumber(foot, 0)} stitches`,
        },
        {
          type: 'ribbon',
          // from the front it is seen edge on: up, and down again behind
          way: [0, 1 / 3, 2 / 3, 1].map((share) => [(before + foot / 2) * seen, -share * rise.value] as const),
          wide: run * fabric.stitchWidth.value,
          on: 'behind',
          label: 'top handle',
        },
      ],
    },
    advice: [],
    areas: [{ face: 'mouth', x: [before * seen, (before + foot) * seen], y: [0, 5] }],
  };
}

export const tongueHandle: FittingDefinition = {
  id: 'tongue-handle',
  name: 'Top handle',
  summary: 'One handle over the middle, from one half of the opening to the other.',
  asks: ['round-mouth'],
  because: 'It continues from an opening worked in rounds.',
  onMouth: true,
  figures: { length: 'Length', width: 'Width' },
  options: [
    {
      key: 'foot',
      kind: 'number',
      label: 'Stitches at the base',
      help: 'Left empty: ten, or fewer on a small opening.',
      unit: 'stitches',
      whole: true,
      min: 2,
      max: 60,
      optional: true,
    },
    {
      key: 'run',
      kind: 'number',
      label: 'Stitches along the handle',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 40,
      default: 6,
    },
    {
      key: 'riseMm',
      kind: 'length',
      label: 'Height above the opening',
      help: 'At its middle. Left empty: room for a hand.',
      min: 20,
      max: 400,
      optional: true,
    },
  ],
  demands: () => ({ conditions: [EVEN] }),
  place,
};
