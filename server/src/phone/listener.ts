import type { Express } from 'express';
import { createServer, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { addressesNow, namesNow } from './addresses';
import { authorityAt, leafFor } from './authority';

export interface PhoneLine {
  port: number;
  /** The address a phone opens. */
  url: () => string;
  /** The authority's certificate, PEM. */
  certificate: string;
  /** Whether the authority was made at this start: phones have to trust it anew. */
  isNew: boolean;
  stop: () => Promise<void>;
}

/** So often it is looked whether this machine has other addresses. */
const LOOK_EVERY_MS = 5000;

/**
 * Listens in the house's network, encrypted. Its certificate is made anew at every start, and whenever the machine's addresses
 * change.
 *
 * @param place of the authority's files
 * @throws where the port is taken
 */
export async function listenForPhones(app: Express, port: number, place: string): Promise<PhoneLine> {
  const authority = await authorityAt(place, namesNow(), addressesNow());
  let known = '';
  let server: Server | undefined;
  const renew = async () => {
    // what it may not vouch for is left out: a name that came later is taken in at the next start
    const addresses = [...addressesNow(), '127.0.0.1'].filter(authority.mayVouchFor);
    const names = namesNow().filter(authority.mayVouchFor);
    const now = [...names, ...addresses].join(' ');
    if (now === known) return;
    known = now;
    const leaf = await leafFor(authority, names, addresses);
    if (server) server.setSecureContext(leaf);
    else server = createServer(leaf, app);
  };
  await renew();
  const listening = server!;
  await new Promise<void>((resolve, reject) => {
    listening.once('error', reject);
    listening.listen(port, () => resolve());
  });
  const timer = setInterval(() => void renew().catch(() => undefined), LOOK_EVERY_MS).unref();
  const taken = (listening.address() as AddressInfo).port;
  return {
    port: taken,
    url: () => {
      const [address = 'localhost'] = addressesNow();
      return `https://${address.includes(':') ? `[${address}]` : address}:${taken}`;
    },
    certificate: authority.cert,
    isNew: authority.isNew,
    stop: async () => {
      clearInterval(timer);
      const closed = new Promise((resolve) => listening.close(resolve));
      listening.closeAllConnections();
      await closed;
    },
  };
}
