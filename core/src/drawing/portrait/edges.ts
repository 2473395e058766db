import type { Cloth } from '../parts';
import type { PortraitBand } from './bands';
import { fine, ink, mm, type InkNode } from './ink';
import { CORNER } from './outline';
import type { Paint } from './paint';
import type { SideCloth } from './types';

/** How far what is worked at an edge stands out, in its own size (ours, by eye). */
const STANDS_OUT = 0.62;

/** Ends of rows at both sides of a band, as they bulge: one bead a row, half of it under the fabric. */
export function edgeOf(
  part: Cloth,
  { box: { x, y, w, h }, rows, stitches, hex }: PortraitBand,
  paint: Paint,
): InkNode[] {
  const along = part.rows.stacked === 'x';
  const step = (along ? w : h) / rows;
  const stitch = (along ? h : w) / stitches;
  const wide = STANDS_OUT * Math.min(step, 1.2 * stitch);
  const inset = wide * 0.24;
  // a corner is round: the bead that would stand on it is left out
  const corner = CORNER * paint.weave.stitchMm;
  const [start, end] = along
    ? [x <= part.x + 0.01, x + w >= part.x + part.w - 0.01]
    : [y <= part.y + 0.01, y + h >= part.y + part.h - 0.01];
  const skip = Math.ceil((0.6 * corner) / step);
  const from = (along ? x : y) + step * (0.5 + (start ? skip : 0));
  const to = (along ? x + w : y + h) - step * (0.4 + (end ? skip : 0));
  if (to <= from) return [];
  const d = along
    ? `M${mm(from)} ${mm(y + inset)}H${mm(to)}M${mm(from)} ${mm(y + h - inset)}H${mm(to)}`
    : `M${mm(x + inset)} ${mm(from)}V${mm(to)}M${mm(x + w - inset)} ${mm(from)}V${mm(to)}`;
  return beads(d, step, wide, hex, paint);
}

/** The edge that is seen from the front: the mouth’s, or the end of a flap: one bead a stitch. */
export function rimOf(part: SideCloth, bands: readonly PortraitBand[], paint: Paint): InkNode[] {
  const { x, y, w, h } = part;
  if (!part.rim) return [];
  const isLow = part.rim === 'low';
  const band = bands.find(({ box }) => (isLow ? box.y + box.h >= y + h - 0.01 : box.y <= y + 0.01)) ?? bands[0]!;
  const stitch = band.box.w / band.stitches;
  const wide = 0.66 * stitch;
  const corner = CORNER * paint.weave.stitchMm;
  const at = isLow ? y + h - wide * 0.2 : y + wide * 0.2;
  return beads(`M${mm(x + 0.7 * corner)} ${mm(at)}H${mm(x + w - 0.6 * corner)}`, stitch, wide, band.hex, paint);
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
