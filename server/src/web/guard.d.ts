import type { RequestHandler } from 'express';
/**
 * Answers under this machine's names only: localhost, an address that it has now, or one of `hosts`. A page elsewhere may
 * let its own name point here, and a browser would then take it for ours.
 */
export declare function knownHost(hosts: readonly string[]): RequestHandler;
/** Refuses what another site's page asks for, and writes from any page whose origin is not this host. */
export declare const ownPages: RequestHandler;
