import type { Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { repeat } from '@keep-snug/core/repeat';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useEffect, useState } from 'react';
import { show } from '@/fixtures/show';
import { useRepeat } from '@/platform/useReckonWorker';
import { RepeatPart } from './RepeatPart';

jest.mock('@/platform/useReckonWorker', () => ({ useRepeat: jest.fn() }));

const plan = Object.values(TERN_POINT.plans).find(({ shape, fabric }) => shape.kind === 'disc-wall' && fabric.yarn)!;
let now: Plan;

function Part({ begins }: { begins: Plan }) {
  const [value, setValue] = useState(begins);
  useEffect(() => {
    now = value;
  });
  return <RepeatPart plan={value} edit={setValue} whole />;
}

const type = (label: string, text: string) => fireEvent.changeText(screen.getByLabelText(label), text);

beforeEach(() =>
  // what the worker answers is asked of the same core, at once
  jest.mocked(useRepeat).mockImplementation((ask) => ({ found: ask ? repeat(ask) : null, stale: false })),
);

it('runs are typed in stitches or in cm of yarn, and kept with the plan’s yarn', () => {
  show(<Part begins={plan} />);
  fireEvent.press(screen.getByText('This yarn’s colours repeat'));
  fireEvent.press(screen.getByText('Add a run'));
  type('Length of run 1', '3');
  type('Length of run 2', '12,5');
  type('Run 2', 'sand');
  expect(now.fabric.yarn!.runs).toMatchObject([
    { name: 'deep sea', stitches: 3 },
    { name: 'sand', stitches: 12.5 },
  ]);
  fireEvent.press(screen.getByLabelText('Remove run 1'));
  fireEvent.press(screen.getByLabelText('Remove run 1'));
  expect(now.fabric.yarn).toEqual(plan.fabric.yarn);
});

it('what the colours do is told, and a count that does something else is taken', async () => {
  const runs = [3, 12, 5, 14].map((stitches, index) => ({ name: `run ${index}`, stitches }));
  const begins = { ...plan, fabric: { ...plan.fabric, yarn: { ...plan.fabric.yarn!, runs } } };
  show(<Part begins={begins} />);
  fireEvent.press(screen.getByText('See what the colours do'));
  expect(screen.getByText(/^It makes /)).toBeTruthy();
  expect(screen.getByText(/^All runs together are 34 stitches/)).toBeTruthy();
  const [option] = repeat({ plan: begins, runs }).options;
  await act(async () => fireEvent.press(screen.getAllByText('Use it')[0]!));
  expect(now.picks).toMatchObject(option!.picks);
  expect(now.fabric.hookMm).toBe(option!.hookMm);
});

it('asks for two runs at least before it tells anything', () => {
  show(
    <Part
      begins={{
        ...plan,
        fabric: { ...plan.fabric, yarn: { ...plan.fabric.yarn!, runs: [{ name: 'a', stitches: 4 }] } },
      }}
    />,
  );
  expect(screen.queryByText('See what the colours do')).toBeNull();
});
