import type { MakeEvent } from '@keep-snug/core';
import { randomUUID } from 'node:crypto';
import { freshStore, type FreshStore } from '../fixtures/store';
import type { Changes } from './feed';
import { documentStore, eventStore, feed, type Store } from './index';

let store: Store;
let again: FreshStore['again'];
let end: () => Promise<void>;
beforeEach(async () => {
  ({ store, again, done: end } = await freshStore());
});
afterEach(() => end());

const tick = (make: string, n = 1): MakeEvent => ({
  id: randomUUID(),
  make,
  device: randomUUID(),
  at: '2026-03-01T10:00:00.000Z',
  n,
  kind: 'ticked',
  step: `body-row-${n}`,
});

/** Every page from the beginning, as a device reads them. */
async function readAll(limit = 1000, of = store) {
  const pages = [];
  let [next, last]: [number, string | undefined] = [0, undefined];
  for (;;) {
    const page: Changes = (await feed(of).changes(next, limit, last))!;
    if (page.entries.length === 0) return pages.flat();
    pages.push(page.entries);
    [next, last] = [page.next, page.last ?? undefined];
  }
}

it('tells documents and events in the one order in which they were written, each as it stands', async () => {
  const [plan, thing, make] = [randomUUID(), randomUUID(), randomUUID()];
  const documents = documentStore(store);
  await documents.put('plans', plan, 0, { title: 'first' });
  const event = tick(make);
  await eventStore(store).add([event]);
  await documents.put('things', thing, 0, { name: 'flask' });
  await documents.put('plans', plan, 1, { title: 'second' });
  await documents.remove('things', thing, 1);
  expect(await readAll()).toEqual([
    { seq: 2, kind: 'events', id: event.id, event },
    { seq: 4, kind: 'plans', id: plan, revision: 2, body: { title: 'second' } },
    { seq: 5, kind: 'things', id: thing, revision: 2, deleted: true },
  ]);
});

it('comes in pages that neither skip nor repeat, whatever their size', async () => {
  const documents = documentStore(store);
  const make = randomUUID();
  for (let n = 0; n < 12; n += 1) {
    await documents.put('plans', randomUUID(), 0, { title: 'wide '.repeat(n % 3 ? 10 : 30_000) });
    await eventStore(store).add([tick(make, 2 * n), tick(make, 2 * n + 1)]);
  }
  const whole = (await readAll()).map(({ seq }) => seq);
  expect(whole).toEqual(Array.from({ length: 36 }, (_, index) => index + 1));
  for (const limit of [1, 2, 7]) expect((await readAll(limit)).map(({ seq }) => seq)).toEqual(whole);
});

it('leaves out what happened to makes that are finished, until they are reopened', async () => {
  const [closed, open] = [randomUUID(), randomUUID()];
  const events = eventStore(store);
  const finished: MakeEvent = { ...tick(closed), n: 9, kind: 'finished' };
  await events.add([tick(closed), tick(open), finished]);
  const told = async () => (await readAll()).map((entry) => ('event' in entry ? entry.event.kind : ''));
  expect(await told()).toEqual(['ticked', 'finished']);
  // late to come, earlier by its count: the make stays finished
  await events.add([{ ...tick(closed), n: 8, kind: 'reopened' }]);
  expect(await told()).toEqual(['ticked', 'finished', 'reopened']);
  await events.add([{ ...tick(closed), n: 10, kind: 'reopened' }]);
  expect(await told()).toEqual(['ticked', 'ticked', 'finished', 'reopened', 'reopened']);
  expect(await events.since(0, 1000, closed)).toHaveLength(4);
});

it('knows another history: a number that it never gave, and one that it gave to something else', async () => {
  const { changes } = feed(store);
  await documentStore(store).put('plans', randomUUID(), 0, { title: 'one' });
  const { next, last } = (await changes(0, 1000))!;
  expect(await changes(next, 1000, last!)).toMatchObject({ entries: [] });
  expect(await changes(next, 1000, 'another')).toBeNull();
  expect(await changes(next + 1, 1000, last!)).toBeNull();
});

it('keeps the mark of a write that was written over', async () => {
  const id = randomUUID();
  const documents = documentStore(store);
  await documents.put('plans', id, 0, { title: 'one' });
  const { next, last } = (await feed(store).changes(0, 1000))!;
  await documents.put('plans', id, 1, { title: 'two' });
  expect(await feed(store).changes(next, 1000, last!)).toMatchObject({ entries: [{ revision: 2 }] });
});

it('gives each number once, though two processes write to the file', async () => {
  const other = await again();
  expect(other.name).toBe(store.name);
  const make = randomUUID();
  const writes = [store, other].flatMap((each) =>
    Array.from({ length: 15 }, async (_, n) => {
      await eventStore(each).add([tick(make, n), tick(make, n)]);
      await documentStore(each).put('plans', randomUUID(), 0, { title: `plan ${n}` });
    }),
  );
  await Promise.all(writes);
  const all = await readAll();
  expect(all).toHaveLength(90);
  expect(new Set(all.map(({ seq }) => seq)).size).toBe(90);
  await other.close();
});

describe('what was deleted', () => {
  const plan = randomUUID();

  it('can come back, and goes on from the revision it had', async () => {
    const { put, remove, deleted, get } = documentStore(store);
    await put('plans', plan, 0, { title: 'a' });
    await remove('plans', plan, 1);
    expect(await deleted()).toMatchObject([{ kind: 'plans', id: plan, revision: 2, body: { title: 'a' } }]);
    expect(await put('plans', plan, 1, { title: 'b' })).toEqual({ done: false, present: null });
    expect(await put('plans', plan, 0, { title: 'a' })).toMatchObject({ done: true, kept: { revision: 3 } });
    expect(await deleted()).toEqual([]);
    expect((await get('plans', plan))?.revision).toBe(3);
  });

  it('is not laid again with the samples', async () => {
    const { put, remove, lay, get } = documentStore(store);
    await put('plans', plan, 0, { title: 'a' });
    await remove('plans', plan, 1);
    await lay('plans', plan, { title: 'a' });
    expect(await get('plans', plan)).toBeNull();
  });

  it('loses its body after a month, and stays known as deleted', async () => {
    const { put, remove, deleted, empty } = documentStore(store);
    await put('plans', plan, 0, { title: 'a' });
    await remove('plans', plan, 1);
    await store.db.run(`UPDATE documents SET deleted_at = '2020-01-01T00:00:00.000Z'`);
    await empty();
    expect(await deleted()).toEqual([]);
    expect(await store.db.get<object>('SELECT body FROM documents')).toMatchObject({ body: 'null' });
    expect(await readAll()).toMatchObject([{ id: plan, deleted: true }]);
  });
});

it('takes an id for one event only, and all others of the batch', async () => {
  const events = eventStore(store);
  const make = randomUUID();
  const [one, two] = [tick(make), tick(make)];
  expect(await events.add([one])).toEqual([]);
  expect(await events.add([one])).toEqual([]);
  expect(await events.add([two, { ...one, at: '2026-04-01T10:00:00.000Z' }])).toEqual([1]);
  expect((await events.since(0, 1000, make)).map(({ event }) => event)).toEqual([one, two]);
});
