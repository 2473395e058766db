import express, { Router, type Request, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import QRCode from 'qrcode';
import { sendProblem } from '../web/problem';
import { COOKIE, COOKIE_MS, isFromHere, tokenOf } from './door';
import { TOKEN_MS, type Keys } from './keys';
import { page } from './page';
import { pairPage } from './pairPage';
import type { PairedDevices } from './paired';
import { trustPage } from './trustPage';

/** What the house has for phones; nothing where it does not listen for them. */
export interface Phones {
  keys: Keys;
  devices: PairedDevices;
  /** The address a phone opens, and the authority's certificate. */
  line: () => { url: () => string; certificate: string } | null;
}

/** Wrong keys that one address may say within a quarter of an hour, and all together. */
export const MOST_WRONG = { each: 5, all: 30, withinMs: 15 * 60_000 };

const html = (res: Response, status: number, text: string) =>
  res.status(status).set('Cache-Control', 'no-store').type('html').send(text);

/** Where a device is let in: open to all, slow to guess at, and says nothing of the house. */
export function pairRoutes({ keys, devices, line }: Phones): Router {
  const router = Router();
  const asked = (req: Request): string | undefined => {
    const { token } = req.query;
    return typeof token === 'string' && token.length <= 200 ? token : undefined;
  };
  router.get('/pair', (req, res) => {
    const token = asked(req);
    html(res, 200, pairPage({ hasPassphrase: keys.hasPassphrase, ...(token ? { token } : {}) }));
  });
  router.post(
    '/pair',
    ownForm,
    ...slowed(),
    express.urlencoded({ extended: false, limit: '8kb' }),
    async (req, res) => {
      const { token, passphrase, name } = req.body as Record<string, unknown>;
      const called = (typeof name === 'string' ? name.trim().slice(0, 60) : '') || 'phone';
      const good =
        (typeof token === 'string' && keys.takeToken(token)) ||
        (typeof passphrase === 'string' && (await keys.isPassphrase(passphrase)));
      if (!good) {
        const fault =
          typeof token === 'string'
            ? 'This code is no longer good: it lets in one device, within ten minutes. Show a new one on the computer.'
            : 'This is not the passphrase. Look at its capitals and spaces, and try again.';
        return html(res, 403, pairPage({ hasPassphrase: keys.hasPassphrase, fault, name: called }));
      }
      const { token: own } = await devices.add(called);
      res.cookie(COOKIE, own, {
        httpOnly: true,
        secure: req.secure,
        sameSite: 'strict',
        maxAge: COOKIE_MS,
        path: '/',
      });
      return html(res, 200, pairedPage());
    },
  );
  router.get('/trust', (_req, res) => html(res, 200, trustPage()));
  router.get('/trust/keep-snug.crt', (_req, res) => {
    const now = line();
    if (!now) return sendProblem(res, 404, { title: 'This house has no certificate: it was not started for phones.' });
    return res
      .type('application/x-x509-ca-cert')
      .set('Content-Disposition', 'attachment; filename="keep-snug.crt"')
      .send(Buffer.from(now.certificate));
  });
  return router;
}

/** A browser sends a strict cookie only to where it was led to from this house itself: so it is led there by a link. */
const pairedPage = (): string =>
  page(
    'Paired',
    '<p>This device is paired. You can name or remove it in Settings.</p><p><a class="button" href="/">Open Keep Snug</a></p>',
  );

/** Forms of our own page only. */
const ownForm: RequestHandler = (req, res, next) => {
  const { origin, host } = req.headers;
  const foreign = origin !== undefined && origin !== 'null' && !origin.endsWith(`//${host}`);
  if (foreign || req.get('Sec-Fetch-Site') === 'cross-site')
    return sendProblem(res, 403, { title: 'Keep Snug answers its own pages only.' });
  return next();
};

function slowed(): RequestHandler[] {
  const common = {
    windowMs: MOST_WRONG.withinMs,
    standardHeaders: true,
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    handler: ((_req, res) =>
      html(
        res,
        429,
        page('Too many tries', '<p>Wait a quarter of an hour, then try again, or show a new code on the computer.</p>'),
      )) as RequestHandler,
  };
  return [
    rateLimit({ ...common, limit: MOST_WRONG.each }),
    rateLimit({ ...common, limit: MOST_WRONG.all, keyGenerator: () => 'all' }),
  ];
}

/** `/api/paired`: the devices that were paired, and new codes for more. */
export function pairedRoutes({ keys, devices, line }: Phones, isHere: (req: Request) => boolean = isFromHere): Router {
  const router = Router();
  router.get('/', async (req, res) => {
    const token = tokenOf(req);
    const own = token ? await devices.bearing(token) : undefined;
    const list = await devices.list();
    res.json({
      open: line() !== null,
      here: isHere(req),
      devices: list.map((device) => ({ ...device, isThis: !isHere(req) && device.id === own?.id })),
    });
  });
  router.post('/codes', async (req, res) => {
    const now = line();
    // a phone lets no other one in: that is done where the house is
    if (!now || !isHere(req))
      return sendProblem(res, 409, {
        title: now
          ? 'A code is shown on the computer that Keep Snug runs on.'
          : 'Keep Snug was not started for phones.',
        detail: 'Start it with ./snug serve --phone, or ./snug demo --phone.',
      });
    const url = `${now.url()}/pair?token=${keys.newToken()}`;
    return res.json({
      url,
      address: now.url(),
      until: new Date(Date.now() + TOKEN_MS).toISOString(),
      picture: await QRCode.toString(url, { type: 'svg', margin: 1 }),
    });
  });
  router.patch('/:id', async (req, res) => {
    const { name } = (req.body ?? {}) as { name?: unknown };
    if (typeof name !== 'string' || name.trim() === '' || name.length > 60)
      return sendProblem(res, 422, {
        title: 'A device needs a name.',
        errors: [{ path: 'name', message: 'Write a name of 1 to 60 characters.' }],
      });
    if (!(await devices.rename(req.params.id, name.trim()))) return gone(res);
    return res.status(204).end();
  });
  router.delete('/:id', async (req, res) => {
    if (!(await devices.revoke(req.params.id))) return gone(res);
    return res.status(204).end();
  });
  return router;
}

const gone = (res: Response) => sendProblem(res, 404, { title: 'This device is not paired any more.' });
