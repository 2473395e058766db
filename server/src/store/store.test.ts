import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import { loadDemo } from '../demo';
import { freshStore } from '../fixtures/store';
import { readSettings } from '../settings';
import { documentStore, eventStore, openStore } from './index';

it('is the same after closing and opening the file again', async () => {
  const { store, file, done } = await freshStore();
  const id = randomUUID();
  await documentStore(store).put('plans', id, 0, { title: 'kept' });
  await store.close();
  const again = await openStore(file);
  expect((await documentStore(again).get('plans', id))?.body).toEqual({ title: 'kept' });
  await again.close();
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
  const [, finished] = Object.entries(TERN_POINT.makes)[1]!;
  const events = await eventStore(store).since(0);
  expect(events.filter(({ event }) => event.kind === 'ticked')).toHaveLength(23 + reckon(finished.plan).steps.length);
  await done();
});

describe('settings', () => {
  it('listen on this machine only, and say why not elsewhere', () => {
    expect(readSettings({})).toMatchObject({ host: '127.0.0.1', port: 8130 });
    expect(() => readSettings({ HOST: '0.0.0.0' })).toThrow(/“0.0.0.0”.*127.0.0.1/);
    expect(() => readSettings({ PORT: 'many' })).toThrow(/“many”/);
  });
});
