import type { AddressInfo } from 'node:net';
import { dirname, join } from 'node:path';
import type { Logger } from 'pino';
import { createHub } from './devices/hub';
import { listenForDevices, type Devices } from './devices/listener';
import { loadDemo } from './demo';
import { createKeys, listenForPhones, pairedDevicesOf, removedDevicesAt, type PhoneLine } from './phone';
import { namesNow } from './phone/addresses';
import { createReckoner } from './reckoning/reckoner';
import { threadFile } from './reckoning/threadFile';
import { documentStore, openStore, type Address, type Store } from './store';
import { createServer } from './web/server';
import { DAY_MS } from './time';

interface StartOptions {
  host: string;
  /** 0 takes any that is free. */
  port: number;
  /** The SQLite file. */
  file: string;
  /** A libSQL server in its place. */
  database?: Address;
  /** Folder of the exported app. */
  appRoot: string;
  /** Names it answers to besides this machine's own. */
  hosts?: readonly string[];
  /** The port that devices dial on this machine; 0 takes any that is free, none is listened to without one. */
  devices?: number | null;
  /** The port for phones in the house's network, encrypted; 0 takes any that is free, none is listened to without one. */
  phone?: number | null;
  /** The other way in, beside a code. */
  passphrase?: string;
  /** Lays the sample data into the file first. */
  demo?: boolean;
  log?: Logger;
}

export interface RunningServer {
  port: number;
  /** The port that devices dial; none where it is taken, or none is wanted. */
  devices: number | null;
  /** Where phones come in; none where it is not listened for them. */
  phone: { url: string; pairing: string; isNew: boolean } | null;
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
  database,
  appRoot,
  hosts = [],
  devices: wanted = null,
  phone = null,
  passphrase,
  demo,
  log,
}: StartOptions): Promise<RunningServer> {
  const store = await openStore(database ?? file);
  const stopEmptying = await keptEmptied(store);
  if (demo) await loadDemo(store);
  const reckoner = createReckoner(await threadFile());
  const hub = createHub();
  // whoever has the port has the devices too: everything else goes on without them
  const devices: Devices | null = wanted === null ? null : await listenForDevices(hub, wanted).catch(() => null);
  const heard = { hub, port: devices?.port ?? null };
  const keys = createKeys(passphrase);
  let line: PhoneLine | null = null;
  const phones = { keys, devices: pairedDevicesOf(store, removedDevicesAt(removedPlace(file))), line: () => line };
  const named = phone === null ? hosts : [...hosts, ...namesNow()];
  const app = createServer({ store, reckoner, appRoot, devices: heard, hosts: named, phones, ...(log ? { log } : {}) });
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve, reject) => {
    const listening = app.listen(port, host, (error) => (error ? reject(error) : resolve(listening)));
  });
  if (phone !== null) line = await listenForPhones(app, phone, authorityPlace(file));
  return {
    phone: line && { url: line.url(), isNew: line.isNew, pairing: `${line.url()}/pair?token=${keys.newToken()}` },
    port: (server.address() as AddressInfo).port,
    devices: heard.port,
    stop: async () => {
      stopEmptying();
      await devices?.stop();
      await line?.stop();
      const closed = new Promise((resolve) => server.close(resolve));
      server.closeAllConnections();
      await closed;
      await reckoner.close();
      await store.close();
    },
  };
}

/** Removed devices stand beside the data, not in it. */
const removedPlace = (file: string): string => join(dirname(file), 'keep-snug-removed');

/** The authority's files stand beside the data. */
const authorityPlace = (file: string): string => join(dirname(file), 'keep-snug-authority');

/** Empties old tombstones now and once a day. */
async function keptEmptied(store: Store): Promise<() => void> {
  const { empty } = documentStore(store);
  await empty();
  const timer = setInterval(() => void empty().catch(() => undefined), DAY_MS).unref();
  return () => clearInterval(timer);
}
