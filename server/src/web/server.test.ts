import { TERN_POINT } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import type { Store } from '../store';
import { createServer } from './server';

const plan = Object.values(TERN_POINT.plans)[0]!;
let server: ReturnType<typeof createServer>;
let store: Store;
let appRoot: string;
let end: () => void;

beforeAll(async () => {
  const fresh = await freshStore();
  store = fresh.store;
  appRoot = `${fresh.folder}/no-app`;
  server = createServer({ store, reckoner: hereAndNow, appRoot });
  end = fresh.done;
});
afterAll(() => end());

const put = (id: string, body: object, header: Record<string, string>) =>
  request(server).put(`/api/plans/${id}`).set(header).send(body);
const created = { 'If-None-Match': '*' };

describe('reckoning', () => {
  it('answers a worked plan', async () => {
    const { status, body } = await request(server).post('/api/reckon').send(plan);
    expect(status).toBe(200);
    expect(body).toMatchObject({ format: 'keep-snug.worked/1', pieces: [{ stitches: 16, foundation: { count: 17 } }] });
  });

  it('answers what a repeating yarn comes to, and refuses runs that are none', async () => {
    const runs = [3, 12, 5, 14].map((stitches, index) => ({ name: `run ${index}`, stitches }));
    const { status, body } = await request(server).post('/api/repeat').send({ plan, runs, seed: 1 });
    expect(status).toBe(200);
    expect(body).toMatchObject({ sum: 34, effect: expect.any(String), driftPerRound: expect.any(Number) });
    expect(body.grid[0]).toHaveLength(16);
    const both = await request(server)
      .post('/api/repeat')
      .send({ plan, runs: [{ name: 'a', stitches: 3, mm: 4 }] });
    expect([both.status, both.body.errors[0].path]).toEqual([422, 'runs[0]']);
    const none = await request(server).post('/api/repeat').send({ plan, runs: [] });
    expect([none.status, none.body.errors[0].path]).toEqual([422, 'runs']);
  });

  it.each<[string, unknown, number, string]>([
    ['an unknown shape', { ...plan, shape: { kind: 'cone' } }, 422, 'shape.kind'],
    [
      'what only reckoning can tell',
      { ...plan, thing: { ...plan.thing, edgeRadius: { mm: 9 } } },
      422,
      'thing.edgeRadius.mm',
    ],
    ['no JSON', '{"format":', 400, 'document'],
    ['two megabytes', JSON.stringify({ title: 'x'.repeat(2_000_000) }), 413, 'document'],
    ['a bare word', '"plan"', 422, 'plan'],
  ])('refuses %s with a problem document', async (_, body, status, path) => {
    const answer = await request(server)
      .post('/api/reckon')
      .set('Content-Type', 'application/json')
      .send(body as string);
    expect(answer.status).toBe(status);
    expect(answer.type).toBe('application/problem+json');
    expect(answer.body.errors.map((e: { path: string }) => e.path)).toContain(path);
  });
});

