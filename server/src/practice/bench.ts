import express, { type Express } from 'express';
import helmet from 'helmet';
import Joi from 'joi';
import { fileURLToPath } from 'node:url';
import { knownHost, ownPages } from '../web/guard';
import { dial, type Dialled } from './dial';

const PAGE = fileURLToPath(new URL('./page/', import.meta.url));

/** Each practice device by its kind, with the line a press of its button sends. */
const LINES = {
  calliper: (value: number) => `LEN ${value.toFixed(2)} mm`,
  scale: (value: number) => `MASS ${value.toFixed(1)} g`,
  clicker: () => 'CLICK',
} as const;

type Kind = keyof typeof LINES;
const KINDS = Object.keys(LINES) as Kind[];

const pressed = Joi.object({
  kind: Joi.valid(...KINDS).required(),
  value: Joi.number().min(0).max(5000).default(0),
}).required();

/** The page with the three practice devices, each dialled in by a line of its own. */
export function practiceBench(devicesPort: number): { app: Express; hangUp: () => void } {
  const lines = Object.fromEntries(
    KINDS.map((kind) => [kind, dial(devicesPort, `HELLO ${kind} practice-1`)]),
  ) as Record<Kind, Dialled>;
  const app = express();
  app.disable('x-powered-by');
  app.use(knownHost([]));
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: { directives: { 'upgrade-insecure-requests': null } },
    }),
  );
  app.use(ownPages, express.json({ limit: '1kb' }));
  app.get('/state', (_req, res) => {
    res.json(Object.fromEntries(KINDS.map((kind) => [kind, lines[kind].connected()])));
  });
  app.post('/press', async (req, res) => {
    const { error, value } = pressed.validate(req.body) as Joi.ValidationResult<{ kind: Kind; value: number }>;
    if (error) return res.status(422).json({ answer: error.message });
    return res.json({ answer: await lines[value!.kind].say(LINES[value!.kind](value!.value)) });
  });
  app.use(express.static(PAGE));
  return { app, hangUp: () => KINDS.forEach((kind) => lines[kind].hangUp()) };
}
