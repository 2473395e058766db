import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import type { Everything } from '@keep-snug/core/everything';
import { nothingHere, samplesHere, serverHasEvents } from '@/fixtures/serverHas';
import { inTurn } from '@/platform/exchangeLock';
import { useEvents } from './events';
import { useLibrary } from './library';
import { bringBack, changesOf } from './bringBack';

const events = ternPointEvents();
const [phone, notebook] = Object.keys(TERN_POINT.plans) as [string, string];
const plans = () => useLibrary.getState().shelves.plans;

/** A file that has one plan otherwise, one that is not here, and lacks one; and events that are not here. */
function file(): Everything {
  const { [notebook]: _lacking, ...rest } = TERN_POINT.plans;
  return {
    ...TERN_POINT,
    plans: {
      ...rest,
      [phone]: { ...TERN_POINT.plans[phone]!, title: 'as it was' },
      another: TERN_POINT.plans[notebook]!,
    },
    events,
  };
}

beforeEach(() => {
  nothingHere();
  samplesHere();
  serverHasEvents(events.slice(0, 20));
});

it('beside what is here: adds what is not, and keeps what differs', async () => {
  const changes = await changesOf(file(), 'merge', 'here');
  expect(changes).toMatchObject({
    added: [{ kind: 'plans', id: 'another' }],
    changed: [],
    differing: [{ kind: 'plans', id: phone }],
    removed: [],
    events: { length: events.length - 20 },
  });
  const { keep } = await bringBack(changes);
  expect(plans().another).toMatchObject({ revision: 0, dirty: true });
  expect(plans()[phone]).toMatchObject({ dirty: false, body: { title: 'Field phone pouch' } });
  expect(useEvents.getState().unsent).toHaveLength(events.length - 20);
  keep();
});

it('beside what is here, the file’s before it: changes what differs', async () => {
  const changes = await changesOf(file(), 'merge', 'file');
  expect(changes).toMatchObject({ changed: [{ id: phone }], differing: [], removed: [] });
  (await bringBack(changes)).keep();
  expect(plans()[phone]).toMatchObject({ revision: 1, dirty: true, body: { title: 'as it was' } });
});

it('given up half-way leaves all as it was', async () => {
  const before = JSON.stringify([useLibrary.getState().shelves, useEvents.getState().byMake]);
  const changes = await changesOf(file(), 'replace', 'file');
  const told: number[] = [];
  const brought = await bringBack(changes, (done, of) => {
    told.push(done / of);
    return told.length < 2;
  });
  expect(brought).toBeNull();
  expect(told).toHaveLength(2);
  expect(told[1]).toBeLessThan(1);
  expect(JSON.stringify([useLibrary.getState().shelves, useEvents.getState().byMake])).toBe(before);
});

it('in its place: deletes what the file has not', async () => {
  const changes = await changesOf(file(), 'replace', 'here');
  expect(changes).toMatchObject({ changed: [{ id: phone }], removed: [{ id: notebook }] });
  (await bringBack(changes)).keep();
  expect(plans()[notebook]).toMatchObject({ gone: true, dirty: true });
});

it('leaves no trace once it is undone, and sends nothing before that', async () => {
  const before = [useLibrary.getState().shelves, useEvents.getState().byMake, useEvents.getState().unsent];
  const { undo } = await bringBack(await changesOf(file(), 'replace', 'file'));
  const speaks = jest.fn(async () => undefined);
  await inTurn(speaks);
  expect(speaks).not.toHaveBeenCalled();
  undo();
  expect([useLibrary.getState().shelves, useEvents.getState().byMake, useEvents.getState().unsent]).toEqual(before);
  await inTurn(speaks);
  expect(speaks).toHaveBeenCalled();
});

it('of what is here already changes nothing', async () => {
  serverHasEvents(events);
  expect(await changesOf({ ...TERN_POINT, events }, 'replace', 'file')).toEqual({
    added: [],
    changed: [],
    differing: [],
    removed: [],
    events: [],
  });
});
