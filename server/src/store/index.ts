export { openStore, type Store } from './database';
export { documentStore, type DocumentStore, type Kept } from './documents';
export { eventStore, type EventStore } from './events';
