import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import type { Browser } from '@playwright/test';
import { sql } from 'drizzle-orm';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { launchBrowser } from '../e2e/browser';
import { openStore } from '../server/src/store';

const ROOT = fileURLToPath(new URL('../', import.meta.url));
const [, make] = Object.entries(TERN_POINT.makes)[0]!;
const ON_THE_HOOK = 10;
const EVENTS = 200;
const RUNS = 5;

/** A house of so many makes, ten of them on the hook, each with two hundred events. */
export async function house(file: string, makes: number): Promise<void> {
  const store = await openStore(file);
  const { db } = store;
  const body = JSON.stringify(make);
  const steps = JSON.stringify(reckon(make.plan).steps.map(({ id }) => id));
  const id = (kind: string, n: string) => sql.raw(`printf('${kind}0000000-0000-4000-8000-%012d', ${n})`);
  for (const [planId, plan] of Object.entries(TERN_POINT.plans))
    await db.run(sql`
      INSERT INTO documents (kind, id, revision, body, updated_at, seq)
      VALUES ('plans', ${planId}, 1, ${JSON.stringify(plan)}, '2026-03-01T10:00:00.000Z', (SELECT coalesce(max(seq), 0) + 1 FROM documents))`);
  const plans = Object.keys(TERN_POINT.plans).length;
  await db.run(sql`
    WITH RECURSIVE each(n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM each WHERE n < ${makes})
    INSERT INTO documents (kind, id, revision, body, updated_at, seq)
    SELECT 'makes', ${id('c', 'n')}, 1, json_set(${body}, '$.title', 'Pouch ' || n), '2026-03-01T10:00:00.000Z', ${plans} + n FROM each`);
  // the last of a make that is done says so; the newest are on the hook
  await db.run(sql`
    WITH RECURSIVE each(n) AS (SELECT 0 UNION ALL SELECT n + 1 FROM each WHERE n + 1 < ${makes * EVENTS})
    INSERT INTO events (seq, id, make, kind, n, body)
    SELECT ${plans + makes} + 1 + n, event ->> 'id', event ->> 'make', event ->> 'kind', event ->> 'n', event FROM (
      SELECT n, json_object(
        'id', ${id('e', 'n')}, 'make', ${id('c', `(n / ${EVENTS}) + 1`)}, 'device', ${id('d', '1')},
        'at', '2026-03-01T10:00:00.000Z', 'n', n % ${EVENTS} + 1,
        'kind', CASE WHEN n % ${EVENTS} = ${EVENTS - 1} AND n / ${EVENTS} < ${makes - ON_THE_HOOK} THEN 'finished' ELSE 'ticked' END,
        'step', json_extract(${steps}, '$[' || (n % 20) || ']')) AS event FROM each)`);
  await db.run(sql`UPDATE events SET body = json_remove(body, '$.step') WHERE kind = 'finished'`);
  await store.close();
}

interface Serving {
  child: ChildProcess;
  url: string;
  startMs: number;
}

async function serving(file: string): Promise<Serving> {
  const began = performance.now();
  const child = spawn(process.execPath, ['server/.cache/main.mjs'], {
    cwd: ROOT,
    env: { ...process.env, PORT: '0', KEEP_SNUG_DATA: file },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve) => {
    child.stdout!.on('data', (chunk: Buffer) => {
      const found = /http:\S+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    });
  });
  return { child, url, startMs: performance.now() - began };
}

/** Megabytes of memory that the process holds, and has ever held. */
function memory({ child }: Serving): { now: number; most: number } {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
  const of = (name: string) => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)?.[1]) / 1000;
  return { now: of('VmRSS'), most: of('VmHWM') };
}

/** From asking for the page until the bench can be used: every make on the hook is there. */
async function bench(browser: Browser, url: string): Promise<{ first: number; again: number }> {
  const context = await browser.newContext();
  const page = await context.newPage();
  const usable = async () => {
    const began = performance.now();
    await page.goto(url);
    await page
      .getByRole('button', { name: /^Go on making/ })
      .nth(ON_THE_HOOK - 1)
      .waitFor({ timeout: 180_000 });
    return performance.now() - began;
  };
  const first = await usable();
  // until all of it has come
  await page.waitForFunction(
    () =>
      new Promise<boolean>((resolve) => {
        const opening = indexedDB.open('keep-snug');
        opening.onsuccess = () => {
          const db = opening.result;
          const asked = db.transaction('meta').objectStore('meta').get('cursor');
          asked.onsuccess = async () => {
            db.close();
            const top = (asked.result as { seq?: number } | undefined)?.seq ?? 0;
            const answer = await fetch(`/api/changes?since=${top}&limit=1`);
            const { entries } = (await answer.json()) as { entries: unknown[] };
            resolve(top > 0 && entries.length === 0);
          };
        };
      }),
    undefined,
    { timeout: 300_000, polling: 1000 },
  );
  const times: number[] = [];
  for (let run = 0; run < RUNS; run += 1) times.push(await usable());
  await context.close();
  return { first, again: times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]! };
}

/** A house that has grown: ten thousand makes and two million events, against one of ten makes. */
export async function benchGrowth(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'keep-snug-growth-'));
  const browser = await launchBrowser();
  const told = { first: [] as number[], again: [] as number[], start: [] as number[] };
  console.log('a grown house (wanted: bench usable within 1.5 x of ten makes, the server under 300 MB)');
  for (const makes of [ON_THE_HOOK, 10_000]) {
    const file = join(folder, `${makes}.sqlite`);
    await house(file, makes);
    const server = await serving(file);
    const { first, again } = await bench(browser, server.url);
    const health = performance.now();
    const everything = fetch(`${server.url}/api/everything`).then(async (answer) => {
      let bytes = 0;
      for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>) bytes += chunk.length;
      return bytes;
    });
    await (await fetch(`${server.url}/api/health`)).arrayBuffer();
    const healthMs = performance.now() - health;
    const saved = await everything;
    const { now, most } = memory(server);
    server.child.kill('SIGTERM');
    await new Promise((resolve) => server.child.once('exit', resolve));
    told.first.push(first);
    told.again.push(again);
    told.start.push(server.startMs);
    console.log(
      `  ${makes} makes, ${makes * EVENTS} events, ${Math.round(statSync(file).size / 1e6)} MB: server up in ${Math.round(server.startMs)} ms, bench usable ${Math.round(again)} ms (first time on a device ${Math.round(first)} ms), memory ${Math.round(now)} MB, at most ${Math.round(most)} MB; health beside saving ${Math.round(saved / 1e6)} MB: ${Math.round(healthMs)} ms`,
    );
  }
  const ratio = ([small, large]: number[]) => (large! / small!).toFixed(2);
  console.log(`  ratios: usable ${ratio(told.again)}, first time ${ratio(told.first)}, server up ${ratio(told.start)}`);
  await browser.close();
  rmSync(folder, { recursive: true, force: true });
}
