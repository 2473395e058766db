import { MAKE_FORMAT, type Make } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { repeat } from '@keep-snug/core/repeat';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import * as worker from '@/platform/useReckonWorker';
import { LandedPanel } from './LandedPanel';
import { useProgress } from '@/reading/useProgress';

const [planId, plan] = Object.entries(TERN_POINT.plans).find(([, one]) => one.title.includes('Tide line'))!;
const make: Make = { format: MAKE_FORMAT, title: plan.title, planId, plan, startedAt: '2026-11-01T10:00:00Z' };

function Room({ id }: { id: string }) {
  const progress = useProgress(id, make)!;
  return <LandedPanel id={id} make={make} progress={progress} onClose={() => undefined} />;
}

beforeEach(() => {
  jest.spyOn(worker, 'useRepeat').mockImplementation((ask) => ({ found: ask ? repeat(ask) : null, stale: false }));
});
afterEach(() => jest.restoreAllMocks());

/** Worked up to the end of a round. */
function workedTo(round: number): string {
  const id = useLibrary.getState().add('makes', make);
  const { happened } = useEvents.getState();
  happened(id, { kind: 'ticked', step: 'body-foundation', under: null });
  for (let done = 1; done <= round; done += 1)
    happened(id, { kind: 'ticked', step: `body-round-${done}`, under: null });
  return id;
}

it('asks for a round first', () => {
  const id = useLibrary.getState().add('makes', make);
  show(<Room id={id} />);
  expect(screen.getByText(/Work a row or round first/)).toBeTruthy();
});

it.each([
  ['0', '3', /a little tighter/, /3 stitches ahead/],
  ['0', '0', /on its place/, /lie where they were planned/],
  ['3', '3', /a little looser/, /2 stitches behind/],
])('a round that ended in run %s, %s stitches into it', (run, stitches, says, by) => {
  const id = workedTo(4);
  act(() =>
    useEvents
      .getState()
      .happened(id, { kind: 'landed', run: Number(run), stitches: Number(stitches), atStep: 'body-round-4' }),
  );
  show(<Room id={id} />);
  expect(screen.getByText(says)).toBeTruthy();
  expect(screen.getByText(by)).toBeTruthy();
});

it('notes what is typed with the round that was done last', () => {
  const id = workedTo(2);
  show(<Room id={id} />);
  fireEvent.changeText(screen.getByLabelText('Stitches into it'), '4');
  fireEvent.press(screen.getByText('See what it says'));
  expect(useEvents.getState().byMake[id]!.at(-1)).toMatchObject({
    kind: 'landed',
    run: 0,
    stitches: 4,
    atStep: 'body-round-2',
  });
});
