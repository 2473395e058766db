import { chance, PlanProblem, reckon, ways } from '@keep-snug/core';
import { checkPlan, checkWays, type Checked } from '@keep-snug/core/formats';
import { Router, type RequestHandler } from 'express';

/** Checks the body's form, reckons, answers; a body of the wrong form is told by path. */
function answering<Ask>(checked: (body: unknown) => Checked<Ask>, reckoned: (ask: Ask) => unknown): RequestHandler {
  return (req, res) => {
    const form = checked(req.body);
    if (!form.ok) throw new PlanProblem(form.errors);
    res.json(reckoned(form.value));
  };
}

/** The server as a compute node for slow phones: the same reckoning that the app does itself. */
export function reckonRoutes(): Router {
  const router = Router();
  router.post('/reckon', answering(checkPlan, reckon));
  router.post(
    '/chance',
    answering(checkPlan, (plan) => chance(plan)),
  );
  router.post('/ways', answering(checkWays, ways));
  return router;
}
