import type { Part, View } from '../parts';
import { isCloth, type SidePart } from './types';

const isBehind = (part: SidePart): boolean => isCloth(part) && part.role === 'back';

const isOnBack = (part: SidePart): boolean => part.type === 'ribbon' && part.on === 'back';

/** Closed: of the thing only what peeps out above the front is seen, and nothing where a flap lies over it. */
export function closedParts({ parts }: View): Part[] {
  const fronts = parts.filter(isCloth).filter((part) => !isBehind(part));
  const hasFlap = fronts.some(({ role }) => role === 'flap');
  const top = Math.min(...fronts.map(({ y }) => y));
  const low = Math.max(...fronts.map(({ y, h }) => y + h));
  return inOrder(
    parts.flatMap((part): Part[] => (part.type === 'thing' ? peeping(part, hasFlap ? Infinity : top, low) : [part])),
  );
}

/** As much of a thing as stands out, down to a little below the edge it stands out over. */
function peeping(part: Extract<Part, { type: 'thing' }>, top: number, low: number): Part[] {
  if (part.y >= top - PEEPS) return [];
  return [within(part, low)];
}

/** A thing that never reaches below what it stands in. */
export function within(part: Extract<Part, { type: 'thing' }>, low: number): Part {
  const h = Math.min(part.h, low - 2 * PEEPS - part.y);
  return part.outline
    ? { ...part, outline: part.outline.map(([x, y]) => [x, Math.min(y, h)] as const) }
    : { ...part, h };
}

/** Less than this is not seen of a thing, mm (ours). */
const PEEPS = 1.5;

/** The back layer, then what stands in it, then the front and all that lies over it. */
export function inOrder(parts: readonly SidePart[]): SidePart[] {
  const behind = parts.filter((part) => isBehind(part) || (part.type === 'ribbon' && part.on === 'behind'));
  const things = parts.filter(({ type }) => type === 'thing');
  const rest = parts.filter((part) => !behind.includes(part) && part.type !== 'thing' && !isOnBack(part));
  const fabric = rest.filter(({ type }) => type === 'cloth' || type === 'border');
  const marks = rest.filter(({ type }) => type !== 'cloth' && type !== 'border');
  return [...behind, ...things, ...fabric, ...marks];
}
