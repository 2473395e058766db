import { eq } from 'drizzle-orm';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Store } from '../store';
import { pairedDevices } from '../store/schema';
import { remembersNothing, type RemovedDevices } from './removed';

/** A device that may read and write from beyond this machine, as it is listed. */
export interface PairedDevice {
  id: string;
  name: string;
  pairedAt: string;
  seenAt: string;
}

export interface PairedDevices {
  list: () => Promise<PairedDevice[]>;
  /** Lets a device in, under a token that is told once and kept by its hash alone. */
  add: (name: string) => Promise<{ id: string; token: string }>;
  /** The device that bears a token; nothing where none does. */
  bearing: (token: string) => Promise<PairedDevice | undefined>;
  rename: (id: string, name: string) => Promise<boolean>;
  /** It is refused from then on, whatever copy of the data is brought back; what still goes on for it is cut. */
  revoke: (id: string) => Promise<boolean>;
  /**
   * Something goes on for a device: it is ended when the device is removed.
   * @returns what says that it has ended by itself
   */
  goesOn: (id: string, end: () => void) => () => void;
}

/** What stands for a token where it is kept. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A device is noted as seen no more often than this. */
const SEEN_EVERY_MS = 3_600_000;

/** Devices that were paired with this house, in its own file. */
export function pairedDevicesOf({ db, write }: Store, removed: RemovedDevices = remembersNothing()): PairedDevices {
  const going = new Map<string, Set<() => void>>();
  const told = {
    id: pairedDevices.id,
    name: pairedDevices.name,
    pairedAt: pairedDevices.pairedAt,
    seenAt: pairedDevices.seenAt,
  };
  return {
    list: async () => {
      const all = await db
        .select({ ...told, hash: pairedDevices.tokenHash })
        .from(pairedDevices)
        .orderBy(pairedDevices.pairedAt);
      return all.flatMap(({ hash, ...device }) => (removed.has(hash) ? [] : device));
    },
    add: async (name) => {
      const [id, token, now] = [randomUUID(), randomBytes(32).toString('base64url'), new Date().toISOString()];
      await write(async () => {
        await db.insert(pairedDevices).values({ id, name, tokenHash: hashOf(token), pairedAt: now, seenAt: now });
      });
      return { id, token };
    },
    bearing: async (token) => {
      if (removed.has(hashOf(token))) return undefined;
      const [found] = await db
        .select(told)
        .from(pairedDevices)
        .where(eq(pairedDevices.tokenHash, hashOf(token)));
      if (found && Date.now() - Date.parse(found.seenAt) > SEEN_EVERY_MS)
        await write(async () => {
          await db
            .update(pairedDevices)
            .set({ seenAt: new Date().toISOString() })
            .where(eq(pairedDevices.id, found.id));
        });
      return found;
    },
    rename: (id, name) =>
      write(
        async () =>
          (
            await db
              .update(pairedDevices)
              .set({ name })
              .where(eq(pairedDevices.id, id))
              .returning({ id: pairedDevices.id })
          ).length > 0,
      ),
    revoke: async (id) => {
      const [found] = await db
        .select({ hash: pairedDevices.tokenHash })
        .from(pairedDevices)
        .where(eq(pairedDevices.id, id));
      if (!found) return false;
      // before it is taken out of the file: that may fail, and this must not
      removed.add(found.hash);
      for (const end of going.get(id) ?? []) end();
      going.delete(id);
      await write(async () => void (await db.delete(pairedDevices).where(eq(pairedDevices.id, id))));
      return true;
    },
    goesOn: (id, end) => {
      const own = going.get(id) ?? new Set();
      going.set(id, own.add(end));
      return () => void own.delete(end);
    },
  };
}
