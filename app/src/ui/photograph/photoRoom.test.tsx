import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { blankDraft, readDraft, thingDefinition } from '@keep-snug/core';
import { choose, show } from '@/fixtures/show';
import { chooseFile } from '@/platform/chooseFile';
import { useSettings } from '@/data/settings';
import { targetsOf } from './FromPhotograph';
import { openMeasurer } from '@/platform/measurer';
import { PhotoRoom } from './PhotoRoom';
import { firstCorners, firstOutline, greyOf, openPicture } from './picture';

jest.mock('@/platform/measurer', () => ({ openMeasurer: jest.fn() }));
jest.mock('./picture', () => ({ ...jest.requireActual<object>('./picture'), openPicture: jest.fn() }));
jest.mock('@/platform/chooseFile', () => ({ chooseFile: jest.fn() }));
// the bobs and the picture need a browser's own elements
jest.mock('./Table', () => ({ Table: jest.fn(() => null) }));

const { Table } = jest.requireMock<{ Table: jest.Mock }>('./Table');
const table = () =>
  Table.mock.calls.at(-1)![0] as {
    onMove: (index: number, to: [number, number]) => void;
    onDone: () => void;
    handles: { name: string }[];
  };

const measurer = {
  look: jest.fn(async () => undefined),
  card: jest.fn(),
  length: jest.fn(),
  outline: jest.fn(),
};
const picture = { uri: 'data:', grey: { width: 800, height: 600, data: new Float32Array(1) } };
const TARGETS = [
  { id: 'texts.width', name: 'Width' },
  { id: 'texts.height', name: 'Height' },
];
const onUse = jest.fn();

async function opened() {
  jest.mocked(openMeasurer).mockReturnValue({ measurer, close: jest.fn() } as never);
  jest.mocked(openPicture).mockResolvedValue(picture);
  jest.mocked(chooseFile).mockResolvedValue({ name: 'a.jpg' } as never);
  show(<PhotoRoom targets={TARGETS} onUse={onUse} onClose={jest.fn()} />);
  await act(async () => fireEvent.press(screen.getByText('Choose a picture')));
  await waitFor(() => expect(screen.getByText('1. The card')).toBeTruthy());
}

async function cardFound() {
  await opened();
  measurer.card.mockResolvedValue({ ok: true, corners: firstCorners(picture.grey), snapped: true });
  await act(async () => fireEvent.press(screen.getByText('Find the card’s edges')));
  await act(async () => fireEvent.press(screen.getByText('Measure the item')));
}

beforeEach(() => {
  jest.clearAllMocks();
  useSettings.getState().set({ units: 'mm' });
});

it('a length is told with how sure it is, and put where it is wanted', async () => {
  await cardFound();
  expect(table().handles.map(({ name }) => name)).toEqual(['Mark 1 on the item', 'Mark 2 on the item']);
  const marks = [0, 1].map((x) => ({ point: [x, 0], sd: 0.5, snapped: true }));
  measurer.length.mockResolvedValue({ marks, told: { mm: 148.34, sd: 0.62 } });
  act(() => table().onMove(0, [120, 300]));
  await act(async () => table().onDone());
  expect(measurer.length.mock.calls[0]![0][0]).toEqual([120, 300]);
  expect(screen.getByText(/^Length: 148 mm, give or take 0\.6 mm/)).toBeTruthy();
  choose('Length is for', 'Height');
  fireEvent.press(screen.getByLabelText('Use length'));
  expect(onUse).toHaveBeenCalledWith('texts.height', { mm: 148.34, sd: 0.62 });
  expect(screen.getByText(/Filled in as Height/)).toBeTruthy();
});

it('its height above the card is asked for, and reckoned with', async () => {
  await cardFound();
  measurer.length.mockResolvedValue({ marks: [{ point: [0, 0], sd: 1, snapped: true }], told: { mm: 100, sd: 1 } });
  await act(async () => table().onDone());
  await act(async () => fireEvent.changeText(screen.getByLabelText('How high above the card this edge lies'), '14'));
  expect(measurer.length.mock.calls.at(-1)![1]).toBe(14);
});

