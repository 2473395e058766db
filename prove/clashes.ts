import type { Page } from '@playwright/test';
import { launchBrowser } from '../e2e/browser';
import { SEED, TestServer } from '../e2e/testServer';
import setup from '../e2e/setup';
import type { Proof } from './proof';
import { held } from './sent';

/** A document of a kind, how a hand changes or deletes it on the device, and how another device changed it meanwhile. */
interface Clashing {
  kind: string;
  place: (id: string) => string;
  change?: (page: Page) => Promise<void>;
  remove?: (page: Page, name: string) => Promise<void>;
  there: (body: Body) => Body;
}

type Body = Record<string, unknown>;

const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });

const fromMenu = async (page: Page, name: string) => {
  await page.getByRole('button', { name: `More: ${name}`, exact: true }).click();
  await page.getByRole('menuitem', { name: `Delete: ${name}`, exact: true }).click();
};

const CLASHING: readonly Clashing[] = [
  {
    kind: 'hours',
    place: () => '/days',
    change: async (page) => field(page, 'Monday').fill('2.5'),
    there: (body) => ({ ...body, week: [9, 1, 1, 1, 1, 1, 1] }),
  },
  {
    kind: 'plans',
    place: (id) => `/plan/${id}`,
    change: async (page) => field(page, 'Name of the plan').fill('named here'),
    there: (body) => ({ ...body, title: 'named there' }),
  },
  { kind: 'plans', place: () => '/', remove: fromMenu, there: (body) => ({ ...body, title: 'named there' }) },
  {
    kind: 'yarns',
    place: () => '/yarn',
    change: async (page) => {
      await page
        .getByRole('button', { name: /^Edit: / })
        .first()
        .click();
      await field(page, 'Left').first().fill('7 g');
    },
    there: (body) => ({ ...body, gramsLeft: 81 }),
  },
  { kind: 'things', place: () => '/things', remove: fromMenu, there: (body) => ({ ...body, name: 'named there' }) },
];

const nameOf = ({ title, name }: Body): string => String(title ?? name ?? '');

/** What is changed or deleted here while another device changed it too. */
export const clashes: Proof = {
  id: 'clashes',
  says: 'what is changed in two places is asked about, of every kind, deletions too; what is chosen is what both have',
  run: async () => {
    await setup();
    const browser = await launchBrowser();
    try {
      for (const one of CLASHING) await clash(browser, one);
      return `${CLASHING.length} clashes, each settled as it was chosen`;
    } finally {
      await browser.close();
    }
  },
};

async function clash(
  browser: Awaited<ReturnType<typeof launchBrowser>>,
  { kind, place, change, remove, there }: Clashing,
): Promise<void> {
  const server = new TestServer(SEED);
  await server.start();
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    const list = await server.read<{ id: string; body: Body }[]>(`/${kind}`);
    await page.goto(server.url + (change && kind !== 'plans' ? place('') : '/'));
    await page.goto(server.url + place(list[0]!.id));
    await page.getByRole('main').waitFor();
    const seen =
      kind === 'yarns'
        ? await page
            .getByRole('button', { name: /^Edit: / })
            .first()
            .getAttribute('aria-label')
        : null;
    const asked = seen
      ? list.find(({ body }) => seen === `Edit: ${nameOf(body)}`)!
      : remove
        ? await listed(page, list)
        : list[0]!;
    await context.setOffline(true);
    if (change) await change(page);
    else await remove!(page, nameOf(asked.body));
    await server.change<Body>(`/${kind}/${asked.id}`, there);
    const before = JSON.stringify(await server.read(`/${kind}/${asked.id}`));
    await context.setOffline(false);
    const word = change ? 'Changed on another device' : 'Deleted here, changed on another device';
    await page.getByText(word).first().waitFor();
    held(JSON.stringify(await server.read(`/${kind}/${asked.id}`)) === before, `${kind}: overwritten unasked`);
    const settle = page.getByRole('button', { name: change ? 'Keep this version' : 'Keep it as it is there' });
    await settle.first().click();
    await page.getByText(word).first().waitFor({ state: 'hidden' });
    await settled(server, `/${kind}/${asked.id}`, change ? (text) => text !== before : (text) => text === before);
  } finally {
    await context.close();
    await server.end();
  }
}

/** One of a list by a menu of its own: a make bears the name of its plan, so that one is taken that nothing was made by. */
async function listed(page: Page, list: readonly { id: string; body: Body }[]): Promise<{ id: string; body: Body }> {
  const one = list.find(({ body }) => body.title === 'Range card sleeve') ?? list[0]!;
  await page.getByRole('button', { name: `More: ${nameOf(one.body)}`, exact: true }).waitFor();
  return one;
}

/** Waits for what the server has in the end. */
async function settled(server: TestServer, path: string, is: (text: string) => boolean): Promise<void> {
  for (let wait = 0; wait < 300; wait += 1) {
    if (is(JSON.stringify(await server.read(path)))) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${path} never came to what was chosen`);
}
