import type { Cloth } from '../parts';
import type { PortraitBand } from './bands';
import { fine, ink, mm, type InkNode } from './ink';
import type { Paint } from './paint';
import type { YarnTile } from './tile';

/** How high so many rows of a repeat are from one of them on, in columns, and how high what lies below them. */
export function reachIn(
  { floors, rows, high }: YarnTile,
  first: number,
  count: number,
): { below: number; high: number } {
  const upTo = (row: number) => Math.floor(row / rows) * high + (row % rows === 0 ? 0 : floors[(row % rows) - 1]!);
  const before = (first - 1) % rows;
  return { below: upTo(before), high: upTo(before + count) - upTo(before) };
}

/** A band laid out in tiles, in its own columns and rows: stretched to just as many as there are. */
export function bandFill(part: Cloth, band: PortraitBand, paint: Paint): InkNode[] {
  const tile = paint.weave.tileOf(band.stitch, band.pattern, part.role);
  const { below, high } = reachIn(tile, band.first, band.rows);
  const { x, y, w, h } = band.box;
  const along = part.rows.stacked === 'x';
  const [wide, tall] = along ? [h, w] : [w, h];
  const [sx, sy] = [wide / band.stitches, tall / high];
  const placed = along
    ? `translate(${mm(x - below * sy)} ${mm(y)}) rotate(90)`
    : part.rows.down
      ? `translate(${mm(x + w)} ${mm(y - below * sy)}) rotate(180)`
      : `translate(${mm(x)} ${mm(y + h + below * sy)})`;
  const transform = `${placed} scale(${fine(sx)} ${fine(sy)})`;
  const fillWith = (hex: string) => paint.tile(tile, hex);
  const stretch = (from: number, to: number, hex: string) =>
    ink('rect', {
      x: fine(from),
      y: fine(-below - high),
      width: fine(to - from),
      height: fine(high),
      fill: fillWith(hex),
    });
  if (!band.runs) return [ink('g', { transform }, [stretch(0, band.stitches, band.hex)])];
  const all = band.runs.reduce((sum, { stitches }) => sum + stitches, 0);
  let done = 0;
  const runs = band.runs.map(({ hex, stitches }) => {
    const from = done;
    done += (stitches / all) * band.stitches;
    return stretch(from, done, hex);
  });
  return [ink('g', { transform }, runs)];
}
