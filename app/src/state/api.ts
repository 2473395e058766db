import type { MakeEvent } from '@keep-snug/core';
import type { DocumentKind } from '@keep-snug/core/documents';

export interface ServerDocument {
  id: string;
  revision: number;
  body: unknown;
}

export type PutAnswer =
  | { is: 'kept'; kept: ServerDocument }
  | { is: 'stale'; present: ServerDocument | null }
  | { is: 'refused'; message: string };

/** The server could not be reached, or answered that it is in trouble: try again later, nothing is lost. */
export class Away extends Error {}

async function ask(path: string, init?: RequestInit): Promise<Response> {
  let answer: Response;
  try {
    answer = await fetch(`/api${path}`, { ...init, headers: { 'Content-Type': 'application/json', ...init?.headers } });
  } catch {
    throw new Away();
  }
  if (answer.status >= 500 || answer.status === 429) throw new Away();
  return answer;
}

export async function listDocuments(kind: DocumentKind): Promise<ServerDocument[]> {
  return (await ask(`/${kind}`)).json() as Promise<ServerDocument[]>;
}

/** Writes a document made on `revision`; 0 is a new one. */
export async function putDocument(kind: DocumentKind, id: string, revision: number, body: unknown): Promise<PutAnswer> {
  return readPut(
    await ask(`/${kind}/${id}`, { method: 'PUT', headers: matching(revision), body: JSON.stringify(body) }),
  );
}

export async function deleteDocument(kind: DocumentKind, id: string, revision: number): Promise<PutAnswer> {
  const answer = await ask(`/${kind}/${id}`, { method: 'DELETE', headers: matching(revision) });
  if (answer.status === 204) return { is: 'kept', kept: { id, revision, body: null } };
  return readPut(answer);
}

function matching(revision: number): Record<string, string> {
  return revision === 0 ? { 'If-None-Match': '*' } : { 'If-Match': `"${revision}"` };
}

async function readPut(answer: Response): Promise<PutAnswer> {
  const body = (await answer.json()) as ServerDocument & {
    title: string;
    present?: ServerDocument | null;
    errors?: { path: string; message: string }[];
  };
  if (answer.ok) return { is: 'kept', kept: body };
  if (answer.status === 409) return { is: 'stale', present: body.present ?? null };
  return { is: 'refused', message: (body.errors ?? []).map((e) => `${e.path}: ${e.message}`).join(' ') || body.title };
}

export async function sendEvents(batch: readonly MakeEvent[]): Promise<string[]> {
  const answer = await ask('/events', { method: 'POST', body: JSON.stringify(batch) });
  if (!answer.ok) throw new Away();
  return ((await answer.json()) as { accepted: string[] }).accepted;
}

export async function eventsSince(seq: number): Promise<{ seq: number; event: MakeEvent }[]> {
  return (await ask(`/events?since=${seq}`)).json() as Promise<{ seq: number; event: MakeEvent }[]>;
}
