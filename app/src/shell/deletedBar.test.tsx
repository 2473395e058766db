import { act, fireEvent, screen } from '@testing-library/react-native';
import { TERN_POINT } from '@keep-snug/core/demo';
import { nothingHere, samplesHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useDeleting } from '@/data/deleting';
import { useLibrary } from '@/data/library';
import { DeletedBar } from './DeletedBar';

const [first, second] = Object.keys(TERN_POINT.things) as [string, string];
const things = () => useLibrary.getState().shelves.things;
const remove = (id: string, name: string) => act(() => useDeleting.getState().remove('things', id, name));

beforeEach(() => {
  jest.useFakeTimers();
  nothingHere();
  samplesHere(['things']);
  useDeleting.getState().forget();
});
afterEach(() => jest.useRealTimers());

it('says what was deleted, and brings it back as it was', () => {
  const before = things()[first];
  show(<DeletedBar />);
  remove(first, 'field phone');
  expect(things()[first]).toMatchObject({ gone: true });
  expect(screen.getByText('Deleted: field phone')).toBeTruthy();
  fireEvent.press(screen.getByText('Undo'));
  expect(things()[first]).toEqual(before);
});

it('brings it back when the server knows already that it is gone', () => {
  show(<DeletedBar />);
  remove(first, 'field phone');
  const sent = things()[first]!;
  act(() => useLibrary.getState().answered('things', first, sent, { is: 'kept', revision: 2 }));
  expect(things()[first]).toBeUndefined();
  fireEvent.press(screen.getByText('Undo'));
  expect(things()[first]).toMatchObject({ body: TERN_POINT.things[first], revision: 0, dirty: true });
});

it('stays until the next deletion, which has its own ten seconds', () => {
  show(<DeletedBar />);
  remove(first, 'field phone');
  act(() => jest.advanceTimersByTime(9000));
  remove(second, 'flask');
  act(() => jest.advanceTimersByTime(9000));
  expect(screen.getByText('Deleted: flask')).toBeTruthy();
  act(() => jest.advanceTimersByTime(3000));
  expect(useDeleting.getState().last).toBeNull();
});
