import 'fake-indexeddb/auto';
import { foldMake, reckon, type Make } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { IDBFactory, IDBObjectStore } from 'fake-indexeddb';
import kept from '../../../../e2e/fixtures/earlier.localStorage.json';
import { House } from '@/fixtures/house';
import { nothingHere } from '@/fixtures/serverHas';
import { BLANK, useDraft } from '../draft';
import { useEvents } from '../events';
import { exchange, forget, readOn } from '../exchange';
import { useLibrary } from '../library';
import { smallStorage } from '@/platform/storage';
import { startDevice, useDevice } from '.';
import { leavePage, useKeeping, writeDown } from './keeper';
import type { LocalDocument, Shelf } from '../types';

const plan = Object.values(TERN_POINT.plans)[0]!;
let stop: () => void = () => undefined;

/** The page is opened, on whatever this device keeps. */
async function opened(): Promise<void> {
  nothingHere();
  forget();
  stop = await startDevice(() => undefined);
  await readOn();
  for (let turn = 0; turn < 200 && !useDevice.getState().all; turn += 1)
    await new Promise((resolve) => setTimeout(resolve, 5));
}

/** The page is closed and opened again. */
async function again(): Promise<void> {
  await writeDown();
  stop();
  await opened();
}

beforeEach(async () => {
  globalThis.indexedDB = new IDBFactory();
  useKeeping.setState({ trouble: null, unkept: 0 });
  await opened();
});
afterEach(async () => {
  jest.restoreAllMocks();
  await writeDown();
  stop();
});

const tick = (make = 'm', step = 'row') => useEvents.getState().happened(make, { kind: 'ticked', step, under: null });
const plans = () => useLibrary.getState().shelves.plans;
const unsent = () => useEvents.getState().unsent.length;

it('keeps documents, events, what waits and how far was read', async () => {
  const house = new House('our house');
  house.open();
  house.put('plans/there', plan);
  await exchange(true);
  const here = useLibrary.getState().add('plans', { ...plan, title: 'here' });
  useLibrary.getState().change('plans', here, { ...plan, title: 'wider' });
  [1, 2, 3].forEach(() => tick());
  await again();
  expect(plans()).toMatchObject({
    there: { revision: 1, dirty: false },
    [here]: { revision: 0, dirty: true, body: { title: 'wider' } },
  });
  expect([unsent(), useEvents.getState().byMake.m!.length, useLibrary.getState().loaded]).toEqual([3, 3, true]);
  await exchange(true);
  expect(house.asked.at(-1)!.path).toMatch(/since=\d+&last=our%20house/);
  await again();
  expect([unsent(), plans()[here]!.revision, house.events.length]).toEqual([0, 1, 3]);
});

it('forgets what was deleted once the server knows, and what was let go', async () => {
  const house = new House('our house');
  house.open();
  const id = useLibrary.getState().add('plans', plan);
  tick();
  await exchange(true);
  useLibrary.getState().remove('plans', id);
  await again();
  expect(plans()[id]).toMatchObject({ gone: true });
  await exchange(true);
  await again();
  expect(plans()).toEqual({});
  expect(house.documents.get(`plans/${id}`)).toMatchObject({ deleted: true });
});

it('remembers what the server refused, and why', async () => {
  tick();
  const [id] = useEvents.getState().unsent as [string];
  useEvents.getState().setAside([{ id, reason: 'too long' }]);
  await again();
  expect(useEvents.getState()).toMatchObject({ unsent: [], refused: { [id]: { reason: 'too long' } } });
});

it('lays finished makes out after the bench, with how they ended', async () => {
  const [make] = Object.values(TERN_POINT.makes);
  const id = useLibrary.getState().add('makes', make!);
  tick(id);
  useEvents.getState().happened(id, { kind: 'finished' });
  await again();
  expect(useLibrary.getState().shelves.makes[id]).toBeDefined();
  useEvents.getState().confirmed(useEvents.getState().unsent);
  await again();
  expect(useEvents.getState().byMake[id]!.map(({ kind }) => kind)).toEqual(['finished']);
  useEvents.getState().happened(id, { kind: 'reopened' });
  await again();
  expect(useEvents.getState().byMake[id]).toHaveLength(3);
});

it('writes on what another tab made of a document meanwhile', async () => {
  const house = new House('our house');
  house.open();
  const id = useLibrary.getState().add('plans', plan);
  await exchange(true);
  await writeDown();
  // the tab that leads has the answer; this one still holds the document as it was before
  useLibrary.setState(({ shelves }) => ({
    shelves: { ...shelves, plans: { [id]: { body: plan, revision: 0, dirty: true } } },
  }));
  useLibrary.getState().change('plans', id, { ...plan, title: 'wider' });
  await writeDown();
  expect(plans()[id]).toMatchObject({ revision: 1, dirty: true, body: { title: 'wider' } });
});

