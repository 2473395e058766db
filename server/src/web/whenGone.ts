import type { Response } from 'express';

/** Signalled where the line is closed before it was answered: nobody waits for the work any more. */
export function whenGone(res: Response): AbortSignal {
  const gone = new AbortController();
  res.once('close', () => {
    if (!res.writableFinished) gone.abort();
  });
  return gone.signal;
}
