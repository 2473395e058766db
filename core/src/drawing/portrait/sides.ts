import type { Cloth, Part, View } from '../parts';
import { backParts } from './behind';
import { boxOf } from './box';
import { closedParts } from './closed';
import { hueOf } from './lying';
import { openedParts } from './opened';
import { isCloth, type Side, type SideId, type SidePart } from './types';

/**
 * A finished piece from the front, from the back, and opened, from the views that are drawn of it.
 *
 * @returns the front alone where there is no more to see
 */
export function sidesOf(views: readonly View[]): Side[] {
  const folded = views.find(({ id }) => id === 'folded') ?? views[0];
  const flat = views.find(({ id }) => id === 'flat');
  if (!folded) return [];
  const seen = { ...folded, parts: folded.parts.map((part) => withRounds(part, flat)) };
  const hasFlap = seen.parts.some((part) => isCloth(part) && part.role === 'flap');
  const front = seenFrom('front', 'Front', closedParts(seen), folded.text, hasFlap);
  const opened = openedParts(seen, flat);
  return [
    front,
    seenFrom('back', 'Back', backParts(seen, flat), folded.text, hasFlap),
    ...edgeways(views),
    ...(opened ? [seenFrom('open', 'Open', opened, folded.text, hasFlap)] : []),
  ];
}

function seenFrom(id: SideId, name: string, parts: readonly SidePart[], text: string, hasFlap: boolean): Side {
  return { id, name, parts: rimmed(parts, id, hasFlap), box: boxOf(parts), text: `${name}. ${text}` };
}

/** The ends of a side: a flap ends below, laid up it ends above; a mouth is an edge unless the fabric is folded over it. */
function rimmed(parts: readonly SidePart[], id: SideId, hasFlap: boolean): SidePart[] {
  const borders = parts.filter((part) => part.type === 'border');
  // the ridge of a join runs past the corners too
  const isJoined = parts.some((part) => part.type === 'ribbon' && part.on === 'edge');
  const isBordered = ({ x, y, w, h, role }: Cloth) =>
    (isJoined && !(id === 'open' && role === 'flap')) ||
    borders.some((one) => [one.x - x, one.y - y, one.w - w, one.h - h].every((off) => Math.abs(off) < 1));
  return parts.map((given): SidePart => {
    const part: SidePart = isCloth(given) && isBordered(given) ? { ...given, bordered: true } : given;
    if (!isCloth(part) || part.rim || part.rows.stacked !== 'y') return part;
    if (part.role === 'flap') return { ...part, rim: 'low' };
    return hasFlap && id !== 'open' ? part : { ...part, rim: 'top' };
  });
}

/** From its side: the fabric on its edge, as it lies round the thing. */
function edgeways(views: readonly View[]): Side[] {
  const cut = views.find(({ id }) => id === 'cut');
  if (!cut) return [];
  const things = cut.parts.filter(({ type }) => type === 'thing');
  const fabric = cut.parts.filter(({ type }) => type === 'cut');
  return [seenFrom('side', 'Side', [...things, ...fabric], cut.text, false)];
}

/** A rectangle of rounds that is drawn without them has those of the piece it shows. */
function withRounds(part: Part, flat: View | undefined): Part {
  if (!isCloth(part) || part.rows.stacked !== 'out' || part.rows.rounds) return part;
  const rounds = flat?.parts.filter(isCloth).filter(({ rows }) => rows.stacked === 'out' && rows.rounds);
  const shown = part.role === 'flap' ? 'back' : part.role;
  const own = rounds?.find(({ role }) => role === shown) ?? rounds?.[0];
  return own ? { ...part, rows: own.rows, ...hueOf(own) } : part;
}
