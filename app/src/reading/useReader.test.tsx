import { TERN_POINT } from '@keep-snug/core/demo';
import { act } from '@testing-library/react-native';
import { Profiler } from 'react';
import { nothingHere } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useLibrary } from '@/data/library';
import { useHand } from './useHand';
import { useReader } from './useWorked';

function Reads() {
  useReader();
  useHand({ category: 3 });
  return null;
}

it('whoever reads is not woken by a plan that is drawn on, and is by a yarn that comes into the box', () => {
  nothingHere();
  const [plan] = Object.values(TERN_POINT.plans);
  const id = useLibrary.getState().add('plans', plan!);
  const drawn = jest.fn();
  show(
    <Profiler id="reads" onRender={drawn}>
      <Reads />
    </Profiler>,
  );
  const before = drawn.mock.calls.length;
  act(() => useLibrary.getState().change('plans', id, { ...plan!, picks: { width: 18 } }));
  expect(drawn.mock.calls).toHaveLength(before);
  act(() => void useLibrary.getState().add('yarns', { name: 'moss wool', yarn: { name: 'moss wool', category: 3 } }));
  expect(drawn.mock.calls.length).toBeGreaterThan(before);
});
