import type { KeptEvent, Plan } from '@keep-snug/core';
import {
  BOTH_SIZES,
  expect,
  field,
  PHONE_MAKE,
  PHONE_MAKE_ID,
  PHONE_ONLY,
  test,
  tick,
  type TestServer,
} from '../testServer';

const eventsOf = async (server: TestServer) =>
  (await server.read<{ event: KeptEvent }[]>(`/events?make=${PHONE_MAKE_ID}`)).map(({ event }) => event);

test(
  'what the tape says of the work is answered with ways to go on, one is taken and taken back',
  BOTH_SIZES,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_MAKE);
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
    await page.keyboard.press('m');
    await field(page, 'They measure').fill('4 1/2 in');
    await page.getByRole('button', { name: 'See what it says' }).click();
    await expect(page.getByRole('heading', { name: /^Your stitches are \d+ % wider/ })).toBeVisible();
    const again = page.getByRole('group', { name: 'Start again with the count that fits' });
    await expect(again.getByText(/^Fits \d+ times in 100$/)).toBeVisible();
    await again.getByRole('button', { name: /^Do this/ }).click();
    await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
    await expect
      .poll(async () => (await eventsOf(server)).map(({ kind }) => kind).slice(-2))
      .toEqual(['measured', 'decided']);
    // it is the make's own plan from there
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Foundation chain' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  },
);

test('rows still to come make up for rows that are too high', PHONE_ONLY, async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await page.getByRole('radio', { name: /^Some rows/ }).click();
  await field(page, 'They measure').fill('128 mm');
  await page.getByRole('button', { name: 'See what it says' }).click();
  await expect(page.getByRole('heading', { name: /your rows are \d+ % higher\.$/ })).toBeVisible();
  await page.getByRole('button', { name: /^Do this: Keep the count, and let the rows still to come/ }).click();
  const heading = page.getByRole('heading', { name: /^Row 23 of \d+$/ });
  await expect(heading).not.toHaveText('Row 23 of 87');
  const of = Number((await heading.textContent())!.split(' ').at(-1));
  expect(of).toBeLessThan(87);
  for (let row = 23; row <= 26; row += 1) await tick(page, `Row ${row} done`);
  await expect(page.getByRole('heading', { name: `Row 27 of ${of}` })).toBeVisible();
  // and so on to the end, by the plan that was decided for
  await expect.poll(async () => (await eventsOf(server)).filter(({ kind }) => kind === 'decided').length).toBe(1);
  const decided = (await eventsOf(server)).find((event) => event.kind === 'decided')!;
  const { steps } = await server.reckon<{ steps: { id: string; row: number | null }[] }>(decided.plan);
  const from = steps.findIndex(({ row }) => row === 27);
  await server.happened(
    PHONE_MAKE_ID,
    steps.slice(from).map(({ id }) => ({ kind: 'ticked', step: id, under: decided.id })),
  );
  await page.reload();
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  await page.getByRole('button', { name: 'Skip' }).click();
  await expect(page.getByRole('heading', { name: 'Field phone pouch' })).toBeVisible();
});

test('a calliper that types like a keyboard: its reading lands in the line, and Enter takes it', async ({
  page,
  server,
}) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await page.keyboard.press('m');
  await expect(field(page, 'They measure')).toBeFocused();
  await page.keyboard.type('114.3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /^Your stitches are \d+ % wider/ })).toBeVisible();
});

test('at its moment the tape is asked for, and nothing waits for it', PHONE_ONLY, async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  for (let row = 23; row <= 35; row += 1) await tick(page, `Row ${row} done`);
  await expect(page.getByText('The back comes next. Measure before you start it.')).toBeVisible();
  await page.getByRole('button', { name: 'Looks right' }).click();
  await expect(page.getByText('A good moment for the tape')).toBeHidden();
  await tick(page, 'Row 36 done');
});

test(
  'finished with its sizes: the hand moves, and the ledger shows planned beside made',
  PHONE_ONLY,
  async ({ page, server }) => {
    await page.goto(server.url + PHONE_MAKE);
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
    const made = await server.read<{ body: { plan: Plan } }>(`/makes/${PHONE_MAKE_ID}`);
    const { steps } = await server.reckon<{ steps: { id: string }[] }>(made.body.plan);
    await server.happened(
      PHONE_MAKE_ID,
      steps.slice(23).map(({ id }) => ({ kind: 'ticked', step: id, under: null })),
    );
    await page.reload();
    await page.getByRole('button', { name: 'Mark as finished' }).click();
    await field(page, 'Width').fill('98 mm');
    await page.getByRole('radio', { name: 'just right' }).click();
    await field(page, 'For next time').fill('a closer chain');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(/^In this one your stitches came out/)).toBeVisible();
    await page.getByRole('button', { name: 'Go to the ledger' }).click();
    const entry = page.getByRole('group', { name: 'Field phone pouch' });
    await expect(entry.getByText(/^Made: 98.mm/)).toBeVisible();
    await expect(entry.getByText('For next time: a closer chain')).toBeVisible();
  },
);

