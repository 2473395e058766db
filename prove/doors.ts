import { TERN_POINT } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { held, sent } from './sent';

const [ID, plan] = Object.entries(TERN_POINT.plans)[0]!;
const EVENT = {
  id: randomUUID(),
  make: randomUUID(),
  device: randomUUID(),
  at: '2026-03-01T10:00:00Z',
  kind: 'ticked',
};

const HOSTS = [
  'evil.example',
  'evil.example:8130',
  'localhost.evil.example',
  '127.0.0.1.evil.example',
  'evil.example#127.0.0.1',
  '127.0.0.1@evil.example',
  'evil.example/localhost',
  '[::ffff:203.0.113.9]',
  '203.0.113.9',
  '2130706433',
  '0x7f.1',
  'localhost.',
  'xn--localhst-n4a',
];

const FOREIGN: Record<string, string>[] = [
  { Origin: 'http://evil.example' },
  { Origin: 'null' },
  { Origin: 'http://127.0.0.1' },
  { Origin: 'http://localhost:1' },
  { Origin: 'file://' },
  { Origin: 'not an origin' },
  { 'Sec-Fetch-Site': 'cross-site' },
  { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'navigate' },
];

const ASKED: [method: string, path: string, body: object | null, headers: Record<string, string>][] = [
  ['GET', '/', null, {}],
  ['GET', '/api/plans', null, {}],
  ['GET', '/api/changes?since=0', null, {}],
  ['GET', '/api/everything', null, {}],
  ['GET', `/api/plans/${ID}`, null, {}],
  ['PUT', `/api/plans/${ID}`, { ...plan, title: 'taken' }, { 'If-Match': '"1"' }],
  ['PUT', `/api/plans/${randomUUID()}`, plan, { 'If-None-Match': '*' }],
  ['DELETE', `/api/plans/${ID}`, null, { 'If-Match': '"1"' }],
  ['POST', '/api/events', [EVENT], {}],
  ['POST', '/api/reckon', plan, {}],
];

/** As no browser would let a page ask: every header as it is given. */
function asked(
  url: string,
  method: string,
  path: string,
  body: object | null,
  headers: Record<string, string>,
): Promise<number> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve, reject) => {
    const going = request(
      { hostname, port, method, path, headers: { 'Content-Type': 'application/json', ...headers }, agent: false },
      (answer) => {
        answer.resume().on('end', () => resolve(answer.statusCode!));
      },
    );
    going.on('error', reject);
    going.end(body === null ? undefined : JSON.stringify(body));
  });
}

/** Names and pages that are not the house's own. */
export const doors: Proof = {
  id: 'doors',
  says: 'no foreign name or page is let in, nor uses up what its own may ask',
  run: async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-doors-'));
    const server = new ChildServer(join(folder, 'house.sqlite'));
    await server.start();
    await sent(`${server.url}/api/plans/${ID}`, 'PUT', plan, { 'If-None-Match': '*' });
    const before = (await sent(`${server.url}/api/changes?since=0`, 'GET')).text;
    const left = async () =>
      Number(
        /\d+$/.exec((await sent(`${server.url}/api/health`, 'GET')).headers.get('RateLimit-Remaining') ?? '')?.[0],
      );
    const remaining = await left();
    let tried = 0;
    for (const [method, path, body, headers] of ASKED) {
      for (const Host of HOSTS) {
        const status = await asked(server.url, method, path, body, { ...headers, Host });
        held(status === 421 || status === 400, `${method} ${path} under “${Host}” was answered ${status}`);
        tried += 1;
      }
      for (const foreign of FOREIGN) {
        // a page elsewhere may link to the app, and a read without the marks of a browser is a program's
        const harmless = !path.startsWith('/api') || (method === 'GET' && !('Sec-Fetch-Site' in foreign));
        if (harmless) continue;
        const status = await asked(server.url, method, path, body, { ...headers, ...foreign });
        held(status === 403, `${method} ${path} from ${JSON.stringify(foreign)} was answered ${status}`);
        tried += 1;
      }
    }
    held((await left()) === remaining - 1, 'foreign requests used up what may be asked');
    held((await sent(`${server.url}/api/changes?since=0`, 'GET')).text === before, 'something was changed');
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
    return `${tried} requests, 0 let in, 0 changes`;
  },
};
