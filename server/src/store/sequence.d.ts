import type { Store } from './database';
/** Documents and events share one sequence; marks hold every number that a document ever had. */
export declare const LAST: import('drizzle-orm').SQL<number>;
/** The sequence of a write: taken within its own statement, so that no other process can take it too. */
export declare const NEXT: import('drizzle-orm').SQL<number>;
/** The number of the latest write. */
export declare function lastSeq({ db }: Pick<Store, 'db'>): Promise<number>;
/**
 * What was written under a number: an event's id, or the random mark of a document's write.
 * @returns nothing where nothing was
 */
export declare function markAt({ db }: Pick<Store, 'db'>, seq: number): Promise<string | null>;
