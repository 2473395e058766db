import { TERN_POINT } from '@keep-snug/core/demo';
import { screen, waitFor } from '@testing-library/react-native';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { planFragment } from '@keep-snug/core/link';
import { useLibrary } from '@/data/library';
import { OpenPlan } from './OpenPlan';

const mockReplace = jest.fn();
const mockRouter = { replace: mockReplace };
jest.mock('expo-router', () => ({ usePathname: () => '/open', useRouter: () => mockRouter }));
jest.mock('@/reading/forms', () => ({ forms: async () => jest.requireActual<object>('@keep-snug/core/formats') }));

const at = (hash: string) => {
  (globalThis as { location?: unknown }).location = { hash, origin: 'http://127.0.0.1' };
};

beforeEach(() => {
  nothingHere();
  mockReplace.mockClear();
});

it('a plan in a link is put on the bench and opened', async () => {
  const plan = Object.values(TERN_POINT.plans)[2]!;
  at(`#${planFragment(plan)}`);
  show(<OpenPlan />);
  await waitFor(() => expect(mockReplace).toHaveBeenCalledWith(expect.stringMatching(/^\/plan\//)));
  expect(Object.values(useLibrary.getState().shelves.plans).map(({ body }) => body.title)).toEqual([plan.title]);
});

it('a link that was cut off says what to do, and leads on', () => {
  at('#abc!');
  show(<OpenPlan />);
  expect(screen.getByText(/holds no plan, or was cut off/)).toBeTruthy();
  expect(screen.getByText('Go to the bench')).toBeTruthy();
  expect(mockReplace).not.toHaveBeenCalled();
});
