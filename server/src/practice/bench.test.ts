import request from 'supertest';
import { createHub, type Heard } from '../devices/hub';
import { listenForDevices } from '../devices/listener';
import { practiceBench } from './bench';

it('each practice device dials in by its own line, and a press sends its reading', async () => {
  const hub = createHub();
  const heard: Heard[] = [];
  hub.listen((one) => heard.push(one));
  const devices = await listenForDevices(hub, 0);
  const { app, hangUp } = practiceBench(devices.port);
  for (let tries = 0; tries < 300 && hub.devices().length < 3; tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 10));
  expect(
    hub
      .devices()
      .map(({ kind, name }) => `${kind} ${name}`)
      .sort(),
  ).toEqual(['calliper practice-1', 'clicker practice-1', 'scale practice-1']);
  const press = (body: object) => request(app).post('/press').send(body);
  expect((await press({ kind: 'scale', value: 47.34 })).body).toEqual({ answer: 'OK 1' });
  expect((await press({ kind: 'clicker' })).body).toEqual({ answer: 'OK 1' });
  expect(heard.flatMap((one) => (one.is === 'reading' ? [[one.reading.kind, one.reading.value]] : []))).toEqual([
    ['scale', 47.3],
    ['clicker', null],
  ]);
  expect((await press({ kind: 'ruler', value: 3 })).status).toBe(422);
  expect((await press({ kind: 'scale', value: -3 })).status).toBe(422);
  expect((await request(app).get('/state')).body).toEqual({ calliper: true, scale: true, clicker: true });
  expect((await request(app).get('/')).text).toContain('Practice devices');
  hangUp();
  await devices.stop();
});

it('says that nobody is there where the program does not run', async () => {
  const { app, hangUp } = practiceBench(1);
  expect((await request(app).post('/press').send({ kind: 'clicker' })).body.answer).toMatch(/^not connected/);
  hangUp();
});
