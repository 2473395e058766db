import type { MakeEvent } from '@keep-snug/core';
import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/documents';
import type { Everything } from '@keep-snug/core/everything';
import same from 'fast-deep-equal';
import { deviceNow } from './device';
import { holdTurn } from '@/platform/exchangeLock';
import { whenIdle } from '@/platform/idle';
import { useEvents } from './events';
import { useLibrary } from './library';
import { documentsHere } from './everything';
import type { LocalDocument, Shelf } from './types';

/** How a file and what is here become one: both together, or the file in the place of what is here. */
export type How = 'merge' | 'replace';
/** Which stays, in a merge, where both have a document and it differs. */
export type Prefer = 'here' | 'file';

interface Place {
  kind: DocumentKind;
  id: string;
}

/** What bringing a file back does, before it is done. */
export interface Changes {
  added: (Place & { body: unknown })[];
  changed: (Place & { body: unknown })[];
  removed: Place[];
  /** Documents that differ and stay as they are here. */
  differing: Place[];
  events: MakeEvent[];
}

/** What bringing a file back would do to this device. */
export async function changesOf(file: Everything, how: How, prefer: Prefer): Promise<Changes> {
  const here = new Map(documentsHere().map(({ kind, id, held }) => [`${kind}/${id}`, held.body]));
  const inFile = DOCUMENT_KINDS.flatMap((kind) =>
    Object.entries(file[kind]).map(([id, body]) => ({ kind, id, body: body as unknown })),
  );
  const isHere = ({ kind, id }: Place) => here.has(`${kind}/${id}`);
  const differ = inFile.filter((each) => isHere(each) && !same(here.get(`${each.kind}/${each.id}`), each.body));
  const takesFile = how === 'replace' || prefer === 'file';
  const named = new Set(inFile.map(({ kind, id }) => `${kind}/${id}`));
  return {
    added: inFile.filter((each) => !isHere(each)),
    changed: takesFile ? differ : [],
    differing: takesFile ? [] : differ,
    removed: how === 'replace' ? documentsHere().filter(({ kind, id }) => !named.has(`${kind}/${id}`)) : [],
    events: await unknownOf(file.events),
  };
}

async function unknownOf(events: readonly MakeEvent[]): Promise<MakeEvent[]> {
  const known = new Set([
    ...Object.values(useEvents.getState().byMake).flatMap((list) => list.map(({ id }) => id)),
    ...((await deviceNow()?.getAllKeys('events')) ?? []),
  ]);
  return events.filter(({ id }) => !known.has(id));
}

export interface BroughtBack {
  /** Puts everything back as it was before. */
  undo: () => void;
  /** Lets it stand: from here on it is sent. */
  keep: () => void;
}

/** How far it is, of how much; false where it is to be given up. */
export type Telling = (done: number, of: number) => boolean;

/** So many are brought in at once, before the page is drawn again. */
const SLICE = 400;

/**
 * Brings a file back. Until it is kept or undone nothing is sent and nothing read, so that undoing leaves no trace.
 *
 * @param tell asked after every slice; given up half-way all is as it was before
 * @returns nothing where it was given up
 */
export async function bringBack(changes: Changes, tell: Telling): Promise<BroughtBack | null>;
export async function bringBack(changes: Changes): Promise<BroughtBack>;
export async function bringBack(changes: Changes, tell?: Telling): Promise<BroughtBack | null> {
  const release = await holdTurn();
  const library = useLibrary.getState();
  const { added, changed, removed, events } = changes;
  const before = [...added, ...changed, ...removed].map(({ kind, id }) => ({ kind, id, held: heldNow(kind, id) }));
  const undo = () => {
    library.putBack(before);
    useEvents.getState().letGo(events.map(({ id }) => id));
    release();
  };
  const work = [
    ...sliced(added).map((some) => ({ many: some.length, does: () => library.layAll(some) })),
    ...sliced(changed).map((some) => ({
      many: some.length,
      does: () => some.forEach(({ kind, id, body }) => library.change(kind, id, body as never)),
    })),
    ...sliced(removed).map((some) => ({
      many: some.length,
      does: () => some.forEach(({ kind, id }) => library.remove(kind, id)),
    })),
    ...sliced(events).map((some) => ({ many: some.length, does: () => useEvents.getState().bring(some) })),
  ];
  const of = work.reduce((sum, { many }) => sum + many, 0);
  let done = 0;
  for (const { many, does } of work) {
    does();
    done += many;
    if (!tell || done === of) continue;
    if (!tell(done, of)) {
      undo();
      return null;
    }
    await whenIdle();
  }
  return { undo, keep: release };
}

const sliced = <T>(list: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(list.length / SLICE) }, (_, index) => list.slice(index * SLICE, (index + 1) * SLICE));

function heldNow(kind: DocumentKind, id: string): LocalDocument<unknown> | undefined {
  return (useLibrary.getState().shelves[kind] as Shelf)[id];
}
