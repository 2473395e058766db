import { expectAccessible } from '../accessible';
import { expect, field, PASSPHRASE, PHONE_MAKE, PHONE_ONLY, SEED, test, TestServer, tick } from '../testServer';

test.use({ ignoreHTTPSErrors: true });

test(
  'a phone is paired by its code, ticks a row, is removed, and is refused',
  PHONE_ONLY,
  async ({ page, browser }) => {
    const server = new TestServer(SEED, { phone: true });
    await server.start();
    const { url, pairing } = server.phone!;
    const make = PHONE_MAKE.split('/').at(-1);
    const eventsNow = async () => (await server.read<unknown[]>(`/events?make=${make}&since=0`)).length;

    // nothing of the house before it is let in
    await page.goto(`${url}/days`);
    await expect(page).toHaveURL(`${url}/pair`);
    await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Passphrase').fill('not the passphrase');
    await page.getByRole('button', { name: 'Pair this device' }).click();
    await expect(page.getByRole('alert')).toContainText('not the passphrase');
    await page.getByRole('link', { name: 'Trust this house' }).click();
    await expect(page.getByRole('heading', { name: 'Trust this house' })).toBeVisible();
    await expectAccessible(page);

    await page.goto(pairing);
    await page.getByLabel('Name of this device').fill('phone on the sofa');
    await page.getByRole('button', { name: 'Pair this device' }).click();
    await page.getByRole('link', { name: 'Open Keep Snug' }).click();
    await expect(page.getByRole('heading', { name: 'Bench', level: 1 })).toBeVisible();
    const before = await eventsNow();
    await page.goto(url + PHONE_MAKE);
    const heading = page.getByRole('heading', { level: 1 }).first();
    await expect(heading).toHaveText(/Row \d+ of/);
    const row = Number(/Row (\d+) of/.exec(await heading.innerText())![1]);
    await tick(page, `Row ${row} done`);
    await expect.poll(eventsNow).toBe(before + 1);

    // on the computer itself it is listed, named and removed
    const desk = await browser.newPage();
    await desk.goto(`${server.url}/settings`);
    await expect(field(desk, 'Device')).toHaveValue('phone on the sofa');
    await field(desk, 'Device').fill('tablet');
    await desk.getByRole('button', { name: 'Pair a phone' }).click();
    await expect(desk.getByRole('img', { name: /^Code for https:/ })).toBeVisible();
    await desk.getByRole('button', { name: 'Close', exact: true }).click();
    await desk.getByRole('button', { name: 'Remove tablet' }).click();
    await expect(desk.getByText('Only this computer reads and changes what you keep.')).toBeVisible();
    await desk.close();

    // what the phone makes from now on stays with it, and nothing of it is lost
    await tick(page, `Row ${row + 1} done`);
    await expect(page.getByText(/not paired/).first()).toBeVisible({ timeout: 40_000 });
    expect(await eventsNow()).toBe(before + 1);
    await page.goto(`${url}/pair`);
    await page.getByLabel('Name of this device').fill('phone again');
    await page.getByLabel('Passphrase').fill(PASSPHRASE);
    await page.getByRole('button', { name: 'Pair this device' }).click();
    await page.getByRole('link', { name: 'Open Keep Snug' }).click();
    await expect.poll(eventsNow, { timeout: 40_000 }).toBe(before + 2);
    await server.end();
  },
);
