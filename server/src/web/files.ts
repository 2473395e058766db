import { Router, type RequestHandler } from 'express';
import compressedAhead from 'express-static-gzip';
import { existsSync, readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { createHash } from 'node:crypto';
import { extname, join } from 'node:path';
import { sendProblem } from './problem';

/** Serves the exported app: its files, compressed where that was done when it was built; every other path its one page. */
export function appFiles(root: string): Router {
  const router = Router();
  if (!existsSync(join(root, 'index.html'))) return router;
  router.use(
    readablePath,
    compressedAhead(root, {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: { index: false, setHeaders: cacheHashed },
    }),
  );
  router.get('/{*path}', page(root));
  return router;
}

/** An address that is no text is refused here, in our own form: what serves the files would do it in its own. */
const readablePath: RequestHandler = (req, res, next) => {
  try {
    decodeURIComponent(req.path);
  } catch {
    return sendProblem(res, 400, { title: 'This address cannot be read.' });
  }
  return next();
};

function cacheHashed(res: ServerResponse, path: string): void {
  const hashed = /[.-][0-9a-f]{16,}\./.test(path);
  res.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
}

function page(root: string): RequestHandler {
  return (req, res) => {
    if (extname(req.path) !== '') return sendProblem(res, 404, { title: 'There is no such file.' });
    return res.set('Cache-Control', 'no-cache').sendFile('index.html', { root });
  };
}

/** Hashes of the page's inline scripts, for the content security policy. */
export function inlineScriptHashes(root: string): string[] {
  const file = join(root, 'index.html');
  if (!existsSync(file)) return [];
  const scripts = readFileSync(file, 'utf8').matchAll(/<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g);
  return [...scripts].map(([, code]) => `'sha256-${createHash('sha256').update(code!).digest('base64')}'`);
}
