import { isIP } from 'node:net';
import { fileURLToPath } from 'node:url';
import { resolve } from 'node:path';

export interface Settings {
  host: string;
  port: number;
  file: string;
  appRoot: string;
  /** The port that measuring devices dial; none where they are not wanted. */
  devices: number | null;
  hosts: readonly string[];
  /** The port for phones in the house's network, where they are wanted. */
  phone: number;
  passphrase?: string;
  database?: { url: string; authToken?: string };
}

/** The project's root, from the source as from the bundle beside it. */
export const HOME = fileURLToPath(new URL('../../', import.meta.url));

/**
 * The program's settings, from environment variables: HOST, PORT, KEEP_SNUG_DATA (the SQLite file), KEEP_SNUG_APP,
 * KEEP_SNUG_DEVICES (the port that measuring devices dial on this machine, or off), KEEP_SNUG_HOSTS (names it answers to besides this machine's own, with commas between), DATABASE_URL (any libSQL address)
 * and DATABASE_AUTH_TOKEN, KEEP_SNUG_PHONE (the port for phones) and KEEP_SNUG_PASSPHRASE (their other way in, beside a code).
 */
export function readSettings(env: NodeJS.ProcessEnv): Settings {
  const port = Number(env.PORT ?? 8130);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`PORT is “${env.PORT}”. Make it a whole number from 0 to 65535.`);
  const host = env.HOST ?? '127.0.0.1';
  const passphrase = readPassphrase(env.KEEP_SNUG_PASSPHRASE);
  if (!isLoopback(host) && !passphrase)
    throw new Error(
      `HOST is “${host}”, beyond this computer, and there is no passphrase. Set KEEP_SNUG_PASSPHRASE, or HOST=127.0.0.1.`,
    );
  return {
    host,
    port,
    ...readPlace(env),
    devices: readDevices(env.KEEP_SNUG_DEVICES),
    phone: readPort('KEEP_SNUG_PHONE', env.KEEP_SNUG_PHONE, PHONE_PORT),
    ...(passphrase ? { passphrase } : {}),
    appRoot: resolve(env.KEEP_SNUG_APP ?? `${HOME}app/dist`),
    hosts: (env.KEEP_SNUG_HOSTS ?? '').split(',').flatMap((host) => host.trim() || []),
  };
}

/** Where phones in the house's network come in. */
const PHONE_PORT = 8133;

/** Shorter ones are found by trying. */
const LEAST_PASSPHRASE = 10;

function readPassphrase(text: string | undefined): string | undefined {
  if (text === undefined || text === '') return undefined;
  if (text.length < LEAST_PASSPHRASE)
    throw new Error(
      `KEEP_SNUG_PASSPHRASE has ${text.length} characters. Make it ${LEAST_PASSPHRASE} or more, such as four words.`,
    );
  return text;
}

function readPort(name: string, text: string | undefined, usual: number): number {
  const port = Number(text ?? usual);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`${name} is “${text}”. Make it a whole number from 0 to 65535.`);
  return port;
}

/** Where practice devices and bridges of real ones dial by themselves. */
export const DEVICES_PORT = 8132;

function readDevices(text: string | undefined): number | null {
  if (text === 'off') return null;
  const port = Number(text ?? DEVICES_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`KEEP_SNUG_DEVICES is “${text}”. Make it a whole number from 0 to 65535, or off.`);
  return port;
}

const SCHEMES = ['libsql:', 'https:', 'http:', 'wss:', 'ws:'];

/** Where everything is kept: DATABASE_URL before KEEP_SNUG_DATA; a file there is one like any other. */
function readPlace({
  DATABASE_URL: url,
  DATABASE_AUTH_TOKEN: authToken,
  KEEP_SNUG_DATA: data,
}: NodeJS.ProcessEnv): Pick<Settings, 'file' | 'database'> {
  const file = resolve(data ?? `${HOME}data/keep-snug.sqlite`);
  if (!url) return { file };
  if (url.startsWith('file:')) return { file: resolve(decodeURIComponent(url.slice(5).replace(/^\/\//, ''))) };
  const scheme = /^[a-z]+:/.exec(url)?.[0] ?? '';
  if (!SCHEMES.includes(scheme))
    throw new Error(`DATABASE_URL begins with “${scheme || url.slice(0, 8)}”. Use file:, ${SCHEMES.join(', ')}.`);
  return { file, database: { url, ...(authToken ? { authToken } : {}) } };
}

/** Whether a name or address never leaves this machine. */
export function isLoopback(host: string): boolean {
  return host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));
}
