import type { RequestHandler } from 'express';
import { networkInterfaces } from 'node:os';
import { isLoopback } from '../settings';
import { sendProblem } from './problem';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Answers under this machine's names only: localhost, an address that it has now, or one of `hosts`. A page elsewhere may
 * let its own name point here, and a browser would then take it for ours.
 */
export function knownHost(hosts: readonly string[]): RequestHandler {
  const named = new Set(hosts.map((host) => host.toLowerCase()));
  return (req, res, next) => {
    const name = nameOf(req.headers.host ?? '');
    if (named.has(name) || isLoopback(name) || isAddressHere(name)) return next();
    return sendProblem(res, 421, {
      title: `Keep Snug does not answer to “${name}”.`,
      detail: 'Open it as localhost, or start it with this name in KEEP_SNUG_HOSTS.',
    });
  };
}

/** A Host header without its port; an IPv6 address without its brackets. */
function nameOf(host: string): string {
  const [, six, name] = /^(?:\[([\da-f:.]+)\]|([^:@/\s]+))(?::\d*)?$/i.exec(host) ?? [];
  return (six ?? name ?? host).toLowerCase();
}

function isAddressHere(name: string): boolean {
  return Object.values(networkInterfaces()).some((all) => all?.some(({ address }) => address === name));
}

/** Refuses what another site's page asks for, and writes from any page whose origin is not this host. */
export const ownPages: RequestHandler = (req, res, next) => {
  const { origin, host } = req.headers;
  const foreign = req.get('Sec-Fetch-Site') === 'cross-site';
  const foreignWrite = !READS.has(req.method) && origin !== undefined && hostOf(origin) !== host;
  if (!foreign && !foreignWrite) return next();
  return sendProblem(res, 403, { title: 'Keep Snug answers its own pages only.' });
};

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
