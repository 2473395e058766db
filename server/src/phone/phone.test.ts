import { X509Certificate } from 'node:crypto';
import { statSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { connect, createServer as createTlsServer } from 'node:tls';
import { get } from 'node:https';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import type { Store } from '../store';
import { pairedDevices } from '../store/schema';
import { createServer } from '../web/server';
import { addressesNow, namesNow } from './addresses';
import { authorityAt, leafFor } from './authority';
import {
  createKeys,
  listenForPhones,
  MOST_WRONG,
  pairedDevicesOf,
  removedDevicesAt,
  type Keys,
  type Phones,
} from './index';
import { TOKEN_MS } from './keys';

const PASSPHRASE = 'four words on a shelf';
let store: Store;
let folder: string;
let end: () => void;
let now = 0;
let keys: Keys;
/** From beyond this machine, and on it. */
let beyond: ReturnType<typeof createServer>;
let here: ReturnType<typeof createServer>;

beforeEach(async () => {
  const fresh = await freshStore();
  ({ store, folder } = fresh);
  end = fresh.done;
  now = Date.now();
  keys = createKeys(PASSPHRASE, () => now);
  const phones: Phones = {
    keys,
    devices: pairedDevicesOf(store),
    line: () => ({ url: () => 'https://192.0.2.7:8133', certificate: 'a certificate' }),
  };
  const parts = { store, reckoner: hereAndNow, appRoot: `${folder}/no-app`, phones };
  beyond = createServer({ ...parts, isHere: () => false });
  here = createServer(parts);
});
afterEach(() => end());

const pair = (fields: Record<string, string>) => request(beyond).post('/pair').type('form').send(fields);
const cookieOf = (res: request.Response): string => String(res.headers['set-cookie']?.[0]).split(';')[0]!;
const pairedCookie = async () => cookieOf(await pair({ token: keys.newToken(), name: 'phone on the sofa' }));

const READ = [
  '/',
  '/days',
  '/plan/1',
  '/index.html',
  '/sw.js',
  '/manifest.webmanifest',
  '/api/plans',
  '/api/makes',
  '/api/hours',
  '/api/changes?since=0',
  '/api/everything',
  '/api/bench',
  '/api/deleted',
  '/api/health',
  '/api/paired',
  '/api/devices',
  '/api/devices/readings',
  '/api/events?make=1&since=0',
  '/api/plans/b0000000-0000-4000-8000-000000000001/pattern.pdf',
  '/api/nonsense',
];
const WRITTEN = [
  '/api/plans/1',
  '/api/events',
  '/api/reckon',
  '/api/ways',
  '/api/mend',
  '/api/repeat',
  '/api/paper',
  '/api/paired/codes',
];

/** The body as it came. */
function whole(res: request.Response, done: (error: Error | null, body: string) => void): void {
  let all = '';
  const stream = res as unknown as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => (all += part.toString()));
  stream.on('end', () => done(null, all));
}

describe('who was not let in', () => {
  it.each(READ)('reads nothing at %s', async (path) => {
    const { status, headers, text } = await request(beyond).get(path);
    expect([303, 401]).toContain(status);
    if (status === 303) expect(headers.location).toBe('/pair');
    expect(headers['keep-snug-store']).toBeUndefined();
    expect(text).not.toContain('keep-snug.plan');
  });

  it.each(WRITTEN)('writes nothing at %s', async (path) => {
    for (const method of ['post', 'put', 'patch', 'delete'] as const)
      expect((await request(beyond)[method](path).send({})).status).toBe(401);
  });

  it('reads nothing with a made-up cookie', async () => {
    for (const cookie of ['keep-snug=', 'keep-snug=x', 'keep-snug=%00', 'other=1; keep-snug=abc'])
      expect((await request(beyond).get('/api/plans').set('Cookie', cookie)).status).toBe(401);
  });

  it('may see how to be let in, and the certificate, and nothing else', async () => {
    expect((await request(beyond).get('/pair')).text).toContain('Passphrase');
    expect((await request(beyond).get('/trust')).text).toContain('profile');
    const { body, headers } = await request(beyond).get('/trust/keep-snug.crt').buffer(true).parse(whole);
    expect([body, headers['content-type']]).toEqual(['a certificate', 'application/x-x509-ca-cert']);
  });

  it('finds what is written in the address as text', async () => {
    const { text } = await request(beyond).get('/pair?token=%22%3E%3Cscript%3E');
    expect(text).not.toContain('"><script>');
  });
});

