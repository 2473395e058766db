import type { Page } from '@playwright/test';
import { launchBrowser } from '../e2e/browser';
import { SEED, TestServer } from '../e2e/testServer';
import setup from '../e2e/setup';
import type { Proof } from './proof';
import { held } from './sent';

/** A kind of document: where it is seen, how a hand changes it on the device, and how another device changed it meanwhile. */
interface Clashing {
  kind: string;
  place: (id: string) => string;
  /** The beginning of the name of the button that stands for one of the list. */
  names?: string;
  /** What its menu is called after. */
  menu?: (name: string) => string;
  change?: (page: Page, name: string) => Promise<void>;
  there: (body: Body) => Body;
}

type Body = Record<string, unknown>;

const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first();

/** Chooses in a card’s own menu. */
const fromMenu = async (page: Page, of: string, entry: string) => {
  await button(page, `More: ${of}`).click();
  await page.getByRole('menuitem', { name: `${entry}: ${of}`, exact: true }).click();
};

const named = (body: Body): Body => ({ ...body, name: 'named there' });
const titled = (body: Body): Body => ({ ...body, title: 'named there' });

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
    there: titled,
  },
  {
    kind: 'plans',
    place: () => '/',
    menu: (name) => name,
    there: titled,
  },
  {
    kind: 'yarns',
    place: () => '/yarn',
    names: 'Edit: ',
    menu: (name) => name,
    change: async (page, name) => {
      await button(page, `Edit: ${name}`).click();
      await field(page, 'Left').first().fill('7 g');
    },
    there: (body) => ({ ...body, gramsLeft: 81 }),
  },
  {
    kind: 'swatches',
    place: () => '/yarn',
    names: 'Edit the swatch: ',
    menu: (name) => `the swatch ${name}`,
    change: async (page, name) => {
      await button(page, `Edit the swatch: ${name}`).click();
      await field(page, 'Hook').last().fill('6');
    },
    there: named,
  },
  {
    kind: 'things',
    place: () => '/things',
    names: 'Edit: ',
    menu: (name) => name,
    change: async (page, name) => {
      await button(page, `Edit: ${name}`).click();
      await field(page, 'Name').first().fill('named here');
    },
    there: named,
  },
  {
    kind: 'makes',
    place: () => '/',
    names: 'Continue: ',
    menu: (name) => name,
    change: async (page, name) => fromMenu(page, name, 'Put aside'),
    there: titled,
  },
  {
    kind: 'batches',
    place: (id) => `/batch/${id}`,
    change: async (page) => field(page, 'Name of the batch').fill('named here'),
    there: named,
  },
  {
    kind: 'batches',
    place: () => '/',
    menu: (name) => name,
    there: named,
  },
];

/** Of a sample every so many. */
const EVERY = 3;

const nameOf = ({ title, name }: Body): string => String(title ?? name ?? '');

/** What is changed or deleted here while another device changed it too. */
export const clashes: Proof = {
  id: 'clashes',
  says: 'what is changed in two places is asked about, of every kind, deletions too; what is chosen is what both have',
  run: async ({ share }) => {
    await setup();
    const browser = await launchBrowser();
    try {
      const all = CLASHING.flatMap((one) => [
        ...(one.change ? [{ ...one, isGone: false, does: one.change }] : []),
        ...(one.menu
          ? [{ ...one, isGone: true, does: (page: Page, name: string) => fromMenu(page, one.menu!(name), 'Delete') }]
          : []),
      ]);
      const both = all.filter((_, index) => share === 1 || index % EVERY === 0);
      for (const one of both) await clash(browser, one);
      return `${both.length} clashes, each settled as it was chosen`;
    } finally {
      await browser.close();
    }
  },
};

interface Done extends Clashing {
  isGone: boolean;
  does: (page: Page, name: string) => Promise<void>;
}

async function clash(browser: Awaited<ReturnType<typeof launchBrowser>>, one: Done): Promise<void> {
  const { kind, place, isGone, does, there } = one;
  const server = new TestServer(SEED);
  await server.start();
  const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    const list = await server.read<Listed[]>(`/${kind}`);
    await page.goto(server.url + place(list[0]!.id));
    await page.getByRole('main').waitFor();
    // the room's own script has come
    await page.waitForLoadState('networkidle');
    const asked = await seen(page, one, list);
    const path = `/${kind}/${asked.id}`;
    await context.setOffline(true);
    await does(page, nameOf(asked.body));
    await server.change<Body>(path, there);
    const before = JSON.stringify(await server.read(path));
    await context.setOffline(false);
    const word = isGone ? 'Deleted here, changed on another device' : 'Changed on another device';
    await page.getByText(word).last().waitFor();
    held(JSON.stringify(await server.read(path)) === before, `${kind}: overwritten unasked`);
    // over what is open, if anything is
    const keep = page.getByRole('button', { name: isGone ? 'Keep it as it is there' : 'Keep this version' });
    await keep.last().click();
    await page.getByText(word).first().waitFor({ state: 'hidden' });
    await settled(server, path, (text) => (text === before) === isGone);
  } catch (error) {
    throw new Error(`${kind}, ${isGone ? 'deleted' : 'changed'}: ${(error as Error).message}`);
  } finally {
    await context.close();
    await server.end();
  }
}

interface Listed {
  id: string;
  body: Body;
}

/** One of the list that is shown there; of plans one that nothing was made by, as a make bears the name of its plan. */
async function seen(page: Page, { kind, names, menu }: Done, list: readonly Listed[]): Promise<Listed> {
  if (names) {
    const first = page.getByRole('button', { name: new RegExp(`^${names}`) }).first();
    const label = await first.getAttribute('aria-label');
    return list.find(({ body }) => label === names + nameOf(body))!;
  }
  if (!menu) {
    // a room of its own: on a slow machine the network may rest before what it is of has come
    const name = nameOf(list[0]!.body);
    await page
      .getByRole('heading', { level: 1, ...(name ? { name, exact: true } : {}) })
      .first()
      .waitFor();
    return list[0]!;
  }
  const one = list.find(({ body }) => kind !== 'plans' || body.title === 'Range card sleeve')!;
  await button(page, `More: ${menu(nameOf(one.body))}`).waitFor();
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
