import { TERN_POINT } from '@keep-snug/core/demo';
import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HOSTILE, hostileFile } from '../fixtures/hostile';
import { freshStore } from '../fixtures/store';
import { backUp, bringBack } from './copies';
import { documentStore, openStore, type Store } from './index';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keep-snug-copies-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const plan = Object.values(TERN_POINT.plans)[0]!;
const NOW = new Date('2026-05-04T18:30:00.000Z');
const add = (to: Store, title: string) => documentStore(to).put('plans', randomUUID(), 0, { ...plan, title });

async function titlesIn(file: string): Promise<{ name: string; titles: string[] }> {
  const store = await openStore(file);
  const list = await documentStore(store).list('plans');
  await store.close();
  return { name: store.name, titles: list.map(({ body }) => (body as { title: string }).title).sort() };
}

/** A file as a server leaves it when it ends: nobody holds it, and it is all there is. */
async function left(name: string, ...titles: string[]): Promise<string> {
  const { store, file, done } = await freshStore();
  for (const title of titles) await add(store, title);
  await store.close();
  copyFileSync(file, join(folder, name));
  await done();
  return join(folder, name);
}

it('after a clean end the one file holds everything', async () => {
  expect((await titlesIn(await left('moved.sqlite', 'kept'))).titles).toEqual(['kept']);
});

it('backs up while the store is open', async () => {
  const { store, file, done } = await freshStore();
  await add(store, 'kept');
  expect(await backUp(file, join(folder, 'backup.sqlite'))).toBeGreaterThan(1000);
  await done();
  expect(await titlesIn(join(folder, 'backup.sqlite'))).toEqual({ name: store.name, titles: ['kept'] });
});

it('brings back under another name, the file so far laid aside', async () => {
  const [house, backup] = [await left('house.sqlite', 'now', 'later'), await left('backup.sqlite', 'before')];
  const { aside } = await bringBack(backup, house, NOW);
  expect(aside).toBe(`${house}.20260504-183000`);
  const [back, old, copy] = [await titlesIn(house), await titlesIn(aside!), await titlesIn(backup)];
  expect([back.titles, old.titles]).toEqual([['before'], ['later', 'now']]);
  expect(back.name).not.toBe(copy.name);
});

it('writes over nothing, and brings back nothing that is not whole', async () => {
  const house = await left('house.sqlite', 'kept');
  const backup = join(folder, 'backup.sqlite');
  await backUp(house, backup);
  await expect(backUp(house, backup)).rejects.toThrow(`“${backup}” is there already`);
  await expect(backUp(join(folder, 'none'), join(folder, 'x'))).rejects.toThrow('nothing to back up');
  await expect(bringBack(join(folder, 'none'), house, NOW)).rejects.toThrow('is not there. Name the file');
  const letter = join(folder, 'letter.txt');
  writeFileSync(letter, 'Dear all, '.repeat(500));
  const before = readFileSync(house);
  await expect(bringBack(letter, house, NOW)).rejects.toThrow(`“${letter}” is not a file of Keep Snug’s`);
  expect(readFileSync(house).equals(before)).toBe(true);
  expect(readdirSync(folder).filter((name) => name.includes('fresh'))).toEqual([]);
});

it('leaves alone a file that a server holds', async () => {
  const { store, file, done } = await freshStore();
  const backup = await left('backup.sqlite', 'before');
  await add(store, 'now');
  await expect(bringBack(backup, file, NOW)).rejects.toThrow(`“${file}” is in use. Stop the server first`);
  await add(store, 'later');
  expect(await documentStore(store).list('plans')).toHaveLength(2);
  await done();
});

it('takes along what still lies in the log beside the file', async () => {
  const house = await left('house.sqlite', 'now');
  const { store, file, done } = await freshStore();
  for (let n = 0; n < 20; n += 1) await add(store, `plan ${n}`);
  // as a copy of a folder catches it: the log is not written back yet
  for (const end of ['', '-wal']) copyFileSync(file + end, join(folder, `copied.sqlite${end}`));
  await done();
  await bringBack(join(folder, 'copied.sqlite'), house, NOW);
  expect((await titlesIn(house)).titles).toHaveLength(20);
});

describe('a file', () => {
  it.each(HOSTILE.map((one) => [one.name, one] as const))(
    '%s is not brought back, and nothing is replaced',
    async (_, one) => {
      const [house, good] = [
        await left('house.sqlite', 'kept'),
        await left('good.sqlite', ...Array.from({ length: 60 }, (_each, n) => `plan ${n}`)),
      ];
      const before = readFileSync(house);
      await expect(bringBack(hostileFile(one, good, folder), house, NOW)).rejects.toThrow(one.says);
      expect(readFileSync(house).equals(before)).toBe(true);
      expect(readdirSync(folder).filter((name) => name.includes('fresh'))).toEqual([]);
    },
  );

  it('with an entry that cannot be read is brought back where that is asked for: all the rest is there', async () => {
    const [house, good] = [await left('house.sqlite'), await left('good.sqlite', 'a', 'b', 'c')];
    const spoilt = hostileFile(
      HOSTILE.find(({ name }) => /no JSON/.test(name))!,
      good,
      folder,
    );
    expect(await bringBack(spoilt, house, NOW, true)).toMatchObject({ unreadable: [{ kind: 'plans' }] });
    expect((await titlesIn(house)).titles).toHaveLength(2);
  });
});
