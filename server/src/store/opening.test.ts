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
import { HOSTILE } from '../fixtures/hostile';
import { hereAndNow } from '../fixtures/reckoner';
import { createServer } from '../web/server';
import { documentStore, openStore, type Store } from './index';

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
  expect(answer.body.detail).toMatch(/was moved, deleted or replaced/);
  await store.close();
});

it('writes nothing into another program’s database', async () => {
  const file = join(folder, 'bookmarks.sqlite');
  const other = HOSTILE.find(({ name }) => name === 'of another program')!;
  other.make('', file);
  const before = readFileSync(file);
  await expect(openStore(file)).rejects.toThrow(/another program’s database; nothing was written into it/);
  expect(readFileSync(file).equals(before)).toBe(true);
});

describe('a house', () => {
  const appOf = (store: Store) => createServer({ store, reckoner: hereAndNow, appRoot: folder });

  it('goes on without an entry that cannot be read, and names it', async () => {
    const store = await openStore(await filled());
    const [first] = await documentStore(store).list('plans');
    await store.db.run(`UPDATE documents SET body = '{"title":' WHERE id = '${first!.id}'`);
    const app = appOf(store);
    for (const path of ['plans', 'changes?since=0', 'bench', 'everything', 'deleted', `plans/${first!.id}`])
      expect([path, (await request(app).get(`/api/${path}`)).status]).not.toEqual([path, 500]);
    expect((await request(app).get('/api/plans')).body).toHaveLength(199);
    const everything = await request(app).get('/api/everything');
    expect(Object.keys((JSON.parse(everything.text) as { plans: object }).plans)).toHaveLength(199);
    expect((await request(app).get('/api/health')).body).toEqual({
      ok: true,
      setAside: [{ kind: 'plans', id: first!.id }],
    });
    await store.close();
  });

  it('is not well where plans are refused, tells it, and is well again once they are not', async () => {
    const store = await openStore(await filled());
    const app = appOf(store);
    await store.db.run("CREATE TRIGGER full BEFORE INSERT ON documents BEGIN SELECT raise(ABORT, 'disk full'); END");
    expect((await request(app).get('/api/health')).status).toBe(503);
    await store.db.run('DROP TRIGGER full');
    expect((await request(app).get('/api/health')).status).toBe(200);
    await store.close();
  });

  it('whose file was replaced takes nothing more, and says so', async () => {
    const file = await filled();
    const store = await openStore(file);
    rmSync(file);
    writeFileSync(file, '');
    const put = documentStore(store).put('plans', randomUUID(), 0, { title: 'lost' });
    await expect(put).rejects.toThrow(/was moved, deleted or replaced/);
    await store.close();
  });
});
