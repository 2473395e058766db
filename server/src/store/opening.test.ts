import { randomUUID } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { createServer } from '../web/server';
import { documentStore, openStore } from './index';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keep-snug-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A store with a few hundred plans in it, closed again. */
async function filled(name = 'house.sqlite'): Promise<string> {
  const file = join(folder, name);
  const store = await openStore(file);
  const documents = documentStore(store);
  for (let n = 0; n < 200; n += 1) await documents.put('plans', randomUUID(), 0, { title: `plan ${n}`.repeat(40) });
  await store.close();
  return file;
}

it('refuses a folder, and says to name a file in it', async () => {
  await expect(openStore(folder)).rejects.toThrow(`“${folder}” is a folder. Name a file in it, in KEEP_SNUG_DATA.`);
});

it('refuses a file of another kind, and leaves it as it is', async () => {
  const file = join(folder, 'letter.txt');
  writeFileSync(file, 'Dear all, '.repeat(500));
  await expect(openStore(file)).rejects.toThrow(/letter\.txt” is not a file of Keep Snug’s\. Name another/);
  expect(readFileSync(file, 'utf8')).toBe('Dear all, '.repeat(500));
});

it('refuses a damaged file, and says what to do', async () => {
  const file = await filled();
  const handle = openSync(file, 'r+');
  for (let at = 8192; at < statSync(file).size; at += 8192) writeSync(handle, Buffer.alloc(4096, 7), 0, 4096, at);
  await expect(openStore(file)).rejects.toThrow(/house\.sqlite” is damaged.* Put back a copy of it, or lay it aside/s);
});

it('refuses a file whose tables a newer program made', async () => {
  const file = await filled();
  const store = await openStore(file);
  await store.db.run(`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', ${Date.now() * 2})`);
  await store.close();
  await expect(openStore(file)).rejects.toThrow(/was written by a newer Keep Snug\. Start that one/);
});

it.each(['no-folder', 'no-folder/deeper'])('refuses a place under %s, where no file can be', async (place) => {
  writeFileSync(join(folder, 'no-folder'), '');
  const file = join(folder, place, 'house.sqlite');
  await expect(openStore(file)).rejects.toThrow(`“${file}” cannot be opened. See whether its folder is there`);
});

it('refuses a file that cannot be made', async () => {
  await expect(openStore('/proc/house.sqlite')).rejects.toThrow('“/proc/house.sqlite” cannot be opened');
});

it.each(['a#b.sqlite', 'what?.sqlite', '100% wool.sqlite', 'Haus & Häkelei.sqlite'])(
  'keeps to the name %s',
  async (name) => {
    const file = await filled(name);
    expect(existsSync(file)).toBe(true);
    const store = await openStore(file);
    expect(await documentStore(store).list('plans')).toHaveLength(200);
    await store.close();
  },
);

it('is healthy while the file is there, and says so when it was taken away', async () => {
  const file = await filled();
  const store = await openStore(file);
  const server = createServer({ store, reckoner: hereAndNow, appRoot: join(folder, 'no-app') });
  expect((await request(server).get('/api/health')).status).toBe(200);
  rmSync(file);
  mkdirSync(file);
  const answer = await request(server).get('/api/health');
  expect([answer.status, answer.type]).toEqual([503, 'application/problem+json']);
  expect(answer.body.detail).toMatch(/is no longer where it was/);
  await store.close();
});
