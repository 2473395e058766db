import { checkDocument, DOCUMENT_KINDS, UUID, type DocumentKind } from '@keep-snug/core/formats';
import { Router, type Request, type Response } from 'express';
import type { DocumentStore, StoredDocument } from '../store';
import { sendProblem } from '../web/problem';

/** `/api/plans`, `/api/things`, `/api/yarns`, `/api/swatches`, `/api/makes`: documents with revisions. */
export function documentRoutes(store: DocumentStore): Router {
  const router = Router();

  router.param('kind', (_req, _res, next, kind: string) => {
    next((DOCUMENT_KINDS as string[]).includes(kind) ? undefined : 'router');
  });
  router.param('id', (_req, res, next, value: string) => {
    if (UUID.test(value)) return next();
    return sendProblem(res, 400, {
      title: 'The id must be a UUID in lower case.',
      errors: [{ path: 'id', message: `“${value}” is not a UUID. Write it in lower case, with its hyphens.` }],
    });
  });

  router.get('/deleted', async (_req, res) => {
    res.json(await store.deleted());
  });

  router.get('/:kind', async (req, res) => {
    res.json(await store.list(kindOf(req)));
  });

  router.get('/:kind/:id', async (req, res) => {
    const kept = await store.get(kindOf(req), req.params.id);
    return kept ? sendKept(res, 200, kept) : sendProblem(res, 404, { title: 'There is no such document.' });
  });

  router.put('/:kind/:id', async (req, res) => {
    const revision = revisionOf(req);
    if (revision === null) return needsRevision(res);
    const checked = checkDocument(kindOf(req), req.body);
    if (!checked.ok)
      return sendProblem(res, 422, {
        title: 'The document does not match its format. See “errors”.',
        errors: checked.errors,
      });
    const put = await store.put(kindOf(req), req.params.id, revision, checked.value);
    return put.done ? sendKept(res, revision === 0 ? 201 : 200, put.kept) : stale(res, put.present);
  });

  router.delete('/:kind/:id', async (req, res) => {
    const revision = revisionOf(req);
    if (revision === null) return needsRevision(res);
    const put = await store.remove(kindOf(req), req.params.id, revision);
    return put.done ? res.status(204).end() : stale(res, put.present);
  });

  return router;
}

function kindOf(req: Request): DocumentKind {
  return req.params.kind as DocumentKind;
}

/** The revision a write was made on: `If-Match: "3"`, or `If-None-Match: *` for a new document. */
function revisionOf(req: Request): number | null {
  if (req.get('If-None-Match') === '*') return 0;
  const match = /^"(\d{1,15})"$/.exec(req.get('If-Match') ?? '');
  return match ? Number(match[1]) : null;
}

function needsRevision(res: Response): void {
  sendProblem(res, 428, {
    title: 'Say which revision this was made on: If-Match with its number, or If-None-Match: * for a new document.',
  });
}

function stale(res: Response, present: StoredDocument | null): void {
  sendProblem(res, 409, { title: 'This was changed elsewhere since. Nothing was overwritten.', present });
}

function sendKept(res: Response, status: number, kept: StoredDocument): void {
  res.status(status).set('ETag', `"${kept.revision}"`).json(kept);
}
