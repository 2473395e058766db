import { TERN_POINT } from '@keep-snug/core/demo';
import { createReckoner, DEADLINE_MS, NobodyWaits, TooMuchToReckon, type Reckoner } from './reckoner';
import { begin, notBegun, watchOver } from './processorTime';
import { threadFile } from './threadFile';

const plan = Object.values(TERN_POINT.plans)[0]!;
let file: string;
let reckoner: Reckoner | undefined;

beforeAll(async () => {
  file = await threadFile();
});
afterEach(async () => {
  await reckoner?.close();
  reckoner = undefined;
});

it('answers in another thread, and what cannot be reckoned by path', async () => {
  reckoner = createReckoner(file);
  expect(await reckoner.reckon({ is: 'reckon', ask: plan })).toMatchObject({ ok: true, value: { title: plan.title } });
  const thick = { ...plan, thing: { ...plan.thing, edgeRadius: { mm: 9 } } };
  expect(await reckoner.reckon({ is: 'reckon', ask: thick as typeof plan })).toMatchObject({
    ok: false,
    errors: [{ path: 'thing.edgeRadius.mm' }],
  });
});

it('gives up what takes too long, says so, and goes on with a fresh thread', async () => {
  reckoner = createReckoner(file, { ...DEADLINE_MS, ways: 5 });
  const asked = Array.from({ length: 4 }, () => reckoner!.reckon({ is: 'ways', ask: { plan } }));
  for (const { status, reason } of (await Promise.allSettled(asked)) as PromiseRejectedResult[])
    expect([status, reason]).toEqual(['rejected', expect.any(TooMuchToReckon)]);
  expect(await reckoner.reckon({ is: 'reckon', ask: plan })).toMatchObject({ ok: true });
});

it('does not count the time that a question waits for its turn', async () => {
  reckoner = createReckoner(file, { ...DEADLINE_MS, ways: 3000 });
  const long = Array.from({ length: 8 }, () => reckoner!.reckon({ is: 'ways', ask: { plan } }));
  expect((await Promise.all(long)).every(({ ok }) => ok)).toBe(true);
});

it('answers what is short while what is long goes on', async () => {
  reckoner = createReckoner(file);
  const order: string[] = [];
  const long = Array.from({ length: 3 }, () =>
    reckoner!.reckon({ is: 'ways', ask: { plan } }).then(() => order.push('long')),
  );
  await reckoner.reckon({ is: 'reckon', ask: plan }).then(() => order.push('short'));
  await Promise.all(long);
  expect(order.indexOf('short')).toBeLessThan(2);
});

it('ends the work of whoever has hung up, waiting or begun, and goes on', async () => {
  reckoner = createReckoner(file);
  const hung = new AbortController();
  const left = Array.from({ length: 5 }, () => reckoner!.reckon({ is: 'ways', ask: { plan } }, hung.signal));
  const stays = reckoner.reckon({ is: 'ways', ask: { plan } });
  hung.abort();
  for (const { reason } of (await Promise.allSettled(left)) as PromiseRejectedResult[])
    expect(reason).toBeInstanceOf(NobodyWaits);
  expect(await stays).toMatchObject({ ok: true });
});

it('counts what a thread has worked, not what the clock shows', async () => {
  const begun = notBegun();
  const spent = watchOver(begun);
  expect(spent()).toBe(0);
  begin(begun);
  expect(spent()).toBe(0);
  await new Promise((resolve) => setTimeout(resolve, 300));
  const asleep = spent();
  let worked = 0;
  while (spent() - asleep < 200) worked += Math.sqrt(worked + 1);
  expect(worked).toBeGreaterThan(asleep < 200 ? 0 : Infinity);
});
