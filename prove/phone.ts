import { TERN_POINT } from '@keep-snug/core/demo';
import { execFile, execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { promisify } from 'node:util';
import { randomUUID, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { connect } from 'node:tls';
import { fileURLToPath } from 'node:url';
import type { Proof } from './proof';
import { held } from './sent';

const ROOT = fileURLToPath(new URL('../', import.meta.url));
const PASSPHRASE = 'a row of four words';
const [PLAN_ID, plan] = Object.entries(TERN_POINT.plans)[0]!;
const [MAKE_ID, make] = Object.entries(TERN_POINT.makes)[0]!;

interface Answer {
  status: number;
  text: string;
  cookie: string;
}

/** A house line of its own: this machine at one end, a client in a namespace at the other. */
class HouseLine {
  private readonly mark = String(process.pid % 10_000);
  private readonly namespace = `snug${this.mark}`;
  private readonly own = `snug-a${this.mark}`;
  private readonly net = `10.203.${process.pid % 250}`;
  readonly here = `${this.net}.1`;
  readonly later = `${this.net}.9`;

  /** @returns why this machine lets nobody lay such a line; nothing where it does */
  open(): string | undefined {
    try {
      this.ip('netns', 'add', this.namespace);
    } catch (error) {
      return `this machine makes no network namespace (${(error as Error).message.split('\n')[0]})`;
    }
    const other = `snug-b${this.mark}`;
    this.ip('link', 'add', this.own, 'type', 'veth', 'peer', 'name', other);
    this.ip('link', 'set', other, 'netns', this.namespace);
    this.ip('addr', 'add', `${this.here}/24`, 'dev', this.own);
    this.ip('link', 'set', this.own, 'up');
    this.within('ip', 'addr', 'add', `${this.net}.2/24`, 'dev', other);
    this.within('ip', 'link', 'set', other, 'up');
    this.within('ip', 'link', 'set', 'lo', 'up');
    return undefined;
  }

  /** One more address of this machine. */
  more(): void {
    this.ip('addr', 'add', `${this.later}/24`, 'dev', this.own);
  }

  /** What a client beyond this machine is answered: meanwhile this process goes on, and its own connections are kept alive. */
  async asked(certificate: string, asks: readonly object[]): Promise<Answer[]> {
    const said = await this.beyond(
      process.execPath,
      '--import',
      'tsx',
      'prove/phoneClient.ts',
      certificate,
      JSON.stringify(asks),
    );
    return JSON.parse(said) as Answer[];
  }

  /**
   * A client beyond this machine that listens until the line is cut.
   * @returns once the server has begun to answer: what it is told in the end
   */
  async listening(certificate: string, ask: object): Promise<{ ended: Promise<Answer>; leave: () => void }> {
    const words = ['netns', 'exec', this.namespace, process.execPath, '--import', 'tsx', 'prove/phoneClient.ts'];
    const child = spawn('ip', [...words, certificate, JSON.stringify([{ ...ask, stream: true }])], { cwd: ROOT });
    let said = '';
    child.stdout.on('data', (part: Buffer) => (said += part.toString()));
    const ended = once(child, 'close').then(() => (JSON.parse(said || '[{"status":-1}]') as Answer[])[0]!);
    await Promise.race([once(child.stderr, 'data'), ended]);
    return { ended, leave: () => void child.kill() };
  }

  close(): void {
    for (const words of [
      ['link', 'del', this.own],
      ['netns', 'del', this.namespace],
    ])
      try {
        this.ip(...words);
      } catch {
        // it was never there
      }
  }

  private ip(...words: string[]): string {
    return execFileSync('ip', words, { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
  }

  private async beyond(...words: string[]): Promise<string> {
    const { stdout } = await promisify(execFile)('ip', ['netns', 'exec', this.namespace, ...words], {
      cwd: ROOT,
      encoding: 'utf8',
      maxBuffer: 64_000_000,
    });
    return stdout;
  }

  private within(...words: string[]): string {
    return execFileSync('ip', ['netns', 'exec', this.namespace, ...words], {
      cwd: ROOT,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'inherit'],
      maxBuffer: 64_000_000,
    });
  }
}

/** As from the command line: a process of its own, which lets go of the file. */
const copies = (command: 'backup' | 'restore', file: string, named: string) =>
  promisify(execFile)(process.execPath, ['server/.cache/copies.mjs', command, named], {
    cwd: ROOT,
    env: { ...process.env, KEEP_SNUG_DATA: file },
  });

/** The program with its line for phones, and what it printed of it. */
async function started(
  file: string,
  port = 0,
): Promise<{ child: ChildProcess; local: string; phonePort: number; code: string }> {
  const child = spawn(process.execPath, ['server/.cache/main.mjs', '--phone'], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: '0',
      KEEP_SNUG_PHONE: String(port),
      KEEP_SNUG_DEVICES: 'off',
      KEEP_SNUG_DATA: file,
      KEEP_SNUG_PASSPHRASE: PASSPHRASE,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  await new Promise<void>((resolve, reject) => {
    child.stdout!.on('data', (part: Buffer) => {
      said += part.toString();
      if (said.includes('Without a camera')) resolve();
    });
    child.once('close', () => reject(new Error(`ended: ${said}`)));
  });
  const local = /http:\/\/127\.0\.0\.1:\d+/.exec(said)![0];
  const code = /Without a camera: (\S+)/.exec(said)![1]!;
  return { child, local, phonePort: Number(new URL(code).port), code: new URL(code).searchParams.get('token')! };
}

const READ = [
  '/',
  '/index.html',
  '/sw.js',
  '/days',
  '/api/plans',
  `/api/plans/${PLAN_ID}`,
  '/api/makes',
  '/api/things',
  '/api/yarns',
  '/api/swatches',
  '/api/hours',
  '/api/batches',
  '/api/changes?since=0',
  '/api/everything',
  '/api/bench',
  '/api/deleted',
  '/api/health',
  '/api/paired',
  '/api/devices',
  '/api/devices/readings',
  `/api/events?make=${MAKE_ID}&since=0`,
  `/api/plans/${PLAN_ID}/pattern.pdf`,
  '/api/../api/plans',
  '/%61pi/plans',
  '//api/plans',
  '/pair/../api/plans',
  '/trust/..%2fapi/plans',
  '/API/plans',
  '/api/plans/',
];
const WRITTEN = [
  ['PUT', `/api/plans/${PLAN_ID}`],
  ['DELETE', `/api/plans/${PLAN_ID}`],
  ['PUT', `/api/makes/${randomUUID()}`],
  ['POST', '/api/events'],
  ['POST', '/api/reckon'],
  ['POST', '/api/ways'],
  ['POST', '/api/mend'],
  ['POST', '/api/repeat'],
  ['POST', '/api/paper'],
  ['POST', '/api/paired/codes'],
  ['DELETE', `/api/paired/${randomUUID()}`],
] as const;
const GUESSES = 12;
const form = 'application/x-www-form-urlencoded';
const json = 'application/json';

/** The names a certificate vouches for at an address. */
const vouchedAt = (host: string, port: number, ca: string): Promise<string> =>
  new Promise((resolve, reject) => {
    const socket = connect({ host, port, ca, servername: '' }, () => {
      resolve(new X509Certificate(socket.getPeerCertificate().raw).subjectAltName ?? '');
      socket.destroy();
    });
    socket.on('error', reject);
  });

/** What a phone in the house's network may do, before it is paired, while it is, and after. */
export const phone: Proof = {
  id: 'phone',
  says: 'beyond this machine nothing is read or written without pairing, guesses are slowed, and a removed phone is refused',
  run: async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keep-snug-phone-'));
    const line = new HouseLine();
    let child: ChildProcess | undefined;
    try {
      const cannot = line.open();
      if (cannot) return `not shown here: ${cannot}`;
      const run = await started(join(folder, 'house.sqlite'));
      ({ child } = run);
      const put = async (path: string, body: object) => {
        const answer = await fetch(`${run.local}/api${path}`, {
          method: 'PUT',
          headers: { 'Content-Type': json, 'If-None-Match': '*' },
          body: JSON.stringify(body),
        });
        held(answer.ok, `${path} was answered ${answer.status}`);
      };
      await put(`/plans/${PLAN_ID}`, plan);
      await put(`/makes/${MAKE_ID}`, make);
      const certificate = join(folder, 'keep-snug-authority.crt');
      const base = `https://${line.here}:${run.phonePort}`;
      const ask = (asks: readonly object[]) => line.asked(certificate, asks);

      const unpaired = await ask([
        ...READ.map((path) => ({ url: base + path, method: 'GET' })),
        ...WRITTEN.map(([method, path]) => ({ url: base + path, method, body: '{}', type: json })),
        { url: run.local.replace('http', 'tcp').replace('127.0.0.1', line.here), method: 'GET' },
      ]);
      const plain = unpaired.pop()!;
      held(plain.status === 0, `the plain line was reached from beyond this machine: ${plain.text}`);
      unpaired.forEach(({ status, text }, index) => {
        const what = [...READ, ...WRITTEN.map(([, path]) => path)][index];
        held([303, 401, 404].includes(status), `${what} was answered ${status}: ${text.slice(0, 80)}`);
        held(!text.includes(plan.title) && !text.includes('<div id="root"'), `${what} told of the house`);
      });

      const paired = (
        await ask([{ url: `${base}/pair`, method: 'POST', type: form, body: `token=${run.code}&name=sofa` }])
      )[0]!;
      held(
        paired.status === 200 && /HttpOnly; Secure; SameSite=Strict/.test(paired.cookie),
        `pairing: ${paired.status} ${paired.cookie}`,
      );
      const cookie = paired.cookie.split(';')[0]!;
      const tick = {
        id: randomUUID(),
        make: MAKE_ID,
        device: randomUUID(),
        at: '2026-03-01T20:00:00Z',
        n: 1,
        kind: 'ticked',
        step: 'body-foundation',
        under: null,
      };
      const [again, home, ticked] = (await ask([
        { url: `${base}/pair`, method: 'POST', type: form, body: `token=${run.code}&name=other` },
        { url: `${base}/api/plans`, method: 'GET', cookie },
        { url: `${base}/api/events`, method: 'POST', type: json, body: JSON.stringify([tick]), cookie },
      ])) as [Answer, Answer, Answer];
      held(again.status === 403, `a code let in two: ${again.status}`);
      held(home.status === 200 && home.text.includes(plan.title), `a paired phone was answered ${home.status}`);
      held(ticked.status < 300, `a tick from the phone was answered ${ticked.status}`);
      const events = await (await fetch(`${run.local}/api/events?make=${MAKE_ID}&since=0`)).text();
      held(events.includes(tick.id), 'the tick from the phone did not arrive');

      const guesses = await ask(
        Array.from({ length: GUESSES }, (_, guess) => ({
          url: `${base}/pair`,
          method: 'POST',
          type: form,
          body: `passphrase=guess+${guess}`,
        })),
      );
      const tried = guesses.filter(({ status }) => status === 403).length;
      held(tried <= 5 && guesses.at(-1)!.status === 429, `${tried} of ${GUESSES} guesses were tried`);
      const right = (
        await ask([
          { url: `${base}/pair`, method: 'POST', type: form, body: `passphrase=${PASSPHRASE.replace(/ /g, '+')}` },
        ])
      )[0]!;
      held(right.status === 429, `after too many guesses the next was answered ${right.status}`);

      line.more();
      const ca = readFileSync(certificate, 'utf8');
      let names = '';
      // looked for as long as it takes: a slow machine looks later whether it has other addresses
      for (let wait = 0; wait < 300 && !names.includes(line.later); wait += 1) {
        await setTimeout(1000);
        names = await vouchedAt(line.here, run.phonePort, ca);
      }
      held(names.includes(line.later), `the certificate did not follow the machine’s addresses: ${names}`);

      const told = (await (await fetch(`${run.local}/api/paired`)).json()) as {
        devices: { id: string; name: string }[];
      };
      held(told.devices.length === 1 && told.devices[0]!.name === 'sofa', 'the phone is not listed');
      const backup = join(folder, 'backup.sqlite');
      await copies('backup', join(folder, 'house.sqlite'), backup);
      const stream = await line.listening(certificate, {
        url: `${base}/api/devices/readings`,
        method: 'GET',
        cookie,
      });
      held(
        await Promise.race([stream.ended.then(() => false), setTimeout(300, true)]),
        'the stream of a paired phone did not stay open',
      );
      await fetch(`${run.local}/api/paired/${told.devices[0]!.id}`, { method: 'DELETE' });
      const cut = await Promise.race([stream.ended, setTimeout(60_000)]);
      stream.leave();
      held(cut?.status === 0, 'the stream of a removed phone goes on');
      const [refused] = (await ask([{ url: `${base}/api/plans`, method: 'GET', cookie }])) as [Answer];
      held(refused.status === 401, `a removed phone was answered ${refused.status}`);
      // an older copy of the data lets nobody in again
      child.kill('SIGTERM');
      await new Promise((resolve) => child!.once('exit', resolve));
      await copies('restore', join(folder, 'house.sqlite'), backup);
      const second = await started(join(folder, 'house.sqlite'), run.phonePort);
      ({ child } = second);
      const [still] = (await ask([{ url: `${base}/api/plans`, method: 'GET', cookie }])) as [Answer];
      held(still.status === 401, `after an older backup a removed phone was answered ${still.status}`);
      return `${READ.length} reads and ${WRITTEN.length} writes refused, ${tried} guesses before it was slowed`;
    } finally {
      child?.kill('SIGTERM');
      line.close();
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
