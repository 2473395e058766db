import type { Plan } from '../plan';
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';

/** What a link may hold unpacked, bytes: a plan is far smaller, and a bad link could claim anything. */
const LARGEST = 400_000;

const toUrl = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');

const fromUrl = (text: string): Uint8Array =>
  Uint8Array.from(atob(text.replace(/-/g, '+').replace(/_/g, '/')), (letter) => letter.charCodeAt(0));

/** A plan packed into what follows the `#` of an address: nothing of it is ever sent to a server. */
export const planFragment = (plan: Plan): string => toUrl(deflateSync(strToU8(JSON.stringify(plan)), { level: 9 }));

/** The address that opens a plan in this house. */
export const planLink = (plan: Plan, origin: string): string => `${origin}/open#${planFragment(plan)}`;

/**
 * The plan’s text a fragment holds; the whole address may be given, as a camera reads it.
 *
 * @returns nothing where it holds none, was cut off, or is too large
 */
export function textInFragment(fragment: string): string | undefined {
  const packed = fragment.slice(fragment.indexOf('#') + 1).trim();
  if (!/^[\w-]+$/.test(packed)) return undefined;
  try {
    // room for what there may be, and no more: what unpacks to a flood is refused
    const bytes = inflateSync(fromUrl(packed), { out: new Uint8Array(LARGEST) });
    return strFromU8(bytes);
  } catch {
    return undefined;
  }
}
