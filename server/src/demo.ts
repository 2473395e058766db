import { reckon } from '@keep-snug/core';
import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { DOCUMENT_KINDS } from '@keep-snug/core/formats';
import { documentStore, eventStore, type Store } from './store';

/** Lays the Tern Point sample data into a store; documents that are there already stay as they are. */
export async function loadDemo(store: Store): Promise<void> {
  const documents = documentStore(store);
  for (const kind of DOCUMENT_KINDS) {
    for (const [id, body] of Object.entries(TERN_POINT[kind])) await documents.put(kind, id, 0, body);
  }
  const finished = Object.values(TERN_POINT.makes).find((make) => make.title === 'Tide table case')!;
  await eventStore(store).add(ternPointEvents(reckon(finished.plan).steps.length));
}
