import type { DocumentKind } from '@keep-snug/core/documents';
import same from 'fast-deep-equal';
import type { LocalDocument } from './types';

/** A document as the server has it, or that it was deleted there. */
export interface ServerChange {
  kind: DocumentKind;
  id: string;
  revision: number;
  body?: unknown;
  deleted?: true;
}

export type PutAnswer =
  | { is: 'kept'; revision: number }
  | { is: 'stale'; present: { revision: number; body: unknown } | null }
  | { is: 'refused'; message: string };

type Held = LocalDocument<unknown>;

/** Whether something is still to be sent or decided here, which nothing from elsewhere may overwrite. */
function unsettled(held: Held): boolean {
  return held.dirty || held.theirs !== undefined || held.refused !== undefined;
}

/** A held document after the server told what it has. */
export function received(held: Held | undefined, change: ServerChange): Held | undefined {
  if (change.deleted) return held && unsettled(held) && !held.gone ? held : undefined;
  const there: Held = { body: change.body, revision: change.revision, dirty: false };
  if (!held) return there;
  // what is the same on both sides has nothing to settle
  if (!held.gone && same(held.body, change.body)) return { ...there, body: held.body };
  return unsettled(held) || held.revision >= change.revision ? held : there;
}

/** A held document after the server answered the write of `sent`. A change made meanwhile is still to be sent. */
export function afterAnswer(held: Held, sent: Held, answer: PutAnswer): Held | undefined {
  const changedSince = held.stamp !== sent.stamp;
  if (answer.is === 'refused') return changedSince ? held : { ...held, dirty: false, refused: answer.message };
  if (answer.is === 'stale') {
    const { present } = answer;
    if (held.gone && present === null) return undefined;
    if (present && !held.gone && same(present.body, held.body))
      return { body: held.body, revision: present.revision, dirty: false };
    if (!held.gone) return { ...held, dirty: false, theirs: present };
    // deleted here, changed elsewhere: it is shown again, and asked about
    const { gone: _gone, ...shown } = held;
    return { ...shown, dirty: false, goneHere: true, theirs: present };
  }
  if (sent.gone) return changedSince ? { ...held, revision: 0, dirty: true } : undefined;
  return { ...held, revision: answer.revision, dirty: changedSince };
}

/** A document as one that the server does not know yet. */
export function offeredAnew(held: Held | undefined, body: unknown): Held {
  return { body, revision: 0, dirty: true, ...(held?.stamp ? { stamp: held.stamp } : {}) };
}
