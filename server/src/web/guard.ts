import type { RequestHandler } from 'express';
import { sendProblem } from './problem';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Refuses writes that another site's page sent: a browser names the page's origin, and it must be this host. */
export const sameOrigin: RequestHandler = (req, res, next) => {
  const { origin } = req.headers;
  if (READS.has(req.method) || !origin || hostOf(origin) === req.headers.host) return next();
  return sendProblem(res, 403, { title: 'Writes are taken from Keep Snug’s own pages only.' });
};

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
