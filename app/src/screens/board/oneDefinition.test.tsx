// first: what stands in a list is in everything made from it
import '../../../../core/src/demo/fixtures/madeUp';
import { planFor, type Plan } from '@keep-snug/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { show } from '@/fixtures/show';
import { useBoard } from '@/data/board';
import { NewThing } from '@/screens/things/NewThing';
import { StageList } from './StageList';
import { useWorked } from '@/reading/useWorked';

jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn() }),
}));

const start = planFor(
  { kind: 'tile', name: 'tile', width: { mm: 80 }, height: { mm: 120 }, depth: { mm: 10 } },
  { stitch: 'shell-ridge', hookMm: 4, yarn: { metresPer100g: 190 } },
);

function Board({ stage }: { stage: string }) {
  const [plan, setPlan] = useState<Plan>(start);
  useState(() => useBoard.getState().openStage('p', stage));
  const { worked, faults } = useWorked(plan);
  return <StageList id="p" plan={plan} worked={worked} faults={faults} edit={(work) => setPlan(work)} />;
}

describe('a made-up definition of each kind', () => {
  it('is told on the closed stages: the item’s sizes, the stitch, the shape, the fitting', () => {
    show(<Board stage="" />);
    expect(screen.getByText('tile, as a tile is')).toBeTruthy();
    expect(screen.getByText(/shell ridge, hook 4 mm/)).toBeTruthy();
    expect(screen.getByText('envelope')).toBeTruthy();
    expect(screen.getByText(/^patch/)).toBeTruthy();
  });

  it('has its options where they are set', () => {
    show(<Board stage="fabric" />);
    fireEvent.changeText(screen.getByLabelText('Shells in a ridge'), '5');
    expect(screen.getByLabelText('Shells in a ridge').props.value).toMatch(/^5/);
  });

  it('has its figures under their names, and may be added where it goes', () => {
    show(<Board stage="fittings" />);
    expect(screen.getByLabelText(/^Across the patch: 25 mm/)).toBeTruthy();
    expect(screen.getByLabelText('Patch, across')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Not available for this shape'));
    // what asks for what the made-up shape offers goes on it too
    expect(screen.queryByText(/^Drawstring: /)).toBeNull();
    expect(screen.getByText(/^Zip: .*It goes on/)).toBeTruthy();
  });

  it('can be measured as a new thing', () => {
    show(<NewThing />);
    fireEvent.press(screen.getByText('Roof tile'));
    expect(screen.getByText(/^A tile off the hut/)).toBeTruthy();
    expect(screen.getByLabelText('Width')).toBeTruthy();
  });
});
