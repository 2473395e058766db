import { eq } from 'drizzle-orm';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Store } from '../store';
import { pairedDevices } from '../store/schema';

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
  /** It is refused from then on. */
  revoke: (id: string) => Promise<boolean>;
}

/** What stands for a token where it is kept. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A device is noted as seen no more often than this. */
const SEEN_EVERY_MS = 3_600_000;

/** Devices that were paired with this house, in its own file. */
export function pairedDevicesOf({ db, write }: Store): PairedDevices {
  const told = {
    id: pairedDevices.id,
    name: pairedDevices.name,
    pairedAt: pairedDevices.pairedAt,
    seenAt: pairedDevices.seenAt,
  };
  return {
    list: () => db.select(told).from(pairedDevices).orderBy(pairedDevices.pairedAt),
    add: async (name) => {
      const [id, token, now] = [randomUUID(), randomBytes(32).toString('base64url'), new Date().toISOString()];
      await write(async () => {
        await db.insert(pairedDevices).values({ id, name, tokenHash: hashOf(token), pairedAt: now, seenAt: now });
      });
      return { id, token };
    },
    bearing: async (token) => {
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
    revoke: (id) =>
      write(
        async () =>
          (await db.delete(pairedDevices).where(eq(pairedDevices.id, id)).returning({ id: pairedDevices.id })).length >
          0,
      ),
  };
}
