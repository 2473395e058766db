import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { hashOf } from './paired';

/** A pairing token is good for so long. */
export const TOKEN_MS = 10 * 60_000;

/** What lets a device in: a token that was shown on this machine, or the passphrase. */
export interface Keys {
  /** A new token, good for one device and ten minutes. */
  newToken: () => string;
  /** Whether a token is good; it is good no longer then. */
  takeToken: (token: string) => boolean;
  /** Whether there is a passphrase, and whether this is it. */
  hasPassphrase: boolean;
  isPassphrase: (said: string) => Promise<boolean>;
}

const derive = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(scrypt);
/** A guess takes a machine about a tenth of a second and 32 MB. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };

/** @param now the clock, for whoever tests it */
export function createKeys(passphrase: string | undefined, now: () => number = Date.now): Keys {
  const tokens = new Map<string, number>();
  const salt = randomBytes(16);
  const known = passphrase ? derive(passphrase, salt, 32, COST) : undefined;
  return {
    newToken: () => {
      for (const [hash, until] of tokens) if (until < now()) tokens.delete(hash);
      const token = randomBytes(24).toString('base64url');
      tokens.set(hashOf(token), now() + TOKEN_MS);
      return token;
    },
    takeToken: (token) => {
      const hash = hashOf(token);
      const until = tokens.get(hash);
      tokens.delete(hash);
      return until !== undefined && until >= now();
    },
    hasPassphrase: known !== undefined,
    isPassphrase: async (said) => {
      if (!known || said.length > 1000) return false;
      return timingSafeEqual(await derive(said, salt, 32, COST), await known);
    },
  };
}
