import { PlanProblem, type PlanFault } from '@keep-snug/core';
import type { ErrorRequestHandler, Response } from 'express';
import { NobodyWaits, TooMuchToReckon } from '../reckoning/reckoner';
import { faultOf, StoreProblem } from '../store/trouble';

interface Problem {
  title: string;
  detail?: string;
  errors?: readonly PlanFault[];
  /** What stands at the moment, where a write was refused for being stale. */
  present?: unknown;
}

/** Answers with a problem document (application/problem+json). */
export function sendProblem(res: Response, status: number, problem: Problem): void {
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ status, ...problem }));
}

const BODY_FAULTS: Readonly<Record<string, { status: number; title: string }>> = {
  'entity.too.large': { status: 413, title: 'Too much sent at once. Send one document, without pictures.' },
  'entity.parse.failed': { status: 400, title: 'Not JSON. Send the document as one JSON object.' },
  'encoding.unsupported': { status: 415, title: 'This encoding is not read here. Send plain UTF-8 JSON.' },
  'charset.unsupported': { status: 415, title: 'This character set is not read here. Send UTF-8.' },
};

/**
 * The last handler: every error leaves as a problem document, and none says more than it should.
 * @param failed told of every error that is the file's, so that health tells of it until it is good again
 */
export const problemHandler =
  (failed: (error: unknown) => void): ErrorRequestHandler =>
  (error: unknown, req, res, _next) => {
    if (error instanceof NobodyWaits) return void res.destroy();
    if (error instanceof PlanProblem)
      return sendProblem(res, 422, { title: 'This plan could not be calculated. See “errors”.', errors: error.errors });
    if (error instanceof TooMuchToReckon)
      return sendProblem(res, 503, {
        title: 'This takes longer to reckon than is allowed here. Ask for less at once, or reckon it on your device.',
      });
    const { type, status } = error as { type?: string; status?: number };
    const known = type ? BODY_FAULTS[type] : undefined;
    if (known)
      return sendProblem(res, known.status, {
        title: known.title,
        errors: [{ path: 'document', message: known.title }],
      });
    if (status && status >= 400 && status < 500)
      return sendProblem(res, status, { title: 'This request cannot be read.' });
    req.log?.error({ err: error as Error }, 'a request failed');
    failed(error);
    const fault = error instanceof StoreProblem ? error.message : faultOf(error);
    if (fault)
      return sendProblem(res, 503, {
        title: 'Nothing can be kept here at the moment. What you sent was not lost on your device.',
        detail: error instanceof StoreProblem ? fault : `The file of this house ${fault}`,
      });
    return sendProblem(res, 500, {
      title: 'Something went wrong on the server. Your data is still on your device. Try again in a minute.',
    });
  };
