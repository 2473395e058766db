import { bandsMade } from './bands';
import { edgeOf, rimOf } from './edges';
import { extentAt } from './extent';
import { bandFill } from './fill';
import { ink, mm, roundedBox, type InkNode } from './ink';
import { outlineOf } from './outline';
import { SHADOW } from './tones';
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
    paint.within(outline, [
      ...bands.flatMap((band) => bandFill(part, band, paint)),
      ...pleats(part, paint),
      ...(paint.weave.madeOf ? [] : turnsAway(part, paint)),
      ...shades,
    ]),
  ];
}

/** Where it goes round what it holds: as high as the fabric is thick, light on what is turned up, dark on what turns away. */
function turnsAway({ x, y, w, h, folded = [] }: SideCloth, paint: Paint): InkNode[] {
  const round = Math.min(ROUND * paint.weave.thickMm, h / 3);
  return folded.map((end) =>
    ink('rect', {
      x: mm(x),
      y: mm(end === 'top' ? y : y + h - round),
      width: mm(w),
      height: mm(round),
      fill: paint.shade(end === 'top' ? 'roundTop' : 'roundLow'),
    }),
  );
}

/** How far a fold’s round is seen, in thicknesses of the fabric (ours, by eye). */
const ROUND = 1.6;

/** Folds of gathered fabric between its pleats. */
const PLEATS = 8;

/** Folds that run together where a cord draws the fabric in. */
function pleats(part: SideCloth, { weave }: Paint): InkNode[] {
  const { gather, x, w, y } = part;
  if (!gather) return [];
  const at = (share: number, height: number) => {
    const seen = extentAt(part, height);
    return `${mm(seen.x + share * seen.w)} ${mm(height)}`;
  };
  const half = (gather.from + gather.at) / 2;
  const lines = Array.from({ length: PLEATS - 1 }, (_, index) => {
    const share = (index + 1) / PLEATS;
    return `M${at(share, y)}L${at(share, gather.at)}Q${at(share, half)} ${mm(x + share * w)} ${mm(gather.from)}`;
  });
  const line = { d: lines.join(''), fill: 'none', stroke: SHADOW, strokeLinecap: 'round' };
  return [
    ink('path', { ...line, strokeWidth: mm(0.9 * weave.stitchMm), opacity: 0.14 }),
    ink('path', { ...line, strokeWidth: mm(0.4 * weave.stitchMm), opacity: 0.22 }),
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
