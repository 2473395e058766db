import { type Express } from 'express';
import type { Logger } from 'pino';
import type { Reckoner } from '../reckoning/reckoner';
import { type Store } from '../store';
interface Parts {
  store: Store;
  reckoner: Reckoner;
  /** Folder of the exported app; without it only the API is served. */
  appRoot: string;
  /** Names it answers to besides this machine's own. */
  hosts?: readonly string[];
  /** Requests to the API in a minute. */
  perMinute?: number;
  log?: Logger;
}
/** The whole server as one Express app, listening to nothing yet. */
export declare function createServer({ store, reckoner, appRoot, hosts, perMinute, log }: Parts): Express;
export {};
