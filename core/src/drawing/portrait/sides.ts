import type { Part, View } from '../parts';
import { backParts } from './behind';
import { boxOf } from './box';
import { closedParts } from './closed';
import { ended } from './ends';
import { drawnTight } from './gather';
import { hueOf } from './lying';
import { gaping, openedParts } from './opened';
import { isCloth, type Side, type SideId, type SidePart } from './types';

/**
 * A finished piece from the front, from the back, and opened, from the views that are drawn of it.
 *
 * @param thickMm of its fabric
 * @returns the front alone where there is no more to see
 */
export function sidesOf(views: readonly View[], thickMm: number): Side[] {
  const folded = views.find(({ id }) => id === 'folded') ?? views[0];
  const flat = views.find(({ id }) => id === 'flat');
  if (!folded) return [];
  const seen = { ...folded, parts: folded.parts.map((part) => withRounds(part, flat)) };
  const hasFlap = seen.parts.some((part) => isCloth(part) && part.role === 'flap');
  const holes = seen.parts.find((part): part is Dots => part.type === 'dots' && part.draws === true);
  const slit = seen.parts.find((part): part is Line => part.type === 'line' && part.mouth === true);
  const side = (id: SideId, name: string, given: readonly SidePart[]): Side => {
    const whole = ended(given, { id, hasFlap, thickMm, thing: thingOf(seen), slit: slit !== undefined });
    const parts = id === 'open' ? whole : drawnTight(whole, thickMm, holes);
    return { id, name, parts, box: boxOf(parts), text: `${name}. ${folded.text}` };
  };
  const opened = slit ? gaping(seen, slit) : openedParts(seen, flat);
  return [
    side('front', 'Front', closedParts(seen)),
    side('back', 'Back', backParts(seen, flat)),
    ...edgeways(views),
    ...(opened ? [side('open', 'Open', opened)] : holes ? [side('open', 'Open', closedParts(seen))] : []),
  ];
}

type Dots = Extract<Part, { type: 'dots' }>;
type Line = Extract<Part, { type: 'line' }>;

const thingOf = ({ parts }: View) => parts.find((part) => part.type === 'thing');

/** The same with nothing in it. */
export const emptied = (side: Side): Side => ({ ...side, parts: side.parts.filter(({ type }) => type !== 'thing') });

/** From its side: the fabric on its edge, as it lies round the thing. */
function edgeways(views: readonly View[]): Side[] {
  const cut = views.find(({ id }) => id === 'cut');
  if (!cut) return [];
  const things = cut.parts.filter(({ type }) => type === 'thing');
  const fabric = cut.parts.filter(({ type }) => type === 'cut');
  const parts = [...things, ...fabric];
  return [{ id: 'side', name: 'Side', parts, box: boxOf(parts), text: `Side. ${cut.text}` }];
}

/** A rectangle of rounds that is drawn without them has those of the piece it shows. */
function withRounds(part: Part, flat: View | undefined): Part {
  if (!isCloth(part) || part.rows.stacked !== 'out' || part.rows.rounds) return part;
  const rounds = flat?.parts.filter(isCloth).filter(({ rows }) => rows.stacked === 'out' && rows.rounds);
  const shown = part.role === 'flap' ? 'back' : part.role;
  const own = rounds?.find(({ role }) => role === shown) ?? rounds?.[0];
  return own ? { ...part, rows: own.rows, ...hueOf(own) } : part;
}
