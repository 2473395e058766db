import { finishOf, foldMake, planFollowed, reckon, type Make } from '@keep-snug/core';
import { TERN_POINT, ternPointEvents } from '@keep-snug/core/demo';
import { act, fireEvent, renderHook, screen } from '@testing-library/react-native';
import { Bench } from '@/screens/bench/Bench';
import { newPlan } from '@/reading/newPlan';
import { nothingHere, samplesHere, serverHasEvents } from '@/fixtures/serverHas';
import { fromMenu, show } from '@/fixtures/show';
import { Ledger } from '@/screens/ledger/Ledger';
import { useDeleting } from '@/data/deleting';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { useLine } from '@/data/sync';
import { MakeRoom } from './MakeRoom';
import { startMake } from '@/reading/start';
import { useFollowed } from '@/reading/useProgress';
import type { LocalDocument } from '@/data/types';

const mockGo = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => mockGo }));
jest.mock('@/platform/useIdle', () => ({ useIdle: () => true }));
jest.mock('@/platform/idleQueue', () => ({ useIdleTurn: () => true }));
jest.mock('@/platform/useAwake', () => ({ useAwake: jest.fn() }));

const [phoneId, tideId] = Object.keys(TERN_POINT.makes) as [string, string];
const steps = (id: string) => reckon(TERN_POINT.makes[id]!.plan).steps;
const makeOf = (id: string): LocalDocument<Make> => useLibrary.getState().shelves.makes[id]!;
const stateOf = (id: string) => foldMake(useEvents.getState().byMake[id] ?? [], steps(phoneId));
const tick = (step: { id: string }) =>
  useEvents.getState().happened(phoneId, { kind: 'ticked', step: step.id, under: null });

function layOut(): void {
  nothingHere();
  samplesHere(['plans', 'makes', 'things']);
  serverHasEvents(ternPointEvents());
}

/** Only the phone pouch was ever made. */
const forgetOtherMakes = () =>
  useLibrary.setState(({ shelves }) => ({
    shelves: { ...shelves, makes: { [phoneId]: shelves.makes[phoneId]! } },
  }));

beforeEach(() => {
  layOut();
  Object.values(mockGo).forEach((go) => go.mockClear());
});

