import { boxOf } from './box';
import { ink, mm, type InkNode } from './ink';
import { outlineOf } from './outline';
import type { Painted } from './portrait';
import { isCloth, type Side } from './types';

/** How a finished piece came out, as shares of what was planned. */
export interface MadeShare {
  width: number;
  height: number;
}

/** What was planned, told in this on any yarn. */
const PLANNED = { dash: '#7D4D91', under: '#F4F6F2' };

/**
 * A side as it came out: as wide and as high as it was measured, what was planned about it in thin outline.
 *
 * @param painted as it was planned
 */
export function asMade({ box, nodes }: Painted, side: Side, share: MadeShare, stitchMm: number): Painted {
  const cloths = side.parts.filter(isCloth);
  const { x, y, width, height } = boxOf(cloths);
  // it stands where it was planned to stand, on the middle of its lower edge
  const [cx, low] = [x + width / 2, y + height];
  const transform = `translate(${mm(cx)} ${mm(low)}) scale(${mm(share.width)} ${mm(share.height)}) translate(${mm(-cx)} ${mm(-low)})`;
  const planned = cloths.flatMap((part): InkNode[] => {
    const line = { d: outlineOf(part, stitchMm), fill: 'none' };
    const dash = `${mm(1.3 * stitchMm)} ${mm(0.9 * stitchMm)}`;
    return [
      ink('path', { ...line, stroke: PLANNED.under, strokeWidth: mm(0.5 * stitchMm), opacity: 0.55 }),
      ink('path', { ...line, stroke: PLANNED.dash, strokeWidth: mm(0.36 * stitchMm), strokeDasharray: dash }),
    ];
  });
  const stretched = {
    x: cx + (box.x - cx) * share.width,
    y: low + (box.y - low) * share.height,
    right: cx + (box.x + box.width - cx) * share.width,
    low: low + (box.y + box.height - low) * share.height,
  };
  const [left, top] = [Math.min(box.x, stretched.x), Math.min(box.y, stretched.y)];
  return {
    box: {
      x: mm(left),
      y: mm(top),
      width: mm(Math.max(box.x + box.width, stretched.right) - left),
      height: mm(Math.max(box.y + box.height, stretched.low) - top),
    },
    nodes: [ink('g', { transform }, nodes), ...planned],
  };
}
