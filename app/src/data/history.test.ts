import { TERN_POINT } from '@keep-snug/core/demo';
import { useHistory } from './history';
import { useLibrary } from './library';

const plan = Object.values(TERN_POINT.plans)[0]!;
let field: object | null = { name: 'a field' };

function started(): { id: string; title: () => string; type: (title: string) => void } {
  const id = useLibrary.getState().add('plans', plan);
  return {
    id,
    title: () => useLibrary.getState().shelves.plans[id]!.body.title,
    type: (title) => useHistory.getState().edit(id, (old) => ({ ...old, title }), field),
  };
}

beforeEach(() => {
  jest.useFakeTimers();
  field = { name: 'a field' };
});
afterEach(() => {
  jest.useRealTimers();
});

it('a word typed without a pause is one step', () => {
  const { id, title, type } = started();
  for (const text of ['h', 'hi', 'hid', 'hide']) type(text);
  expect(title()).toBe('hide');
  useHistory.getState().undo(id);
  expect(title()).toBe(plan.title);
});

it('after a pause, in another field, or after an undo, a new step begins', () => {
  const { id, title, type } = started();
  type('a');
  jest.advanceTimersByTime(2000);
  type('b');
  field = { name: 'another' };
  type('c');
  useHistory.getState().undo(id);
  expect(title()).toBe('b');
  type('d');
  useHistory.getState().undo(id);
  expect(title()).toBe('b');
  useHistory.getState().undo(id);
  expect(title()).toBe('a');
});

it('what is put back while it is typed leaves nothing to undo', () => {
  const { id, title, type } = started();
  type('a');
  jest.advanceTimersByTime(2000);
  field = { name: 'another' };
  for (const text of ['b', 'bc', 'a']) type(text);
  expect([title(), useHistory.getState().byPlan[id]!.past.length]).toEqual(['a', 1]);
  type('d');
  useHistory.getState().undo(id);
  expect(title()).toBe('a');
});

it('presses are steps of their own, however quick', () => {
  field = null;
  const { id, title, type } = started();
  type('a');
  type('b');
  useHistory.getState().undo(id);
  expect(title()).toBe('a');
});

it('undo and redo of a plan that is not there do nothing', () => {
  const { undo, redo, edit } = useHistory.getState();
  expect(() => {
    undo('none');
    redo('none');
    edit('none', (old) => old);
  }).not.toThrow();
  expect(useHistory.getState().byPlan.none).toBeUndefined();
});
