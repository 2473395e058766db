import { type LibSQLDatabase } from 'drizzle-orm/libsql';
export interface Store {
  db: LibSQLDatabase;
  /** The name of the file's history: a copy brought back bears another. */
  name: string;
  /** Runs a write after all earlier ones: SQLite takes one writer at a time. Reads do not queue. */
  write: <T>(work: () => Promise<T>) => Promise<T>;
  /**
   * Writes.
   * @throws where either fails
   */
  check: () => Promise<void>;
  /** Writes what waits in the log into the file itself, and lets go of it. */
  close: () => Promise<void>;
}
/** A libSQL server, where a house has outgrown one file. */
export interface Address {
  url: string;
  authToken?: string;
}
/**
 * Opens the SQLite file, creating it and its folder when missing, looks whether it is whole, and brings its tables up to
 * date; or does the same on a libSQL server, which looks after its files itself.
 * @throws StoreProblem where it cannot be used, with the remedy
 */
export declare function openStore(place: string | Address): Promise<Store>;
