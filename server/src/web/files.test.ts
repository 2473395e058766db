import express from 'express';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import request from 'supertest';
import { hereAndNow } from '../fixtures/reckoner';
import { freshStore } from '../fixtures/store';
import { appFiles, inlineScriptHashes } from './files';
import { createServer } from './server';

const folder = mkdtempSync(join(tmpdir(), 'keep-snug-app-'));
const inline = 'start()';

beforeAll(() => {
  writeFileSync(join(folder, 'index.html'), `<html><script>${inline}</script><script src="/a.js"></script></html>`);
  writeFileSync(join(folder, `entry-${'0'.repeat(32)}.js`), '1');
  writeFileSync(join(folder, 'plain.js'), '1');
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const server = () => express().use(appFiles(folder));

describe('the app’s files', () => {
  it('are one page for every place of the app', async () => {
    for (const path of ['/', '/things', '/plan/7']) {
      const answer = await request(server()).get(path);
      expect([answer.status, answer.type]).toEqual([200, 'text/html']);
    }
  });

  it('are not found where a file is meant and is missing, or lies outside', async () => {
    expect((await request(server()).get('/missing.js')).status).toBe(404);
    expect((await request(server()).get('/..%2f..%2fetc%2fpasswd.txt')).status).toBeGreaterThanOrEqual(400);
  });

  it('are asked for by an address that can be read, or refused in the form of every refusal', async () => {
    const answer = await request(server()).get('/%E0%A4%A');
    expect([answer.status, answer.type]).toEqual([400, 'application/problem+json']);
  });

  it('are kept by the browser only where their name changes with their content', async () => {
    const hashed = await request(server()).get(`/entry-${'0'.repeat(32)}.js`);
    expect(hashed.headers['cache-control']).toMatch(/immutable/);
    expect((await request(server()).get('/plain.js')).headers['cache-control']).toBe('no-cache');
    expect((await request(server()).get('/')).headers['cache-control']).toBe('no-cache');
  });

  it('come compressed as they were when built, to a browser that can read it', async () => {
    const file = `page-${'1'.repeat(32)}.js`;
    writeFileSync(join(folder, file), 'long()');
    writeFileSync(join(folder, `${file}.br`), brotliCompressSync('long()'));
    const get = (encoding: string) => request(server()).get(`/${file}`).set('Accept-Encoding', encoding);
    const small = await get('gzip, br').responseType('blob');
    expect(small.headers).toMatchObject({ 'content-encoding': 'br', vary: 'Accept-Encoding' });
    expect(small.headers['content-type']).toMatch(/javascript/);
    expect(small.headers['cache-control']).toMatch(/immutable/);
    const plain = await get('identity');
    expect([plain.headers['content-encoding'], plain.text]).toEqual([undefined, 'long()']);
  });

  it('may run the page’s own inline script and no other', async () => {
    const hash = `'sha256-${createHash('sha256').update(inline).digest('base64')}'`;
    expect(inlineScriptHashes(folder)).toEqual([hash]);
    const { store, done } = await freshStore();
    const answer = await request(createServer({ store, reckoner: hereAndNow, appRoot: folder })).get('/');
    expect(answer.headers['content-security-policy']).toContain(`script-src 'self' ${hash}`);
    await done();
  });

  it('need not be there: the server answers without an app', async () => {
    expect(inlineScriptHashes(join(folder, 'nowhere'))).toEqual([]);
    expect((await request(express().use(appFiles(join(folder, 'nowhere')))).get('/')).status).toBe(404);
  });
});
