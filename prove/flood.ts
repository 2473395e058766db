import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { held } from './sent';

const REQUESTS = 20_000;
const AT_ONCE = 2;
/** A small valid request waits no longer than so many times what it takes by itself, however dear those beside it are. */
const TIMES_ALONE = 10;

const plans = Object.values(TERN_POINT.plans);
const events = ternPointEvents();

interface Request {
  method: string;
  path: string;
  body?: string;
  headers?: Record<string, string>;
}

/** A small generator of its own, so that a flood that went wrong can be sent again. */
function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

type Chance = () => number;
const oneOf = <T>(list: readonly T[], next: Chance): T => list[Math.floor(next() * list.length)]!;

const ODD = [
  null,
  true,
  -1,
  0,
  1e308,
  -1e-308,
  1e15 + 0.5,
  '',
  ' ',
  'NaN',
  '\u0000',
  '\u202e',
  '💠'.repeat(50),
  [],
  {},
  [[]],
  [null],
];

/** A value with some of what lies in it exchanged for something odd. */
function mangled(value: unknown, next: Chance): unknown {
  if (next() < 0.06) return oneOf(ODD, next);
  if (Array.isArray(value)) return value.map((each) => mangled(each, next));
  if (typeof value !== 'object' || value === null) return next() < 0.05 ? oneOf(ODD, next) : value;
  const entries = Object.entries(value).map(([key, each]) => [next() < 0.02 ? `${key}!` : key, mangled(each, next)]);
  return Object.fromEntries(entries) as object;
}

const manyKeys = (count: number) => Object.fromEntries(Array.from({ length: count }, (_, n) => [`key ${n}`, n]));

/** Bodies that are too much in one way or another, made once. */
const HUGE = [
  '['.repeat(5000),
  '['.repeat(5000) + ']'.repeat(5000),
  '{"a":'.repeat(5000) + '1' + '}'.repeat(5000),
  JSON.stringify(Array.from({ length: 150_000 }, () => 7)),
  JSON.stringify(manyKeys(60_000)),
  JSON.stringify({ ...plans[0], fittings: Array.from({ length: 4000 }, () => ({ kind: 'flap' })) }),
  JSON.stringify({ ...plans[0], ...manyKeys(190) }),
  JSON.stringify({ ...plans[0], title: 'x'.repeat(900_000) }),
  JSON.stringify(Array.from({ length: 2000 }, () => events[0])),
  'x'.repeat(1_500_000),
];

const BROKEN = [
  '',
  '{',
  '{"format":',
  'null',
  '7',
  '"plan"',
  '[]',
  '{}',
  '{"__proto__":{"a":1}}',
  '\u0000',
  'NaN',
  "{'a':1}",
];

const PATHS = ['/api/reckon', '/api/chance', '/api/ways', '/api/events', '/api/plans', '/api/makes', '/api/things'];

const QUERIES = [
  '/api/changes?since=-1',
  '/api/changes?since=1e99',
  '/api/changes?since=0&limit=100000',
  '/api/changes?since[]=1',
  '/api/changes?last=' + 'x'.repeat(500),
  '/api/events?make=7',
  '/api/events?make[a]=b&since=NaN',
  '/api/plans/7',
  '/api/plans/%00',
  '/api/plans/%E0%A4%A',
  '/api/../../etc/passwd',
  '/api/hats',
  '/%2e%2e/%2e%2e/etc/passwd',
  '/api/deleted/..',
];

const REVISIONS: Record<string, string>[] = [{ 'If-None-Match': '*' }, { 'If-Match': '"1"' }, { 'If-Match': '7' }];

const TYPES = ['application/json', 'text/plain', 'application/json; charset=utf-7', 'multipart/form-data', ''];

function malformed(next: Chance): Request {
  const kind = next();
  if (kind < 0.15)
    return { method: oneOf(['GET', 'DELETE', 'PATCH', 'HEAD', 'POST'], next), path: oneOf(QUERIES, next) };
  const path = oneOf(PATHS, next);
  const document = !/reckon|chance|ways|events/.test(path);
  const body =
    kind < 0.3 ? oneOf(BROKEN, next) : kind < 0.34 ? oneOf(HUGE, next) : (JSON.stringify(mangledFor(path, next)) ?? '');
  const headers: Record<string, string> = {
    'Content-Type': next() < 0.8 ? 'application/json' : oneOf(TYPES, next),
    ...(document && next() < 0.9 ? oneOf(REVISIONS, next) : {}),
  };
  return document
    ? { method: 'PUT', path: `${path}/${next() < 0.9 ? randomUUID() : randomUUID().toUpperCase()}`, body, headers }
    : { method: 'POST', path, body, headers };
}

