import { PlanProblem } from '@keep-snug/core';
import { checkMend, checkPlan, checkRepeat, checkWays, type Checked } from '@keep-snug/core/formats';
import { Router, type RequestHandler } from 'express';
import type { Reckoner } from '../reckoning/reckoner';
import type { Question } from '../reckoning/work';
import { whenGone } from '../web/whenGone';

/** The server as a compute node for slow phones: the same reckoning that the app does itself. */
export function reckonRoutes({ reckon }: Reckoner): Router {
  /** Checks the body's form, has it reckoned, answers; what is wrong is told by path. */
  function answering<Ask>(checked: (body: unknown) => Checked<Ask>, asking: (ask: Ask) => Question): RequestHandler {
    return async (req, res) => {
      const form = checked(req.body);
      if (!form.ok) throw new PlanProblem(form.errors);
      const reckoned = await reckon(asking(form.value), whenGone(res));
      if (!reckoned.ok) throw new PlanProblem([...reckoned.errors]);
      res.json(reckoned.value);
    };
  }

  const router = Router();
  router.post(
    '/reckon',
    answering(checkPlan, (ask) => ({ is: 'reckon', ask })),
  );
  router.post(
    '/chance',
    answering(checkPlan, (ask) => ({ is: 'chance', ask })),
  );
  router.post(
    '/ways',
    answering(checkWays, (ask) => ({ is: 'ways', ask })),
  );
  router.post(
    '/mend',
    answering(checkMend, (ask) => ({ is: 'mend', ask })),
  );
  router.post(
    '/repeat',
    answering(checkRepeat, (ask) => ({ is: 'repeat', ask })),
  );
  return router;
}
