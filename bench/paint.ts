import type { Browser, Page } from '@playwright/test';
import { launchBrowser } from '../e2e/browser';
import setup from '../e2e/setup';
import { SEED, TestServer } from '../e2e/testServer';

const RUNS = 5;
/** A phone's line and its processor beside this machine. */
const LINE = { offline: false, latency: 150, downloadThroughput: 1.6e6 / 8, uploadThroughput: 0.75e6 / 8 };
const SLOWED = 4;

const middle = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

async function slowed(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', LINE);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
}

/** First contentful paint of the page that is open, ms. */
const painted = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const entry = performance.getEntriesByName('first-contentful-paint')[0];
        if (entry) return resolve(entry.startTime);
        new PerformanceObserver((list) => {
          const found = list.getEntriesByName('first-contentful-paint')[0];
          if (found) resolve(found.startTime);
        }).observe({ type: 'paint', buffered: true });
      }),
  );

/** When a phone sees something, and when it can be worked with; the first time, and the second with what it kept. */
async function visits(browser: Browser, url: string): Promise<{ first: number; firstUsable: number; second: number }> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await slowed(page);
  const began = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  const first = await painted(page);
  await page.getByRole('heading', { name: 'Bench', level: 1 }).waitFor({ timeout: 120_000 });
  const firstUsable = performance.now() - began;
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((done) => setTimeout(done, 100));
  });
  await page.close();
  const again = await context.newPage();
  await slowed(again);
  const returned = performance.now();
  await again.goto(url, { waitUntil: 'commit' });
  await again
    .getByRole('button', { name: /^Continue: / })
    .first()
    .waitFor({ timeout: 120_000 });
  const second = performance.now() - returned;
  await context.close();
  return { first, firstUsable, second };
}

/** First paint and second visit on a throttled phone. */
export async function benchPaint(): Promise<void> {
  await setup();
  const server = new TestServer(SEED);
  await server.start();
  const browser = await launchBrowser();
  const all: { first: number; firstUsable: number; second: number }[] = [];
  for (let run = 0; run < RUNS; run += 1) all.push(await visits(browser, server.url));
  const of = (key: keyof (typeof all)[number]) => Math.round(middle(all.map((one) => one[key])));
  console.log(
    `a phone: processor / ${SLOWED}, 1.6 Mb/s, 150 ms (wanted: first paint under 1800 ms, second visit usable under 1500 ms)`,
  );
  console.log(
    `  first contentful paint ${of('first')} ms, first usable ${of('firstUsable')} ms, second visit usable ${of('second')} ms`,
  );
  await browser.close();
  await server.end();
}
