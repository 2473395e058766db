import type { MakeEvent } from '@keep-snug/core';
import { createClient } from '@libsql/client';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { libsqlServer } from '../fixtures/libsqlServer';
import { loadDemo } from '../demo';
import { documentStore, eventStore, feed, openStore } from './index';

let folder: string;
let server: Awaited<ReturnType<typeof libsqlServer>>;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'keep-snug-libsql-'));
  server = await libsqlServer(join(folder, 'there.sqlite'));
});
afterEach(() => {
  server.stop();
  rmSync(folder, { recursive: true, force: true });
});

it('a house on a libSQL server is kept there, and is the same when it is opened again', async () => {
  const store = await openStore({ url: server.url });
  await loadDemo(store);
  const id = randomUUID();
  const { put, remove, deleted } = documentStore(store);
  expect(await put('plans', id, 0, { title: 'kept' })).toMatchObject({ done: true, kept: { revision: 1 } });
  expect(await put('plans', id, 7, { title: 'stale' })).toMatchObject({ done: false, present: { revision: 1 } });
  await remove('plans', id, 1);
  expect(await deleted()).toMatchObject([{ id, revision: 2 }]);
  const tick = { id: randomUUID(), make: id, device: id, at: '2026-03-01T10:00:00Z', kind: 'ticked' } as MakeEvent;
  expect(await eventStore(store).add([tick])).toEqual([]);
  expect(await eventStore(store).add([tick, { ...tick, n: 2 }])).toEqual([1]);
  await store.check();
  await store.close();
  const asked = server.asked();
  const again = await openStore({ url: server.url });
  const { entries } = (await feed(again).changes(0, 1000))!;
  expect([again.name, entries.at(-1)]).toMatchObject([store.name, { event: tick }]);
  expect(entries).toContainEqual(expect.objectContaining({ id, deleted: true }));
  expect(server.asked()).toBeGreaterThan(asked);
  await again.close();
});

it('one that cannot be reached is told, with what to look at', async () => {
  server.stop();
  await expect(openStore({ url: server.url })).rejects.toThrow(
    `“${server.url}” cannot be reached. See whether the server there runs, and DATABASE_URL names it.`,
  );
});

describe('on a libSQL server', () => {
  it('writers wait for one another, and a transaction that nobody ends is taken back', async () => {
    const [one, other] = [await openStore({ url: server.url }), await openStore({ url: server.url })];
    const ids = Array.from({ length: 40 }, () => randomUUID());
    const put = (id: string, index: number) => documentStore([one, other][index % 2]!).put('plans', id, 0, { index });
    const checks = Promise.all([one.check(), other.check(), one.check()]);
    expect((await Promise.all(ids.map(put))).every(({ done }) => done)).toBe(true);
    await checks;
    const client = createClient({ url: server.url });
    const left = await client.transaction('write');
    await left.execute("DELETE FROM documents WHERE kind = 'plans'");
    const waits = documentStore(other).put('plans', randomUUID(), 0, { after: true });
    left.close();
    expect(await waits).toMatchObject({ done: true });
    expect(await documentStore(one).list('plans')).toHaveLength(41);
    client.close();
    await Promise.all([one.close(), other.close()]);
  });

  it('another program’s database is left alone', async () => {
    const client = createClient({ url: server.url });
    await client.execute('CREATE TABLE bookmarks (url TEXT)');
    client.close();
    await expect(openStore({ url: server.url })).rejects.toThrow(/another program’s database/);
  });
});