describe('chance and ways', () => {
  it('answer the same seeded figure every time, and every way with its reason', async () => {
    const [one, two] = await Promise.all([1, 2].map(() => request(server).post('/api/chance').send(plan)));
    expect(one!.body).toMatchObject({ format: 'keep-snug.chance/1', draws: 20_000 });
    expect(two!.body).toEqual(one!.body);
    const { body } = await request(server)
      .post('/api/ways')
      .send({ plan, hooksMm: [4] });
    expect(body.format).toBe('keep-snug.ways/1');
    expect(body.ways).toHaveLength(40);
  }, 60_000);

  it('what to do with a make is answered from its plan and its events', async () => {
    const make = randomUUID();
    const base = { make, device: randomUUID(), at: '2026-05-01T18:00:00.000Z' };
    const { body: worked } = await request(server).post('/api/reckon').send(plan);
    const steps = worked.steps as { id: string; piece: string; row: number | null }[];
    const begun = steps.slice(0, 12).map(({ id }, n) => ({ ...base, id: randomUUID(), n, kind: 'ticked', step: id }));
    const tape = { kind: 'measured', piece: steps[0]!.piece, what: 'stitches', count: 10, mm: 80, atStep: null };
    const events = [...begun, { ...base, id: randomUUID(), n: 99, ...tape }];
    const { status, body } = await request(server).post('/api/mend').send({ plan, events });
    expect([status, body.state.done.length, body.choices[0].id]).toEqual([200, 12, 'carry-on']);
    expect(body.choices.filter(({ recommended }: { recommended: boolean }) => recommended)).toHaveLength(1);
    const wrong = await request(server)
      .post('/api/mend')
      .send({ plan, events: [{ ...base, id: 'x' }] });
    expect(wrong.status).toBe(422);
  });

  it('refuse what is not of their form', async () => {
    const answer = await request(server)
      .post('/api/ways')
      .send({ plan, hooksMm: ['4'] });
    expect([answer.status, answer.body.errors[0].path]).toEqual([422, 'hooksMm[0]']);
    expect((await request(server).post('/api/chance').send({})).status).toBe(422);
  });
});

describe('documents', () => {
  it('are kept with a revision, and changed on it', async () => {
    const id = randomUUID();
    expect((await put(id, plan, created)).status).toBe(201);
    const changed = await put(id, { ...plan, title: 'wider' }, { 'If-Match': '"1"' });
    expect([changed.status, changed.body.revision, changed.headers.etag]).toEqual([200, 2, '"2"']);
    expect((await request(server).get(`/api/plans/${id}`)).body.body.title).toBe('wider');
  });

  it('answer a stale write with what stands there, and overwrite nothing', async () => {
    const id = randomUUID();
    await put(id, plan, created);
    const stale = await put(id, { ...plan, title: 'mine' }, { 'If-Match': '"7"' });
    expect([stale.status, stale.body.present.body.title]).toEqual([409, plan.title]);
    expect((await put(id, { ...plan, title: 'mine' }, created)).status).toBe(409);
    expect((await request(server).delete(`/api/plans/${id}`).set('If-Match', '"9"')).status).toBe(409);
  });

  it('sent again because the answer was lost are answered as at first', async () => {
    const id = randomUUID();
    const first = await put(id, plan, created);
    const again = await put(id, plan, created);
    expect([again.status, again.body]).toEqual([201, first.body]);
    await put(id, { ...plan, title: 'wider' }, { 'If-Match': '"1"' });
    const wider = await put(id, { ...plan, title: 'wider' }, { 'If-Match': '"1"' });
    expect([wider.status, wider.body.revision]).toEqual([200, 2]);
    expect((await put(id, plan, created)).status).toBe(409);
  });

  it('of two writes at once on one revision take one', async () => {
    const id = randomUUID();
    await put(id, plan, created);
    const both = await Promise.all(['a', 'b', 'c'].map((title) => put(id, { ...plan, title }, { 'If-Match': '"1"' })));
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  });

  it('want a revision, a UUID and their form', async () => {
    expect((await put(randomUUID(), plan, {})).status).toBe(428);
    expect((await put('7', plan, created)).status).toBe(400);
    const answer = await put(randomUUID(), { ...plan, title: '' }, created);
    expect([answer.status, answer.body.errors[0].path]).toEqual([422, 'title']);
    expect((await request(server).get('/api/hats')).status).toBe(404);
    expect((await request(server).get(`/api/plans/${randomUUID()}`)).status).toBe(404);
  });

  it('can be taken off', async () => {
    const id = randomUUID();
    await put(id, plan, created);
    expect((await request(server).delete(`/api/plans/${id}`).set('If-Match', '"1"')).status).toBe(204);
    expect((await request(server).get(`/api/plans/${id}`)).status).toBe(404);
  });
});

