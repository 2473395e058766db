import { isIPv4 } from 'node:net';

/** The extension's number (RFC 5280, 4.2.1.10). */
export const NAME_CONSTRAINTS = '2.5.29.30';

/** A range of addresses: its first, and how many of its bits all of them share. */
interface Range {
  address: string;
  bits: number;
}

/** Addresses of houses, and of this machine for itself (RFC 1918, 3927, 4193, 4291). */
const HOUSES: readonly Range[] = [
  { address: '127.0.0.0', bits: 8 },
  { address: '10.0.0.0', bits: 8 },
  { address: '172.16.0.0', bits: 12 },
  { address: '192.168.0.0', bits: 16 },
  { address: '169.254.0.0', bits: 16 },
  { address: '::1', bits: 128 },
  { address: 'fc00::', bits: 7 },
  { address: 'fe80::', bits: 10 },
];

/** An address as its bytes: 4 of them, or 16. */
function bytesOf(address: string): number[] {
  if (isIPv4(address)) return address.split('.').map(Number);
  const [plain = ''] = address.split('%');
  const [head = '', tail] = plain.split('::');
  const words = (text: string) => text.split(':').filter(Boolean);
  const [before, after] = [words(head), words(tail ?? '')];
  const zeros = tail === undefined ? 0 : 8 - before.length - after.length;
  const all = [...before, ...Array.from({ length: zeros }, () => '0'), ...after];
  return all.flatMap((word) => [parseInt(word, 16) >> 8, parseInt(word, 16) & 255]);
}

const maskOf = (bits: number, length: number): number[] =>
  Array.from({ length }, (_, index) => 256 - 2 ** (8 - Math.min(8, Math.max(0, bits - 8 * index))));

function isIn({ address, bits }: Range, bytes: readonly number[]): boolean {
  const from = bytesOf(address);
  if (from.length !== bytes.length) return false;
  const mask = maskOf(bits, bytes.length);
  return bytes.every((byte, index) => (byte & mask[index]!) === (from[index]! & mask[index]!));
}

/** Whether an address is one of a house, for which any authority of ours may vouch. */
export const isOfHouse = (address: string): boolean => HOUSES.some((range) => isIn(range, bytesOf(address)));

/** DER: a value with its tag and its length before it. */
function tagged(tag: number, ...parts: readonly (readonly number[])[]): number[] {
  const value = parts.flat();
  const { length } = value;
  const size = length < 128 ? [length] : length < 256 ? [0x81, length] : [0x82, length >> 8, length & 255];
  return [tag, ...size, ...value];
}

const SEQUENCE = 0x30;
const PERMITTED = 0xa0;
const NAME = 0x82;
const ADDRESS = 0x87;

/**
 * What an authority may vouch for and nothing else: these names, addresses of houses, and these addresses. A stolen key of it
 * makes nobody believed elsewhere.
 *
 * @returns the extension's value, DER
 */
export function nameConstraints(names: readonly string[], addresses: readonly string[]): Uint8Array<ArrayBuffer> {
  const own = addresses.filter((address) => !isOfHouse(address)).map((address) => ({ address, bits: 128 }));
  const ranges = [...HOUSES, ...own].map(({ address, bits }) => {
    const bytes = bytesOf(address);
    return tagged(ADDRESS, bytes, maskOf(bits, bytes.length));
  });
  const called = names.map((name) => tagged(NAME, [...Buffer.from(name, 'latin1')]));
  const subtrees = [...called, ...ranges].map((base) => tagged(SEQUENCE, base));
  return new Uint8Array(tagged(SEQUENCE, tagged(PERMITTED, ...subtrees)));
}
