import { Router } from 'express';
import type { Heard, Hub } from '../devices/hub';
import { sendProblem } from '../web/problem';

/** A line on which nothing comes is cut by what lies between, ms. */
const BEAT_MS = 20_000;
/** Pages that listen at once. */
const MOST_LISTENERS = 60;

const written = (heard: Heard): string =>
  heard.is === 'reading'
    ? `id: ${heard.seq}\nevent: reading\ndata: ${JSON.stringify(heard.reading)}\n\n`
    : `event: devices\ndata: ${JSON.stringify(heard.devices)}\n\n`;

/** Which devices are there, and their readings as they come. */
export function deviceRoutes(hub: Hub, port: number | null): Router {
  let listeners = 0;
  const router = Router();
  router.get('/', (_req, res) => {
    res.json({ port, devices: hub.devices() });
  });
  router.get('/readings', (req, res) => {
    if (listeners >= MOST_LISTENERS)
      return sendProblem(res, 503, { title: 'Too many pages listen for devices. Close some of them.' });
    listeners += 1;
    res.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform' });
    res.flushHeaders();
    res.write('retry: 2000\n\n');
    const last = Number(req.get('Last-Event-ID') ?? Number.NaN);
    const leave = hub.listen((heard) => void res.write(written(heard)), Number.isInteger(last) ? last : undefined);
    const beat = setInterval(() => void res.write(': still here\n\n'), BEAT_MS);
    return res.on('close', () => {
      listeners -= 1;
      clearInterval(beat);
      leave();
    });
  });
  return router;
}
