import type { Plan } from '../../plan/plan';
import { deflateSync, Inflate, strFromU8, strToU8 } from 'fflate';

/** What a link may hold unpacked, bytes: a plan is far smaller, and a bad link could claim anything. */
const LARGEST = 400_000;

/** So much of it is unpacked at once, bytes: it is stopped between. */
const PORTION = 512;

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

/** The fragment of an address that opens a plan, where one stands among other text: what a PDF says of itself. */
export const fragmentAmong = (text: string): string | undefined => /\/open#([\w-]{20,})/.exec(text)?.[1];

/**
 * Unpacks so much as there may be, and no more.
 * @throws where it is cut off, or unpacks to a flood
 */
function unpacked(packed: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = [];
  let size = 0;
  let whole = false;
  const inflate = new Inflate((part, last) => {
    size += part.length;
    if (size > LARGEST) throw new RangeError('too large');
    parts.push(part);
    whole = last;
  });
  for (let at = 0; at < packed.length; at += PORTION)
    inflate.push(packed.subarray(at, at + PORTION), at + PORTION >= packed.length);
  if (!whole) throw new RangeError('cut off');
  const all = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

/**
 * The plan’s text a fragment holds; the whole address may be given, as a camera reads it.
 *
 * @returns nothing where it holds none, was cut off, or is too large
 */
export function textInFragment(fragment: string): string | undefined {
  const packed = fragment.slice(fragment.indexOf('#') + 1).trim();
  if (!/^[\w-]+$/.test(packed)) return undefined;
  try {
    return strFromU8(unpacked(fromUrl(packed)));
  } catch {
    return undefined;
  }
}
