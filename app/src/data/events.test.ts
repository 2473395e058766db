import { foldMake, type KeptEvent, type MakeEvent } from '@keep-snug/core';
import { nothingHere } from '@/fixtures/serverHas';
import { merged, useEvents } from './events';

const event = (id: string, more: Partial<KeptEvent> = {}): KeptEvent =>
  ({ id, make: 'm', device: 'd', at: '2026-01-01T00:00:00Z', kind: 'ticked', ...more }) as KeptEvent;
const STEPS = ['a', 'b', 'c'].map((id, index) => ({ id, piece: 'body', kind: 'row' as const, row: index + 1 }));
const tick = (step: string) => useEvents.getState().happened('m', { kind: 'ticked', step, under: null });

beforeEach(nothingHere);

it('are merged each once, and take on the server’s sequence', () => {
  const once = merged({}, [event('1'), event('2')]);
  const twice = merged(once, [event('2', { seq: 9 }), event('3')]);
  expect(twice.m!.map(({ id, seq }) => [id, seq])).toEqual([
    ['1', undefined],
    ['2', 9],
    ['3', undefined],
  ]);
  expect(merged(twice, [event('2', { seq: 9 }), event('1')])).toBe(twice);
});

it('are kept here before anything is sent, counted on, and wait until confirmed', () => {
  tick('a');
  tick('b');
  const { byMake, unsent, confirmed } = useEvents.getState();
  expect(foldMake(byMake.m!, STEPS).done).toEqual(['a', 'b']);
  expect(byMake.m!.map(({ n }) => n)).toEqual([1, 2]);
  confirmed(unsent.slice(0, 1));
  expect(useEvents.getState().unsent).toEqual(unsent.slice(1));
});

it('count on from what another device counted', () => {
  useEvents.getState().receive([event('there', { n: 41, seq: 3 })]);
  tick('b');
  expect(useEvents.getState().byMake.m!.at(-1)!.n).toBe(42);
});

it('that were refused wait beside the others, and go again or are let go when asked', () => {
  tick('a');
  tick('b');
  const [first, second] = useEvents.getState().unsent as [string, string];
  useEvents.getState().setAside([{ id: first, reason: 'too long' }]);
  expect(useEvents.getState()).toMatchObject({ unsent: [second], refused: { [first]: { reason: 'too long' } } });
  useEvents.getState().tryAgain(first);
  expect(useEvents.getState()).toMatchObject({ unsent: [second, first], refused: {} });
  useEvents.getState().setAside([{ id: first, reason: 'too long' }]);
  useEvents.getState().letGo([first]);
  expect(useEvents.getState().byMake.m!.map(({ id }) => id)).toEqual([second]);
});

it('of a file are added once', () => {
  const brought = [event('x'), event('y')] as MakeEvent[];
  useEvents.getState().bring(brought);
  useEvents.getState().bring(brought);
  expect(useEvents.getState()).toMatchObject({ byMake: { m: { length: 2 } }, unsent: ['x', 'y'] });
});
