import { EVEN, reachOf, refuseBeyond } from '../counts';
import { work, type Instruction } from '../fabric';
import { chosen, derive, prior } from '../figure';
import { formatLength, formatNumber, plural } from '../units';
import type { Course, Piece } from '../shapes';
import { type FittingContext, type FittingDefinition, type Placed } from './definition';
import { centredOn, plainRows, refuse, refuseOpen } from './common';

/** Room under the handle for a hand, mm (prior, handbook 6). */
const ROOM_MM = 90;

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

/** A centred tongue over the mouth: starts in the middle of one half, narrows, runs, widens, joins the other (handbook 6). */
function place({ built, fabric, options, path }: FittingContext): Placed {
  refuseOpen(fabric, 'A tongue handle', path);
  const mouth = built.mouth!;
  const half = mouth.stitches / 2;
  const foot = Math.min(Number(options.foot), Math.floor(half) - 1);
  if (Number(options.foot) > half - 1)
    refuse(
      `${path}.foot`,
      `A foot of ${plural(Number(options.foot), 'stitch', 'stitches')} is wider than half the round (${half}). Take ${Math.floor(half) - 1} or fewer.`,
    );
  const run = Math.min(Number(options.run), foot);
  const plain = plainRows(fabric);
  const rise = prior(ROOM_MM, 'mm', 0, 'room for a hand, each side');
  const over = chosen(half * fabric.stitchWidth.value, 'mm', 'across the mouth');
  const length = derive(
    'mm',
    'tongue = across the mouth + 2 × room × 0.6',
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
      from: `along the mouth, from stitch ${before + 1} to ${before + foot}`,
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
    place: `stitches ${before + 1} to ${before + foot} of one half, joined to the same of the other; ${plural(courses.length, 'row')}`,
    rows: [],
    pieces: [piece],
    steps: [
      {
        id: 'join-tongue',
        section: 'handle',
        kind: 'assembly',
        phase: 'mouth',
        text: `Bring the tongue over and join its last row to stitches ${half + before + 1} to ${half + before + foot} of the mouth, stitch for stitch.`,
        check: {
          look: 'Not twisted, as many stitches free left and right of it?',
          repair: `It stands ${formatLength(ROOM_MM)} above the mouth at its middle: move it by a stitch.`,
        },
        reaches: ['the mouth'],
        minutes: 6,
        seam: { mm: piece.width.value, factor: 4 },
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'cord',
          x1: before * fabric.stitchWidth.value,
          y1: 0,
          x2: (before + foot) * fabric.stitchWidth.value,
          y2: 0,
          label: `tongue, ${formatNumber(foot, 0)} stitches`,
        },
      ],
    },
    advice: [],
    areas: [
      { face: 'mouth', x: [before * fabric.stitchWidth.value, (before + foot) * fabric.stitchWidth.value], y: [0, 5] },
    ],
  };
}

export const tongueHandle: FittingDefinition = {
  id: 'tongue-handle',
  name: 'Top handle',
  summary: 'One handle over the middle, from one half of the mouth to the other.',
  asks: ['round-mouth'],
  because: 'It goes on from a mouth worked in rounds.',
  figures: { length: 'Length', width: 'Width' },
  options: [
    {
      key: 'foot',
      kind: 'number',
      label: 'Stitches at the base',
      unit: 'stitches',
      whole: true,
      min: 2,
      max: 60,
      default: 10,
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
  ],
  demands: () => ({ conditions: [EVEN] }),
  place,
};
