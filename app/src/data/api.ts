import type { KeptEvent, MakeEvent } from '@keep-snug/core';
import type { DocumentKind } from '@keep-snug/core/documents';
import type { PaperAsk } from '@keep-snug/core/formats';
import type { PutAnswer, ServerChange } from './held';
import type { LocalDocument } from './types';

/** The server could not be reached, or answered that it is in trouble: try again later, nothing is lost. */
export class Away extends Error {}

/** This device is let in no longer: to be paired anew, and nothing is lost until then. */
export class NotPaired extends Away {}

/** Another house answered than the one this device knows: nothing of its answer is to be taken for granted. */
export class OtherHouse extends Error {
  constructor(readonly store: string) {
    super(`another house, ${store}`);
  }
}

/** An entry of the feed. */
export type Entry = (ServerChange & { seq: number }) | { seq: number; kind: 'events'; id: string; event: MakeEvent };

export interface ChangesPage {
  store: string;
  entries: Entry[];
  next: number;
  last: string | null;
}

interface Fault {
  path: string;
  message: string;
}

interface Problem {
  title: string;
  errors?: Fault[];
  present?: { revision: number; body: unknown } | null;
}

type SendAnswer = { is: 'kept' } | { is: 'refused'; title: string; errors: readonly Fault[] };

export interface DeletedDocument {
  kind: DocumentKind;
  id: string;
  body: unknown;
  deletedAt: string;
}

const STORE_HEADER = 'Keep-Snug-Store';

/** @param store the house that is meant; any, where none is named */
async function ask(path: string, store?: string, init?: RequestInit): Promise<Response> {
  let answer: Response;
  try {
    answer = await fetch(`/api${path}`, { ...init, headers: { 'Content-Type': 'application/json', ...init?.headers } });
  } catch {
    throw new Away();
  }
  if (answer.status === 401) throw new NotPaired();
  if (answer.status >= 500 || answer.status === 429) throw new Away();
  const name = answer.headers.get(STORE_HEADER);
  // whatever answered without its name is something between here and there
  if (name === null) throw new Away();
  if (store !== undefined && name !== store) throw new OtherHouse(name);
  return answer;
}

/** An answer that breaks off half-way is none. */
async function read<T>(answer: Response): Promise<T> {
  try {
    return (await answer.json()) as T;
  } catch {
    throw new Away();
  }
}

/** Whether the server is there. */
export async function answers(): Promise<boolean> {
  try {
    return (await ask('/health')).ok;
  } catch {
    return false;
  }
}

/** Sends a document as it is held: a new one, a change on its revision, or that it was deleted. */
export async function sendDocument(
  store: string,
  kind: DocumentKind,
  id: string,
  { gone, revision, body }: LocalDocument<unknown>,
): Promise<PutAnswer> {
  const path = `/${kind}/${id}`;
  const headers: Record<string, string> = revision === 0 ? { 'If-None-Match': '*' } : { 'If-Match': `"${revision}"` };
  const init = gone ? { method: 'DELETE', headers } : { method: 'PUT', headers, body: JSON.stringify(body) };
  const answer = await ask(path, store, init);
  if (answer.status === 204) return { is: 'kept', revision };
  const told = await read<Problem & { revision: number }>(answer);
  if (answer.ok) return { is: 'kept', revision: told.revision };
  if (answer.status === 409) return { is: 'stale', present: told.present ?? null };
  return { is: 'refused', message: inWords(told) };
}

function inWords({ title, errors = [] }: Problem): string {
  return errors.map(({ path, message }) => `${path}: ${message}`).join(' ') || title;
}

export async function sendEvents(store: string, batch: readonly MakeEvent[]): Promise<SendAnswer> {
  const answer = await ask('/events', store, { method: 'POST', body: JSON.stringify(batch) });
  if (answer.ok) return { is: 'kept' };
  const { title, errors = [] } = await read<Problem>(answer);
  return { is: 'refused', title, errors };
}

/**
 * What was written after `since`.
 * @param last what this device knows to have been written under `since`
 * @throws OtherHouse also where the house is the same and its history another
 */
export async function changesSince(
  since: number,
  last: string | null,
  store?: string,
  limit?: number,
): Promise<ChangesPage> {
  const known = last === null ? '' : `&last=${encodeURIComponent(last)}`;
  const answer = await ask(`/changes?since=${since}${known}${limit === undefined ? '' : `&limit=${limit}`}`, store);
  const name = answer.headers.get(STORE_HEADER)!;
  if (answer.status === 409) throw new OtherHouse(name);
  return { store: name, ...(await read<Omit<ChangesPage, 'store'>>(answer)) };
}

/** What a device with nothing on it needs first. */
export async function benchFirst(store: string): Promise<Entry[]> {
  return (await read<{ entries: Entry[] }>(await ask('/bench', store))).entries;
}

/** Everything that happened to a make, as the server has it. */
export async function eventsOf(store: string, make: string): Promise<KeptEvent[]> {
  const all: KeptEvent[] = [];
  for (;;) {
    const since = all.at(-1)?.seq ?? 0;
    const answer = await ask(`/events?make=${make}&since=${since}`, store);
    const page = await read<{ seq: number; event: MakeEvent }[]>(answer);
    if (page.length === 0) return all;
    all.push(...page.map(({ seq, event }) => ({ ...event, seq })));
  }
}

export async function listDeleted(): Promise<DeletedDocument[]> {
  return read(await ask('/deleted'));
}

/**
 * A plan on paper, as the server makes it.
 * @throws Away where it does not answer
 */
export async function printed(
  paper: PaperAsk,
  signal?: AbortSignal,
): Promise<{ is: 'made'; blob: Blob } | { is: 'refused'; message: string }> {
  const answer = await ask('/paper', undefined, {
    method: 'POST',
    body: JSON.stringify(paper),
    ...(signal ? { signal } : {}),
  });
  if (!answer.ok) return { is: 'refused', message: inWords(await read<Problem>(answer)) };
  return { is: 'made', blob: await answer.blob() };
}
