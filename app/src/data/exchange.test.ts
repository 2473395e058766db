import type { MakeEvent } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { House } from '@/fixtures/house';
import { nothingHere } from '@/fixtures/serverHas';
import { Away } from './api';
import { useEvents } from './events';
import { exchange, forget } from './exchange';
import { useLibrary } from './library';

const plan = Object.values(TERN_POINT.plans)[0]!;
let house: House;

beforeEach(() => {
  nothingHere();
  forget();
  house = new House('our house');
  house.open();
});

const round = () => exchange(true);
const plans = () => useLibrary.getState().shelves.plans;
const titles = () => Object.values(plans()).map(({ body }) => body.title);
const tick = (make = 'm', text?: string) =>
  useEvents
    .getState()
    .happened(make, text ? { kind: 'noted', text, step: 'row' } : { kind: 'ticked', step: 'row', under: null });

describe('with the house it knows', () => {
  it('sends a new document once, as new, and then has nothing waiting', async () => {
    await round();
    const id = useLibrary.getState().add('plans', plan);
    await round();
    await round();
    expect(house.writes()).toMatchObject([{ method: 'PUT', path: `/api/plans/${id}` }]);
    expect(plans()[id]).toMatchObject({ dirty: false, revision: 1 });
  });

  it('keeps ticks while it is away, and sends each once when it is back', async () => {
    await round();
    house.away = true;
    [1, 2, 3].forEach(() => tick());
    await expect(round()).rejects.toThrow(Away);
    expect(useEvents.getState().unsent).toHaveLength(3);
    house.away = false;
    await round();
    await round();
    expect(house.writes()).toHaveLength(1);
    expect(house.events).toHaveLength(3);
    expect(useEvents.getState().unsent).toEqual([]);
  });

  it('takes in what other devices did: new, changed, deleted, happened', async () => {
    house.put('plans/a', plan);
    house.put('plans/b', plan);
    house.events.push({ seq: (house.seq += 1), event: { id: 'e', make: 'm', n: 4 } as MakeEvent });
    await round();
    expect(titles()).toEqual([plan.title, plan.title]);
    expect(useEvents.getState().byMake.m).toMatchObject([{ id: 'e', seq: 3 }]);
    house.put('plans/a', { ...plan, title: 'wider' });
    house.remove('plans/b');
    await round();
    expect(titles()).toEqual(['wider']);
  });

  it('holds both sides of a clash, and sends no more of it until it is settled', async () => {
    house.put('plans/a', plan);
    await round();
    house.put('plans/a', { ...plan, title: 'theirs' });
    useLibrary.getState().change('plans', 'a', { ...plan, title: 'mine' });
    await round();
    await round();
    expect(plans().a).toMatchObject({ body: { title: 'mine' }, theirs: { revision: 2, body: { title: 'theirs' } } });
    expect(house.writes()).toHaveLength(1);
    useLibrary.getState().settle('plans', 'a', 'mine');
    await round();
    expect(house.documents.get('plans/a')).toMatchObject({ revision: 3, body: { title: 'mine' } });
  });

  it('has no clash where a lost answer was to the same write', async () => {
    const id = useLibrary.getState().add('plans', plan);
    house.put(`plans/${id}`, plan);
    await round();
    expect(plans()[id]).toEqual({ body: plan, revision: 1, dirty: false });
  });

  it('lays aside a document that it refuses, with the reason, and sends the others', async () => {
    await round();
    house.instead = (method, path) =>
      method === 'PUT' && path.includes('/plans/')
        ? { status: 422, body: { title: 'no', errors: [{ path: 'title', message: 'Empty.' }] } }
        : undefined;
    const id = useLibrary.getState().add('plans', plan);
    useLibrary.getState().add('things', Object.values(TERN_POINT.things)[0]!);
    tick();
    await round();
    expect(plans()[id]).toMatchObject({ refused: 'title: Empty.', dirty: false });
    expect([house.documents.size, house.events.length]).toEqual([1, 1]);
  });

  it('treats a server in trouble, or something else in its place, as one that is away', async () => {
    house.instead = () => ({ status: 503 });
    await expect(round()).rejects.toThrow(Away);
    globalThis.fetch = (async () => ({ ok: true, status: 200, headers: new Headers() })) as unknown as typeof fetch;
    await expect(round()).rejects.toThrow(Away);
  });

  it('does not pass off a fault of its own as that', async () => {
    house.instead = (_, path) => (path.includes('/changes') ? { status: 200, body: { entries: 7 } } : undefined);
    await expect(round()).rejects.not.toThrow(Away);
  });
});

