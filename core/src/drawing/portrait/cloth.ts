import { bandsMade } from './bands';
import { edgeOf, rimOf } from './edges';
import { bandFill } from './fill';
import { ink, mm, roundedBox, type InkNode } from './ink';
import { outlineOf } from './outline';
import type { Paint } from './paint';
import { roundsFrom } from './rounds';
import type { SideCloth } from './types';

/** A part of the fabric in yarn. */
export function clothInYarn(part: SideCloth, paint: Paint): InkNode[] {
  if (part.rows.stacked === 'out') return roundsFrom(part, paint);
  const outline = outlineOf(part, paint.weave.stitchMm);
  const bands = bandsMade(part, paint);
  if (bands.length === 0) return [];
  const made =
    paint.weave.madeOf === undefined
      ? outline
      : bands.map(({ box }) => roundedBox(box.x, box.y, box.w, box.h, 0)).join('');
  const shades = (['across', 'down'] as const).map((way) => ink('path', { d: made, fill: paint.shade(way) }));
  const isTaper = part.form === 'taper';
  const isOpen = paint.weave.tileOf(paint.weave.stitch, paint.weave.pattern, part.role).open;
  return [
    ...(isTaper || isOpen ? [] : [...bands.flatMap((band) => edgeOf(part, band, paint)), ...rimOf(part, bands, paint)]),
    paint.within(outline, [...bands.flatMap((band) => bandFill(part, band, paint)), ...shades]),
  ];
}

/** Where fabric is still to come. */
export function clothAhead(part: SideCloth, { weave }: Paint): InkNode {
  const w = weave.stitchMm;
  const d = outlineOf(part, w);
  return ink('path', {
    d,
    fill: '#8C999C',
    fillOpacity: 0.12,
    stroke: '#8C999C',
    strokeWidth: mm(0.22 * w),
    strokeDasharray: `${mm(0.9 * w)} ${mm(0.6 * w)}`,
  });
}
