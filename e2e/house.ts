import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../', import.meta.url));

/** A real server on a real SQLite file of its own, that can be stopped and started again. */
export class House {
  private child: ChildProcess | null = null;
  private port = 0;
  private readonly folder = mkdtempSync(join(tmpdir(), 'keep-snug-'));

  constructor(private readonly demo: boolean) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['server/.cache/main.mjs', ...(this.demo ? ['--demo'] : [])], {
      cwd: ROOT,
      env: { ...process.env, PORT: String(this.port), KEEP_SNUG_DATA: join(this.folder, 'house.sqlite') },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.port = await new Promise<number>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => {
        const found = /:(\d+)\s*$/m.exec(chunk.toString());
        if (found) resolve(Number(found[1]));
      });
      child.on('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    });
  }

  async stop(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await ended;
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async read<T>(path: string): Promise<T> {
    return (await fetch(`${this.url}/api${path}`)).json() as Promise<T>;
  }
}

interface Houses {
  /** With the Tern Point sample data. */
  house: House;
  /** With nothing in it. */
  empty: House;
}

async function opened(demo: boolean, use: (house: House) => Promise<void>): Promise<void> {
  const house = new House(demo);
  await house.start();
  await use(house);
  await house.end();
}

export const test = base.extend<Houses>({
  house: async ({}, use) => opened(true, use),
  empty: async ({}, use) => opened(false, use),
});

export { expect };

export const PHONE_PLAN = '/plan/b0000000-0000-4000-8000-000000000001';
export const PHONE_MAKE = '/make/c0000000-0000-4000-8000-000000000001';
export const PHONE_MAKE_ID = 'c0000000-0000-4000-8000-000000000001';

export async function openStage(page: Page, name: string): Promise<void> {
  const stage = page.getByRole('button', { name, exact: true });
  if ((await stage.getAttribute('aria-expanded')) !== 'true') await stage.click();
}

export function field(page: Page, label: string): Locator {
  return page.getByRole('textbox', { name: label, exact: true });
}

/** Sizes of the thing as they would be typed with an inch tape in hand. */
export async function measureThing(page: Page): Promise<void> {
  await field(page, 'What it is').fill('hide log book');
  await field(page, 'Width').fill('3 1/4');
  await field(page, 'Height').fill('6.5 in');
  await field(page, 'Depth').fill('1/2"');
}
