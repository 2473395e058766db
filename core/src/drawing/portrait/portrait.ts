import { clothAhead, clothInYarn, outlineOf } from './cloth';
import type { Face, FacePart } from './faces';
import { ink, mm, type InkNode } from './ink';
import { MARKS } from './marks';
import { Paint, type Weave } from './paint';

/** A face as it is painted, and the room it takes, mm. */
export interface Painted {
  box: Face['box'];
  nodes: readonly InkNode[];
}

/** Room round what is seen, in widths of a stitch: edges bulge, shadows fall. */
const AROUND = 0.9;

/**
 * A face of the finished piece in yarn.
 *
 * @param prefix of what it defines: names are known to a whole page
 */
export function paintFace(face: Face, weave: Weave, prefix: string): Painted {
  const paint = new Paint(weave, prefix);
  // what is fastened to it comes last
  const parts = weave.madeOf ? face.parts.filter(({ type }) => type === 'cloth') : face.parts;
  const ahead = weave.madeOf ? parts.flatMap((part) => (part.type === 'cloth' ? [clothAhead(part, paint)] : [])) : [];
  const nodes = parts.flatMap((part, index) => painted(part, parts.slice(0, index), paint));
  const room = AROUND * weave.stitchMm;
  const { x, y, width, height } = face.box;
  const box = { x: mm(x - room), y: mm(y - room), width: mm(width + 2 * room), height: mm(height + 2 * room) };
  return { box, nodes: [paint.defs, ...ahead, ...nodes] };
}

function painted(part: FacePart, under: readonly FacePart[], paint: Paint): InkNode[] {
  if (part.type === 'cloth') {
    const lies = under.some((one) => one.type === 'cloth' && one.role !== 'turn' && overlap(one, part));
    return [
      ...(lies && !paint.weave.madeOf ? [shadowOf(outlineOf(part, paint.weave.stitchMm), paint.weave.stitchMm)] : []),
      ...clothInYarn(part, paint),
    ];
  }
  const paintPart = MARKS[part.type] as (part: FacePart, paint: Paint) => InkNode[];
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
