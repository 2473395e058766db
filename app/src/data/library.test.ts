import { TERN_POINT } from '@keep-snug/core/demo';
import { useHistory } from './history';
import { useLibrary } from './library';

const thing = (name: string) => ({ name, thing: { kind: 'loose' } });

describe('a clash', () => {
  const clash = () =>
    useLibrary.setState((state) => ({
      shelves: {
        ...state.shelves,
        things: {
          a: {
            body: thing('mine'),
            revision: 2,
            dirty: false,
            theirs: { revision: 5, body: thing('theirs') },
          } as never,
        },
      },
    }));
  const now = () => useLibrary.getState().shelves.things.a;

  it('can be settled either way', () => {
    clash();
    useLibrary.getState().settle('things', 'a', 'mine');
    expect(now()).toEqual({ body: thing('mine'), revision: 5, dirty: true, stamp: expect.any(String) });
    clash();
    useLibrary.getState().settle('things', 'a', 'theirs');
    expect(now()).toEqual({ body: thing('theirs'), revision: 5, dirty: false });
  });
});

describe('undo and redo', () => {
  it('go back and forth over every change', () => {
    const plan = Object.values(TERN_POINT.plans)[0]!;
    const id = useLibrary.getState().add('plans', plan);
    const { edit, undo, redo } = useHistory.getState();
    const title = () => useLibrary.getState().shelves.plans[id]!.body.title;
    for (const name of ['a', 'b', 'c']) edit(id, (old) => ({ ...old, title: name }));
    undo(id);
    undo(id);
    expect(title()).toBe('a');
    redo(id);
    expect(title()).toBe('b');
    edit(id, (old) => ({ ...old, title: 'd' }));
    redo(id);
    expect(title()).toBe('d');
    for (let step = 0; step < 9; step += 1) undo(id);
    expect(title()).toBe(plan.title);
  });
});