it('a second picture of the same is averaged with the first', async () => {
  await cardFound();
  const marks = [{ point: [0, 0], sd: 1, snapped: true }];
  measurer.length.mockResolvedValueOnce({ marks, told: { mm: 100, sd: 1 } });
  await act(async () => table().onDone());
  await act(async () => fireEvent.press(screen.getByText('Add another picture of the same')));
  await act(async () => fireEvent.press(screen.getByText('Find the card’s edges')));
  await act(async () => fireEvent.press(screen.getByText('Measure the item')));
  measurer.length.mockResolvedValueOnce({ marks, told: { mm: 102, sd: 1 } });
  await act(async () => table().onDone());
  expect(screen.getByText('From 2 pictures together.')).toBeTruthy();
  expect(screen.getByText(/^Length: 101 mm/)).toBeTruthy();
});

it('a card that cannot be one, and a file that is no picture, are told with what to do', async () => {
  await opened();
  measurer.card.mockResolvedValue({ ok: false, message: 'These four corners are not those of a card.' });
  await act(async () => fireEvent.press(screen.getByText('Find the card’s edges')));
  expect(screen.getByText(/not those of a card/)).toBeTruthy();
});

it('brightness is as the eye weighs colours, and an outline begins inside of the picture', () => {
  const { data } = greyOf({ width: 2, height: 1, data: new Uint8ClampedArray([255, 255, 255, 255, 0, 255, 0, 255]) });
  expect([...data].map(Math.round)).toEqual([255, 150]);
  for (const [x, y] of firstOutline(picture.grey)) {
    expect(x).toBeGreaterThan(0);
    expect(y).toBeLessThan(600);
  }
});

it('fills every measure of a thing, and of the tools in a set of them', () => {
  const slab = blankDraft(thingDefinition('slab')!);
  expect(targetsOf(slab).map(({ id }) => id)).toEqual(
    expect.arrayContaining(['texts.width', 'texts.height', 'texts.depth']),
  );
  const tools = blankDraft(thingDefinition('tools')!);
  expect(targetsOf(tools)[0]!.id).toMatch(/^entries\.0\.texts\./);
  const draft = {
    ...slab,
    texts: { width: '78', height: '164.3 mm', depth: '14' },
    ways: { height: 'photograph' as const },
    sds: { height: 0.62 },
  };
  const { thing } = readDraft(draft, 'mm');
  expect(thing.height).toEqual({ mm: 164.3, by: 'photograph', typed: '164.3 mm', sd: 0.62 });
  expect(thing.width).toEqual({ mm: 78, by: 'ruler', typed: '78' });
});

it('what takes a while says so, and can be stopped; then it is begun anew', async () => {
  await opened();
  const close = jest.mocked(openMeasurer).mock.results[0]!.value.close as jest.Mock;
  measurer.card.mockReturnValueOnce(new Promise(() => undefined));
  await act(async () => fireEvent.press(screen.getByText('Find the card’s edges')));
  expect(screen.queryByText('Finding the card’s edges…')).toBeNull();
  await waitFor(() => expect(screen.getByText('Finding the card’s edges…')).toBeTruthy());
  await act(async () => fireEvent.press(screen.getByText('Stop')));
  expect(screen.queryByText('Finding the card’s edges…')).toBeNull();
  expect(close).toHaveBeenCalledTimes(1);
  measurer.card.mockResolvedValue({ ok: true, corners: firstCorners(picture.grey), snapped: true });
  await act(async () => fireEvent.press(screen.getByText('Find the card’s edges')));
  // another looks at the same picture
  expect(measurer.look).toHaveBeenCalledTimes(2);
  expect(screen.getByText('Measure the item')).toBeTruthy();
});