describe('the counter room', () => {
  const open = () => show(<MakeRoom id={phoneId} held={makeOf(phoneId)} />);

  it('tells row, count and what to do, as they stand', () => {
    open();
    expect(screen.getByText('Row 23 of 87')).toBeTruthy();
    expect(screen.getByText('16')).toBeTruthy();
    expect(screen.getByText('Field phone pouch: front, right side facing')).toBeTruthy();
    expect(screen.getByText(/^Chain 1, single crochet/)).toBeTruthy();
  });

  it('counts a row when it is done, and takes it back', () => {
    open();
    fireEvent.press(screen.getByLabelText('Row 23 done'));
    expect(screen.getByText('Row 24 of 87')).toBeTruthy();
    expect(useEvents.getState().unsent).toHaveLength(1);
    fireEvent.press(screen.getByText('Undo'));
    expect(screen.getByText('Row 23 of 87')).toBeTruthy();
    expect(useEvents.getState().unsent).toHaveLength(2);
  });

  it('takes a row back when the target is dragged to the left, and does not count one', () => {
    open();
    const target = screen.getByLabelText('Row 23 done');
    fireEvent(target, 'pressIn', { nativeEvent: { pageX: 300 } });
    fireEvent(target, 'pressOut', { nativeEvent: { pageX: 120 } });
    fireEvent.press(target);
    expect(stateOf(phoneId).done).toHaveLength(22);
    expect(screen.getByText('Row 22 of 87')).toBeTruthy();
  });

  it('takes what the tape says, shows the ways to go on, follows the one taken, and takes that back', () => {
    open();
    const before = stateOf(phoneId).done.length;
    fireEvent.press(screen.getByText('Measure'));
    fireEvent.press(screen.getByText('See what it says'));
    expect(useEvents.getState().unsent).toHaveLength(0);
    fireEvent.press(screen.getByLabelText('Lay the tape upwards'));
    expect(screen.getByLabelText('How many rows').props.value).toBe('22');
    fireEvent.press(screen.getByLabelText('Lay the tape across'));
    fireEvent.changeText(screen.getByLabelText('They measure'), '118 mm');
    fireEvent.press(screen.getByText('See what it says'));
    expect(screen.getByText(/^Your stitches are \d+ % wider; your rows are/)).toBeTruthy();
    expect(screen.getByText('Recommended')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Do this: Start again with the count that fits'));
    expect(screen.getByText('Foundation chain')).toBeTruthy();
    fireEvent.press(screen.getByText('Undo'));
    expect(screen.getByText('Row 23 of 87')).toBeTruthy();
    expect(stateOf(phoneId).done).toHaveLength(before);
    expect(screen.getByText('The tape says otherwise')).toBeTruthy();
  });

  it('sets a lost count by what is seen on the work, and takes that back', () => {
    open();
    fireEvent.press(screen.getByText('Lost count'));
    expect(screen.getByText(/two rows close up to one ridge/)).toBeTruthy();
    expect(screen.getByText('That is where the count stands.')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Ridges'), '9');
    fireEvent.press(screen.getByText('at the edge where the beginning tail hangs'));
    expect(screen.getByText('Row 19 of 87 is done.')).toBeTruthy();
    fireEvent.press(screen.getByText('Set the count'));
    expect(screen.getByText('Row 20 of 87')).toBeTruthy();
    fireEvent.press(screen.getByText('Undo'));
    expect(screen.getByText('Row 23 of 87')).toBeTruthy();
  });

  it('weighs the ball: how far it goes, and where it runs out', () => {
    open();
    fireEvent.press(screen.getByLabelText('More: this make'));
    fireEvent.press(screen.getByLabelText('Weigh the ball: this make'));
    fireEvent.changeText(screen.getByLabelText('The ball weighs'), '14 g');
    fireEvent.press(screen.getByText('See how far it goes'));
    expect(screen.getByText(/^It lasts \d times in 100\.$/)).toBeTruthy();
    expect(screen.getByText(/^It runs out near row \d+, /)).toBeTruthy();
    expect(screen.getByText(/in a second yarn/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('The ball weighs'), '200 g');
    fireEvent.press(screen.getByText('See how far it goes'));
    expect(screen.getByText('It lasts to the end.')).toBeTruthy();
  });

  it('says when is a good moment for the tape, and lets it pass', () => {
    steps(phoneId).slice(23, 35).forEach(tick);
    open();
    fireEvent.press(screen.getByLabelText('Row 35 done'));
    expect(screen.getByText('A good moment for the tape')).toBeTruthy();
    fireEvent.press(screen.getByText('Looks right'));
    expect(screen.queryByText('A good moment for the tape')).toBeNull();
    act(() => tick(steps(phoneId)[36]!));
    expect(screen.queryByText('A good moment for the tape')).toBeNull();
  });

  it('takes what the tape says in place, and who works on leaves it unanswered', () => {
    steps(phoneId).slice(23, 35).forEach(tick);
    open();
    fireEvent.press(screen.getByLabelText('Row 35 done'));
    fireEvent.changeText(screen.getByLabelText('All 35 rows so far'), '17,5 cm');
    fireEvent.press(screen.getByText('Keep it'));
    expect(useEvents.getState().byMake[phoneId]!.at(-1)).toMatchObject({
      kind: 'measured',
      what: 'rows',
      count: 35,
      mm: 175,
      by: 'tape',
    });
    expect(screen.queryByText('A good moment for the tape')).toBeNull();
  });

  it('asks to lay the strip round the item before it is joined, and folds it elsewhere without pulling out', () => {
    const all = steps(phoneId);
    const rows = all.filter(({ row }) => row !== null);
    const folds = all.findIndex(({ section }) => section === 'joining');
    all.slice(23, folds).forEach(tick);
    open();
    expect(screen.getByText('Before you join: lay it round the item')).toBeTruthy();
    fireEvent.press(screen.getByText('Try the folds'));
    expect(screen.getByText(/^Pocket: 35 rows, /)).toBeTruthy();
    fireEvent(screen.getByLabelText('Flap’s fold'), 'change', { target: { value: '0' } });
    expect(screen.getByText(/^Pocket: 27 rows, /)).toBeTruthy();
    fireEvent(screen.getByLabelText('Pocket'), 'change', { target: { value: '9' } });
    expect(screen.getByText(/^Pocket: 36 rows, /)).toBeTruthy();
    fireEvent.press(screen.getByText('Fold it there'));
    const decided = useEvents.getState().byMake[phoneId]!.at(-1)!;
    expect(decided).toMatchObject({ kind: 'decided', choice: 'refold', from: null });
    expect(decided.kind === 'decided' && reckon(decided.plan).pieces[0]!.rows).toBe(rows.at(-1)!.row);
    expect(screen.queryByText('Before you join: lay it round the item')).toBeNull();
  });

  it('brings the fold’s marker and its check at their row', () => {
    steps(phoneId).slice(23, 35).forEach(tick);
    open();
    expect(screen.getByText(/Place a stitch marker .*bottom fold/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Row 35 done'));
    expect(screen.getByText('Check')).toBeTruthy();
    expect(screen.getByText(/35 rows from the chain/)).toBeTruthy();
  });

  it('tells that another device ticked the same rows, which are worked once, until it is heard', () => {
    const before = useEvents.getState().byMake[phoneId]!;
    const rows = steps(phoneId).slice(23, 26);
    rows.forEach(tick);
    serverHasEvents([
      ...before,
      ...rows.map(({ id }, index) => ({
        id: `there ${index}`,
        make: phoneId,
        device: 'another',
        at: '2026-10-03T18:00:00.000Z',
        n: 30 + index,
        kind: 'ticked' as const,
        step: id,
        under: null,
      })),
    ]);
    open();
    expect(screen.getByText('Row 26 of 87')).toBeTruthy();
    expect(screen.getByText(/^Row 23 to row 25 were ticked on another device too, and counted once/)).toBeTruthy();
    fireEvent.press(screen.getByText('Undo'));
    expect(screen.getByText('Row 25 of 87')).toBeTruthy();
    fireEvent.press(screen.getByText('It is right'));
    expect(screen.queryByText(/counted once/)).toBeNull();
  });

  it('ends in the ledger once everything is done', () => {
    steps(phoneId).slice(23).forEach(tick);
    open();
    expect(screen.getByText('All done')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Mark as finished'));
    expect(stateOf(phoneId).finished).toBe(true);
    // how it came out can be left out
    fireEvent.press(screen.getByText('Skip'));
    expect(mockGo.navigate).toHaveBeenCalledWith('/ledger');
  });

  it('keeps how it came out, tells what that taught, and the ledger shows it beside what was planned', () => {
    steps(phoneId).slice(23).forEach(tick);
    const { unmount } = open();
    fireEvent.press(screen.getByLabelText('Mark as finished'));
    fireEvent.changeText(screen.getByLabelText('Width'), '104 mm');
    fireEvent.press(screen.getByText('just right'));
    fireEvent.changeText(screen.getByLabelText('Yarn used'), '34');
    fireEvent.changeText(screen.getByLabelText('For next time'), 'a hook smaller');
    fireEvent.press(screen.getByText('Save'));
    expect(screen.getByText(/^In this one your stitches came out \d+ % wider/)).toBeTruthy();
    expect(screen.getByText(/The next plan without a swatch uses this/)).toBeTruthy();
    fireEvent.press(screen.getByText('Go to the ledger'));
    expect(finishOf(useEvents.getState().byMake[phoneId]!)).toMatchObject({
      asMade: { width: 104 },
      fits: 'right',
      grams: 34,
      note: 'a hook smaller',
    });
    unmount();
    show(<Ledger />);
    expect(screen.getByText(/^Made: 104.mm × not measured/)).toBeTruthy();
    expect(screen.getByText('Sits just right, 34 g of yarn')).toBeTruthy();
    expect(screen.getByText('For next time: a hook smaller')).toBeTruthy();
  });

  it('a plan without a swatch is estimated by the hand that a finished make showed', () => {
    forgetOtherMakes();
    steps(phoneId).slice(23).forEach(tick);
    const made = reckon(TERN_POINT.makes[phoneId]!.plan).outside;
    useEvents.getState().happened(phoneId, { kind: 'finished', asMade: { width: 1.1 * made.width.value } });
    useLibrary.setState((state) => ({ shelves: { ...state.shelves, swatches: {}, plans: {} } }));
    const id = newPlan({ kind: 'slab', width: { mm: 70 }, height: { mm: 140 }, depth: { mm: 9 } });
    const { hand } = useLibrary.getState().shelves.plans[id]!.body.fabric;
    expect(hand!.makes).toBe(1);
    expect(hand!.width).toBeGreaterThan(1);
  });

  it('keeps a note for its row', () => {
    open();
    fireEvent.press(screen.getByText('Note'));
    fireEvent.changeText(screen.getByLabelText('Note'), '  slack edge  ');
    fireEvent.press(screen.getByText('Save note'));
    expect(screen.getByText('slack edge')).toBeTruthy();
  });

  it('says what waits only while the server is away', () => {
    open();
    expect(screen.queryByText(/You are offline/)).toBeNull();
    act(() => useLine.setState({ reached: false }));
    fireEvent.press(screen.getByLabelText('Row 23 done'));
    expect(screen.getByText(/You are offline. 1 change is saved on this device/)).toBeTruthy();
    act(() => useLine.setState({ unpaired: true }));
    expect(screen.queryByText(/You are offline/)).toBeNull();
    expect(screen.getByText('This device is not paired any more.')).toBeTruthy();
    act(() => useLine.setState({ reached: true, unpaired: false }));
  });

  it('offers a plan changed meanwhile, and goes on as begun until it is taken', () => {
    const { planId, plan } = TERN_POINT.makes[phoneId]!;
    useLibrary.getState().change('plans', planId, { ...plan, picks: { width: 17 } });
    open();
    expect(screen.getByText(/New: Chain 18, skip 1: 17 stitches/)).toBeTruthy();
    const followed = () => planFollowed(plan, useEvents.getState().byMake[phoneId] ?? []);
    fireEvent.press(screen.getByText('Choose how to continue'));
    fireEvent.press(screen.getByLabelText('Do this: Carry on as written'));
    expect(screen.queryByText(/^New: /)).toBeNull();
    expect(followed().picks).toBeUndefined();
    // undone, it is asked again; and what is on the hook may stay
    fireEvent.press(screen.getByText('Undo'));
    fireEvent.press(screen.getByText('Choose how to continue'));
    fireEvent.press(screen.getByLabelText('Do this: Start again with the new plan'));
    expect(followed().picks).toEqual({ width: 17 });
    expect(screen.getByText(/^Leave a tail|^Chain 18/)).toBeTruthy();
  });
});

describe('the target', () => {
  it('asks for the chain first, told with its tail and its colour', () => {
    const { planId, plan } = TERN_POINT.makes[phoneId]!;
    const colours = [
      { name: 'sand', rows: 3 },
      { name: 'kelp', rows: 3 },
    ];
    const sewn = { ...plan, shape: { ...plan.shape, join: 'whip' }, fabric: { ...plan.fabric, colours } };
    const id = startMake(planId, sewn);
    show(<MakeRoom id={id} held={makeOf(id)} />);
    expect(screen.getByText(/^Leave a tail of \d+ mm to sew with\. With sand: Chain \d+\./)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Chain done'));
    expect(screen.getByText(/^Row 1 of /)).toBeTruthy();
  });

  it('takes a second tap at once for a trembling hand, not for a second row', () => {
    const now = jest.spyOn(performance, 'now').mockReturnValue(10_000);
    show(<MakeRoom id={phoneId} held={makeOf(phoneId)} />);
    const press = () => fireEvent.press(screen.getByLabelText(/^Row \d+ done$/));
    press();
    press();
    expect(screen.getByText('Row 24 of 87')).toBeTruthy();
    now.mockReturnValue(10_400);
    press();
    expect(screen.getByText('Row 25 of 87')).toBeTruthy();
    now.mockRestore();
  });
});

describe('the bench', () => {
  it('shows makes on the hook with their next row, and plans not begun', () => {
    show(<Bench />);
    expect(screen.getByText('Row 23 of 87, front')).toBeTruthy();
    expect(screen.getAllByText(/^Next: Chain 1/)).toHaveLength(2);
    expect(screen.getByText('Not started')).toBeTruthy();
    expect(screen.getByText('Ringing notebook sleeve')).toBeTruthy();
    fireEvent.changeText(screen.getByPlaceholderText('Search plans'), 'tide');
    expect(screen.queryByText('Ringing notebook sleeve')).toBeNull();
    expect(screen.getByText('Made before')).toBeTruthy();
    expect(screen.getByLabelText('Open the plan: Tide table case')).toBeTruthy();
    expect(screen.queryByLabelText('Continue: Tide table case')).toBeNull();
    fireEvent.press(screen.getByLabelText('Continue: Field phone pouch'));
    expect(mockGo.push).toHaveBeenCalledWith(`/make/${phoneId}`);
  });

  it('takes a plan off', () => {
    show(<Bench />);
    fromMenu('Ringing notebook sleeve', 'Delete');
    expect(screen.queryByText('Ringing notebook sleeve')).toBeNull();
  });

  it('puts a make aside and takes it up again as it was', () => {
    show(<Bench />);
    fromMenu('Field phone pouch', 'Put aside');
    expect(screen.queryByLabelText('Continue: Field phone pouch')).toBeNull();
    expect(makeOf(phoneId)).toMatchObject({ dirty: true, body: { aside: true } });
    fireEvent.press(screen.getByLabelText('Bring back: Field phone pouch'));
    expect(screen.getByText('Row 23 of 87, front')).toBeTruthy();
    expect(makeOf(phoneId).body).toEqual(TERN_POINT.makes[phoneId]);
  });

  it('deletes a make, and its plan stays', () => {
    show(<Bench />);
    fromMenu('Field phone pouch', 'Delete');
    expect(screen.queryByLabelText('Continue: Field phone pouch')).toBeNull();
    expect(screen.getByLabelText('Open the plan: Field phone pouch')).toBeTruthy();
    act(() => useDeleting.getState().undo());
    expect(screen.getByText('Row 23 of 87, front')).toBeTruthy();
  });

  it('teaches with one action where nothing is there', () => {
    for (const kind of ['plans', 'makes'] as const)
      useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, [kind]: {} } }));
    show(<Bench />);
    expect(screen.getByText('No projects yet')).toBeTruthy();
  });
});

describe('the ledger', () => {
  it('holds finished makes, to be made again or reopened', () => {
    show(<Ledger />);
    expect(screen.getByText('Tide table case')).toBeTruthy();
    expect(screen.queryByText('Field phone pouch')).toBeNull();
    fromMenu('Tide table case', 'Open plan');
    expect(mockGo.push).toHaveBeenCalledWith(`/plan/${TERN_POINT.makes[tideId]!.planId}`);
    fromMenu('Tide table case', 'Move back to the bench');
    expect(screen.queryByText('Tide table case')).toBeNull();
    expect(mockGo.push).toHaveBeenCalledWith(`/make/${tideId}`);
  });
});

it('a make follows the plan as it stood when it was begun', () => {
  const { planId, plan } = TERN_POINT.makes[phoneId]!;
  const id = startMake(planId, plan);
  useLibrary.getState().change('plans', planId, { ...plan, title: 'changed' });
  expect(makeOf(id)).toMatchObject({
    dirty: true,
    revision: 0,
    body: { planId, plan: { title: 'Field phone pouch' } },
  });
});

it('pattern and ledger are of the plan that was decided for on the way', () => {
  const { plan } = makeOf(phoneId).body;
  const other = { ...plan, picks: { width: 15 } };
  const followed = () => renderHook(() => useFollowed(phoneId, makeOf(phoneId).body)).result.current;
  expect(followed()).toEqual(plan);
  useEvents.getState().happened(phoneId, { kind: 'decided', choice: 'other-count', from: null, plan: other });
  expect(followed()).toEqual(other);
});
