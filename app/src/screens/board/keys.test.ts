import { renderHook } from '@testing-library/react-native';
import { useBoard } from '@/data/board';
import { boardKeys } from './keys';
import { useBoardKeys } from './useBoardKeys';

const mockKeys = jest.fn();
jest.mock('@/platform/useKeys', () => ({ useKeys: (keys: unknown) => mockKeys(keys) }));

const held = (wide: boolean): Record<string, () => void> => {
  renderHook(() => useBoardKeys('plan', wide, () => undefined));
  return mockKeys.mock.lastCall![0] as Record<string, () => void>;
};

/** Keys as they are told: single ones, a run of digits, with shift; the drawing's own handles listen to the arrows. */
const told = (wide: boolean): string[] =>
  boardKeys(wide).flatMap(([key]) => {
    if (key === 'arrows') return [];
    const run = /^(\d) to (\d)$/.exec(key);
    if (run) return Array.from({ length: Number(run[2]) }, (_, index) => String(index + 1));
    return key.split(', ').map((one) => (one.startsWith('shift-') ? one.slice(6) : one.toLowerCase()));
  });

it.each([true, false])('the list of keys is what listens, wide or not: %s', (wide) => {
  expect(Object.keys(held(wide)).sort()).toEqual(told(wide).sort());
});

it('F shows the next view, or wide, where all are seen, the piece from its next side', () => {
  useBoard.setState({ view: 'finished', side: 'front' });
  held(false).f!();
  expect(useBoard.getState()).toMatchObject({ view: 'flat', side: 'front' });
  held(true).f!();
  held(true).f!();
  expect(useBoard.getState()).toMatchObject({ view: 'flat', side: 'side' });
});
