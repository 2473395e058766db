import { TERN_POINT } from '@keep-snug/core/demo';
import { useHistory } from './history';
import { useLibrary } from './library';

const plan = Object.values(TERN_POINT.plans)[0]!;
const field = { tagName: 'INPUT' };
const page = globalThis as unknown as { document?: { activeElement: unknown } };

function started(): { id: string; title: () => string; type: (title: string) => void } {
  const id = useLibrary.getState().add('plans', plan);
  return {
    id,
    title: () => useLibrary.getState().shelves.plans[id]!.body.title,
    type: (title) => useHistory.getState().edit(id, (old) => ({ ...old, title })),
  };
}

beforeEach(() => {
  jest.useFakeTimers();
  page.document = { activeElement: field };
});
afterEach(() => {
  jest.useRealTimers();
  delete page.document;
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
  page.document = { activeElement: { tagName: 'INPUT' } };
  type('c');
  useHistory.getState().undo(id);
  expect(title()).toBe('b');
  type('d');
  useHistory.getState().undo(id);
  expect(title()).toBe('b');
  useHistory.getState().undo(id);
  expect(title()).toBe('a');
});

it('presses are steps of their own, however quick', () => {
  page.document = { activeElement: { tagName: 'DIV' } };
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
