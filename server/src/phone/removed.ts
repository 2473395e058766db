import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';

/** Devices that were removed for good: known by the hashes of their tokens, outside the file that may be brought back. */
export interface RemovedDevices {
  has: (tokenHash: string) => boolean;
  add: (tokenHash: string) => void;
}

/** Nothing is remembered beyond this run: for tests of what stands round it. */
export const remembersNothing = (): RemovedDevices => {
  const hashes = new Set<string>();
  return { has: (hash) => hashes.has(hash), add: (hash) => void hashes.add(hash) };
};

/**
 * Kept beside the data, readable by its owner alone: an older copy of the data that is brought back lets none of them in again.
 * @param place of the file
 */
export function removedDevicesAt(place: string): RemovedDevices {
  const read = () => (existsSync(place) ? readFileSync(place, 'utf8').split('\n').filter(Boolean) : []);
  const hashes = new Set(read());
  return {
    has: (hash) => hashes.has(hash),
    add: (hash) => {
      hashes.add(hash);
      const half = `${place}.half`;
      writeFileSync(half, `${[...new Set([...read(), ...hashes])].join('\n')}\n`, { mode: 0o600 });
      renameSync(half, place);
    },
  };
}
