import { TERN_POINT } from '@keep-snug/core/demo';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { libsqlServer } from '../server/src/fixtures/libsqlServer';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { held, sent } from './sent';

const ROOT = fileURLToPath(new URL('../', import.meta.url));
const KILLS = 30;
const RACES = 100;
const plan = Object.values(TERN_POINT.plans)[0]!;

const SUITES = ['store/store', 'web/keeping', 'store/feed', 'web/server', 'web/badDocuments', 'phone/phone'];

/** The tests of everything that is kept, against a server in place of a file; of a sample the first of them. */
function suite(share: number): string {
  const files = SUITES.slice(0, Math.max(2, SUITES.length * share));
  const told = execFileSync('npx', ['jest', '--selectProjects', 'server', '--silent', '--', ...files], {
    cwd: ROOT,
    env: { ...process.env, KEEP_SNUG_TEST_REMOTE: '1', FORCE_COLOR: '0' },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return told.trim();
}

/** A house that has outgrown one file: its store's tests, two servers at once, and servers killed as they write. */
export const remote: Proof = {
  id: 'remote',
  says: 'a house on a libSQL server holds what a file holds: its tests, two servers at once, servers killed while they write',
  run: async ({ share }) => {
    suite(share);
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-remote-'));
    const there = await libsqlServer(join(folder, 'there.sqlite'));
    const servers = [1, 2].map(
      (n) => new ChildServer(join(folder, `${n}.sqlite`), undefined, { DATABASE_URL: there.url }),
    );
    try {
      // the first one lays the tables
      for (const server of servers) await server.start();
      const races = Math.max(10, Math.round(RACES * share));
      for (let race = 0; race < races; race += 1) {
        const path = `/api/plans/${randomUUID()}`;
        const put = (url: string, title: string, headers: Record<string, string>) =>
          sent(url + path, 'PUT', { ...plan, title }, headers);
        const made = await Promise.all(servers.map(({ url }, n) => put(url, `made by ${n}`, { 'If-None-Match': '*' })));
        held(
          made
            .map(({ status }) => status)
            .sort()
            .join() === '201,409',
          `made: ${made.map(({ status }) => status).join()}`,
        );
        const changed = await Promise.all(
          servers.map(({ url }, n) => put(url, `changed by ${n}`, { 'If-Match': '"1"' })),
        );
        held(
          changed
            .map(({ status }) => status)
            .sort()
            .join() === '200,409',
          `changed: ${changed.map(({ status }) => status).join()}`,
        );
      }
      const kept = new Set<string>();
      const kills = Math.max(3, Math.round(KILLS * share));
      for (let kill = 0; kill < kills; kill += 1) {
        const [server] = servers as [ChildServer];
        const writing = writesUntilGone(server.url, kept);
        const before = kept.size;
        while (kept.size < before + 5 + (kill % 7)) await new Promise((resolve) => setTimeout(resolve, 2));
        await server.kill();
        await writing;
        await server.start();
      }
      const told = await sent(`${servers[1]!.url}/api/plans`, 'GET');
      const there2 = new Set((JSON.parse(told.text) as { id: string }[]).map(({ id }) => id));
      const lost = [...kept].filter((id) => !there2.has(id));
      held(lost.length === 0, `${lost.length} of ${kept.size} acknowledged plans are lost`);
      return `the store’s tests, ${races} x 2 races, ${kept.size} acknowledged writes over ${kills} kills`;
    } finally {
      for (const server of servers) await server.kill();
      there.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  },
};

async function writesUntilGone(url: string, kept: Set<string>): Promise<void> {
  for (;;) {
    const id = randomUUID();
    try {
      const { ok } = await sent(`${url}/api/plans/${id}`, 'PUT', plan, { 'If-None-Match': '*' });
      if (ok) kept.add(id);
    } catch {
      return;
    }
  }
}
