import { afterAnswer, received, useLibrary, type LocalDocument } from './library';
import { merged, useEvents } from './events';
import { useHistory } from './history';
import { foldMake, type MakeEvent } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';

const held = (change: Partial<LocalDocument<unknown>> = {}): LocalDocument<unknown> => ({
  body: 'mine',
  revision: 2,
  dirty: false,
  ...change,
});
const kept = (revision: number) => ({ id: 'a', revision, body: 'theirs' });

describe('what the server has', () => {
  it('takes the place of what was not changed here', () => {
    expect(received({ a: held() }, [kept(3)])).toEqual({ a: { body: 'theirs', revision: 3, dirty: false } });
    expect(received({ a: held() }, [])).toEqual({});
  });

  it('never overwrites what is unsent, in a clash, refused, or newer here', () => {
    for (const change of [{ dirty: true }, { theirs: null }, { refused: 'why' }, { revision: 9 }]) {
      expect(received({ a: held(change) }, [kept(3)]).a).toMatchObject({ body: 'mine' });
    }
    expect(received({ a: held({ dirty: true }) }, []).a).toMatchObject({ body: 'mine' });
  });
});

describe('the answer to a write', () => {
  const sent = { title: 'sent' };

  it('settles what was sent, and leaves a change made meanwhile to be sent', () => {
    expect(afterAnswer(held({ body: sent, dirty: true }), sent, { is: 'kept', kept: kept(3) })).toMatchObject({
      dirty: false,
      revision: 3,
    });
    expect(afterAnswer(held({ body: 'newer', dirty: true }), sent, { is: 'kept', kept: kept(3) })).toMatchObject({
      dirty: true,
      revision: 3,
    });
  });

  it('keeps both where the write came too late', () => {
    expect(afterAnswer(held({ dirty: true }), 'mine', { is: 'stale', present: kept(5) })).toMatchObject({
      body: 'mine',
      theirs: kept(5),
    });
  });

  it('drops what was taken off once the server knows', () => {
    expect(afterAnswer(held({ gone: true, dirty: true }), null, { is: 'kept', kept: kept(2) })).toBeUndefined();
  });
});

describe('a clash', () => {
  const clash = () =>
    useLibrary.setState((state) => ({
      shelves: { ...state.shelves, things: { a: held({ theirs: kept(5) }) as never } },
    }));
  const now = () => useLibrary.getState().shelves.things.a;

  it('can be settled either way', () => {
    clash();
    useLibrary.getState().settle('things', 'a', 'mine');
    expect(now()).toEqual({ body: 'mine', revision: 5, dirty: true });
    clash();
    useLibrary.getState().settle('things', 'a', 'theirs');
    expect(now()).toEqual({ body: 'theirs', revision: 5, dirty: false });
  });
});

describe('events', () => {
  const event = (id: string): MakeEvent => ({ id, make: 'm', device: 'd', at: '2026-01-01T00:00:00Z', kind: 'ticked' });

  it('are merged each once', () => {
    const once = merged({}, [event('1'), event('2')]);
    expect(merged(once, [event('2'), event('3')]).m!.map(({ id }) => id)).toEqual(['1', '2', '3']);
  });

  it('are kept here before anything is sent, and wait until confirmed', () => {
    const { happened, confirmed } = useEvents.getState();
    happened('m', { kind: 'ticked' });
    happened('m', { kind: 'ticked' });
    const { byMake, unsent } = useEvents.getState();
    expect(foldMake(byMake.m!, 10).done).toBe(2);
    expect(unsent).toHaveLength(2);
    confirmed(unsent.slice(0, 1));
    expect(useEvents.getState().unsent).toEqual(unsent.slice(1));
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
