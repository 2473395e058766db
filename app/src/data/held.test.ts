import { afterAnswer, offeredAnew, received, type ServerChange } from './held';
import type { LocalDocument } from './types';

type Held = LocalDocument<unknown>;
const held = (change: Partial<Held> = {}): Held => ({ body: 'mine', revision: 2, dirty: false, stamp: '1', ...change });
const there = (revision: number, change: Partial<ServerChange> = {}): ServerChange => ({
  kind: 'plans',
  id: 'a',
  revision,
  body: 'theirs',
  ...change,
});
const gone = (revision: number): ServerChange => ({ kind: 'plans', id: 'a', revision, deleted: true });

describe('what the server has', () => {
  it('takes the place of what was not changed here', () => {
    expect(received(held(), there(3))).toEqual({ body: 'theirs', revision: 3, dirty: false });
    expect(received(undefined, there(3))).toEqual({ body: 'theirs', revision: 3, dirty: false });
    expect(received(held(), gone(3))).toBeUndefined();
  });

  it('never overwrites what is unsent, in a clash, refused, or newer here', () => {
    for (const change of [{ dirty: true }, { theirs: null }, { refused: 'why' }, { revision: 9 }])
      expect(received(held(change), there(3))).toMatchObject({ body: 'mine' });
    expect(received(held({ dirty: true }), gone(3))).toMatchObject({ body: 'mine' });
  });

  it('settles what is the same on both sides, and keeps the object', () => {
    const body = { title: 'same' };
    const settled = received(held({ body, dirty: true, revision: 0 }), there(7, { body: { title: 'same' } }));
    expect(settled).toEqual({ body, revision: 7, dirty: false });
    expect(settled!.body).toBe(body);
  });
});

describe('the answer to a write', () => {
  const sent = held({ dirty: true });

  it('settles what was sent, and leaves a change made meanwhile to be sent', () => {
    expect(afterAnswer(sent, sent, { is: 'kept', revision: 3 })).toMatchObject({ dirty: false, revision: 3 });
    const since = held({ body: 'newer', dirty: true, stamp: '2' });
    expect(afterAnswer(since, sent, { is: 'kept', revision: 3 })).toMatchObject({ dirty: true, revision: 3 });
    expect(afterAnswer(since, sent, { is: 'refused', message: 'no' })).toBe(since);
  });

  it('keeps both where the write came too late, and neither where they are equal', () => {
    const stale = afterAnswer(sent, sent, { is: 'stale', present: { revision: 5, body: 'theirs' } });
    expect(stale).toMatchObject({ body: 'mine', theirs: { revision: 5 } });
    const equal = afterAnswer(sent, sent, { is: 'stale', present: { revision: 5, body: 'mine' } });
    expect(equal).toEqual({ body: 'mine', revision: 5, dirty: false });
  });

  it('drops what was deleted once the server knows, and sends anew what was changed since', () => {
    const deleted = held({ gone: true, dirty: true });
    expect(afterAnswer(deleted, deleted, { is: 'kept', revision: 2 })).toBeUndefined();
    expect(afterAnswer(deleted, deleted, { is: 'stale', present: null })).toBeUndefined();
    const back = held({ stamp: '2' });
    expect(afterAnswer(back, deleted, { is: 'kept', revision: 2 })).toMatchObject({ revision: 0, dirty: true });
  });

  it('deletes there what was deleted here while it was on its way', () => {
    const since = held({ revision: 0, gone: true, dirty: true, stamp: '2' });
    const answered = afterAnswer(since, held({ revision: 0, dirty: true }), { is: 'kept', revision: 1 });
    expect(answered).toMatchObject({ gone: true, dirty: true, revision: 1 });
  });
});

it('to another house everything is new, with nothing of the old one left', () => {
  const clash = held({ theirs: { revision: 5, body: 'theirs' }, refused: 'no' });
  expect(offeredAnew(clash, clash.body)).toEqual({ body: 'mine', revision: 0, dirty: true, stamp: '1' });
});
