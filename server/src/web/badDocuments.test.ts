import { TERN_POINT } from '@keep-snug/core/demo';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import { createServer } from './server';

const kinds = ['plans', 'things', 'yarns', 'swatches', 'makes'] as const;
let server: ReturnType<typeof createServer>;
let end: () => void;

beforeAll(async () => {
  const { store, folder, done } = await freshStore();
  server = createServer({ store, reckoner: hereAndNow, appRoot: `${folder}/no-app` });
  end = done;
});
afterAll(() => end());

const put = (kind: string, id: string, body: object, header: Record<string, string> = { 'If-None-Match': '*' }) =>
  request(server).put(`/api/${kind}/${id}`).set(header).send(body);

describe.each(kinds)('%s', (kind) => {
  const samples = Object.values(TERN_POINT[kind] as Record<string, object>);

  it('are taken, told again as they were, and listed', async () => {
    for (const body of samples) {
      const id = randomUUID();
      expect((await put(kind, id, body)).status).toBe(201);
      expect((await request(server).get(`/api/${kind}/${id}`)).body).toMatchObject({ id, revision: 1, body });
    }
    const { body: list } = await request(server).get(`/api/${kind}`);
    expect(list.length).toBeGreaterThanOrEqual(samples.length);
  });

  it('with something missing or foreign are refused at its path, and nothing is kept', async () => {
    const [sample] = samples;
    for (const key of Object.keys(sample!).filter((name) => name === 'format' || name === 'name' || name === 'title')) {
      const id = randomUUID();
      const { [key]: _left, ...rest } = sample as Record<string, unknown>;
      const answer = await put(kind, id, rest);
      expect([answer.status, answer.type]).toEqual([422, 'application/problem+json']);
      expect(answer.body.errors.map(({ path }: { path: string }) => path)).toContain(key);
      expect((await request(server).get(`/api/${kind}/${id}`)).status).toBe(404);
    }
    const foreign = await put(kind, randomUUID(), { ...sample, hat: 'blue' });
    expect(foreign.body.errors).toEqual([{ path: 'hat', message: expect.stringMatching(/Not part of this format/) }]);
  });
});

it('nothing at all is refused, wherever a document, a plan or events belong', async () => {
  for (const kind of kinds) {
    const answer = await request(server).put(`/api/${kind}/${randomUUID()}`).set('If-None-Match', '*');
    expect([kind, answer.status, answer.type]).toEqual([kind, 422, 'application/problem+json']);
  }
  for (const path of ['reckon', 'chance', 'ways', 'events']) {
    const answer = await request(server).post(`/api/${path}`);
    expect([path, answer.status, answer.type]).toEqual([path, 422, 'application/problem+json']);
  }
});

it('whatever JSON is sent, the answer is a plan worked out or a problem, never a failure', async () => {
  const plan = Object.values(TERN_POINT.plans)[0]!;
  const keys = Object.keys(plan) as (keyof typeof plan)[];
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...keys), fc.jsonValue({ maxDepth: 3 }), async (key, value) => {
      for (const path of ['reckon', 'chance']) {
        const { status, body, type } = await request(server)
          .post(`/api/${path}`)
          .send({ ...plan, [key]: value });
        expect([200, 422]).toContain(status);
        if (status === 422) {
          expect(type).toBe('application/problem+json');
          expect(body.errors.length).toBeGreaterThan(0);
          for (const error of body.errors) expect(error.message).toMatch(/[.]$/);
        }
      }
    }),
    { numRuns: 40 },
  );
}, 60_000);

it.each<[string, string, RegExp]>([
  ['thousands of lists in one another', '['.repeat(5000) + ']'.repeat(5000), /Nested more than 32 deep/],
  ['hundreds of thousands of numbers', `[${'1,'.repeat(400_000)}1]`, /More than 20000 values/],
  [
    'tens of thousands of unknown keys',
    `{${Array.from({ length: 60_000 }, (_, key) => `"k${key}":1`).join()}}`,
    /60000 entries in one object/,
  ],
])('%s are refused in a short answer, wherever they are sent', async (_, body, message) => {
  const paths = ['events', 'reckon', 'ways'].map((path) => request(server).post(`/api/${path}`));
  for (const asked of [...paths, request(server).put(`/api/plans/${randomUUID()}`).set('If-None-Match', '*')]) {
    const answer = await asked.set('Content-Type', 'application/json').send(body);
    expect([answer.status, answer.type]).toEqual([422, 'application/problem+json']);
    expect(answer.body.errors).toEqual([{ path: 'document', message: expect.stringMatching(message) }]);
  }
});

it('of many faults twenty are told', async () => {
  const faulty = Object.fromEntries(Array.from({ length: 150 }, (_, key) => [`k${key}`, 1]));
  const { status, body } = await put('plans', randomUUID(), faulty);
  expect([status, body.errors.length]).toEqual([422, 20]);
});

it('a document may be put on each revision in turn, and on no other', async () => {
  const plan = Object.values(TERN_POINT.plans)[1]!;
  const id = randomUUID();
  await put('plans', id, plan);
  for (let revision = 1; revision < 6; revision += 1) {
    const title = `revision ${revision + 1}`;
    const early = await put('plans', id, { ...plan, title }, { 'If-Match': `"${revision + 1}"` });
    expect(early.status).toBe(409);
    const done = await put('plans', id, { ...plan, title }, { 'If-Match': `"${revision}"` });
    expect([done.status, done.body.revision, done.body.body.title]).toEqual([200, revision + 1, title]);
  }
});
