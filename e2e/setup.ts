import { execFileSync, spawn } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { SEED } from './testServer';

const ROOT = fileURLToPath(new URL('../', import.meta.url));

/** Once before all journeys: the server as one file, and the sample data laid by the program as it is started. */
export default async function setup(): Promise<void> {
  execFileSync('npm', ['run', '-s', 'bundle'], { cwd: ROOT, stdio: 'inherit' });
  mkdirSync(dirname(SEED), { recursive: true });
  for (const end of ['', '-wal', '-shm']) rmSync(SEED + end, { force: true });
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts', '--demo'], {
    cwd: ROOT,
    env: { ...process.env, PORT: '0', KEEP_SNUG_DEVICES: 'off', KEEP_SNUG_DATA: SEED },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\S+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  const health = await fetch(`${url}/api/health`);
  if (!health.ok) throw new Error(`the server is not well: ${health.status}`);
  child.kill('SIGTERM');
  if ((await ended) !== 0) throw new Error('the server did not stop as it should');
}