describe('a code', () => {
  it('lets one device in, once', async () => {
    const token = keys.newToken();
    const res = await pair({ token, name: 'phone on the sofa' });
    expect(res.status).toBe(200);
    expect(res.headers['set-cookie']![0]).toMatch(/HttpOnly.*SameSite=Strict/);
    expect((await pair({ token, name: 'another' })).status).toBe(403);
    const { status, body } = await request(beyond).get('/api/paired').set('Cookie', cookieOf(res));
    expect(status).toBe(200);
    expect(body.devices).toMatchObject([{ name: 'phone on the sofa', isThis: true }]);
    expect(JSON.stringify(body)).not.toContain(cookieOf(res).split('=')[1]);
  });

  it('is good for ten minutes', async () => {
    const token = keys.newToken();
    now += TOKEN_MS + 1;
    expect((await pair({ token })).status).toBe(403);
  });

  it('is shown on this machine only', async () => {
    const cookie = await pairedCookie();
    expect((await request(beyond).post('/api/paired/codes').set('Cookie', cookie)).status).toBe(409);
    const { status, body } = await request(here).post('/api/paired/codes');
    expect(status).toBe(200);
    expect(body).toMatchObject({ address: 'https://192.0.2.7:8133', picture: expect.stringContaining('<svg') });
    const token = new URL(body.url).searchParams.get('token')!;
    expect((await pair({ token })).status).toBe(200);
  });
});

describe('the passphrase', () => {
  it('lets in who knows it', async () => {
    expect((await pair({ passphrase: PASSPHRASE, name: 'tablet' })).status).toBe(200);
    expect((await pair({ passphrase: PASSPHRASE.toUpperCase() })).status).toBe(403);
  });

  it('is slow to guess: after some tries even the right one must wait', async () => {
    for (let guess = 0; guess < MOST_WRONG.each; guess += 1)
      expect((await pair({ passphrase: `guess ${guess}` })).status).toBe(403);
    expect((await pair({ passphrase: 'one more' })).status).toBe(429);
    expect((await pair({ passphrase: PASSPHRASE })).status).toBe(429);
  });

  it('is refused from another page', async () => {
    const { status } = await pair({ passphrase: PASSPHRASE }).set('Origin', 'https://elsewhere.example');
    expect(status).toBe(403);
  });
});

describe('a paired device', () => {
  it('reads and writes, is named, and is refused once it is removed', async () => {
    const cookie = await pairedCookie();
    const asked = (path: string) => request(beyond).get(path).set('Cookie', cookie);
    expect((await asked('/api/plans')).status).toBe(200);
    const [{ id }] = (await asked('/api/paired')).body.devices as [{ id: string }];
    expect((await request(here).patch(`/api/paired/${id}`).send({ name: 'tablet' })).status).toBe(204);
    expect((await request(here).patch(`/api/paired/${id}`).send({ name: ' ' })).status).toBe(422);
    expect((await request(here).get('/api/paired')).body.devices).toMatchObject([{ name: 'tablet', isThis: false }]);
    expect((await request(here).delete(`/api/paired/${id}`)).status).toBe(204);
    expect((await request(here).delete(`/api/paired/${id}`)).status).toBe(404);
    expect((await asked('/api/plans')).status).toBe(401);
  });

  it('that was removed stays out when an older copy of the data is brought back, and what went on for it is cut', async () => {
    const place = `${folder}/removed`;
    const devices = pairedDevicesOf(store, removedDevicesAt(place));
    const { id, token } = await devices.add('sofa');
    const kept = await store.db.select().from(pairedDevices);
    const end = jest.fn();
    devices.goesOn(id, end);
    expect(await devices.bearing(token)).toMatchObject({ id });
    await devices.revoke(id);
    expect(end).toHaveBeenCalledTimes(1);
    await store.db.insert(pairedDevices).values(kept);
    const later = pairedDevicesOf(store, removedDevicesAt(place));
    expect(await later.bearing(token)).toBeUndefined();
    expect(await later.list()).toEqual([]);
    expect(statSync(place).mode & 0o077).toBe(0);
  });
});

