import { extentAt, isCurved } from './extent';
import { mm, roundedBox } from './ink';
import type { SideCloth } from './types';

/** How a shape of cloth is edged, in widths of a stitch: corners a hook leaves are never sharp (ours, by eye). */
export const CORNER = 1.1;

/** What lies in a corner rounds it no further than this, in widths of a stitch (ours, by eye). */
const ROUNDEST = 2.4;

/** How round the corners at one of its ends are, mm: as a hook leaves them, or as what lies in the fold makes them. */
export function cornerOf({ bordered, folded, corner = 0 }: SideCloth, end: 'top' | 'low', stitchMm: number): number {
  const plain = bordered ? 0 : CORNER * stitchMm;
  return folded?.includes(end) && !bordered ? Math.min(Math.max(plain, corner), ROUNDEST * stitchMm) : plain;
}

/** The cloth’s own outline as a path. */
export function outlineOf(part: SideCloth, stitchMm: number): string {
  const { form = 'rect', x, y, w, h, top } = part;
  if (form === 'disc' || form === 'oval') return roundedBox(x, y, w, h, Math.min(w, h) / 2);
  if (form === 'taper') {
    const inset = (w - (top ?? w)) / 2;
    return `M${mm(x + inset)} ${mm(y)}H${mm(x + w - inset)}L${mm(x + w)} ${mm(y + h)}H${mm(x)}Z`;
  }
  const [above, below] = [cornerOf(part, 'top', stitchMm), cornerOf(part, 'low', stitchMm)];
  return isCurved(part) ? curvedOutline(part, above, below) : roundedBox(x, y, w, h, above, below);
}

/** So many stretches a curved side is drawn in. */
const STRETCHES = 28;

/** Both sides as far as the fabric reaches at each height, between rounded corners. */
function curvedOutline(part: SideCloth, above: number, below: number): string {
  const { y, h } = part;
  const [from, to] = [y + above, y + h - below];
  const heights = Array.from({ length: STRETCHES + 1 }, (_, index) => from + (index / STRETCHES) * (to - from));
  const ends = heights.map((at) => ({ at, ...extentAt(part, at) }));
  const [first, last] = [ends[0]!, ends.at(-1)!];
  const right = ends.map(({ at, x, w }) => `${mm(x + w)} ${mm(at)}`).join('L');
  const left = [...ends]
    .reverse()
    .map(({ at, x }) => `${mm(x)} ${mm(at)}`)
    .join('L');
  return (
    `M${mm(first.x + above)} ${mm(y)}H${mm(first.x + first.w - above)}` +
    `Q${mm(first.x + first.w)} ${mm(y)} ${right}` +
    `Q${mm(last.x + last.w)} ${mm(y + h)} ${mm(last.x + last.w - below)} ${mm(y + h)}` +
    `H${mm(last.x + below)}Q${mm(last.x)} ${mm(y + h)} ${left}` +
    `Q${mm(first.x)} ${mm(y)} ${mm(first.x + above)} ${mm(y)}Z`
  );
}
