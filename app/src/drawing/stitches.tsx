import type { ChartSymbol, Cloth } from '@keep-snug/core';
import { clothBands } from '@keep-snug/core/drawn';
import type { ReactElement } from 'react';
import { G, Path } from '@/ui/layout/ink';
import type { Ink } from './lettering';
import { roundInk } from './rounds';
import { gridPath, STITCH_PX, windowOf, type Seen } from './symbols';

/** Single stitches of a section, band by band where it is of several, round by round where they differ. */
export function stitchInk(
  part: Cloth,
  ink: Ink,
  symbols: readonly (readonly ChartSymbol[])[],
  seen: Seen,
  key: string,
): (ReactElement | null)[] {
  if (part.rows.rounds) return [roundInk(part, ink, seen, key)];
  return clothBands(part).map(({ cloth, symbols: own }, index) =>
    bandInk(cloth, ink, own ?? symbols, seen, `${key} ${index}`),
  );
}

/** Single stitches of one band, as many as there are, drawn as soon as they are large enough; only those in view. */
function bandInk(
  part: Cloth,
  { scale, colours }: Ink,
  symbols: readonly (readonly ChartSymbol[])[],
  seen: Seen,
  key: string,
): ReactElement | null {
  const { rows } = part;
  if (rows.stacked === 'out' || part.form === 'taper') return null;
  const along = rows.stacked === 'x';
  const [wide, high] = along ? [part.h * scale, part.w * scale] : [part.w * scale, part.h * scale];
  const grid = { columns: rows.stitches, rows: rows.count, w: wide / rows.stitches, h: high / rows.count };
  if (Math.min(grid.w, grid.h) < STITCH_PX) return null;
  const [x, y] = [part.x * scale, part.y * scale];
  // rows stacked along x are the upright grid lying on its side: its first row at the left, its first stitch on top
  const box = along
    ? { left: seen.top - y, right: seen.bottom - y, top: high - (seen.right - x), bottom: high - (seen.left - x) }
    : { left: seen.left - x, right: seen.right - x, top: seen.top - y, bottom: seen.bottom - y };
  const path = gridPath(grid, windowOf(grid, box), symbols);
  if (path === '') return null;
  return (
    <G key={key} transform={along ? `translate(${x + high} ${y}) rotate(90)` : `translate(${x} ${y})`}>
      <Path
        data-part="stitches"
        d={path}
        fill="none"
        stroke={colours.ink}
        strokeWidth={Math.max(1, 0.07 * grid.w)}
        opacity={0.72}
      />
    </G>
  );
}
