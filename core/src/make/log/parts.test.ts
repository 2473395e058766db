import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { stepsToMake } from './copies';
import { nextStep, partsOf } from './parts';

const PLANS = Object.values(TERN_POINT.plans);
const worked = (title: string) => reckon(PLANS.find((plan) => plan.title === title)!);
const belt = worked('Ringer’s pliers belt pouch');
const steps = stepsToMake(belt.steps);

it('tells each piece, and each of several alike, with its own progress', () => {
  const first = steps.filter(({ piece }) => piece === 'body').slice(0, 6);
  const parts = partsOf(steps, belt.pieces, new Set(first.map(({ id }) => id)));
  expect(parts.map(({ name, done }) => [name, done])).toEqual([
    ['Back with flap', 5],
    ['Pocket', 0],
    ['Pocket 2', 0],
    ['Belt loop', 0],
  ]);
  const tabs = worked('Bunk rail pocket');
  const alike = partsOf(stepsToMake(tabs.steps), tabs.pieces, new Set());
  expect(alike.map(({ id, name }) => [id, name])).toEqual([
    ['body', 'Strip'],
    ['tab', 'Tab, 1 of 2'],
    ['tab@2', 'Tab, 2 of 2'],
  ]);
});

it('goes on with the piece that was chosen, then with the one on the hook, then with what is left', () => {
  const done = new Set<string>();
  expect(nextStep(steps, done, 'loop', undefined)!.piece).toBe('loop');
  const loop = steps.filter(({ piece }) => piece === 'loop');
  done.add(loop[0]!.id);
  expect(nextStep(steps, done, undefined, loop[0]!.id)!.id).toBe(loop[1]!.id);
  for (const { id } of loop) done.add(id);
  expect(nextStep(steps, done, 'loop', loop.at(-1)!.id)).toBe(steps[0]);
});

it('a piece that is picked up from another waits for it', () => {
  const bag = worked('Ring tin bag');
  const all = stepsToMake(bag.steps);
  const waits = (done: ReadonlySet<string>) => partsOf(all, bag.pieces, done).map((part) => part.waits);
  expect(waits(new Set())).toEqual([false, true]);
  const own = all.slice(
    0,
    all.findIndex(({ piece }) => piece === 'tongue'),
  );
  expect(waits(new Set(own.map(({ id }) => id)))).toEqual([false, false]);
});

it('in whatever order the pieces are made, every step comes to its turn once', () => {
  fc.assert(
    fc.property(fc.constantFrom(...PLANS), fc.infiniteStream(fc.nat(5)), (plan, choice) => {
      const { steps: plain, pieces } = reckon(plan);
      const all = stepsToMake(plain);
      const done = new Set<string>();
      let last: string | undefined;
      for (let turn = 0; turn < all.length; turn += 1) {
        const open = partsOf(all, pieces, done).filter((part) => !part.waits);
        const next = nextStep(
          all,
          done,
          turn % 7 === 0 ? open[choice.next().value % open.length]?.id : undefined,
          last,
        );
        expect(next && !done.has(next.id)).toBe(true);
        done.add(next!.id);
        last = next!.id;
      }
      expect(nextStep(all, done, undefined, last)).toBeUndefined();
    }),
    { numRuns: 30 },
  );
});