function mangledFor(path: string, next: Chance): unknown {
  const plan = oneOf(plans, next);
  if (path.endsWith('events')) return mangled(events.slice(0, 1 + Math.floor(next() * 20)), next);
  if (path.endsWith('ways')) return mangled({ plan, hooksMm: [3, 4], fits: ['snug'], surely: 'not' }, next);
  if (path.endsWith('makes')) return mangled(Object.values(TERN_POINT.makes)[0], next);
  if (path.endsWith('things')) return mangled(oneOf(Object.values(TERN_POINT.things), next), next);
  return mangled({ ...plan, surely: 'not' }, next);
}

/** The dearest requests there are that are not refused: every way to make a large thing, and a large piece on paper. */
const DEAR: readonly (readonly [path: string, body: string])[] = [
  [
    '/api/ways',
    JSON.stringify({ plan: plans[0], hooksMm: [2, 3, 4, 5, 6, 7, 8], fits: ['grips', 'snug', 'slides', 'roomy'] }),
  ],
  ['/api/paper', JSON.stringify({ of: 'pattern', plan: plans.at(-1) })],
  ['/api/paper', JSON.stringify({ of: 'outline', plan: largePlan() })],
  [
    '/api/repeat',
    JSON.stringify({
      plan: plans[0],
      runs: [
        { name: 'a', stitches: 7 },
        { name: 'b', stitches: 11 },
      ],
    }),
  ],
];

/** A piece that would be a floor full of paper. */
function largePlan(): object {
  const [first] = plans;
  return {
    ...first,
    fittings: [],
    thing: { kind: 'slab', width: { mm: 1500 }, height: { mm: 2000 }, depth: { mm: 40 } },
  };
}

const SMALL = JSON.stringify(plans[0]);

async function small(url: string): Promise<number> {
  const start = performance.now();
  const answer = await fetch(`${url}/api/reckon`, { method: 'POST', headers: JSON_TYPE, body: SMALL });
  await answer.arrayBuffer();
  held(answer.status === 200, `a small plan was answered ${answer.status}`);
  return performance.now() - start;
}

const JSON_TYPE = { 'Content-Type': 'application/json' };

const middle = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)]!;

/**
 * Small requests while the dearest valid ones go on, half of them hung up on. Their wait is held against that of the same request
 * by itself, in the same run: how quick the machine is does not come into it.
 */
async function besideDear(url: string): Promise<string> {
  for (let warm = 0; warm < 10; warm += 1) await small(url);
  const alone: number[] = [];
  for (let n = 0; n < 30; n += 1) alone.push(await small(url));
  const going = new AbortController();
  const dear = Array.from({ length: 12 }, async (_, n) => {
    const [path, body] = DEAR[n % DEAR.length]!;
    const hung = n % 2 === 0 ? AbortSignal.any([going.signal, AbortSignal.timeout(50)]) : going.signal;
    await fetch(url + path, { method: 'POST', headers: JSON_TYPE, body, signal: hung }).then(
      (answer) => answer.arrayBuffer(),
      () => undefined,
    );
  });
  const beside: number[] = [];
  for (let n = 0; n < 30; n += 1) beside.push(await small(url));
  going.abort();
  await Promise.allSettled(dear);
  const times = middle(beside) / middle(alone);
  held(times < TIMES_ALONE, `beside dear requests a small one took ${times.toFixed(1)} times its own time`);
  return `a small one beside the dearest took ${times.toFixed(1)} times its own time`;
}

/** Malformed requests without end, the limit of what may be asked laid aside. */
export const flood: Proof = {
  id: 'flood',
  says: `no malformed request is answered with 500, and beside the dearest valid ones no small one waits over ${TIMES_ALONE} times its own time`,
  run: async ({ share }) => {
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-flood-'));
    const server = new ChildServer(join(folder, 'house.sqlite'), 'prove/openServer.ts');
    await server.start();
    const seed = Date.now() % 0x7fffffff;
    const next = chance(seed);
    const count = Math.round(REQUESTS * share);
    const statuses = new Map<number, number>();
    let begun = 0;
    let slowest = 0;
    const sender = async () => {
      while (begun < count) {
        begun += 1;
        const { method, path, body, headers } = malformed(next);
        const start = performance.now();
        const bodiless = method === 'GET' || method === 'HEAD' || body === undefined;
        const answer = await fetch(server.url + path, {
          method,
          ...(headers ? { headers } : {}),
          ...(bodiless ? {} : { body }),
        });
        await answer.arrayBuffer();
        const took = performance.now() - start;
        const told = `${method} ${path} ${body?.slice(0, 300)} (seed ${seed})`;
        held(answer.status < 500, `answered ${answer.status}: ${told}`);
        // the first ones wake the server up
        if (begun > 50) slowest = Math.max(slowest, took);
        statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      }
    };
    let waits = '';
    try {
      await Promise.all(Array.from({ length: AT_ONCE }, sender));
      waits = await besideDear(server.url);
    } finally {
      await server.kill();
      rmSync(folder, { recursive: true, force: true });
    }
    const told = [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => `${times} x ${status}`);
    return `${count} requests, slowest ${Math.round(slowest)} ms; ${told.join(', ')}; ${waits}`;
  },
};
