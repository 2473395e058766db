import { TERN_POINT } from '@keep-snug/core/demo';
import { createClient } from '@libsql/client';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { sent } from './sent';

const KILLS = 200;
const WRITERS = 4;

const plan = Object.values(TERN_POINT.plans)[0]!;

/** What the server has acknowledged: events once each, and the last title of every plan. */
interface Acknowledged {
  events: Set<string>;
  titles: Map<string, { revision: number; title: string }>;
}

/** Writes without end until the server is gone, and remembers only what was acknowledged. */
async function write(url: string, make: string, known: Acknowledged): Promise<void> {
  const id = randomUUID();
  for (let revision = 0; ; revision += 1) {
    const event = { id: randomUUID(), make, device: make, at: new Date().toISOString(), kind: 'ticked' };
    const title = `plan at ${revision}`;
    try {
      const ticked = await sent(`${url}/api/events`, 'POST', [event]);
      if (!ticked.ok) throw new Error(`an event was answered ${ticked.status}`);
      known.events.add(event.id);
      const match: Record<string, string> = revision === 0 ? { 'If-None-Match': '*' } : { 'If-Match': `"${revision}"` };
      const put = await sent(`${url}/api/plans/${id}`, 'PUT', { ...plan, title }, match);
      if (!put.ok) throw new Error(`a plan was answered ${put.status}`);
      known.titles.set(id, { revision: revision + 1, title });
    } catch (error) {
      // only a server that is gone ends the writing
      if (error instanceof TypeError) return;
      throw error;
    }
  }
}

/** What of the acknowledged is missing, doubled or older than it should be. */
async function faultsIn(file: string, known: Acknowledged): Promise<string[]> {
  const client = createClient({ url: `file:${file}` });
  const rows = async (sql: string) => (await client.execute(sql)).rows;
  const stored = new Map(
    (await rows('SELECT id, count(*) AS times FROM events GROUP BY id')).map((row) => [row.id, Number(row.times)]),
  );
  const kept = new Map(
    (await rows("SELECT id, revision FROM documents WHERE kind = 'plans'")).map((row) => [
      row.id,
      Number(row.revision),
    ]),
  );
  const [check] = await rows('PRAGMA integrity_check');
  client.close();
  return [
    ...[...known.events]
      .filter((id) => stored.get(id) !== 1)
      .map((id) => `event ${id} is there ${stored.get(id) ?? 0} times`),
    ...[...known.titles]
      .filter(([id, { revision }]) => (kept.get(id) ?? 0) < revision)
      .map(([id]) => `plan ${id} is older`),
    ...(check?.integrity_check === 'ok' ? [] : [`integrity: ${String(check?.integrity_check)}`]),
  ];
}

/** Killed in the middle of writing, again and again, the server loses nothing that it acknowledged. */
export const kills: Proof = {
  id: 'kills',
  says: 'killed under load, nothing acknowledged is lost or doubled',
  run: async ({ share }) => {
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-kills-'));
    const file = join(folder, 'store.sqlite');
    const known: Acknowledged = { events: new Set(), titles: new Map() };
    const times = Math.max(8, Math.round(KILLS * share ** 2));
    for (let time = 0; time < times; time += 1) {
      const server = new ChildServer(file);
      await server.start();
      const writers = Array.from({ length: WRITERS }, () => write(server.url, randomUUID(), known));
      await pause(150 + 450 * Math.random());
      await server.kill();
      await Promise.all(writers);
    }
    const faults = await faultsIn(file, known);
    rmSync(folder, { recursive: true, force: true });
    if (faults.length > 0) throw new Error(faults.slice(0, 5).join('; '));
    return `${times} kills, ${known.events.size} events and ${known.titles.size} plans acknowledged, 0 lost, 0 doubled, integrity ok`;
  },
};
