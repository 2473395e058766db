import { TERN_POINT } from '@keep-snug/core/demo';
import { createClient } from '@libsql/client';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ChildServer } from './childServer';
import type { Proof } from './proof';
import { held, sent } from './sent';

const plan = Object.values(TERN_POINT.plans)[0]!;
const NEW = { 'If-None-Match': '*' };

const put = (url: string, title: string) => sent(`${url}/api/plans/${randomUUID()}`, 'PUT', { ...plan, title }, NEW);

interface Read {
  store: string;
  next: number;
  last: string;
  status: number;
}

async function changes(url: string, since = 0, last = ''): Promise<Read> {
  const answer = await sent(`${url}/api/changes?since=${since}${last ? `&last=${last}` : ''}`, 'GET');
  const { next = 0, last: mark = '' } = JSON.parse(answer.text) as { next?: number; last?: string };
  return { store: answer.headers.get('Keep-Snug-Store')!, next, last: mark, status: answer.status };
}

/** How often the server was started on a file that is not as it was, by what became of the file. */
type Case = (folder: string) => Promise<void>;

const wiped: Case = async (folder) => {
  const file = join(folder, 'house.sqlite');
  const server = new ChildServer(file);
  await server.start();
  await put(server.url, 'kept');
  const known = await changes(server.url);
  await server.stop();
  rmSync(file);
  await server.start();
  const met = await changes(server.url, known.next, known.last);
  await server.stop();
  held(met.store !== known.store, 'a file made anew bears the old name');
  held(met.status === 409, `a file made anew took an old cursor: ${met.status}`);
};

const olderCopy: Case = async (folder) => {
  const [file, copy] = [join(folder, 'house.sqlite'), join(folder, 'copy.sqlite')];
  const server = new ChildServer(file);
  await server.start();
  await put(server.url, 'before');
  const before = await changes(server.url);
  await server.stop();
  copyFileSync(file, copy);
  await server.start();
  for (const title of ['after', 'later']) await put(server.url, title);
  const after = await changes(server.url);
  await server.stop();
  copyFileSync(copy, file);
  await server.start();
  held((await changes(server.url, after.next, after.last)).status === 409, 'an older copy took a later cursor');
  for (const title of ['another', 'branch']) await put(server.url, title);
  held((await changes(server.url, after.next, after.last)).status === 409, 'a copy written on took the old cursor');
  held((await changes(server.url, before.next, before.last)).status === 200, 'what both have in common is not known');
  await server.stop();
};

/** @returns what the program said when it would not start */
async function refusal(file: string): Promise<string> {
  const server = new ChildServer(file);
  const said = await server.start().then(
    () => '',
    (error: Error) => error.message,
  );
  await server.stop();
  held(said !== '', `it started on ${file}`);
  held(!/SQLITE_|SELECT|at \S+:\d+:\d+/.test(said), `it spoke of what is inside: ${said}`);
  return said;
}

const newerSchema: Case = async (folder) => {
  const file = join(folder, 'house.sqlite');
  const server = new ChildServer(file);
  await server.start();
  await server.stop();
  const client = createClient({ url: `file:${file}` });
  await client.execute(`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', ${Date.now() * 2})`);
  client.close();
  const said = await refusal(file);
  held(said.includes('newer Keep Snug'), said);
};

const mount = (...args: string[]) => execFileSync('mount', args, { stdio: 'pipe' });

async function onSmallDisk(folder: string, work: (disk: string) => Promise<void>): Promise<void> {
  const disk = join(folder, 'disk');
  mkdirSync(disk);
  mount('-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', disk);
  try {
    await work(disk);
  } finally {
    execFileSync('umount', ['-l', disk]);
  }
}

const fullDisk: Case = (folder) =>
  onSmallDisk(folder, async (disk) => {
    const server = new ChildServer(join(disk, 'house.sqlite'));
    await server.start();
    const kept: string[] = [];
    let refused = 0;
    for (let n = 0; n < 3000 && refused < 5; n += 1) {
      const title = `plan ${n}`;
      const answer = await put(server.url, title);
      if (answer.ok) kept.push(title);
      else {
        refused += 1;
        held(answer.status === 503 && answer.text.includes('no room left'), `${answer.status} ${answer.text}`);
      }
    }
    held(refused > 0, 'the disk was never full');
    held((await sent(`${server.url}/api/health`, 'GET')).status === 503, 'a full disk is healthy');
    const code = await server.stop();
    // one line of what is wrong, and never where in the program
    held(
      code === 0 || (code === 1 && server.said.trim().split('\n').length === 1),
      `ended with ${code}: ${server.said}`,
    );
    held(!/^\s+at /m.test(server.said), server.said);
    copyFileSync(join(disk, 'house.sqlite'), join(folder, 'rescued.sqlite'));
    if (existsSync(join(disk, 'house.sqlite-wal')))
      copyFileSync(join(disk, 'house.sqlite-wal'), join(folder, 'rescued.sqlite-wal'));
    const rescued = new ChildServer(join(folder, 'rescued.sqlite'));
    await rescued.start();
    const { text } = await sent(`${rescued.url}/api/plans`, 'GET');
    await rescued.stop();
    const titles = new Set((JSON.parse(text) as { body: { title: string } }[]).map(({ body }) => body.title));
    held(
      kept.every((title) => titles.has(title)),
      'what was acknowledged before the disk was full is gone',
    );
  });

const readOnly: Case = (folder) =>
  onSmallDisk(folder, async (disk) => {
    const file = join(disk, 'house.sqlite');
    const server = new ChildServer(file);
    await server.start();
    await server.stop();
    mount('-o', 'remount,ro', disk);
    const said = await refusal(file);
    held(/cannot be written to|cannot be opened/.test(said) && said.includes(file), said);
  });

/** Whether a small disk can be had here: that takes the rights of the machine's owner. */
function mayMount(): boolean {
  const probe = mkdtempSync(join(tmpdir(), 'keep-snug-probe-'));
  try {
    mount('-t', 'tmpfs', '-o', 'size=64k', 'tmpfs', probe);
    execFileSync('umount', [probe]);
    return true;
  } catch {
    return false;
  } finally {
    rmSync(probe, { recursive: true, force: true });
  }
}

/** The server started on a file that is not as it was left. */
export const files: Proof = {
  id: 'files',
  says: 'a wiped, older, newer, full or guarded file is told, and loses nothing acknowledged',
  run: async () => {
    const cases: Record<string, Case> = { wiped, 'older copy': olderCopy, 'newer schema': newerSchema };
    const disks: Record<string, Case> = { 'full disk': fullDisk, 'read-only': readOnly };
    const ran = mayMount() ? { ...cases, ...disks } : cases;
    for (const [name, work] of Object.entries(ran)) {
      const folder = mkdtempSync(join(tmpdir(), 'keep-snug-files-'));
      await work(folder).catch((error: Error) => {
        throw new Error(`${name}: ${error.message}`);
      });
      rmSync(folder, { recursive: true, force: true });
    }
    const left =
      ran === cases ? `; not tried, since no disk may be mounted here: ${Object.keys(disks).join(', ')}` : '';
    return `${Object.keys(ran).join(', ')}${left}`;
  },
};
