import { Router } from 'express';
import Joi from 'joi';
import { PAGE, type Feed } from '../store';
import { paging, type Paging } from '../web/paging';
import { sendProblem } from '../web/problem';

const query = Joi.object({ ...paging, last: Joi.string().max(80) });

/** `/api/changes`: all that was written, in one order, page by page; `/api/bench`: what a new device needs first. */
export function changesRoutes({ changes, bench }: Feed): Router {
  const router = Router();

  router.get('/bench', async (_req, res) => {
    res.json({ entries: await bench() });
  });

  router.get('/changes', async (req, res) => {
    const asked = query.validate(req.query) as { error?: Error; value: Paging & { last?: string } };
    if (asked.error)
      return sendProblem(res, 400, {
        title: `\`since\` is a whole number, \`limit\` one from 1 to ${PAGE.entries}, \`last\` what the page before told.`,
      });
    const { since, limit, last } = asked.value;
    const page = await changes(since, limit, last);
    return page
      ? res.json(page)
      : sendProblem(res, 409, {
          title: 'This is not the history you know: the file is another, or an older copy. Offer what you have anew.',
        });
  });
  return router;
}
