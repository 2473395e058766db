import type { MakeEvent } from '@keep-snug/core';
import express from 'express';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eventStore, openStore } from '../server/src/store';
import { createServer } from '../server/src/web/server';
import { ms, timedInTurn, type Taken } from './measure';

const RUNS = 600;
const ROUNDS = 3;

interface Running {
  url: string;
  end: () => void;
}

async function listening(server: Server): Promise<string> {
  await new Promise((resolve) => server.once('listening', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/events`;
}

/** Nothing is reckoned here. */
const never = { reckon: () => Promise.reject(new Error('not asked for')), close: async () => undefined };

async function ours(folder: string): Promise<Running> {
  const store = await openStore(join(folder, 'ours.sqlite'));
  const server = createServer({ store, reckoner: never, appRoot: folder }).listen(0, '127.0.0.1');
  return { url: await listening(server), end: () => (server.close(), store.close()) };
}

/** The least that could do the same: Express, and the same insert into the same tables. */
async function bare(folder: string): Promise<Running> {
  const store = await openStore(join(folder, 'bare.sqlite'));
  const { add } = eventStore(store);
  const app = express().use(express.json());
  app.post('/api/events', async (req, res) => {
    const batch = req.body as MakeEvent[];
    await add(batch);
    res.json({ accepted: batch.map(({ id }) => id) });
  });
  const server = app.listen(0, '127.0.0.1');
  return { url: await listening(server), end: () => (server.close(), store.close()) };
}

/** A tick, sent and stored, against bare Express with the same insert. */
export async function benchTick(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'keep-snug-bench-'));
  const make = randomUUID();
  const send = (url: string) => async () => {
    const event = { id: randomUUID(), make, device: make, at: '2026-03-01T10:00:00.000Z', kind: 'ticked' };
    const answer = await fetch(url, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify([event]),
    });
    await answer.arrayBuffer();
  };
  console.log('a stored tick (wanted: at least 0.7 x the rate of bare Express with the same insert)');
  const [own, plain] = [await ours(folder), await bare(folder)];
  for (let round = 1; round <= ROUNDS; round += 1) {
    const [bareTime, ownTime] = (await timedInTurn(RUNS, [send(plain.url), send(own.url)])) as [Taken, Taken];
    console.log(
      `  round ${round}: median ${ms(ownTime.median)}, p95 ${ms(ownTime.p95)}; bare ${ms(bareTime.median)}, p95 ${ms(bareTime.p95)}; ${(bareTime.median / ownTime.median).toFixed(2)} x its rate`,
    );
  }
  own.end();
  plain.end();
  rmSync(folder, { recursive: true, force: true });
}
