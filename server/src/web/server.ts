import compression from 'compression';
import express, { type Express, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { createHub, type Hub } from '../devices/hub';
import { createKeys, door, isFromHere, pairedDevicesOf, pairedRoutes, pairRoutes, type Phones } from '../phone';
import { deviceRoutes } from '../routes/devices';
import { documentRoutes } from '../routes/documents';
import { eventRoutes } from '../routes/events';
import { changesRoutes } from '../routes/changes';
import { everythingRoutes } from '../routes/everything';
import { paperRoutes } from '../routes/paper';
import { reckonRoutes } from '../routes/reckon';
import type { Reckoner } from '../reckoning/reckoner';
import { documentStore, eventStore, feed, type Store } from '../store';
import { appFiles, inlineScriptHashes } from './files';
import { bodyBounds } from './bodyBounds';
import { knownHost, ownPages } from './guard';
import { problemHandler, sendProblem } from './problem';

interface Parts {
  store: Store;
  reckoner: Reckoner;
  /** Folder of the exported app; without it only the API is served. */
  appRoot: string;
  /** Where devices are heard, and the port they dial; nowhere where they are not listened for. */
  devices?: { hub: Hub; port: number | null };
  /** Names it answers to besides this machine's own. */
  hosts?: readonly string[];
  /** What there is for phones: who may come in from beyond this machine, and how. */
  phones?: Phones;
  /** Whether a request comes from this machine. */
  isHere?: (req: Request) => boolean;
  /** Requests to the API in a minute. */
  perMinute?: number;
  log?: Logger;
}

/** The whole server as one Express app, listening to nothing yet. */
export function createServer({
  store,
  reckoner,
  appRoot,
  devices = { hub: createHub(), port: null },
  hosts = [],
  phones = { keys: createKeys(undefined), devices: pairedDevicesOf(store), line: () => null },
  isHere = isFromHere,
  perMinute = 6000,
  log,
}: Parts): Express {
  const server = express();
  server.disable('x-powered-by');
  // documents bear their revision as one; nothing else that is answered here is asked for again unchanged
  server.disable('etag');
  if (log) server.use(pinoHttp({ logger: log, autoLogging: false, serializers: SERIALIZERS }));
  server.use(knownHost(hosts));
  server.use(helmet({ contentSecurityPolicy: { directives: policy(appRoot) }, strictTransportSecurity: false }));
  server.use(compression());
  server.use(pairRoutes(phones));
  // nothing of the house before this
  server.use(door(phones.devices, isHere));
  server.use('/api', (_req, res, next) => {
    // whose answer it is: a device that knows another house takes nothing from it for granted
    res.set('Keep-Snug-Store', store.name);
    next();
  });
  // what is refused at the door does not use up what its own pages may ask for
  server.use('/api', ownPages, atMost(perMinute));
  server.use('/api', express.json({ limit: '1mb', strict: false }), bodyBounds);

  server.get('/api/health', async (_req, res) => {
    await store.check();
    const setAside = await documentStore(store).setAside();
    res.json({ ok: true, ...(setAside.length > 0 ? { setAside } : {}) });
  });
  server.use('/api', reckonRoutes(reckoner));
  server.use(
    '/api',
    paperRoutes(reckoner, documentStore(store), () => phones.line()?.url()),
  );
  server.use('/api', changesRoutes(feed(store)));
  server.use('/api/devices', deviceRoutes(devices.hub, devices.port));
  server.use('/api/paired', pairedRoutes(phones, isHere));
  server.use('/api/events', eventRoutes(eventStore(store)));
  server.use('/api/everything', everythingRoutes(documentStore(store), eventStore(store)));
  server.use('/api', documentRoutes(documentStore(store)));
  server.use('/api', nothingHere);

  server.use(appFiles(appRoot));
  server.use(nothingHere);
  server.use(problemHandler(store.failed));
  return server;
}

/** What is asked, and never who asks nor what is sent: a log is read by others than a plan is. */
const SERIALIZERS = {
  req: ({ id, method, url }: { id: unknown; method: string; url: string }) => ({ id, method, url: url.split('?')[0] }),
  res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
  err: (error: Error & { cause?: unknown }) => ({ type: error.name, message: toldOf(error), stack: framesOf(error) }),
};

const LOGGED = 300;

/** A driver's message holds the statement and all that was to be written: its first line without them. */
const toldOf = ({ message }: Error): string =>
  message
    .split('\n')[0]!
    .replace(/\bparams:.*$/s, '')
    .slice(0, LOGGED);

const framesOf = ({ stack = '' }: Error): string =>
  stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .join('\n');

const tooMany: RequestHandler = (_req, res) =>
  sendProblem(res, 429, { title: 'Too much was asked within a minute. Nothing is lost; it is taken again shortly.' });

function atMost(perMinute: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit: perMinute,
    standardHeaders: true,
    legacyHeaders: false,
    handler: tooMany,
  });
}

const nothingHere: RequestHandler = (_req, res) => sendProblem(res, 404, { title: 'No page at this address.' });

function policy(appRoot: string): Record<string, string[] | null> {
  return {
    'default-src': ["'self'"],
    'script-src': ["'self'", ...inlineScriptHashes(appRoot)],
    // the app's style sheets are written at run time
    'style-src': ["'self'", "'unsafe-inline'"],
    'img-src': ["'self'", 'data:', 'blob:'],
    'form-action': ["'self'"],
    'font-src': ["'self'", 'data:'],
    'connect-src': ["'self'"],
    'object-src': ["'none'"],
    'frame-ancestors': ["'none'"],
    'upgrade-insecure-requests': null,
  };
}