it('keeps what is being measured, every word as typed', async () => {
  const draft = { ...BLANK, texts: { width: ' 3 1/4', name: 'hide log' } };
  useDraft.getState().keep(draft);
  await writeDown();
  stop();
  useDraft.setState({ draft: BLANK });
  await opened();
  expect(useDraft.getState().draft).toEqual(draft);
  useDraft.getState().clear();
  await again();
  expect(useDraft.getState().draft).toEqual(BLANK);
});

it('keeps the last word typed before the page is left, with no time for the store', async () => {
  const draft = { ...BLANK, texts: { width: '6 in' } };
  useDraft.getState().keep(draft);
  leavePage();
  const left = smallStorage().getItem('keep-snug.left')!;
  await writeDown();
  stop();
  // the store as it would be had the page gone before it wrote
  globalThis.indexedDB = new IDBFactory();
  smallStorage().setItem('keep-snug.left', left);
  useDraft.setState({ draft: BLANK });
  await opened();
  expect(useDraft.getState().draft).toEqual(draft);
  await again();
  expect(useDraft.getState().draft).toEqual(draft);
  expect(smallStorage().getItem('keep-snug.left')).toBeNull();
});

describe('where nothing can be written down', () => {
  const full = () =>
    jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });

  it('says so, goes on in memory, sends all the same, and writes it down when there is room', async () => {
    const house = new House('our house');
    house.open();
    const make = useLibrary.getState().add('makes', Object.values(TERN_POINT.makes)[0]!);
    await writeDown();
    full();
    for (let n = 0; n < 5; n += 1) tick(make, `row ${n}`);
    await writeDown();
    expect(useKeeping.getState()).toEqual({ trouble: 'full', unkept: 5 });
    expect(unsent()).toBe(5);
    await exchange(true);
    expect(house.events).toHaveLength(5);
    tick(make, 'one more');
    jest.restoreAllMocks();
    await writeDown();
    expect(useKeeping.getState()).toEqual({ trouble: null, unkept: 0 });
    await again();
    expect([useEvents.getState().byMake[make]!.length, unsent()]).toEqual([6, 1]);
  });

  it('says that the browser refuses, and goes on', async () => {
    stop();
    jest.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('not here', 'SecurityError');
    });
    await opened();
    tick();
    expect(useKeeping.getState().trouble).toBe('refused');
    expect([unsent(), useDevice.getState().ready]).toEqual([1, true]);
  });
});

describe('what an earlier version kept', () => {
  const laid = () => Object.entries(kept).forEach(([key, text]) => smallStorage().setItem(key, text));
  const makes = () => Object.entries(useLibrary.getState().shelves.makes);

  it('is moved in with its counts and rows done, what waited waits, and the old place is empty', async () => {
    stop();
    laid();
    await opened();
    const [[id, held]] = makes() as [[string, LocalDocument<Make>]];
    const worked = reckon(held.body.plan);
    expect(worked.pieces.map(({ stitches, rows }) => [stitches, rows])).toEqual([
      [37, 44],
      [6, 169],
    ]);
    const { done } = foldMake(useEvents.getState().byMake[id]!, worked.steps);
    expect(done).toEqual(worked.steps.slice(0, 12).map((step) => step.id));
    expect(unsent()).toBe(1);
    expect(Object.keys(kept).map((key) => smallStorage().getItem(key))).toEqual([null, null]);
    // a tab of that version that is still open writes there again: nothing is doubled
    laid();
    await again();
    expect([makes().length, useEvents.getState().byMake[id]!.length, unsent()]).toEqual([1, 12, 1]);
  });

  it('keeps both where both were changed', async () => {
    stop();
    laid();
    await opened();
    const [[id]] = makes() as [[string, unknown]];
    const body = useLibrary.getState().shelves.makes[id]!.body;
    useLibrary.getState().change('makes', id, { ...body, title: 'changed here' });
    await writeDown();
    const library = JSON.parse(kept['keep-snug.library']) as { state: { shelves: Record<string, Shelf> } };
    library.state.shelves.makes![id] = { body: { ...body, title: 'changed there' }, revision: 1, dirty: true };
    smallStorage().setItem('keep-snug.library', JSON.stringify(library));
    await again();
    expect(
      makes()
        .map(([, held]) => held.body.title)
        .sort(),
    ).toEqual(['changed here', 'changed there']);
  });

  it('of a thing being measured comes along', async () => {
    const draft = { ...BLANK, texts: { width: '78' } };
    stop();
    smallStorage().setItem('keep-snug.draft', JSON.stringify({ state: { draft }, version: 4 }));
    await opened();
    expect(useDraft.getState().draft).toEqual(draft);
    expect(smallStorage().getItem('keep-snug.draft')).toBeNull();
    useDraft.getState().clear();
  });

  it('that cannot be read stops nothing', async () => {
    stop();
    smallStorage().setItem('keep-snug.library', '{"state":');
    await opened();
    expect(useDevice.getState().ready).toBe(true);
  });
});
