export { type Address, openStore, type Store } from './database';
export { documentStore, type DocumentStore, type StoredDocument } from './documents';
export { eventStore, type EventStore } from './events';
export { feed, type Feed, PAGE, withinBytes } from './feed';
