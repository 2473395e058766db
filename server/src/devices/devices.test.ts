import fc from 'fast-check';
import { connect, type AddressInfo, type Socket } from 'node:net';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import { dial } from '../practice/dial';
import { createServer } from '../web/server';
import { createHub, type Heard } from './hub';
import { listenForDevices, type Devices } from './listener';
import { LineCutter, readLine } from './protocol';

describe('a line', () => {
  it.each([
    ['HELLO calliper practice-1', { is: 'hello', kind: 'calliper', name: 'practice-1' }],
    ['LEN 82.14 mm', { is: 'reading', kind: 'calliper', value: 82.14 }],
    ['MASS 47.3 g', { is: 'reading', kind: 'scale', value: 47.3 }],
    ['CLICK', { is: 'reading', kind: 'clicker', value: null }],
    ['CLICK\r', { is: 'reading', kind: 'clicker', value: null }],
  ])('%j is read', (line, said) => {
    expect(readLine(line)).toEqual(said);
  });

  it.each([
    '',
    'LEN',
    'LEN 82,14 mm',
    'LEN 82.14 in',
    'LEN -3 mm',
    'LEN 1e3 mm',
    'LEN NaN mm',
    'LEN 99999 mm',
    'LEN 8 mm mm',
    'MASS 47 mm',
    'CLICK 2',
    'HELLO ruler x',
    'HELLO calliper',
    'HELLO calliper a b',
    'HELLO calliper <b>',
    'GET / HTTP/1.1',
  ])('%j is told what would do', (line) => {
    expect(readLine(line)).toEqual({ is: 'fault', reason: expect.stringMatching(/\w{3}/) });
  });

  it('whatever it is, is read without failing', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (line) =>
        expect(['hello', 'reading', 'fault']).toContain(readLine(line).is),
      ),
    );
  });
});

it('lines come out whole, however they were cut on their way', () => {
  const line = fc
    .oneof(fc.constantFrom('CLICK', 'LEN 82.14 mm', '', 'ümlaut'), fc.string({ unit: 'grapheme', maxLength: 20 }))
    .map((text) => text.replace(/\n/g, ''));
  fc.assert(
    fc.property(fc.array(line, { maxLength: 8 }), fc.array(fc.nat(200), { maxLength: 10 }), (lines, cuts) => {
      const whole = Buffer.from(lines.map((one) => `${one}\n`).join('') + 'half a li');
      const places = [0, ...cuts.map((cut) => cut % (whole.length + 1)).sort((a, b) => a - b), whole.length];
      const cutter = new LineCutter();
      const out = places.slice(1).flatMap((to, index) => cutter.push(whole.subarray(places[index], to)));
      expect(out).toEqual(lines);
    }),
  );
});

it('a line without an end fills no memory, and the next one is read', () => {
  const cutter = new LineCutter();
  for (let piece = 0; piece < 1000; piece += 1) expect(cutter.push(Buffer.alloc(1000, 65))).toEqual([]);
  expect(cutter.push(Buffer.from('\nCLICK\n'))).toEqual([null, 'CLICK']);
  expect(cutter.push(Buffer.from([0xff, 0xfe, 10]))).toEqual([null]);
});

