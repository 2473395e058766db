import { TERN_POINT, MAKE_IDS, ternPointEvents } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { nothingHere, samplesHere, serverHasEvents } from '@/fixtures/serverHas';
import { fromMenu, show } from '@/fixtures/show';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { MakeRoom } from './MakeRoom';
import { atTheHook } from '@/ui/lists/PaceLine';

jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: jest.fn(), navigate: jest.fn() }),
}));
jest.mock('@/platform/useAwake', () => ({ useAwake: jest.fn() }));

const open = (id: string) => show(<MakeRoom id={id} held={useLibrary.getState().shelves.makes[id]!} />);

beforeEach(() => {
  nothingHere();
  samplesHere(['plans', 'makes', 'things']);
  serverHasEvents(ternPointEvents());
});

it('the log tells rows by device and time, and a line that is wrong is taken out', () => {
  open(MAKE_IDS.fieldPhone);
  expect(screen.getByText('Row 23 of 87')).toBeTruthy();
  fromMenu('this make', 'Log');
  expect(screen.getAllByText(/, on another device$/).length).toBeGreaterThan(20);
  fireEvent.press(screen.getByLabelText('Remove: Row 10 done'));
  fireEvent.press(screen.getByLabelText('Close'));
  // only that row is to be done again
  expect(screen.getByText('Row 10 of 87')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Row 10 done'));
  expect(screen.getByText('Row 23 of 87')).toBeTruthy();
});

it('pieces are turned to in any order, each with its own progress', () => {
  open(MAKE_IDS.railPocket);
  expect(screen.getByText('Row 22 of 69')).toBeTruthy();
  fireEvent.press(screen.getByText('Tab, 2 of 2: 0/31'));
  expect(screen.getByText('Foundation chain')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Chain done'));
  expect(screen.getByText('Row 1 of 31')).toBeTruthy();
  fireEvent.press(screen.getByText('Strip: 21/69'));
  expect(screen.getByText('Row 22 of 69')).toBeTruthy();
});

it('says how long it took so far and how long it will at this pace, from the ticks alone', () => {
  open(MAKE_IDS.fieldPhone);
  expect(screen.getByText(/^\d+ minutes so far, without breaks\. At this pace about .* to go\.$/)).toBeTruthy();
  expect([0.2, 1, 45.4, 60, 135].map(atTheHook)).toEqual([
    '1 minute',
    '1 minute',
    '45 minutes',
    '1 h 0 min',
    '2 h 15 min',
  ]);
});

it('a decision of the sample data is followed: fewer stitches from the next row on', () => {
  open(MAKE_IDS.railPocket);
  expect(screen.getByText('26')).toBeTruthy();
  const decided = useEvents.getState().byMake[MAKE_IDS.railPocket]!.find(({ kind }) => kind === 'decided');
  expect(decided).toMatchObject({ choice: 'change-count', from: null });
  expect(TERN_POINT.makes[MAKE_IDS.railPocket]!.plan.begun).toBeUndefined();
});
