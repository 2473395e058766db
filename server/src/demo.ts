import { TERN_POINT, ternPointEvents, ternPointHours } from '@keep-snug/core/demo';
import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/formats';
import { documentStore, eventStore, type Store } from './store';

/** The sample's days are those to come. */
const sampleOf = (kind: DocumentKind): Record<string, unknown> => {
  if (kind !== 'hours') return TERN_POINT[kind];
  const today = new Date().toISOString().slice(0, 10);
  return Object.fromEntries(Object.keys(TERN_POINT.hours).map((id) => [id, ternPointHours(today)]));
};

/** Lays the Tern Point sample data into a store; what is there stays as it is, and what was deleted stays deleted. */
export async function loadDemo(store: Store): Promise<void> {
  const documents = documentStore(store);
  for (const kind of DOCUMENT_KINDS) {
    for (const [id, body] of Object.entries(sampleOf(kind))) await documents.lay(kind, id, body);
  }
  await eventStore(store).add(ternPointEvents());
}
