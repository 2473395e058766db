import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { chooseFiles } from '@/platform/chooseFile';
import { planLink } from '@keep-snug/core/link';
import { useLibrary } from '@/data/library';
import { codeInFile } from './pictureCode';
import { bringIn, scanned } from './plansIn';
import { PlansIn } from '@/screens/bench/PlansIn';

const mockPush = jest.fn();
jest.mock('expo-router', () => ({ useRouter: () => ({ push: mockPush }) }));
// what the browser asks for as a part of its own is there at once
jest.mock('./forms', () => ({ forms: async () => jest.requireActual<object>('@keep-snug/core/formats') }));
jest.mock('./pictureCode', () => ({ codeInFile: jest.fn() }));
jest.mock('@/platform/chooseFile', () => ({ chooseFiles: jest.fn() }));

const plan = Object.values(TERN_POINT.plans)[0]!;
const file = (name: string, text: string, size = text.length) => ({ name, size, text: async () => text });
const titles = () => Object.values(useLibrary.getState().shelves.plans).map(({ body }) => body.title);

beforeEach(() => {
  nothingHere();
  mockPush.mockClear();
});

it('plans of several files are put on the bench, and what cannot be read is told at its file', async () => {
  const brought = await bringIn([
    file('one.json', JSON.stringify(plan)),
    file(
      'two.json',
      JSON.stringify([
        { ...plan, title: 'Another' },
        { ...plan, title: 'The second' },
      ]),
    ),
    file('bad.json', '{'),
    file('huge.json', 'x', 50_000_000),
  ]);
  expect(brought.added.map(({ title }) => title)).toEqual([plan.title, 'Another', 'The second']);
  expect(titles()).toHaveLength(3);
  expect(brought.faults).toEqual([
    { at: 'bad.json', message: expect.stringMatching(/was cut off/) },
    { at: 'huge.json', message: expect.stringMatching(/^50 MB is too large for plans; at most 20 MB/) },
  ]);
});

it('the same plan opened twice says that it is there', async () => {
  const [first] = (await bringIn([file('one.json', JSON.stringify(plan))])).added;
  const again = await bringIn([file('again.json', JSON.stringify(plan))]);
  expect(again).toEqual({ added: [], known: [{ id: first!.id, title: plan.title }], faults: [] });
  expect(titles()).toHaveLength(1);
});

it('a PDF of a pattern brings its plan in; one that says nothing of a plan is told', async () => {
  const pdf = (text: string) => ({ ...file('pattern.pdf', text), type: 'application/pdf' });
  const brought = await bringIn([pdf(`%PDF-1.3 /Keywords (${planLink(plan, 'http://10.0.0.9:1')}) endobj`)]);
  expect(brought.added.map(({ title }) => title)).toEqual([plan.title]);
  const other = await bringIn([pdf('%PDF-1.3 nothing')]);
  expect(other.faults).toEqual([{ at: 'pattern.pdf', message: expect.stringMatching(/^This PDF says nothing/) }]);
});

it('a picture of a printed page brings its plan in; one without a code says so at its file', async () => {
  const picture = (name: string) => ({ ...file(name, 'not text'), type: 'image/png' });
  jest.mocked(codeInFile).mockResolvedValueOnce(planLink(plan, 'http://10.0.0.9:1')).mockResolvedValueOnce(undefined);
  const brought = await bringIn([picture('page.png'), picture('cat.png')]);
  expect(brought.added.map(({ title }) => title)).toEqual([plan.title]);
  expect(brought.faults).toEqual([{ at: 'cat.png', message: expect.stringMatching(/^No code of a printed pattern/) }]);
});

it('a code that was scanned is a plan, whatever house it names; another code is told', async () => {
  expect((await bringIn([scanned(planLink(plan, 'http://elsewhere'))])).added).toHaveLength(1);
  expect((await bringIn([scanned('https://example.org/')])).faults[0]).toEqual({
    at: 'The code',
    message: expect.stringMatching(/^No code/),
  });
});

it('a file too large is never read', async () => {
  const text = jest.fn();
  await bringIn([{ name: 'film.json', size: 60_000_000, text }]);
  expect(text).not.toHaveBeenCalled();
});

it('a chosen file is opened in a press, and its faults stay on screen', async () => {
  jest.mocked(chooseFiles).mockResolvedValue([file('one.json', JSON.stringify(plan))] as unknown as File[]);
  show(<PlansIn />);
  fireEvent.press(screen.getByText('Open plan files'));
  await waitFor(() => expect(screen.getByText('1 plan added')).toBeTruthy());
  fireEvent.press(screen.getByText('Open it'));
  expect(mockPush).toHaveBeenCalledWith(expect.stringMatching(/^\/plan\//));
  jest.mocked(chooseFiles).mockResolvedValue([file('none.json', '')] as unknown as File[]);
  fireEvent.press(screen.getByText('Open plan files'));
  await waitFor(() => expect(screen.getByText('none.json')).toBeTruthy());
  expect(screen.getByText(/It is empty/)).toBeTruthy();
});

it('nothing is said where nothing is chosen', async () => {
  jest.mocked(chooseFiles).mockResolvedValue([]);
  show(<PlansIn />);
  await act(async () => fireEvent.press(screen.getByText('Open plan files')));
  expect(screen.queryByText(/added/)).toBeNull();
});
