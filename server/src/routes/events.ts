import { checkEvents, UUID } from '@keep-snug/core/formats';
import { Router } from 'express';
import Joi from 'joi';
import type { EventStore } from '../store';
import { sendProblem } from '../web/problem';

const query = Joi.object({ since: Joi.number().integer().min(0).default(0), make: Joi.string().pattern(UUID) });

/** `/api/events`: send a batch (twice does no harm), ask what is new. */
export function eventRoutes(store: EventStore): Router {
  const router = Router();

  router.post('/', async (req, res) => {
    const checked = checkEvents(req.body);
    if (!checked.ok)
      return sendProblem(res, 422, { title: 'These events are not of their format.', errors: checked.errors });
    await store.add(checked.value);
    return res.json({ accepted: checked.value.map((event) => event.id) });
  });

  router.get('/', async (req, res) => {
    const asked = query.validate(req.query) as { error?: Error; value: { since: number; make?: string } };
    if (asked.error)
      return sendProblem(res, 400, { title: '`since` is a whole number and `make` a UUID in lower case.' });
    return res.json(await store.since(asked.value.since, asked.value.make));
  });

  return router;
}
