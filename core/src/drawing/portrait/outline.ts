import { mm, roundedBox } from './ink';
import type { SideCloth } from './types';

/** How a shape of cloth is edged, in widths of a stitch: corners a hook leaves are never sharp (ours, by eye). */
export const CORNER = 1.1;

/** The cloth’s own outline as a path. */
export function outlineOf({ form = 'rect', x, y, w, h, top, bordered }: SideCloth, stitchMm: number): string {
  if (form === 'disc' || form === 'oval') return roundedBox(x, y, w, h, Math.min(w, h) / 2);
  if (form !== 'taper') return roundedBox(x, y, w, h, bordered ? 0 : CORNER * stitchMm);
  const inset = (w - (top ?? w)) / 2;
  return `M${mm(x + inset)} ${mm(y)}H${mm(x + w - inset)}L${mm(x + w)} ${mm(y + h)}H${mm(x)}Z`;
}
