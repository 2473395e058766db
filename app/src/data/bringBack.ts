import type { MakeEvent } from '@keep-snug/core';
import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/documents';
import type { Everything } from '@keep-snug/core/everything';
import same from 'fast-deep-equal';
import { deviceNow } from './device';
import { holdTurn } from '@/platform/exchangeLock';
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

/** Brings a file back. Until it is kept or undone nothing is sent and nothing read, so that undoing leaves no trace. */
export async function bringBack({ added, changed, removed, events }: Changes): Promise<BroughtBack> {
  const release = await holdTurn();
  const library = useLibrary.getState();
  const before = [...added, ...changed, ...removed].map(({ kind, id }) => ({ kind, id, held: heldNow(kind, id) }));
  for (const { kind, id, body } of added) library.lay(kind, id, body);
  for (const { kind, id, body } of changed) library.change(kind, id, body as never);
  for (const { kind, id } of removed) library.remove(kind, id);
  useEvents.getState().bring(events);
  return {
    undo: () => {
      library.putBack(before);
      useEvents.getState().letGo(events.map(({ id }) => id));
      release();
    },
    keep: release,
  };
}

function heldNow(kind: DocumentKind, id: string): LocalDocument<unknown> | undefined {
  return (useLibrary.getState().shelves[kind] as Shelf)[id];
}
