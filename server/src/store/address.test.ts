import type { MakeEvent } from '@keep-snug/core';
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
