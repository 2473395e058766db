import type { Happening } from '@keep-snug/core';
import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import type { RunningServer, startServer as StartServer } from '../server/src/start';

const ROOT = fileURLToPath(new URL('../', import.meta.url));

/** A file with the sample data in it, laid there once by the program itself. */
export const SEED = join(ROOT, 'e2e/.cache/seed.sqlite');

/** A file of an earlier version: a make of a bag with a strap, its start and ten rounds ticked. */
export const EARLIER = join(ROOT, 'e2e/fixtures/earlier.sqlite');

/** The app as it was built. */
export const APP = join(ROOT, 'app/dist');

/** The other way in for phones. */
export const PASSPHRASE = 'four words on the shelf';

/** The bundled server, loaded once by each worker; every journey has a server and a file of its own. */
let loaded: Promise<{ startServer: typeof StartServer }> | undefined;

function program(): Promise<{ startServer: typeof StartServer }> {
  loaded ??= import(pathToFileURL(join(ROOT, 'server/.cache/start.mjs')).href);
  return loaded;
}

/** After all that the sample data has. */
const LATER = 1000;

/** The real server on a real SQLite file of its own, that can be stopped and started again. */
export class TestServer {
  private running: RunningServer | null = null;
  private port = 0;
  /** The port that measuring devices dial. */
  devices = 0;
  private readonly folder = mkdtempSync(join(tmpdir(), 'keep-snug-'));
  private readonly file = join(this.folder, 'store.sqlite');

  /** Where phones come in, and the code that lets one in; none where it is not listened for them. */
  phone: RunningServer['phone'] = null;

  /**
   * @param seed a file to begin with a copy of; without one the store is empty
   * @param wants a line for phones, or another app than the one that was built
   */
  constructor(
    seed?: string,
    private readonly wants: { phone?: boolean; appRoot?: string } = {},
  ) {
    if (seed) copyFileSync(seed, this.file);
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const { startServer } = await program();
    const appRoot = this.wants.appRoot ?? APP;
    this.running = await startServer({
      host: '127.0.0.1',
      port: this.port,
      file: this.file,
      appRoot,
      devices: this.devices,
      ...(this.wants.phone ? { phone: 0, passphrase: PASSPHRASE } : {}),
    });
    this.phone = this.running.phone;
    this.port = this.running.port;
    this.devices = this.running.devices ?? 0;
  }

  async stop(): Promise<void> {
    await this.running?.stop();
    this.running = null;
  }

  /** Goes on with another file: a copy of one, or none at all. */
  async replaceFile(copyOf?: string): Promise<void> {
    await this.stop();
    for (const end of ['', '-wal', '-shm']) rmSync(this.file + end, { force: true });
    if (copyOf) copyFileSync(copyOf, this.file);
    await this.start();
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async read<T>(path: string): Promise<T> {
    const asked = () => fetch(`${this.url}/api${path}`);
    // a connection kept from before the server was stopped may end just as it is used again
    const answer = await asked().catch(asked);
    return answer.json() as Promise<T>;
  }

  /** Lays a new document. */
  async put(path: string, body: object): Promise<void> {
    const answer = await fetch(`${this.url}/api${path}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-None-Match': '*' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  }

  /** Changes a document that is there, as another device would. */
  async change<Body extends object>(path: string, work: (body: Body) => Body): Promise<void> {
    const { revision, body } = await this.read<{ revision: number; body: Body }>(path);
    const answer = await fetch(`${this.url}/api${path}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
      body: JSON.stringify(work(body)),
    });
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  }

  /** Says what happened to a make, as another device would. */
  async happened(make: string, what: readonly Happening[]): Promise<void> {
    const device = randomUUID();
    const events = what.map((one, index) => ({
      ...one,
      id: randomUUID(),
      make,
      device,
      at: new Date().toISOString(),
      n: LATER + index,
    }));
    const answer = await fetch(`${this.url}/api/events`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(events),
    });
    if (!answer.ok) throw new Error(`events: ${answer.status} ${await answer.text()}`);
  }

  async reckon<T>(plan: object): Promise<T> {
    const answer = await fetch(`${this.url}/api/reckon`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(plan),
    });
    return answer.json() as Promise<T>;
  }
}

