import { TERN_POINT } from '@keep-snug/core/demo';
import { createReckoner, DEADLINE_MS, TooMuchToReckon, type Reckoner } from './reckoner';
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
  reckoner = createReckoner(file, { ...DEADLINE_MS, reckon: 1500 });
  await reckoner.reckon({ is: 'reckon', ask: plan });
  const long = Array.from({ length: 4 }, () => reckoner!.reckon({ is: 'ways', ask: { plan } }));
  const short = Array.from({ length: 40 }, () => reckoner!.reckon({ is: 'reckon', ask: plan }));
  expect((await Promise.all([...long, ...short])).every(({ ok }) => ok)).toBe(true);
});
