import type { Cloth, ThingPart } from '../parts';
import { isCloth, type SideCloth, type SideId, type SidePart } from './types';

interface Seen {
  id: SideId;
  hasFlap: boolean;
  thickMm: number;
  thing: ThingPart | undefined;
  /** It opens in the middle of its front alone. */
  slit: boolean;
}

/** The ends of a side: edges that are seen, folds that go round what it holds, borders and joins along them. */
export function ended(parts: readonly SidePart[], given: Seen): SidePart[] {
  const borders = parts.filter((part) => part.type === 'border');
  const joins = parts.filter((part) => part.type === 'ribbon' && part.on === 'edge');
  // a seam by needle holds its corners
  const isSewn = joins.some((part) => part.type === 'ribbon' && part.sewn);
  const seen = isSewn ? { ...given, thing: undefined } : given;
  // the ridge of a crocheted join runs past the corners too
  const isBordered = ({ x, y, w, h, role }: Cloth) =>
    (joins.length > 0 && !isSewn && !(seen.id === 'open' && role === 'flap')) ||
    borders.some((one) => [one.x - x, one.y - y, one.w - w, one.h - h].every((off) => Math.abs(off) < 1));
  return parts.map((one): SidePart => {
    if (!isCloth(one)) return one;
    const part = isBordered(one) ? { ...one, bordered: true as const } : one;
    return seen.slit ? { ...part, ...allRound(seen) } : { ...part, ...rimOf(part, seen), ...foldsOf(part, seen) };
  });
}

/** How round what lies in it makes a fold’s corners, mm. */
const roundIn = ({ thing, thickMm }: Seen): number => (thing && !thing.outline ? thing.r + thickMm : 0);

/** What opens in the middle is folded at both its ends. */
const allRound = (seen: Seen): Partial<SideCloth> => ({ folded: ['top', 'low'], corner: roundIn(seen) });

/** A flap ends below, laid up it ends above; a mouth is an edge unless the fabric is folded over it. */
function rimOf({ rim, rows, role }: SideCloth, { id, hasFlap }: Seen): Pick<SideCloth, 'rim'> {
  if (rim || rows.stacked !== 'y') return {};
  if (role === 'flap') return { rim: 'low' };
  return hasFlap && id !== 'open' ? {} : { rim: 'top' };
}

/** Sections that go round the bottom of what they hold. */
const GO_ROUND: readonly Cloth['role'][] = ['front', 'back', 'wall', 'base'];

/** A front goes round the bottom to its back, a back over the top to its flap. */
function foldsOf({ role, form = 'rect' }: Cloth, seen: Seen): Partial<SideCloth> {
  if (form !== 'rect') return {};
  const { id, hasFlap } = seen;
  const isClosed = id !== 'open';
  const folded = [
    ...(isClosed && (role === 'flap' || (hasFlap && role === 'back')) ? (['top'] as const) : []),
    ...(GO_ROUND.includes(role) ? (['low'] as const) : []),
  ];
  return folded.length > 0 ? { folded, corner: roundIn(seen) } : {};
}
