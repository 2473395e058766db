import { DOCUMENT_KINDS, EVERYTHING_FORMAT, type DocumentKind } from '@keep-snug/core/formats';
import { Router } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setImmediate } from 'node:timers/promises';
import { PAGE, type DocumentStore, type EventStore } from '../store';

/** `/api/everything`: all that this house holds, as one file. It is written as it is read, however much it is. */
export function everythingRoutes(documents: DocumentStore, events: EventStore): Router {
  async function* parts(): AsyncGenerator<string> {
    yield `{"format":${JSON.stringify(EVERYTHING_FORMAT)}`;
    for (const kind of DOCUMENT_KINDS) {
      yield `,\n${JSON.stringify(kind)}:{`;
      yield* joined(documentsOf(kind));
      yield '}';
    }
    yield ',\n"events":[';
    yield* joined(allEvents());
    yield ']}\n';
  }

  async function* documentsOf(kind: DocumentKind): AsyncGenerator<string[]> {
    for (let page = await documents.texts(kind, '', PAGE); page.length > 0;) {
      yield page.map(({ id, body }) => `${JSON.stringify(id)}:${body}`);
      page = await documents.texts(kind, page.at(-1)!.id, PAGE);
    }
  }

  async function* allEvents(): AsyncGenerator<string[]> {
    for (let page = await events.texts(0, PAGE); page.length > 0;) {
      yield page.map(({ body }) => body);
      page = await events.texts(page.at(-1)!.seq, PAGE);
    }
  }

  const router = Router();
  router.get('/', async (_req, res) => {
    const name = `keep-snug-${new Date().toISOString().slice(0, 10)}.json`;
    res.type('application/json').set('Content-Disposition', `attachment; filename="${name}"`);
    await pipeline(Readable.from(parts()), res);
  });
  return router;
}

/** Pages of entries as the text of one list. */
async function* joined(pages: AsyncIterable<string[]>): AsyncGenerator<string> {
  let before = '';
  for await (const page of pages) {
    yield before + page.join(',\n');
    // a file is read without a pause of its own: everybody else is answered in between
    await setImmediate();
    before = ',\n';
  }
}
