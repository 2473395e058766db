import type { Part } from '../parts';
import { isCloth, type Gather, type SideCloth, type SidePart } from './types';

type Dots = Extract<Part, { type: 'dots' }>;

/** How steep the shoulder of a drawn bag is seen, height for width (ours, by eye). */
const STEEP = 0.75;

/** How far what stands above a cord opens again: width for height (ours, by eye). */
const FLARES = 1.5;

/** No more of its height than so much is shoulder (ours). */
const MOST = 0.45;

/**
 * A bundle of a whole girth: front and back, each so wide and so thick, pressed into a round (law: equal areas).
 *
 * @param wide and thick in mm
 */
const bundleMm = (wide: number, thick: number): number => 2 * Math.sqrt((2 * wide * thick) / Math.PI);

/** How far a place of gathered fabric lies from its middle, as a share of where it would lie flat. */
export function gatheredShare({ at, neck, from }: Gather, wide: number, y: number): number {
  if (y >= from) return 1;
  if (y < at) return Math.min(1, neck + (FLARES * (at - y)) / wide);
  const share = (from - y) / (from - at);
  return 1 - (1 - neck) * (0.5 - 0.5 * Math.cos(Math.PI * share));
}

/** A side with its cord drawn tight; as it was where there is none. @param thickMm of the fabric */
export function drawnTight(parts: readonly SidePart[], thickMm: number, dots: Dots | undefined): SidePart[] {
  const at = dots?.points[0]?.[1];
  const cloth = parts.find((part) => isCloth(part) && at !== undefined && part.y <= at && part.y + part.h > at);
  if (!cloth || !isCloth(cloth) || at === undefined) return [...parts];
  if (cloth.rows.stacked !== 'y' || (cloth.form ?? 'rect') !== 'rect') return [...parts];
  const neck = Math.min(0.8, bundleMm(cloth.w, thickMm) / cloth.w);
  const from = at + Math.min(((1 - neck) / 2) * cloth.w * STEEP, MOST * cloth.h);
  const gather: Gather = { at, neck, from };
  return parts.flatMap((part): SidePart[] => {
    // what it closes in is not seen
    if (part.type === 'thing') return [];
    if (isCloth(part)) return [isOver(part, cloth) ? { ...part, gather } : part];
    return [pulledIn(part, gather, cloth)];
  });
}

const isOver = (part: SideCloth, { x, w, y }: SideCloth): boolean =>
  Math.abs(part.x - x) < 1 && Math.abs(part.w - w) < 1 && Math.abs(part.y - y) < 1;

/** What lies on gathered fabric goes in with it. */
function pulledIn(part: Exclude<SidePart, SideCloth>, gather: Gather, { x, w }: SideCloth): SidePart {
  const middle = x + w / 2;
  const to = (px: number, py: number) => middle + (px - middle) * gatheredShare(gather, w, py);
  if (part.type === 'dots') return { ...part, points: part.points.map(([px, py]) => [to(px, py), py] as const) };
  if (part.type === 'button') return { ...part, x: to(part.x, part.y) };
  if (part.type !== 'line') return part;
  const x1 = to(part.x1, part.y1);
  // what hangs from a hole hangs as it did
  return { ...part, x1, x2: part.y1 === part.y2 ? to(part.x2, part.y2) : x1 + part.x2 - part.x1 };
}
