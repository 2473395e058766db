import { clothAhead, clothInYarn } from './cloth';
import { outlineOf } from './outline';
import type { Side, SidePart } from './types';
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
  const parts = weave.madeOf ? side.parts.filter(({ type }) => type === 'cloth') : side.parts;
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

/** What the fabric lacks, hatched beside both its edges. */
function bulges(parts: readonly SidePart[], weave: Weave): InkNode[] {
  const front = parts.find((part) => part.type === 'cloth' && part.role !== 'flap' && part.role !== 'back');
  if (weave.lacksMm === undefined || front?.type !== 'cloth') return [];
  const { x, y, w, h } = front;
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
    return `M${mm(edge!)} ${mm(y)}Q${mm(edge! + 2 * side! * bow)} ${mm(y + h / 2)} ${mm(edge!)} ${mm(y + h)}${hatch.join('')}`;
  });
  const d = lines.join('');
  return [
    ink('path', { d, fill: 'none', stroke: '#B3362B', strokeWidth: mm(0.28 * weave.stitchMm), strokeLinecap: 'round' }),
  ];
}

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
      fill: '#14191B',
      opacity: 0.16,
      transform: `translate(${mm(by * 0.4 * stitchMm)} ${mm(by * stitchMm)})`,
    }),
  );
  return ink('g', {}, soft);
}
