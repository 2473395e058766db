import { DOCUMENT_KINDS, EVERYTHING_FORMAT } from '@keep-snug/core/formats';
import { Router } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { PAGE, type DocumentStore, type EventStore } from '../store';

/** `/api/everything`: all that this house holds, as one file. It is written as it is read, however much it is. */
export function everythingRoutes(documents: DocumentStore, events: EventStore): Router {
  async function* parts(): AsyncGenerator<string> {
    yield `{"format":${JSON.stringify(EVERYTHING_FORMAT)}`;
    for (const kind of DOCUMENT_KINDS) {
      const entries = (await documents.list(kind)).map(
        ({ id, body }) => `${JSON.stringify(id)}:${JSON.stringify(body)}`,
      );
      yield `,\n${JSON.stringify(kind)}:{${entries.join(',\n')}}`;
    }
    yield ',\n"events":[';
    let since = 0;
    for (;;) {
      const page = await events.since(since, PAGE.entries);
      if (page.length === 0) break;
      yield (since === 0 ? '' : ',\n') + page.map(({ event }) => JSON.stringify(event)).join(',\n');
      since = page.at(-1)!.seq;
    }
    yield ']}\n';
  }

  const router = Router();
  router.get('/', async (_req, res) => {
    const name = `keep-snug-${new Date().toISOString().slice(0, 10)}.json`;
    res.type('application/json').set('Content-Disposition', `attachment; filename="${name}"`);
    await pipeline(Readable.from(parts()), res);
  });
  return router;
}
