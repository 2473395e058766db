import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { DOCUMENT_KINDS } from '@keep-snug/core/formats';
import { documentStore, eventStore, type Store } from './store';

/** Lays the Tern Point sample data into a store; what is there stays as it is, and what was deleted stays deleted. */
export async function loadDemo(store: Store): Promise<void> {
  const documents = documentStore(store);
  for (const kind of DOCUMENT_KINDS) {
    for (const [id, body] of Object.entries(TERN_POINT[kind])) await documents.lay(kind, id, body);
  }
  await eventStore(store).add(ternPointEvents());
}
