import { TERN_POINT } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { held, sent } from './sent';

const RACES = 300;
const plan = Object.values(TERN_POINT.plans)[0]!;

/** Two server processes on one file, asked at once. */
export const twoServers: Proof = {
  id: 'two-servers',
  says: 'of two servers on one file one takes each racing write, and both tell the same',
  run: async ({ share }) => {
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-two-'));
    const servers = [1, 2].map(() => new ChildServer(join(folder, 'house.sqlite')));
    for (const server of servers) await server.start();
    const races = Math.round(RACES * share);
    const both = (work: (url: string, index: number) => Promise<{ status: number }>) =>
      Promise.all(servers.map(async ({ url }, index) => (await work(url, index)).status));
    const once = (statuses: number[], taken: number) => {
      held(statuses.sort().join() === [taken, 409].sort().join(), `a race was answered ${statuses.join(' and ')}`);
    };
    const make = randomUUID();
    for (let race = 0; race < races; race += 1) {
      const path = `/api/plans/${randomUUID()}`;
      const put = (title: string, headers: Record<string, string>) => (url: string, index: number) =>
        sent(url + path, 'PUT', { ...plan, title: `${title} by ${index}` }, headers);
      once(await both(put('made', { 'If-None-Match': '*' })), 201);
      once(await both(put('changed', { 'If-Match': '"1"' })), 200);
      const tick = { id: randomUUID(), make, device: make, at: '2026-03-01T10:00:00Z', kind: 'ticked' };
      const ticked = await both((url) => sent(`${url}/api/events`, 'POST', [tick]));
      held(
        ticked.every((status) => status === 200),
        `a tick sent to both was answered ${ticked.join(' and ')}`,
      );
    }
    const told = await Promise.all(servers.map(({ url }) => sent(`${url}/api/changes?since=0`, 'GET')));
    held(told[0]!.text === told[1]!.text, 'the two tell different things');
    const events = JSON.parse((await sent(`${servers[0]!.url}/api/events?make=${make}`, 'GET')).text) as unknown[];
    held(events.length === races, `${events.length} of ${races} ticks`);
    for (const server of servers) await server.stop();
    rmSync(folder, { recursive: true, force: true });
    return `${races} x 3 races, each taken once`;
  },
};