interface Servers {
  /** With the Tern Point sample data. */
  server: TestServer;
  /** With nothing in it. */
  emptyServer: TestServer;
  /** With a file that an earlier version wrote. */
  earlierServer: TestServer;
}

async function serving(seed: string | undefined, use: (server: TestServer) => Promise<void>): Promise<void> {
  const server = new TestServer(seed);
  await server.start();
  await use(server);
  await server.end();
}

export const test = base.extend<Servers>({
  // what nobody caught is a fault, wherever it shows
  page: async ({ page }, use) => {
    const thrown: string[] = [];
    page.on('pageerror', ({ message }) => thrown.push(message));
    await use(page);
    expect(thrown).toEqual([]);
  },
  server: async ({}, use) => serving(SEED, use),
  emptyServer: async ({}, use) => serving(undefined, use),
  earlierServer: async ({}, use) => serving(EARLIER, use),
});

/** What differs by the size of the screen is gone through on a phone's as well. */
export const BOTH_SIZES = { tag: '@both-sizes' };

/** What only a phone's screen can show. */
export const PHONE_ONLY = { tag: '@phone-only' };

export { expect };

export const planAt = (number: number) => `/plan/b0000000-0000-4000-8000-${String(number).padStart(12, '0')}`;
export const PHONE_PLAN = planAt(1);
export const PHONE_MAKE_ID = 'c0000000-0000-4000-8000-000000000001';
export const PHONE_MAKE = `/make/${PHONE_MAKE_ID}`;

/** Of each kind that a screen shows one of: the id of one in the sample data. */
export const SAMPLE: Readonly<Record<string, string>> = {
  plans: PHONE_PLAN.split('/').at(-1)!,
  makes: PHONE_MAKE_ID,
  batches: '90000000-0000-4000-8000-000000000001',
  starts: 'hook-case',
};

export async function openStage(page: Page, name: string): Promise<void> {
  const stage = page.getByRole('button', { name, exact: true });
  if ((await stage.getAttribute('aria-expanded')) !== 'true') await stage.click();
}

/** Opens a list by its label and takes an option by its name. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** A second tap so soon would be taken for a trembling hand, ms. */
const BETWEEN_TAPS_MS = 320;

/** Ticks what is done by the target, as a hand does. */
export async function tick(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name, exact: true }).click();
  await page.waitForTimeout(BETWEEN_TAPS_MS);
}

/** Opens a card's menu and does what is in it. */
export async function fromMenu(page: Page, of: string, entry: string): Promise<void> {
  await page.getByRole('button', { name: `More: ${of}`, exact: true }).click();
  await page.getByRole('menuitem', { name: `${entry}: ${of}`, exact: true }).click();
}

/** Opens what refines, behind its press. */
export async function unfold(page: Page, ...names: readonly string[]): Promise<void> {
  for (const name of names) await openStage(page, name);
}

/** Where else a plan leads: in the bar where there is room, else in its menu. */
export async function leadTo(page: Page, name: string): Promise<void> {
  const inBar = page.getByRole('button', { name, exact: true });
  const more = page.getByRole('banner').getByRole('button', { name: /^More: / });
  await expect(inBar.or(more).first()).toBeVisible();
  if (await inBar.isVisible()) return inBar.click();
  await more.click();
  return page.getByRole('menuitem', { name: new RegExp(`^${name}: `) }).click();
}

/** A new plan for something that stands on no shelf, to be measured. */
export async function measureAnew(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'New plan' }).click();
  await page.getByRole('button', { name: /something else/i }).click();
}

export function field(page: Page, label: string): Locator {
  return page.getByRole('textbox', { name: label, exact: true });
}

/** Sizes of the thing as they would be typed with an inch tape in hand. */
export async function measureThing(page: Page): Promise<void> {
  await field(page, 'Name').fill('hide log book');
  await field(page, 'Width').fill('3 1/4');
  await field(page, 'Height').fill('6.5 in');
  await field(page, 'Depth').fill('1/2"');
}

/** On a phone the finished piece is seen first: the flat drawing is one press away; wide, both stand beside each other. */
export async function seeFlat(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Show it from another side/ }).waitFor();
  const flat = page.getByRole('tab', { name: 'Flat' });
  if (await flat.isVisible()) await flat.click();
}
