import { hostname, networkInterfaces } from 'node:os';

/** The addresses at which this machine is reached in its house just now, IPv4 before IPv6; none that hold on one line only. */
export function addressesNow(): string[] {
  const all = Object.values(networkInterfaces()).flatMap((list) => list ?? []);
  return all
    .filter(({ internal, address }) => !internal && !address.startsWith('fe80:'))
    .sort((a, b) => a.family.localeCompare(b.family))
    .map(({ address }) => address);
}

/** Names it may be called by in its house. */
export function namesNow(): string[] {
  const name = hostname().toLowerCase();
  return /^[a-z\d-]+$/.test(name) ? ['localhost', name, `${name}.local`] : ['localhost'];
}
