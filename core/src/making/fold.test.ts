import fc from 'fast-check';
import type { MakeEvent } from './events';
import { foldMake } from './fold';

const base = (n: number) => ({
  id: `e${n}`,
  make: 'm',
  device: 'd',
  at: new Date(Date.UTC(2026, 1, 1) + n * 1000).toISOString(),
});
const tick = (n: number): MakeEvent => ({ ...base(n), kind: 'ticked' });
const undo = (n: number, of: number): MakeEvent => ({ ...base(n), kind: 'undone', undoes: `e${of}` });

it('is the sum of what happened', () => {
  const state = foldMake(
    [tick(1), tick(2), tick(3), undo(4, 3), { ...base(5), kind: 'noted', text: 'a knot', step: 2 }],
    10,
  );
  expect(state).toMatchObject({ done: 2, lastTick: 'e2', finished: false, notes: [{ text: 'a knot', step: 2 }] });
});

it('is the same in any order, and with events arriving twice', () => {
  const events = [...Array.from({ length: 12 }, (_, n) => tick(n)), undo(20, 3), undo(21, 3), undo(22, 99)];
  const expected = foldMake(events, 100);
  const mixed = fc.shuffledSubarray([...events, ...events], { minLength: 2 * events.length });
  fc.assert(fc.property(mixed, (order) => expect(foldMake(order, 100)).toEqual(expected)));
  expect(expected.done).toBe(11);
});

it('counts ticks of two devices at once, and never past the last step', () => {
  const both = [tick(1), { ...tick(2), device: 'other' }];
  expect(foldMake(both, 10).done).toBe(2);
  expect(foldMake(both, 1).done).toBe(1);
});

it('is finished until it is reopened', () => {
  const finished: MakeEvent = { ...base(5), kind: 'finished' };
  const reopened: MakeEvent = { ...base(6), kind: 'reopened' };
  expect(foldMake([finished], 3).finished).toBe(true);
  expect(foldMake([reopened, finished], 3).finished).toBe(false);
});