test('a lost count is set by the ridges that are seen', PHONE_ONLY, async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await page.keyboard.press('l');
  await field(page, 'Ridges').fill('12');
  await expect(page.getByRole('heading', { name: 'Row 24 of 87 is done.' })).toBeVisible();
  await page.getByRole('radio', { name: 'at the edge where the beginning tail hangs' }).click();
  await page.getByRole('button', { name: 'Set the count' }).click();
  await expect(page.getByRole('heading', { name: 'Row 26 of 87' })).toBeVisible();
  await tick(page, 'Row 26 done');
  await expect
    .poll(async () => (await eventsOf(server)).map(({ kind }) => kind).slice(-2))
    .toEqual(['placed', 'ticked']);
});

test(
  'a whole evening by clicker and keys: rows on and back, the count, the tape',
  PHONE_ONLY,
  async ({ page, server }) => {
    await page.addInitScript(() => {
      const said: string[] = [];
      Object.assign(window, { said });
      window.speechSynthesis.speak = ({ text }: SpeechSynthesisUtterance) => void said.push(text);
    });
    await page.goto(server.url + PHONE_MAKE);
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
    await page.keyboard.press('r');
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('heading', { name: 'Row 24 of 87' })).toBeVisible();
    await page.keyboard.press('h');
    await page.keyboard.press('PageUp');
    await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
    const said = await page.evaluate(() => (window as unknown as { said: string[] }).said);
    expect(said[0]).toMatch(/^Row 23 of 87\. Chain 1, single crochet/);
    expect(said[1]).toMatch(/^Row 24 of 87\. /);
    expect(said[2]).toBe('16');
    expect(said[3]).toMatch(/^Row 23 of 87\. /);
    await page.keyboard.press('m');
    await expect(page.getByRole('heading', { name: 'Measure now' })).toBeVisible();
    // the panel listens for Escape a moment after it is seen
    await expect(async () => {
      await page.keyboard.press('Escape');
      await expect(page.getByRole('heading', { name: 'Measure now' })).toBeHidden({ timeout: 500 });
    }).toPass();
    await page.keyboard.press('w');
    await expect(page.getByRole('heading', { name: 'Weigh the ball' })).toBeVisible();
  },
);

test('a ball that runs out: it goes on in another yarn', PHONE_ONLY, async ({ page, server }) => {
  await page.goto(server.url + PHONE_MAKE);
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await page.keyboard.press('w');
  await field(page, 'The ball weighs').fill('18 g');
  await page.getByRole('button', { name: 'See how far it goes' }).click();
  await expect(page.getByText(/^It runs out near row \d+, /)).toBeVisible();
  await page.getByRole('button', { name: /^Do this: .* in a second yarn/ }).click();
  await expect(page.getByRole('heading', { name: 'Row 23 of 87' })).toBeVisible();
  await expect
    .poll(async () => (await eventsOf(server)).map(({ kind }) => kind).slice(-2))
    .toEqual(['weighed', 'decided']);
});

test(
  'finished: time, a picture and what came out; the hand moves, and the box has less',
  PHONE_ONLY,
  async ({ page, server }) => {
    await page.goto(`${server.url}/yarn`);
    const oat = page.getByRole('group', { name: 'oat cotton', exact: true });
    const before = await oat.getByText(/^Your hand in such yarn/).textContent();
    await expect(oat.getByText(/92 g left/)).toBeVisible();
    const steps = await server.reckon<{ steps: { id: string }[] }>(
      (await server.read<{ body: { plan: Plan } }>(`/makes/${PHONE_MAKE_ID}`)).body.plan,
    );
    await server.happened(
      PHONE_MAKE_ID,
      steps.steps.slice(23).map(({ id }) => ({ kind: 'ticked', step: id, under: null })),
    );
    await page.goto(server.url + PHONE_MAKE);
    await page.getByRole('button', { name: 'Mark as finished' }).click();
    await field(page, 'Width').fill('108 mm');
    await page.getByRole('radio', { name: 'loose' }).click();
    await field(page, 'Yarn used').fill('40');
    await field(page, 'Time').fill('150');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a picture' }).click();
    await (await chooser).setFiles({ name: 'pouch.png', mimeType: 'image/png', buffer: Buffer.from(DOT, 'base64') });
    await expect(page.getByRole('img', { name: 'The finished piece' })).toBeVisible();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('button', { name: 'Go to the ledger' }).click();
    await expect(page.getByText('Sits loose, 40 g of yarn, 2 h 30 min')).toBeVisible();
    await expect(page.getByRole('img', { name: 'The finished piece' })).toBeVisible();
    await page.goto(`${server.url}/yarn`);
    await expect(oat.getByText(/52 g left/)).toBeVisible();
    await expect(oat.getByText(/^Your hand in such yarn/)).not.toHaveText(before!);
    await expect(oat.getByRole('button', { name: 'Pattern: Field phone pouch' })).toBeVisible();
  },
);

/** A picture of one dot. */
const DOT = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
