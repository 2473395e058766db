import { TERN_POINT } from '@keep-snug/core/demo';
import { execFileSync, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { HOSTILE, hostileFile } from '../server/src/fixtures/hostile';
import { documentStore, openStore } from '../server/src/store';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { held, sent } from './sent';

const ROOT = fileURLToPath(new URL('../', import.meta.url));
const plan = Object.values(TERN_POINT.plans)[0]!;
const PLANS = 60;

async function house(file: string): Promise<void> {
  const store = await openStore(file);
  for (let n = 0; n < PLANS; n += 1)
    await documentStore(store).put('plans', randomUUID(), 0, { ...plan, title: `plan ${n}` });
  await store.close();
}

function restored(file: string, from: string): { ok: boolean; said: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['server/.cache/copies.mjs', 'restore', from], {
    cwd: ROOT,
    env: { ...process.env, KEEP_SNUG_DATA: file },
    encoding: 'utf8',
  });
  return { ok: status === 0, said: stdout + stderr };
}

/** Backups as they lie about, and copies of a folder in which a server still writes. */
export const restores: Proof = {
  id: 'restores',
  says: 'no hostile file is brought back nor changes anything, and a copy with its log is brought back whole',
  run: async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-restores-'));
    try {
      const [own, good] = [join(folder, 'own.sqlite'), join(folder, 'good.sqlite')];
      await house(own);
      await house(good);
      const before = readFileSync(own);
      for (const one of HOSTILE) {
        const { ok, said } = restored(own, hostileFile(one, good, folder));
        held(!ok && one.says.test(said), `a file ${one.name} was answered: ${said.slice(0, 200)}`);
        held(!/^\s+at /m.test(said), `a file ${one.name} was answered with where in the program it failed`);
        held(readFileSync(own).equals(before), `a file ${one.name} changed the house`);
      }
      // a server that is killed leaves what it wrote last in the log beside its file
      const running = new ChildServer(join(folder, 'running.sqlite'));
      await running.start();
      for (let n = 0; n < 20; n += 1)
        await sent(`${running.url}/api/plans/${randomUUID()}`, 'PUT', plan, { 'If-None-Match': '*' });
      await running.kill();
      cpSync(join(folder, 'running.sqlite'), join(folder, 'copied.sqlite'));
      cpSync(join(folder, 'running.sqlite-wal'), join(folder, 'copied.sqlite-wal'));
      held(restored(own, join(folder, 'copied.sqlite')).ok, 'a copy with its log was not brought back');
      const store = await openStore(own);
      const { length } = await documentStore(store).list('plans');
      await store.close();
      held(length === 20, `${length} of 20 plans came back`);
      // twice: what was laid aside is whole too
      held(
        execFileSync('sh', ['-c', `ls ${folder}/own.sqlite.2*`], { encoding: 'utf8' }).trim() !== '',
        'nothing was laid aside',
      );
      return `${HOSTILE.length} hostile files refused, 20 of 20 plans out of a log`;
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
