import { isFinished } from '@keep-snug/core';
import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { readEverything } from '@keep-snug/core/formats';
import { sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import request from 'supertest';
import { loadDemo } from '../demo';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import { TooMuchToReckon } from '../reckoning/reckoner';
import type { Store } from '../store';
import { createServer } from './server';

let server: ReturnType<typeof createServer>;
let store: Store;
let end: () => Promise<void>;

beforeAll(async () => {
  const fresh = await freshStore();
  ({ store, done: end } = fresh);
  server = createServer({ store, reckoner: hereAndNow, appRoot: `${fresh.folder}/no-app` });
  await loadDemo(store);
});
afterAll(() => end());

const [planId] = Object.keys(TERN_POINT.plans) as [string];
const events = ternPointEvents();

it('every answer of the API bears the house’s name, refusals too', async () => {
  for (const path of ['/api/health', '/api/plans', '/api/hats', '/api/changes?since=x', `/api/plans/${randomUUID()}`])
    expect((await request(server).get(path)).headers['keep-snug-store']).toBe(store.name);
});

const isDone = (id: string) => isFinished(events.filter(({ make }) => make === id));

it('tells all that was written, page by page, as what it is', async () => {
  const seen: { kind: string; id: string }[] = [];
  let [next, last] = [0, ''];
  for (;;) {
    const mark = last ? `&last=${last}` : '';
    const { body } = await request(server).get(`/api/changes?since=${next}&limit=40${mark}`);
    if (body.entries.length === 0) break;
    seen.push(...body.entries);
    ({ next, last } = body);
  }
  const makes = events.filter(({ make, kind }) => !isDone(make) || kind === 'finished');
  expect(seen.filter(({ kind }) => kind === 'events').map(({ id }) => id)).toEqual(makes.map(({ id }) => id));
  expect(seen.filter(({ kind }) => kind === 'plans')).toHaveLength(Object.keys(TERN_POINT.plans).length);
  expect((await request(server).get(`/api/changes?since=${next}&last=another`)).status).toBe(409);
});

it('a new device finds the bench first: makes on the hook, what happened to them, plans', async () => {
  const { body } = await request(server).get('/api/bench');
  const kinds = (body.entries as { kind: string }[]).map(({ kind }) => kind);
  expect(kinds.filter((kind) => kind === 'makes')).toHaveLength(2);
  expect(kinds.filter((kind) => kind === 'events')).toHaveLength(events.filter(({ make }) => !isDone(make)).length);
  expect(new Set(kinds)).toEqual(new Set(['makes', 'events', 'plans']));
});

it('gives everything as one file, which reads back whole', async () => {
  const answer = await request(server).get('/api/everything');
  expect(answer.headers['content-disposition']).toMatch(/^attachment; filename="keep-snug-\d{4}-\d\d-\d\d\.json"$/);
  const { everything, faults } = readEverything(answer.body)!;
  expect(faults).toEqual([]);
  // the sample's days are those to come
  const { hours, ...others } = everything;
  const { hours: sample, ...rest } = TERN_POINT;
  expect(others).toEqual(JSON.parse(JSON.stringify({ ...rest, events })));
  expect(Object.keys(hours)).toEqual(Object.keys(sample));
});

it('what was deleted is told, comes back, and bears its next revision', async () => {
  const plan = `/api/plans/${planId}`;
  expect((await request(server).delete(plan).set('If-Match', '"1"')).status).toBe(204);
  // an answer that was lost
  expect((await request(server).delete(plan).set('If-Match', '"1"')).status).toBe(204);
  const { body } = await request(server).get('/api/deleted');
  expect(body).toMatchObject([{ kind: 'plans', id: planId, body: TERN_POINT.plans[planId] }]);
  const back = await request(server).put(plan).set('If-None-Match', '*').send(body[0].body);
  expect([back.status, back.body.revision]).toEqual([201, 3]);
  expect((await request(server).get('/api/deleted')).body).toEqual([]);
});

describe('events', () => {
  const event = { ...events[0]!, id: randomUUID(), make: randomUUID() };
  const send = (batch: object[]) => request(server).post('/api/events').send(batch);

  it('that bear the id of another are refused by their place, and all others kept', async () => {
    await send([event]);
    const other = { ...event, id: randomUUID() };
    const { status, body } = await send([event, { ...event, at: '2026-04-01T10:00:00.000Z' }, other]);
    expect([status, body.errors[0].path]).toEqual([409, '[1].id']);
    const kept = await request(server).get(`/api/events?make=${event.make}`);
    expect(kept.body.map((each: { event: object }) => each.event)).toEqual([event, other]);
  });

  it.each<[string, object, string]>([
    ['a hidden character', { kind: 'noted', text: 'a\u202eb', step: 'row' }, '[0].text'],
    ['a blank note', { kind: 'noted', text: '  ', step: 'row' }, '[0].text'],
    ['an undo of nothing', { kind: 'undone' }, '[0].ticks'],
    ['a count that is none', { kind: 'ticked', n: -1 }, '[0].n'],
  ])('with %s are told where', async (_, change, path) => {
    const { id, make, device, at } = event;
    const { status, body } = await send([{ id, make, device, at, ...change }]);
    expect([status, body.errors[0].path]).toEqual([422, path]);
  });

  it('come in pages, and want a question that can be read', async () => {
    const first = await request(server).get(`/api/events?make=${event.make}&limit=1`);
    expect(first.body).toHaveLength(1);
    expect((await request(server).get(`/api/events?make=${event.make}&limit=0`)).status).toBe(400);
    expect((await request(server).get('/api/events?since=soon')).status).toBe(400);
  });
});

it('what takes too long to reckon is told, and the server goes on', async () => {
  const never = { ...hereAndNow, reckon: () => Promise.reject(new TooMuchToReckon()) };
  const busy = createServer({ store, reckoner: never, appRoot: '/nowhere' });
  const answer = await request(busy).post('/api/reckon').send(TERN_POINT.plans[planId]);
  expect([answer.status, answer.type]).toEqual([503, 'application/problem+json']);
  expect(answer.body.title).toMatch(/^This takes longer to reckon than is allowed/);
});

it('more ways than can be compared at once are refused before any is reckoned', async () => {
  const hooksMm = Array.from({ length: 12 }, (_, index) => 2 + index / 2);
  const answer = await request(server).post('/api/ways').send({ plan: TERN_POINT.plans[planId], hooksMm });
  expect([answer.status, answer.body.errors[0].message]).toEqual([
    422,
    '480 ways are asked for, and 400 are the most at once. Name fewer shapes, hooks, fits or yarns.',
  ]);
});

describe('an event that counts too far', () => {
  const make = randomUUID();
  const tick = (n: number, id = randomUUID()) => ({
    id,
    make,
    device: randomUUID(),
    at: '2026-05-01T18:00:00.000Z',
    n,
    kind: 'paused',
  });
  const send = (batch: object[]) => request(server).post('/api/events').send(batch);

  it('is refused by what it says and the most there may be; all later ones are taken', async () => {
    expect((await send([tick(1), tick(2)])).status).toBe(200);
    const refused = await send([tick(3), tick(1e9)]);
    expect([refused.status, refused.body.errors]).toEqual([
      422,
      [
        {
          path: '[1].n',
          message: '1000000000 is too large. The largest here is 1003: a thousand beyond the greatest of its make.',
        },
      ],
    ]);
    expect((await send([tick(3), tick(900), tick(1800)])).status).toBe(200);
  });

  it('that is there already does not keep later ones out', async () => {
    const far = tick(1e9);
    await store.db.run(
      sql`INSERT INTO events (seq, id, make, kind, n, body) VALUES ((SELECT max(seq) + 10000 FROM events), ${far.id}, ${make}, 'paused', ${far.n}, ${JSON.stringify(far)})`,
    );
    expect((await send([tick(1e9 + 1)])).status).toBe(200);
  });
});

it('what is logged of a fault tells neither who asked nor what was sent', async () => {
  const lines: string[] = [];
  const log = pino({ level: 'error' }, { write: (line: string) => void lines.push(line) });
  const secret = 'a plan nobody else should read';
  await store.db.run(sql`CREATE TRIGGER guarded BEFORE INSERT ON documents BEGIN SELECT raise(ABORT, 'guarded'); END`);
  const app = createServer({ store, reckoner: hereAndNow, appRoot: 'nowhere', log });
  const answer = await request(app)
    .put(`/api/plans/${randomUUID()}?token=hush`)
    .set({ 'If-None-Match': '*', Cookie: 'keep-snug=hush' })
    .send({ ...TERN_POINT.plans[planId], title: secret });
  await store.db.run(sql`DROP TRIGGER guarded`);
  expect(answer.status).toBeGreaterThanOrEqual(500);
  expect(lines.join('')).toMatch(/"method":"PUT"/);
  expect(lines.join('')).not.toMatch(/hush|nobody else/);
});
