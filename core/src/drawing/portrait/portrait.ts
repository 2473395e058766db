import { clothAhead, clothInYarn } from './cloth';
import { boxOf } from './box';
import { pressedFrom } from './extent';
import { outlineOf } from './outline';
import { SHADOW } from './tones';
import { isCloth, type Side, type SidePart } from './types';
import { ink, mm, type InkNode } from './ink';
import { MARKS } from './marks';
import { Paint, type Weave } from './paint';

/** A side as it is painted, and the room it takes, mm. */
export interface Painted {
  box: Side['box'];
  nodes: readonly InkNode[];
}

/** Room round what is seen, in widths of a stitch: edges bulge, shadows fall. */
const AROUND = 0.9;

/**
 * A side of the finished piece in yarn.
 *
 * @param prefix of what it defines: names are known to a whole page
 */
export function paintSide(side: Side, weave: Weave, prefix: string): Painted {
  const paint = new Paint(weave, prefix);
  // what is fastened to it comes last
  const parts = bowed(weave.madeOf ? side.parts.filter(({ type }) => type === 'cloth') : side.parts, weave);
  const ahead = weave.madeOf ? parts.flatMap((part) => (part.type === 'cloth' ? [clothAhead(part, paint)] : [])) : [];
  const nodes = parts.flatMap((part, index) => painted(part, parts.slice(0, index), paint));
  const room = AROUND * weave.stitchMm + bowOf(weave);
  const { x, y, width, height } = side.box;
  const box = { x: mm(x - room), y: mm(y - room), width: mm(width + 2 * room), height: mm(height + 2 * room) };
  return { box, nodes: [paint.defs, ...ahead, ...nodes, ...bulges(parts, weave)] };
}

/** A bulge is never so small that it is not seen, in widths of a stitch (ours, by eye). */
const LEAST_BOW = 1.6;

/** How far each side would have to give way to hold the thing. */
const bowOf = ({ lacksMm, stitchMm }: Weave): number =>
  lacksMm === undefined ? 0 : Math.max(lacksMm / 2, LEAST_BOW * stitchMm);

/** Fabric pressed out at both sides by what does not go in, and the seams along them. */
function bowed(parts: readonly SidePart[], weave: Weave): readonly SidePart[] {
  const bow = bowOf(weave);
  if (bow === 0) return parts;
  const middle = boxOf(parts.filter(isCloth));
  return parts.map((part): SidePart => {
    if (isCloth(part)) return part.role === 'flap' || part.rows.stacked === 'out' ? part : { ...part, bow };
    if (part.type !== 'ribbon' || part.on !== 'edge') return part;
    const [[x, y], b, c, [toX, toY]] = part.way as readonly [Point, Point, Point, Point];
    if (y === toY) return part;
    // the hands of a curve that reaches as far out as the fabric does
    const out = (x < middle.x + middle.width / 2 ? -4 / 3 : 4 / 3) * bow;
    return {
      ...part,
      way: [
        [x, y],
        [b[0] + out, b[1]],
        [c[0] + out, c[1]],
        [toX, toY],
      ],
    };
  });
}

type Point = readonly [number, number];

/** What the fabric lacks, hatched beside both its edges. */
function bulges(parts: readonly SidePart[], weave: Weave): InkNode[] {
  if (weave.lacksMm === undefined) return [];
  const holds = parts.filter(isCloth).filter(({ role }) => role !== 'flap');
  const front = holds.find(({ role }) => role !== 'back') ?? holds[0];
  if (!front) return [];
  const { x, w } = front;
  const [y, low] = [pressedFrom(front), front.y + front.h];
  const h = low - y;
  const bow = bowOf(weave);
  const lines = [
    [x, -1],
    [x + w, 1],
  ].map(([edge, side]) => {
    const out = (share: number) => edge! + side! * bow * 4 * share * (1 - share);
    const hatch = Array.from({ length: HATCHED }, (_, index) => {
      const share = (index + 1) / (HATCHED + 1);
      return `M${mm(edge!)} ${mm(y + share * h)}L${mm(out(share))} ${mm(y + share * h - 0.5 * bow)}`;
    });
    return `M${mm(edge!)} ${mm(y)}Q${mm(edge! + 2 * side! * bow)} ${mm(y + h / 2)} ${mm(edge!)} ${mm(low)}${hatch.join('')}`;
  });
  const d = lines.join('');
  return [
    ink('path', { d, fill: 'none', stroke: LACKING, strokeWidth: mm(0.28 * weave.stitchMm), strokeLinecap: 'round' }),
  ];
}

/** What does not fit is told in this. */
const LACKING = '#B3362B';

/** Lines of a hatch along a side. */
const HATCHED = 11;

function painted(part: SidePart, under: readonly SidePart[], paint: Paint): InkNode[] {
  if (part.type === 'cloth') {
    const lies = under.some((one) => one.type === 'cloth' && one.role !== 'turn' && overlap(one, part));
    return [
      ...(lies && !paint.weave.madeOf ? [shadowOf(outlineOf(part, paint.weave.stitchMm), paint.weave.stitchMm)] : []),
      ...clothInYarn(part, paint),
    ];
  }
  const paintPart = MARKS[part.type] as (part: SidePart, paint: Paint) => InkNode[];
  return paintPart(part, paint);
}

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w - 1 && b.x < a.x + a.w - 1 && a.y < b.y + b.h - 1 && b.y < a.y + a.h - 1;

/** What lies over something throws a soft shadow. */
function shadowOf(d: string, stitchMm: number): InkNode {
  const soft = [0.5, 0.9].map((by) =>
    ink('path', {
      d,
      fill: SHADOW,
      opacity: 0.16,
      transform: `translate(${mm(by * 0.4 * stitchMm)} ${mm(by * stitchMm)})`,
    }),
  );
  return ink('g', {}, soft);
}
