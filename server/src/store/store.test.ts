import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import { loadDemo } from '../demo';
import { freshStore } from '../fixtures/store';
import { readSettings } from '../settings';
import { documentStore, eventStore } from './index';

it('is the same after closing and opening the file again', async () => {
  const { store, again: reopened, done } = await freshStore();
  const id = randomUUID();
  await documentStore(store).put('plans', id, 0, { title: 'kept' });
  await store.close();
  const again = await reopened();
  expect((await documentStore(again).get('plans', id))?.body).toEqual({ title: 'kept' });
  await again.close();
  await done();
});

it('takes one of the writes that race from two processes on one file', async () => {
  const { store, again: reopened, done } = await freshStore();
  const other = await reopened();
  const stores = [store, other].map(documentStore);
  for (let race = 0; race < 20; race += 1) {
    const id = randomUUID();
    const created = await Promise.all(stores.map((each, maker) => each.put('plans', id, 0, { maker })));
    expect(created.filter((put) => put.done)).toHaveLength(1);
    const changed = await Promise.all(stores.map((each, maker) => each.put('plans', id, 1, { changedBy: maker })));
    expect(changed.filter((put) => put.done)).toHaveLength(1);
    const gone = await Promise.all(stores.map((each) => each.remove('plans', id, 2)));
    // whoever asks for what is done already is told that it is done
    expect(gone.every((put) => put.done)).toBe(true);
  }
  await other.close();
  await done();
});

it('lays the sample data once, and leaves what was changed since', async () => {
  const { store, done } = await freshStore();
  await loadDemo(store);
  const documents = documentStore(store);
  const [id, plan] = Object.entries(TERN_POINT.plans)[0]!;
  await documents.put('plans', id, 1, { ...plan, title: 'mine' });
  await loadDemo(store);
  expect((await documents.get('plans', id))?.body).toMatchObject({ title: 'mine' });
  const events = await eventStore(store).since(0, 1000);
  expect(events.filter(({ event }) => event.kind === 'ticked')).toHaveLength(
    ternPointEvents().filter(({ kind }) => kind === 'ticked').length,
  );
  await done();
});

describe('settings', () => {
  it('listen on this machine only, and say why not elsewhere', () => {
    expect(readSettings({})).toMatchObject({ host: '127.0.0.1', port: 8130 });
    expect(() => readSettings({ HOST: '0.0.0.0' })).toThrow(/“0.0.0.0”.*127.0.0.1/);
    expect(readSettings({ KEEP_SNUG_HOSTS: 'house.example, ,attic' }).hosts).toEqual(['house.example', 'attic']);
    expect(() => readSettings({ PORT: 'many' })).toThrow(/“many”/);
  });
});
