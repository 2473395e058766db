import type { PortraitBand } from './bands';
import { extentAt, isCurved } from './extent';
import { fine, ink, mm, type InkNode } from './ink';
import { cornerOf } from './outline';
import type { Paint } from './paint';
import type { SideCloth } from './types';

/** How far what is worked at an edge stands out, in its own size (ours, by eye). */
const STANDS_OUT = 0.62;

/** Ends of rows at both sides of a band, as they bulge: one bead a row, half of it under the fabric. */
export function edgeOf(part: SideCloth, band: PortraitBand, paint: Paint): InkNode[] {
  const { box, rows, stitches, hex } = band;
  const along = part.rows.stacked === 'x';
  const step = (along ? box.w : box.h) / rows;
  const stitch = (along ? box.h : box.w) / stitches;
  const wide = STANDS_OUT * Math.min(step, 1.2 * stitch);
  const d = along
    ? endsAcross(part, band, step, wide * 0.24, paint)
    : endsUpright(part, band, step, wide * 0.24, paint);
  return d ? beads(d, step, wide, hex, paint) : [];
}

/** From where to where beads lie: a corner is round, and the bead that would stand on it is left out. */
function reach(
  [from, to]: readonly [number, number],
  [start, end]: readonly [number, number],
  [first, last]: readonly [number, number],
  step: number,
): { from: number; to: number } {
  const skip = (corner: number) => Math.ceil((0.6 * corner) / step);
  return {
    from: from + step * (0.5 + (from <= start + 0.01 ? skip(first) : 0)),
    to: to - step * (0.4 + (to >= end - 0.01 ? skip(last) : 0)),
  };
}

/** Rows beside each other end above and below. */
function endsAcross(part: SideCloth, { box }: PortraitBand, step: number, inset: number, { weave }: Paint): string {
  const { x, y, w, h } = box;
  const corner = Math.max(cornerOf(part, 'top', weave.stitchMm), cornerOf(part, 'low', weave.stitchMm));
  const { from, to } = reach([x, x + w], [part.x, part.x + part.w], [corner, corner], step);
  if (to <= from) return '';
  return `M${mm(from)} ${mm(y + inset)}H${mm(to)}M${mm(from)} ${mm(y + h - inset)}H${mm(to)}`;
}

/** Rows above each other end at both sides, wherever those are. */
function endsUpright(part: SideCloth, { box }: PortraitBand, step: number, inset: number, { weave }: Paint): string {
  const { x, y, w, h } = box;
  const corners = [cornerOf(part, 'top', weave.stitchMm), cornerOf(part, 'low', weave.stitchMm)] as const;
  const { from, to } = reach([y, y + h], [part.y, part.y + part.h], corners, step);
  if (to <= from) return '';
  if (!isCurved(part)) return `M${mm(x + inset)} ${mm(from)}V${mm(to)}M${mm(x + w - inset)} ${mm(from)}V${mm(to)}`;
  const stretches = Math.max(1, Math.ceil((to - from) / step));
  const heights = Array.from({ length: stretches + 1 }, (_, index) => from + (index / stretches) * (to - from));
  const side = (at: (y: number) => number) => `M${heights.map((one) => `${mm(at(one))} ${mm(one)}`).join('L')}`;
  return (
    side((one) => extentAt(part, one).x + inset) +
    side((one) => {
      const { x: left, w: across } = extentAt(part, one);
      return left + across - inset;
    })
  );
}

/** The edge that is seen from the front: the mouth’s, or the end of a flap: one bead a stitch. */
export function rimOf(part: SideCloth, bands: readonly PortraitBand[], paint: Paint): InkNode[] {
  const { y, h } = part;
  if (!part.rim) return [];
  const isLow = part.rim === 'low';
  const band = bands.find(({ box }) => (isLow ? box.y + box.h >= y + h - 0.01 : box.y <= y + 0.01)) ?? bands[0]!;
  const stitch = band.box.w / band.stitches;
  const wide = 0.66 * stitch;
  const corner = cornerOf(part, isLow ? 'low' : 'top', paint.weave.stitchMm);
  const at = isLow ? y + h - wide * 0.2 : y + wide * 0.2;
  const edge = extentAt(part, isLow ? y + h : y);
  const [from, to] = [edge.x + 0.7 * corner, edge.x + edge.w - 0.6 * corner];
  return beads(`M${mm(from)} ${mm(at)}H${mm(to)}`, stitch, wide, band.hex, paint);
}

/** Beads of yarn along a path, so far apart. */
export function beads(d: string, apart: number, wide: number, hex: string, paint: Paint): InkNode[] {
  const tones = paint.tonesOf({ hex });
  const dashes = {
    fill: 'none',
    strokeLinecap: 'round',
    strokeDasharray: `0.01 ${fine(Math.max(0.05, apart - 0.01))}`,
  };
  return [
    ink('path', { d, ...dashes, stroke: tones.deep, strokeWidth: fine(wide * 1.22) }),
    ink('path', { d, ...dashes, stroke: tones.shaded, strokeWidth: fine(wide) }),
    ink('path', { d, ...dashes, stroke: tones.body, strokeWidth: fine(wide * 0.6) }),
  ];
}