describe('at the port', () => {
  const hub = createHub();
  let devices: Devices;
  const heard: Heard[] = [];
  const lines: Socket[] = [];

  beforeAll(async () => {
    devices = await listenForDevices(hub, 0);
    hub.listen((one) => heard.push(one));
  });
  afterEach(async () => {
    for (const line of lines.splice(0)) line.destroy();
    await until(() => hub.devices().length === 0);
    heard.length = 0;
  });
  afterAll(() => devices.stop());

  async function until(is: () => boolean): Promise<void> {
    for (let tries = 0; tries < 300 && !is(); tries += 1) await new Promise((resolve) => setTimeout(resolve, 10));
    expect(is()).toBe(true);
  }

  /** A line to the port, with what was answered on it. */
  function line(): { write: (text: string | Buffer) => void; answers: () => string[]; socket: Socket } {
    const socket = connect(devices.port, '127.0.0.1');
    lines.push(socket);
    let text = '';
    socket.on('data', (chunk) => (text += chunk.toString()));
    socket.on('error', () => undefined);
    return { socket, write: (sent) => void socket.write(sent), answers: () => text.split('\n').filter(Boolean) };
  }
  const readings = () => heard.flatMap((one) => (one.is === 'reading' ? [one.reading] : []));

  it('a device names itself, and each of its readings is counted and passed on', async () => {
    const calliper = line();
    calliper.write('HELLO calliper practice-1\nLEN 82.14 mm\nLEN 7 mm\n');
    await until(() => readings().length === 2);
    expect(hub.devices()).toEqual([{ id: expect.any(String), kind: 'calliper', name: 'practice-1' }]);
    await until(() => calliper.answers().length === 3);
    expect(calliper.answers()).toEqual(['OK 0', 'OK 1', 'OK 2']);
    expect(readings()).toMatchObject([
      { kind: 'calliper', name: 'practice-1', value: 82.14 },
      { kind: 'calliper', value: 7 },
    ]);
    calliper.socket.destroy();
    await until(() => hub.devices().length === 0);
  });

  it('garbage changes nothing, and the next reading is taken', async () => {
    const scale = line();
    scale.write('HELLO scale kitchen\nMASS 4o g\n\u0000\u0001\nLEN 3 mm\nHELLO scale other\n');
    scale.write(Buffer.from([0xff, 0xff, 10]));
    scale.write('MASS 40 g\n');
    await until(() => scale.answers().length === 7);
    expect(scale.answers().map((answer) => answer.slice(0, 4).trim())).toEqual([
      'OK 0',
      'ERR',
      'ERR',
      'ERR',
      'ERR',
      'ERR',
      'OK 1',
    ]);
    expect(readings()).toHaveLength(1);
  });

  it('a browser that was sent to the port is no device', async () => {
    const page = line();
    page.write('POST / HTTP/1.1\r\nHost: x\r\n\r\nHELLO clicker page\nCLICK\n');
    await until(() => page.socket.destroyed || page.socket.readableEnded);
    expect(page.answers()).toHaveLength(1);
    expect(readings()).toEqual([]);
  });

  it('a flood is slowed down, and holds up nobody else', async () => {
    const flood = line();
    flood.write('HELLO clicker flood\n' + 'CLICK\n'.repeat(20_000));
    const other = line();
    other.write('HELLO calliper calm\nLEN 12 mm\n');
    await until(() => other.answers().length === 2);
    expect(other.answers()[1]).toBe('OK 1');
    const clicks = readings().filter(({ kind }) => kind === 'clicker').length;
    expect(clicks).toBeGreaterThan(0);
    // a burst may lie across a second's end or two
    expect(clicks).toBeLessThanOrEqual(300);
  });

  it('two of a kind are two; one going away in the middle of a line takes nothing with it', async () => {
    const [one, two] = [line(), line()];
    one.write('HELLO calliper a\n');
    two.write('HELLO calliper a\n');
    await until(() => hub.devices().length === 2);
    one.write('LEN 5');
    await new Promise((resolve) => setTimeout(resolve, 30));
    one.socket.destroy();
    await until(() => hub.devices().length === 1);
    two.write('LEN 6 mm\n');
    await until(() => readings().length === 1);
    expect(readings()[0]!.value).toBe(6);
  });

  it('a practice device dials in, says what it reads, and dials again when the line breaks', async () => {
    const practice = dial(devices.port, 'HELLO calliper practice-1');
    await until(() => practice.connected());
    expect(await practice.say('LEN 82.14 mm')).toBe('OK 1');
    expect(await practice.say('LEN wide mm')).toMatch(/^ERR /);
    practice.hangUp();
    await until(() => !practice.connected());
    expect(await practice.say('LEN 1 mm')).toMatch(/^not connected/);
  });
});

it('a page hears which devices are there, and what it missed while its line was broken', async () => {
  const { store, folder, done } = await freshStore();
  const hub = createHub();
  const device = hub.join({ kind: 'scale', name: 'kitchen' });
  [1, 2, 3].forEach((grams) => hub.read(device, grams));
  const app = createServer({ store, reckoner: hereAndNow, appRoot: `${folder}/none`, devices: { hub, port: 1 } });
  expect((await request(app).get('/api/devices')).body).toMatchObject({
    port: 1,
    devices: [{ kind: 'scale', name: 'kitchen' }],
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/devices/readings`;
  const ended = new AbortController();
  const answer = await fetch(address, { headers: { 'Last-Event-ID': '1' }, signal: ended.signal });
  const reader = answer.body!.getReader();
  let heard = '';
  while (!/id: 3\n.*\n.*\n/.test(heard)) heard += new TextDecoder().decode((await reader.read()).value);
  ended.abort();
  server.closeAllConnections();
  server.close();
  expect(heard).toContain('event: devices');
  expect(heard).not.toContain('id: 1\n');
  expect(heard).toMatch(/id: 2\nevent: reading\ndata: \{.*"value":2\}/);
  await done();
});
