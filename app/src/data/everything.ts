import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/documents';
import type { KeptEvent, MakeEvent } from '@keep-snug/core';
import { deviceNow } from './device';
import { useEvents } from './events';
import { answers } from './api';
import { everyHeld, useLibrary } from './library';
import { saveFrom, saveText } from '@/platform/saveText';
import { useSaved } from './saved';
import type { LocalDocument, Shelf } from './types';

const NAMES: Readonly<Record<DocumentKind, readonly [one: string, many: string]>> = {
  plans: ['plan', 'plans'],
  things: ['thing', 'things'],
  yarns: ['yarn', 'yarns'],
  swatches: ['swatch', 'swatches'],
  makes: ['make', 'makes'],
  hours: ['list of hours', 'lists of hours'],
  batches: ['batch', 'batches'],
};

/** `3 plans`, `1 yarn`. */
export function counted(kind: DocumentKind, count: number): string {
  return `${count} ${NAMES[kind][count === 1 ? 0 : 1]}`;
}

const presentOn = (shelf: Shelf) => Object.entries(shelf).filter(([, held]) => !held.gone);

/** What is on this device, in words. */
export function useHeldInWords(): string {
  const shelves = useLibrary((state) => state.shelves);
  return DOCUMENT_KINDS.map((kind) => counted(kind, presentOn(shelves[kind] as Shelf).length)).join(', ');
}

/** Every document on this device that is not deleted, by kind and id: also what the server refused, and what is not known here. */
export function documentsHere(): { kind: DocumentKind; id: string; held: LocalDocument<unknown> }[] {
  return everyHeld(useLibrary.getState()).filter(({ held }) => !held.gone);
}

/** Everything that happened, as far as this device has it: also what is not laid out. */
export async function eventsHere(): Promise<KeptEvent[]> {
  const records = (await deviceNow()?.getAll('events')) ?? [];
  const laidOut = Object.values(useEvents.getState().byMake).flat();
  return [...new Map([...records.map(({ event }) => event), ...laidOut].map((event) => [event.id, event])).values()];
}

/** What happened, make by make. */
export function byMake(events: readonly KeptEvent[]): Map<string, KeptEvent[]> {
  const makes = new Map<string, KeptEvent[]>();
  for (const event of events) {
    const own = makes.get(event.make);
    if (own) own.push(event);
    else makes.set(event.make, [event]);
  }
  return makes;
}

type File = Partial<Record<DocumentKind, Record<string, unknown>>> & { events?: readonly MakeEvent[] };

/**
 * Everything on this device as one file's text: each document in its open format, by its id, and every event.
 * @param there what the server has, where it was asked: what is here comes over it, and nothing of either is left out
 */
export async function everything(there: File = {}): Promise<string> {
  const documents = Object.fromEntries(
    DOCUMENT_KINDS.map((kind): [string, Record<string, unknown>] => [kind, { ...there[kind] }]),
  );
  for (const { kind, id, held } of documentsHere()) documents[kind]![id] = held.body;
  const here = (await eventsHere()).map(({ seq: _seq, ...event }) => event as MakeEvent);
  const events = [...new Map([...(there.events ?? []), ...here].map((event) => [event.id, event])).values()];
  return JSON.stringify({ format: 'keep-snug.everything/1', ...documents, events }, null, 2);
}

/** What the server has; nothing where it is away. */
async function everythingThere(): Promise<File | undefined> {
  try {
    const answer = await fetch('/api/everything');
    return answer.ok ? ((await answer.json()) as File) : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Hands everything to the browser as a file, and tells its name. The server's copy is the fuller one, where it has all
 * that is here: of makes finished on another device this one has only the end.
 */
export async function saveEverything({
  reached,
  waiting,
}: {
  reached: boolean | null;
  waiting: number;
}): Promise<string> {
  const name = `keep-snug-${new Date().toISOString().slice(0, 10)}.json`;
  // before the first answer nobody knows whether it is there: this device may have read a part only
  const isThere = reached ?? (await answers());
  if (waiting === 0 && isThere) saveFrom('/api/everything', name);
  else saveText(await everything(isThere ? await everythingThere() : undefined), name, 'application/json');
  useSaved.getState().saved();
  return name;
}
