import { fileNameOf, PlanProblem, type Plan } from '@keep-snug/core';
import { checkPaper, checkPaperWishes, type PaperAsk, type SheetKind } from '@keep-snug/core/formats';
import { Router, type Request, type Response } from 'express';
import type { Reckoner } from '../reckoning/reckoner';
import type { DocumentStore } from '../store';
import { sendProblem } from '../web/problem';
import { whenGone } from '../web/whenGone';

/** A plan on paper: one that is kept here, or one that is sent along as it stands on a device. */
export function paperRoutes({ reckon }: Reckoner, store: DocumentStore, phoneUrl: () => string | undefined): Router {
  async function print(ask: PaperAsk, req: Request, res: Response): Promise<void> {
    // a code is read by a phone: where they come in, it leads there
    const origin = phoneUrl() ?? `http://127.0.0.1:${req.socket.localPort}`;
    const reckoned = await reckon({ is: 'paper', ask: { ...ask, origin } }, whenGone(res));
    if (!reckoned.ok) throw new PlanProblem([...reckoned.errors]);
    const name = fileNameOf(`${ask.plan.title} ${ask.of}`, 'pdf');
    res
      .type('application/pdf')
      .set('Content-Disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}`)
      .send(Buffer.from(reckoned.value as Uint8Array));
  }

  const kept = (of: SheetKind) => async (req: Request, res: Response) => {
    const wishes = checkPaperWishes(req.query);
    if (!wishes.ok) throw new PlanProblem(wishes.errors);
    const document = await store.get('plans', String(req.params.id));
    if (!document) return sendProblem(res, 404, { title: 'There is no such plan here.' });
    return print({ ...wishes.value, of, plan: document.body as Plan }, req, res);
  };

  const router = Router();
  router.get('/plans/:id/pattern.pdf', kept('pattern'));
  router.get('/plans/:id/outline.pdf', kept('outline'));
  router.get('/plans/:id/lining.pdf', kept('lining'));
  router.post('/paper', async (req, res) => {
    const ask = checkPaper(req.body);
    if (!ask.ok) throw new PlanProblem(ask.errors);
    await print(ask.value, req, res);
  });
  return router;
}
