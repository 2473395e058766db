import type { Request, RequestHandler } from 'express';
import { isLoopback } from '../settings';
import { sendProblem } from '../web/problem';
import type { PairedDevices } from './paired';

export const COOKIE = 'keep-snug';

/** Half a year: a phone that is used stays paired. */
export const COOKIE_MS = 183 * 86_400_000;

/** Whether a request comes from this machine itself. */
export const isFromHere = ({ socket }: Request): boolean => {
  const address = (socket.remoteAddress ?? '').replace(/^::ffff:/, '');
  return isLoopback(address);
};

/** The token that a request bears. */
export function tokenOf({ headers: { cookie = '' } }: Request): string | undefined {
  const own = cookie.split(';').find((one) => one.trim().startsWith(`${COOKIE}=`));
  return own?.trim().slice(COOKIE.length + 1);
}

/**
 * Lets in what comes from this machine, and devices that were paired. Everything else reads nothing: a page leads to where it
 * can be paired, all else is refused.
 *
 * @param isHere whether a request comes from this machine
 */
export function door(devices: PairedDevices, isHere: (req: Request) => boolean = isFromHere): RequestHandler {
  return async (req, res, next) => {
    if (isHere(req)) return next();
    const token = tokenOf(req);
    const device = token ? await devices.bearing(token) : undefined;
    if (device) {
      res.locals.device = device.id;
      // a device that is removed hears no more from then on
      res.once(
        'close',
        devices.goesOn(device.id, () => res.destroy()),
      );
      return next();
    }
    if (req.method === 'GET' && req.accepts(['html', 'json']) === 'html' && !req.path.startsWith('/api'))
      return res.set('Cache-Control', 'no-store').redirect(303, '/pair');
    return sendProblem(res, 401, { title: 'This device is not paired with this house. Pair it at /pair.' });
  };
}
