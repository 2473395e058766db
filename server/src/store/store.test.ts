import { reckon } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { fileURLToPath } from 'node:url';
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

it('loses no acknowledged event when the process is killed while writing', async () => {
  const { store, file, done } = await freshStore();
  const script = fileURLToPath(new URL('../fixtures/writer.ts', import.meta.url));
  for (let round = 0; round < 3; round += 1) {
    const acknowledged = await killedWriter(script, file, 25);
    const kept = new Set((await eventStore(store).since(0)).map(({ event }) => event.id));
    expect(acknowledged.length).toBeGreaterThanOrEqual(25);
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  }
  await done();
}, 60_000);

/** Starts a writer, kills it once it has acknowledged so many events, and answers with all it acknowledged. */
function killedWriter(script: string, file: string, after: number): Promise<string[]> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', script, file], { stdio: ['ignore', 'pipe', 'inherit'] });
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      if (said.split('\n').length > after) child.kill('SIGKILL');
    });
    child.on('error', reject);
    // the last line may have been cut off mid-word
    child.on('close', () => resolve(said.split('\n').slice(0, -1)));
  });
}

describe('settings', () => {
  it('listen on this machine only, and say why not elsewhere', () => {
    expect(readSettings({})).toMatchObject({ host: '127.0.0.1', port: 8130 });
    expect(() => readSettings({ HOST: '0.0.0.0' })).toThrow(/“0.0.0.0”.*127.0.0.1/);
    expect(() => readSettings({ PORT: 'many' })).toThrow(/“many”/);
  });
});
