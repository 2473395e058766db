import { MAKE_IDS, ternPointEvents } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { nothingHere, samplesHere, serverHasEvents } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { settleYarn, takenBy } from '@/data/takeFromBox';
import { useDeleting } from '@/data/deleting';
import { finishedMake, fitsOf, wordsOf } from '@/data/finished';
import { Ledger } from './Ledger';

const mockPush = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: mockPush, navigate: jest.fn() }),
}));

beforeEach(() => {
  mockPush.mockClear();
  nothingHere();
  samplesHere(['plans', 'makes', 'things', 'yarns']);
  serverHasEvents(ternPointEvents());
});

const makeOf = (id: string) => useLibrary.getState().shelves.makes[id]!.body;
const eventsOf = (id: string) => useEvents.getState().byMake[id]!;

it('is filtered by how it sits, and found by thing, shape and yarn', () => {
  show(<Ledger />);
  fireEvent.press(screen.getByText('loose'));
  expect(screen.getByText('Reading glasses pouch')).toBeTruthy();
  expect(screen.queryByText('Tide table case')).toBeNull();
  expect(wordsOf(makeOf(MAKE_IDS.glasses))).toMatch(/glasses.*strip.*slate wool/i);
  expect([MAKE_IDS.glasses, MAKE_IDS.soap, MAKE_IDS.fieldPhone].map((id) => fitsOf(eventsOf(id)))).toEqual([
    'loose',
    'right',
    'unsaid',
  ]);
});

it('charts what all of them say, and claims nothing of few', () => {
  show(<Ledger />);
  fireEvent.press(screen.getByText('Charts'));
  for (const title of ['Planned and made', 'Pace'])
    fireEvent(screen.getByLabelText(title), 'layout', {
      nativeEvent: { layout: { width: 320, height: 200, x: 0, y: 0 } },
    });
  expect(
    screen.getByText(/^Made upwards, planned across\. Of 8 sizes measured, the mean is off by \d %\.$/),
  ).toBeTruthy();
  expect(screen.getByText(/^Of 4 finished with a word on the fit, 2 sit just right/)).toBeTruthy();
  // the evening hand is a quarter slower than 22 a minute
  expect(screen.getByText('About 18 single crochet a minute, breaks left out.')).toBeTruthy();
});

it('compares two, line by line', () => {
  show(<Ledger />);
  fireEvent.press(screen.getByText('Compare two'));
  for (const line of [
    'Yarn',
    'Hook',
    'Width',
    'Height',
    'Said to fit, begun',
    'Said to fit, rows done',
    'Sits',
    'Yarn used',
    'Time',
    'For next time',
  ])
    expect(screen.getByText(line)).toBeTruthy();
  expect(screen.getByText('One stitch less, or the smaller hook.')).toBeTruthy();
});

it('is made again with what was learnt of gauge, pace and yarn', () => {
  show(<Ledger />);
  fireEvent.press(screen.getByLabelText('Make it again for another item: Reading glasses pouch'));
  const id = /plan\/([^?]+)\?stage=thing/.exec(mockPush.mock.calls[0][0] as string)![1]!;
  const { fabric, begun } = useLibrary.getState().shelves.plans[id]!.body;
  expect(fabric.gauge!.stitches!.at(-1)).toMatchObject({ by: 'tape' });
  expect(fabric.rate!.makes).toBe(4);
  expect(fabric.yarnUse!.makes).toBe(4);
  expect(begun).toBeUndefined();
});

it('is made the same again where its plan is gone, by a plan of its own', () => {
  const { [makeOf(MAKE_IDS.glasses).planId]: _gone, ...plans } = useLibrary.getState().shelves.plans;
  useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, plans } }));
  show(<Ledger />);
  fireEvent.press(screen.getByLabelText('Make the same again: Reading glasses pouch'));
  const id = /make\/(.+)$/.exec(mockPush.mock.calls[0][0] as string)![1]!;
  const { planId, plan } = makeOf(id);
  // the make holds its counts, the plan is free
  const { picks, ...meant } = plan;
  expect(picks).toBeDefined();
  expect(plans[planId]).toBeUndefined();
  expect(useLibrary.getState().shelves.plans[planId]!.body).toEqual(meant);
});

it('tells time at the hook by the ticks, and yarn beside what was planned', () => {
  const told = finishedMake(makeOf(MAKE_IDS.tideTable), eventsOf(MAKE_IDS.tideTable))!;
  expect(told.minutes).toBeGreaterThan(40);
  expect([told.grams, told.fits]).toEqual([27, 'right']);
  expect(told.perMinute).toBeCloseTo(17.6, 1);
});

describe('the yarn box and a make', () => {
  const make = MAKE_IDS.fieldPhone;
  const yarn = () =>
    Object.values(useLibrary.getState().shelves.yarns).find(({ body }) => body.name === 'oat cotton')!.body;
  const happen = (...list: Parameters<ReturnType<typeof useEvents.getState>['happened']>[1][]) => {
    for (const what of list) useEvents.getState().happened(make, what);
    settleYarn(make);
  };

  it('what is used comes off once, however often it is told', () => {
    expect(yarn().gramsLeft).toBe(92);
    happen({ kind: 'weighed', grams: 60 }, { kind: 'weighed', grams: 48 });
    expect([yarn().gramsLeft, yarn().taken]).toEqual([80, { [make]: 12 }]);
    settleYarn(make);
    expect(yarn().gramsLeft).toBe(80);
    happen({ kind: 'finished', grams: 30 });
    expect(yarn().gramsLeft).toBe(62);
  });

  it('and comes back where the make is opened again, or given up', () => {
    happen({ kind: 'weighed', grams: 60 }, { kind: 'weighed', grams: 48 }, { kind: 'finished', grams: 30 });
    happen({ kind: 'reopened' });
    expect(yarn().gramsLeft).toBe(80);
    useDeleting.getState().remove('makes', make, 'phone pouch');
    expect([yarn().gramsLeft, yarn().taken]).toEqual([92, undefined]);
    useDeleting.getState().undo();
    expect(yarn().gramsLeft).toBe(80);
  });

  it('never below nothing, and no more comes back than was taken', () => {
    const record = { name: 'oat', yarn: { category: 4 }, gramsLeft: 10 };
    const emptied = takenBy(record, 'm', 30);
    expect(emptied).toEqual({ ...record, gramsLeft: 0, taken: { m: 10 } });
    expect(takenBy(emptied, 'm', 0)).toEqual(record);
    const unknown = { name: 'oat', yarn: { category: 4 } };
    expect(takenBy(unknown, 'm', 30)).toEqual(unknown);
  });
});