describe('events', () => {
  const refuse = (isBad: (event: MakeEvent) => boolean, named: boolean) => {
    house.instead = (method, path, body) => {
      if (method !== 'POST' || !path.includes('/events')) return undefined;
      const bad = (body as MakeEvent[]).flatMap((event, index) => (isBad(event) ? index : []));
      if (bad.length === 0) return undefined;
      const errors = bad.map((index) => ({ path: `[${index}].text`, message: 'Shorten it.' }));
      return { status: 422, body: { title: 'Refused.', ...(named ? { errors } : {}) } };
    };
  };

  it.each([
    ['by its place', true],
    ['only as a whole', false],
  ])('one bad one among good ones, told %s, is set aside alone', async (_, named) => {
    for (let n = 0; n < 9; n += 1) tick('m', n === 5 ? 'bad' : `note ${n}`);
    refuse((event) => event.kind === 'noted' && event.text === 'bad', named);
    await round();
    const { unsent, refused } = useEvents.getState();
    expect(house.events).toHaveLength(8);
    expect(unsent).toEqual([]);
    expect(Object.values(refused)).toMatchObject([
      { event: { text: 'bad' }, reason: named ? 'Shorten it.' : 'Refused.' },
    ]);
  });

  it('go in batches that no server finds too large', async () => {
    for (let n = 0; n < 300; n += 1) tick('m', 'long '.repeat(400));
    await round();
    const sizes = house.writes().map(({ body }) => JSON.stringify(body).length);
    expect(sizes.length).toBeGreaterThan(2);
    expect(Math.max(...sizes)).toBeLessThan(250_000);
    expect(house.events).toHaveLength(300);
  });

  it('of a make opened again come whole', async () => {
    const at = { make: 'm', device: 'd', at: '2026-01-01T00:00:00Z' };
    await round();
    house.events.push({ seq: 1, event: { id: 'a', n: 1, kind: 'ticked', step: 'row', ...at } });
    house.seq = 1;
    house.instead = (_, path) => (path.includes('/changes') ? undefined : undefined);
    await round();
    house.events.push({ seq: 2, event: { id: 'b', n: 2, kind: 'reopened', ...at } });
    house.seq = 2;
    await round();
    expect(house.asked.some(({ path }) => path.startsWith('/api/events?make=m'))).toBe(true);
    expect(useEvents.getState().byMake.m).toHaveLength(2);
  });
});

describe('with another house', () => {
  async function settled() {
    const id = useLibrary.getState().add('plans', plan);
    tick();
    await round();
    await round();
    return id;
  }

  it('deletes nothing: offers everything anew, and says how much', async () => {
    const id = await settled();
    const other = new House('an empty house');
    other.open();
    expect(await round()).toEqual({ documents: 1, events: 1 });
    await round();
    expect(other.documents.get(`plans/${id}`)).toMatchObject({ body: { title: plan.title } });
    expect(other.events).toHaveLength(1);
    expect(plans()[id]).toMatchObject({ dirty: false, revision: 1 });
    expect(await round()).toBeNull();
  });

  it('that has one of the documents otherwise, offers both', async () => {
    const id = await settled();
    const other = new House('an older copy');
    other.put(`plans/${id}`, { ...plan, title: 'as it was' });
    other.open();
    await round();
    await round();
    expect(plans()[id]).toMatchObject({ body: { title: plan.title }, theirs: { body: { title: 'as it was' } } });
  });

  it('knows another history of the same house', async () => {
    const id = await settled();
    const copy = new House(house.name);
    copy.open();
    expect(await round()).toMatchObject({ documents: 1 });
    await round();
    expect(copy.documents.has(`plans/${id}`)).toBe(true);
  });

  it('takes the first it meets, and brings along what was there before', async () => {
    house.put('plans/there', plan);
    const here = useLibrary.getState().add('plans', { ...plan, title: 'here' });
    await round();
    await round();
    expect(titles().sort()).toEqual([plan.title, 'here'].sort());
    expect(house.documents.has(`plans/${here}`)).toBe(true);
  });
});

describe('left by an earlier version', () => {
  const earlier = (revision: number) =>
    useLibrary.setState(({ shelves }) => ({
      shelves: { ...shelves, plans: { a: { body: plan, revision, dirty: false } } },
    }));

  it('takes its house for its own where that is not behind', async () => {
    earlier(1);
    house.put('plans/a', plan);
    house.put('plans/a', { ...plan, title: 'wider' });
    expect(await round()).toBeNull();
    expect(titles()).toEqual(['wider']);
    expect(house.writes()).toEqual([]);
  });

  it('offers anew what a house behind it does not know', async () => {
    earlier(5);
    house.put('plans/a', { ...plan, title: 'long ago' });
    expect(await round()).toMatchObject({ documents: 1 });
    await round();
    expect(plans().a).toMatchObject({ body: { title: plan.title }, theirs: { body: { title: 'long ago' } } });
  });

  it('offers anew what its house has lost', async () => {
    earlier(1);
    await round();
    await round();
    expect(house.documents.get('plans/a')).toMatchObject({ body: { title: plan.title } });
  });
});
