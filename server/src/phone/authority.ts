import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { generate } from 'selfsigned';

/** A key and its certificate, as PEM. */
export interface Pair {
  key: string;
  cert: string;
}

const DAY_MS = 86_400_000;
/** The authority lasts ten years, a leaf as long as browsers allow one to. */
const AUTHORITY_DAYS = 3650;
const LEAF_DAYS = 397;

/** A clock that is a little behind still takes it, days. */
const BEFORE_DAYS = 1;

const lasting = (days: number) => ({
  notBeforeDate: new Date(Date.now() - BEFORE_DAYS * DAY_MS),
  notAfterDate: new Date(Date.now() + (days - BEFORE_DAYS) * DAY_MS),
});

/**
 * The house's own certificate authority, made once and kept beside the data, readable by its owner alone.
 * @param place the path of its files, without their endings
 */
export async function authorityAt(place: string): Promise<Pair> {
  const [keyFile, certFile] = [`${place}.key`, `${place}.crt`];
  if (existsSync(keyFile) && existsSync(certFile))
    return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
  const made = await generate([{ name: 'commonName', value: 'Keep Snug' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    ...lasting(AUTHORITY_DAYS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  mkdirSync(dirname(place), { recursive: true });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  chmodSync(keyFile, 0o600);
  writeFileSync(certFile, made.cert);
  return { key: made.private, cert: made.cert };
}

/** A certificate for names and addresses, vouched for by an authority, with the authority's own after it. */
export async function leafFor(authority: Pair, names: readonly string[], addresses: readonly string[]): Promise<Pair> {
  const made = await generate([{ name: 'commonName', value: names[0] ?? 'localhost' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    ...lasting(LEAF_DAYS),
    ca: authority,
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...names.map((value) => ({ type: 2 as const, value })),
          ...addresses.map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
  return { key: made.private, cert: `${made.cert.trim()}\n${authority.cert.trim()}\n` };
}
