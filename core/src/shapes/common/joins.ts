import type { Piece, WorkStep } from '../definition';
import type { RibbonPart } from '../../drawing/parts';
import { nth, type Seam, type Work } from '../../piece';
import { formatNumber, type ChoiceField } from '../../base/units';

/**
 * Ways to close an edge: the stitch width each takes from each side (handbook 3, seam take), the yarn it takes against
 * the seam's length (handbook 7), and its words.
 */
const JOINS = [
  { id: 'single', name: 'crocheted together outside', take: 0, factor: 4, text: '{single} through both layers' },
  { id: 'slip', name: 'slip stitched outside', take: 0, factor: 3, text: '{slip} through both layers' },
  {
    id: 'reverse',
    name: '{reverse} outside',
    take: 0,
    factor: 8,
    text: '{reverse} through both layers',
  },
  {
    id: 'whip',
    name: 'whip stitched',
    take: 0.25,
    factor: 3,
    text: 'whip stitch through the edge loops of both layers',
  },
  {
    id: 'mattress',
    name: 'mattress stitched',
    take: 0.25,
    factor: 3,
    text: 'mattress stitch through the edge loops of both layers',
  },
] as const;

export type Join = (typeof JOINS)[number];

/** The option by which a shape lets the maker choose its join. */
export function joinField(label: string, help: string, otherwise: Join['id'] = 'single'): ChoiceField {
  return { key: 'join', kind: 'choice', label, help, options: JOINS, default: otherwise };
}

/** The join of an id, crocheted together where it is none. */
export function joinOf(id: unknown): Join {
  return JOINS.find((join) => join.id === id) ?? JOINS[0];
}

/** The stitch of a join that is crocheted; undefined for one that is sewn. */
export function crocheted({ id }: Join): 'single' | 'slip' | 'reverse' | undefined {
  return id === 'whip' || id === 'mattress' ? undefined : id;
}

/** How wide the ridge of a crocheted join stands out, in widths of a stitch (ours, by eye). */
const RIDGE: Readonly<Record<'single' | 'slip' | 'reverse', number>> = { single: 0.8, slip: 0.5, reverse: 0.95 };

type JoinedSide = 'left' | 'right' | 'low';

/** How far a sewn seam reaches over its edge, in widths of a stitch (ours, by eye). */
const SEWN_WIDE = 0.45;

/** Joined sides of a closed piece as they are seen: the ridge of a crocheted join, or what a needle leaves. */
export function joinsSeen(
  join: Join,
  stitchMm: number,
  { x, y, w, h }: { x: number; y: number; w: number; h: number },
  sides: readonly JoinedSide[] = ['left', 'right'],
): RibbonPart[] {
  const stitch = crocheted(join);
  const wide = (stitch ? RIDGE[stitch] : SEWN_WIDE) * stitchMm;
  const out = (stitch ? 0.2 : -0.1) * wide;
  const ends = {
    left: [x - out, y + h, x - out, y],
    right: [x + w + out, y + h, x + w + out, y],
    low: [x, y + h + out, x + w, y + h + out],
  } as const;
  const sewn = stitch ? {} : { sewn: join.id === 'mattress' ? ('mattress' as const) : ('whip' as const) };
  return sides.map((side): RibbonPart => {
    const [x1, y1, x2, y2] = ends[side];
    const way = [0, 1 / 3, 2 / 3, 1].map((share) => [x1 + share * (x2 - x1), y1 + share * (y2 - y1)] as const);
    return { type: 'ribbon', way, wide, on: 'edge', ...sewn, label: 'join' };
  });
}

/** What hangs at both ends of a seam, mm, and the longest yarn that is sewn with at once (prior, handbook 14). */
const [ENDS_MM, LONGEST_MM] = [300, 1200] as const;

/**
 * Three sides sewn in one pass: one yarn from a corner of the mouth down, along and up again, or two from the middle of the bottom where it
 * would be too long to sew with (handbook 14, whip round three sides).
 *
 * @param what what of the layers is sewn together, in words
 */
export function sewnInOnePass(seams: readonly Pick<Seam, 'mm'>[], { name, factor }: Join, what: string): string {
  const yarn = factor * seams.reduce((sum, { mm }) => sum + mm, 0) + ENDS_MM;
  const how = `${name.replace(/ed$/, '')} ${what} together`;
  const twice = 'Go twice over the first and the last place of the bottom, and at both ends of the opening.';
  if (yarn <= LONGEST_MM)
    return `With about {cut:${formatNumber(yarn)}} of yarn, ${how}: down one side from the opening, along the bottom, up the other side. ${twice}`;
  return `With two lengths of about {cut:${formatNumber(yarn / 2)}}, ${how}: each from the middle of the bottom out to a corner and up its side. ${twice}`;
}

/** The others of a piece that is made several times. */
function othersAlike(id: string, times: number): Work[] {
  return Array.from({ length: times - 1 }, (_, index) => {
    const as = nth(id, index + 2);
    return { do: 'again', piece: id, as, works: [{ do: 'make', piece: as }, { do: 'fasten-off' }] };
  });
}

/** The end of a piece: nothing is begun while its loop is open. Then the others alike. */
export function pieceEnd({ id, times }: Pick<Piece, 'id' | 'times'>): WorkStep[] {
  const step = { section: 'joining', kind: 'assembly', after: id } as const;
  const off: WorkStep = { ...step, id: `fasten-off-${id}`, does: [{ do: 'fasten-off' }], minutes: times };
  if (times === 1) return [off];
  const text = times === 2 ? 'Make a second one in the same way.' : `Make ${times} in all, each in the same way.`;
  return [off, { ...step, id: `more-${id}`, does: othersAlike(id, times), text, minutes: 0 }];
}
