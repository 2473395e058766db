import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { loadDemo } from './demo';
import { openStore } from './store';
import { createServer } from './web/server';

export interface StartOptions {
  host: string;
  /** 0 takes any that is free. */
  port: number;
  /** The SQLite file. */
  file: string;
  /** Folder of the exported app. */
  appRoot: string;
  /** Names it answers to besides this machine's own. */
  hosts?: readonly string[];
  /** Lays the sample data into the file first. */
  demo?: boolean;
  log?: Logger;
}

export interface RunningServer {
  port: number;
  /** Answers no more, and leaves the whole store in its one file. */
  stop: () => Promise<void>;
}

/**
 * Opens the store and listens.
 * @throws where the file cannot be opened or the port is taken
 */
export async function startServer({
  host,
  port,
  file,
  appRoot,
  hosts = [],
  demo,
  log,
}: StartOptions): Promise<RunningServer> {
  const store = await openStore(file);
  if (demo) await loadDemo(store);
  const app = createServer({ store, appRoot, hosts, ...(log ? { log } : {}) });
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve, reject) => {
    const listening = app.listen(port, host, (error) => (error ? reject(error) : resolve(listening)));
  });
  return {
    port: (server.address() as AddressInfo).port,
    stop: async () => {
      const closed = new Promise((resolve) => server.close(resolve));
      server.closeAllConnections();
      await closed;
      await store.close();
    },
  };
}
