export { openStore, type Store } from './database';
export { documentStore, type DocumentStore, type StoredDocument } from './documents';
export { eventStore, type EventStore } from './events';
