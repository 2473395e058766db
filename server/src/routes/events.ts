import { checkEvents, UUID } from '@keep-snug/core/formats';
import { Router } from 'express';
import Joi from 'joi';
import { PAGE, withinBytes, type EventStore } from '../store';
import { paging, type Paging } from '../web/paging';
import { sendProblem } from '../web/problem';

const query = Joi.object({ ...paging, make: Joi.string().pattern(UUID) });

/** `/api/events`: send a batch (twice does no harm), ask what happened to a make. */
export function eventRoutes(store: EventStore): Router {
  const router = Router();

  router.post('/', async (req, res) => {
    const checked = checkEvents(req.body);
    if (!checked.ok)
      return sendProblem(res, 422, { title: 'These events are not of their format.', errors: checked.errors });
    const beyond = await store.beyond(checked.value);
    if (beyond.length > 0)
      return sendProblem(res, 422, {
        title: 'An event counts further than any device can have. Nothing of this batch was kept.',
        errors: beyond.map(({ index, most }) => ({
          path: `[${index}].n`,
          message: `${checked.value[index]!.n} is too large. The largest here is ${most}: a thousand beyond the greatest of its make.`,
        })),
      });
    const others = await store.add(checked.value);
    if (others.length > 0)
      return sendProblem(res, 409, {
        title: 'Another event bears this id. All others of the batch are kept.',
        errors: others.map((index) => ({
          path: `[${index}].id`,
          message: `“${checked.value[index]!.id}” is the id of another event. Give this one its own.`,
        })),
      });
    return res.json({ accepted: checked.value.map((event) => event.id) });
  });

  /** A page of them: the last one's `seq` is where to go on from, until none come. */
  router.get('/', async (req, res) => {
    const asked = query.validate(req.query) as { error?: Error; value: Paging & { make?: string } };
    if (asked.error)
      return sendProblem(res, 400, {
        title: `\`since\` is a whole number, \`limit\` one from 1 to ${PAGE.entries}, \`make\` a UUID in lower case.`,
      });
    const { since, limit, make } = asked.value;
    return res.json(withinBytes(await store.since(since, limit, make)));
  });

  return router;
}
