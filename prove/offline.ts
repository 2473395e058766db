import { TERN_POINT } from '@keep-snug/core/demo';
import { reckon, type Plan } from '@keep-snug/core';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { launchBrowser } from '../e2e/browser';
import { TestServer } from '../e2e/testServer';
import type { Proof } from './proof';
import { held, sent } from './sent';

const TICKS = 1000;
/** So many rows in one tab, then as many in the other. */
const IN_TURN = 25;

/** A cover so long that there are rows for everyone. */
const long: Plan = (() => {
  const plan = Object.values(TERN_POINT.plans)[0]!;
  return { ...plan, title: 'Rod cover', thing: { ...plan.thing, height: { mm: 2900 } } as Plan['thing'], fittings: [] };
})();

interface Device {
  context: BrowserContext;
  tabs: [Page, Page];
}

async function opened(browser: Browser, address: string): Promise<Device> {
  const context = await browser.newContext();
  const tabs: [Page, Page] = [await context.newPage(), await context.newPage()];
  for (const tab of tabs) {
    await tab.goto(address);
    await tab.getByRole('heading', { name: 'Foundation chain' }).waitFor();
  }
  return { context, tabs };
}

const row = (page: Page, number: number) => page.getByRole('heading', { name: new RegExp(`^Row ${number} of `) });

/** Ticks rows with the keyboard, now in one tab, now in the other. */
async function ticked({ tabs }: Device, ticks: number): Promise<void> {
  for (let done = 0; done < ticks;) {
    const tab = tabs[(done / IN_TURN) % 2]!;
    await tab.bringToFront();
    if (done > 0) await row(tab, done).waitFor();
    const until = Math.min(ticks, done + IN_TURN);
    for (; done < until; done += 1) await tab.keyboard.press('Space');
    await row(tab, done).waitFor();
  }
}

interface Kept {
  seq: number;
  event: { id: string; step: string };
}

async function keptBy(server: TestServer, make: string): Promise<Kept[]> {
  const all: Kept[] = [];
  for (;;) {
    const page = await server.read<Kept[]>(`/events?make=${make}&since=${all.at(-1)?.seq ?? 0}`);
    if (page.length === 0) return all;
    all.push(...page);
  }
}

/** Two devices with two tabs each, all of them without the server. */
export const offline: Proof = {
  id: 'offline',
  says: 'two devices with two tabs each, ticking without the server, lose and double nothing',
  run: async ({ share }) => {
    const ticks = Math.round(TICKS * share);
    held(reckon(long).steps.length > ticks + 2, 'the cover is too short for this');
    const server = new TestServer();
    await server.start();
    const make = randomUUID();
    const body = {
      format: 'keep-snug.make/1',
      title: long.title,
      planId: randomUUID(),
      plan: long,
      startedAt: '2026-03-01T10:00:00.000Z',
    };
    const put = await sent(`${server.url}/api/makes/${make}`, 'PUT', body, { 'If-None-Match': '*' });
    held(put.ok, `the make was answered ${put.status} ${put.text}`);
    const browser = await launchBrowser();
    const address = `${server.url}/make/${make}`;
    const devices = [await opened(browser, address), await opened(browser, address)];
    await server.stop();
    await Promise.all(devices.map((device) => ticked(device, ticks)));
    await server.start();
    const until = Date.now() + 60_000;
    let kept = await keptBy(server, make);
    while (kept.length < 2 * ticks && Date.now() < until) {
      await new Promise((resolve) => setTimeout(resolve, 500));
      kept = await keptBy(server, make);
    }
    const ids = new Set(kept.map(({ event }) => event.id));
    const steps = new Set(kept.map(({ event }) => event.step));
    held(ids.size === 2 * ticks, `${ids.size} of ${2 * ticks} ticks came`);
    held(steps.size === ticks, `${steps.size} rows of ${ticks} were worked`);
    for (const tab of devices.flatMap((device) => device.tabs)) {
      await row(tab, ticks).waitFor();
      await tab.getByText('Ticked on two devices').waitFor();
    }
    await browser.close();
    await server.end();
    return `2 x ${ticks} ticks of the same rows: all came once, ${ticks} rows worked, all four tabs told`;
  },
};