describe('the certificate', () => {
  it('is vouched for by an authority that is made once and readable by its owner alone', async () => {
    const place = `${folder}/authority`;
    const authority = await authorityAt(place, ['localhost'], ['192.0.2.7']);
    expect(authority.isNew).toBe(true);
    expect(await authorityAt(place, ['localhost'], [])).toMatchObject({ cert: authority.cert, isNew: false });
    expect(statSync(`${place}.key`).mode & 0o077).toBe(0);
    const leaf = new X509Certificate((await leafFor(authority, ['localhost'], ['127.0.0.1', '192.0.2.7'])).cert);
    const root = new X509Certificate(authority.cert);
    expect(root.ca).toBe(true);
    expect(leaf.ca).toBe(false);
    expect(leaf.verify(root.publicKey)).toBe(true);
    expect(leaf.subjectAltName).toContain('192.0.2.7');
    const days = (Date.parse(leaf.validTo) - Date.parse(leaf.validFrom)) / 86_400_000;
    expect(days).toBeLessThanOrEqual(397);
  });

  it('is another, to be trusted anew, once this machine is called by a name it was not made for', async () => {
    const place = `${folder}/authority`;
    const first = await authorityAt(place, ['localhost'], ['10.0.0.7']);
    const [other, again] = [
      await authorityAt(place, ['localhost', 'loft'], []),
      await authorityAt(place, ['loft'], []),
    ];
    expect([other.isNew, again.isNew]).toEqual([true, false]);
    expect(other.cert).not.toBe(first.cert);
    expect(['loft', '10.1.2.3', '192.168.4.5', 'fd00::7', 'bank.example', '8.8.8.8'].map(other.mayVouchFor)).toEqual([
      true,
      true,
      true,
      true,
      false,
      false,
    ]);
  });

  it('of a stolen key makes nobody believed elsewhere', async () => {
    const authority = await authorityAt(`${folder}/authority`, ['localhost'], []);
    const believed = async (name: string, address: string) => {
      const leaf = await leafFor(authority, [name], [address]);
      const server = createTlsServer(leaf, (socket) => socket.end()).listen(0, '127.0.0.1');
      await new Promise((resolve) => server.once('listening', resolve));
      const { port } = server.address() as AddressInfo;
      const said = await new Promise<string>((resolve) => {
        const socket = connect({ host: '127.0.0.1', port, ca: authority.cert, servername: name }, () =>
          resolve('taken'),
        );
        socket.on('error', ({ message }) => resolve(message));
      });
      await new Promise((resolve) => server.close(resolve));
      return said;
    };
    expect(await believed('localhost', '127.0.0.1')).toBe('taken');
    expect(await believed('localhost', '192.168.1.9')).toBe('taken');
    expect(await believed('bank.example', '127.0.0.1')).toMatch(/permitted subtree/);
    expect(await believed('localhost', '8.8.8.8')).toMatch(/permitted subtree/);
  });

  it('is taken by whoever knows the authority, under every address of this machine', async () => {
    const line = await listenForPhones(here, 0, `${folder}/authority`);
    const answer = (host: string) =>
      new Promise<number>((resolve, reject) =>
        get({ host, port: line.port, path: '/pair', ca: line.certificate, servername: '' }, (res) => {
          res.resume();
          resolve(res.statusCode!);
        }).on('error', reject),
      );
    for (const host of ['127.0.0.1', ...addressesNow().slice(0, 2)])
      expect([host, await answer(host)]).toEqual([host, 200]);
    expect(namesNow()).toContain('localhost');
    expect(line.url()).toMatch(/^https:\/\/.*:\d+$/);
    await line.stop();
  });
});
