import { isIP } from 'node:net';
import { fileURLToPath } from 'node:url';
import { resolve } from 'node:path';

export interface Settings {
  host: string;
  port: number;
  file: string;
  appRoot: string;
  hosts: readonly string[];
}

/** The project's root, from the source as from the bundle beside it. */
export const HOME = fileURLToPath(new URL('../../', import.meta.url));

/**
 * The program's settings, from environment variables: HOST, PORT, KEEP_SNUG_DATA (the SQLite file), KEEP_SNUG_APP,
 * KEEP_SNUG_HOSTS (names it answers to besides this machine's own, with commas between).
 */
export function readSettings(env: NodeJS.ProcessEnv): Settings {
  const port = Number(env.PORT ?? 8130);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`PORT is “${env.PORT}”. Make it a whole number from 0 to 65535.`);
  const host = env.HOST ?? '127.0.0.1';
  if (!isLoopback(host))
    throw new Error(
      `HOST is “${host}”. Keep Snug has no lock on its door yet and listens on this machine only: use 127.0.0.1.`,
    );
  return {
    host,
    port,
    file: resolve(env.KEEP_SNUG_DATA ?? `${HOME}data/keep-snug.sqlite`),
    appRoot: resolve(env.KEEP_SNUG_APP ?? `${HOME}app/dist`),
    hosts: (env.KEEP_SNUG_HOSTS ?? '').split(',').flatMap((host) => host.trim() || []),
  };
}

/** Whether a name or address never leaves this machine. */
export function isLoopback(host: string): boolean {
  return host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));
}