describe('events', () => {
  const make = randomUUID();
  const tick = () => ({ id: randomUUID(), make, device: randomUUID(), at: '2026-03-01T10:00:00.000Z', kind: 'ticked' });

  it('sent twice are kept once, in the order they came', async () => {
    const batch = [tick(), tick(), tick()];
    for (let time = 0; time < 2; time += 1) {
      const { body } = await request(server).post('/api/events').send(batch);
      expect(body.accepted).toHaveLength(3);
    }
    const { body } = await request(server).get(`/api/events?make=${make}`);
    expect(body.map(({ event }: { event: { id: string } }) => event.id)).toEqual(batch.map(({ id }) => id));
    const later = await request(server).get(`/api/events?make=${make}&since=${body[1].seq}`);
    expect(later.body).toHaveLength(1);
  });

  it('have one spelling of their id', async () => {
    const event = tick();
    const answer = await request(server)
      .post('/api/events')
      .send([event, { ...event, id: event.id.toUpperCase() }]);
    expect([answer.status, answer.body.errors[0].path]).toEqual([422, '[1].id']);
    expect((await put(randomUUID().toUpperCase(), plan, created)).status).toBe(400);
  });

  it('are refused whole where one is not of its form', async () => {
    const answer = await request(server)
      .post('/api/events')
      .send([tick(), { ...tick(), kind: 'danced' }]);
    expect([answer.status, answer.body.errors[0].path]).toEqual([422, '[1].kind']);
    expect((await request(server).get('/api/events?since=soon')).status).toBe(400);
  });
});

describe('the door', () => {
  it.each(['/', '/api/health', '/api/plans'])('answers %s under no name but its own', async (path) => {
    for (const host of [
      'rebound.example',
      'rebound.example:8130',
      'localhost.rebound.example',
      '127.0.0.1@rebound',
      '',
    ]) {
      const answer = await request(server).get(path).set('Host', host);
      expect([host, answer.status]).toEqual([host, 421]);
      expect(answer.type).toBe('application/problem+json');
    }
  });

  it.each(['localhost', 'LOCALHOST:8130', '127.0.0.1:9', '[::1]:8130', 'house.example:8130'])(
    'answers to %s',
    async (host) => {
      const named = createServer({ store, reckoner: hereAndNow, appRoot, hosts: ['house.example'] });
      expect((await request(named).get('/api/health').set('Host', host)).status).toBe(200);
    },
  );

  it('takes no write from another site’s page, and lets it read nothing', async () => {
    const write = await request(server).post('/api/reckon').set('Origin', 'https://elsewhere.example').send(plan);
    const read = await request(server).get('/api/plans').set('Sec-Fetch-Site', 'cross-site');
    expect([write.status, read.status]).toEqual([403, 403]);
  });

  it('counts only its own pages’ requests against the most in a minute, and says when it is reached', async () => {
    const narrow = createServer({ store, reckoner: hereAndNow, appRoot, perMinute: 2 });
    for (let sent = 0; sent < 5; sent += 1)
      await request(narrow).post('/api/events').set('Origin', 'https://elsewhere.example').send([]);
    const own = () => request(narrow).get('/api/health');
    const answers = [await own(), await own(), await own()];
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 429]);
    expect(answers[2]!.type).toBe('application/problem+json');
  });

  it('sends a strict content policy and answers unknown paths as problems', async () => {
    const answer = await request(server).get('/api/nothing');
    expect([answer.status, answer.type]).toEqual([404, 'application/problem+json']);
    expect(answer.headers['content-security-policy']).toMatch(/default-src 'self'.*object-src 'none'/s);
  });
});

describe('what is not there', () => {
  it.each([
    ['get', '/settings'],
    ['post', '/plan/7'],
    ['get', '/api/nothing'],
  ] as const)('answers %s %s with a problem document', async (method, path) => {
    const answer = await request(server)[method](path);
    expect([answer.status, answer.type]).toEqual([404, 'application/problem+json']);
    expect(answer.body).toMatchObject({ status: 404, title: 'No page at this address.' });
  });
});
