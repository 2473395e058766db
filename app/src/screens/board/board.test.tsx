import { planFor, PlanProblem, reckon, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { serverHas } from '@/fixtures/serverHas';
import { choose, show } from '@/fixtures/show';
import { WorkingsPanel } from '@/ui/notices/WorkingsPanel';
import { useWorkingsTrail } from '@/data/workingsTrail';
import { useBoard } from '@/data/board';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { AdviceList } from '@/ui/notices/AdviceList';
import { Clash } from '@/ui/notices/Clash';
import { CountTags } from './CountTags';
import { StageList } from './StageList';
import { Sums } from './Sums';
import { STAGES } from './stages';
import { readerOf, reckonFor, useWorked } from '@/reading/useWorked';

const phone = Object.values(TERN_POINT.plans)[0]!;
const habits = { rounds: 'spiral', turningChainCounts: false, ring: 'wrapped', foundation: 'chain' } as const;
const reader = readerOf({ terms: 'US', hand: 'right', units: 'mm', habits });

/** A board without its drawing: stages over a plan that can be changed. */
function Board({ start, stage }: { start: Plan; stage: string }) {
  const [plan, setPlan] = useState(start);
  useState(() => useBoard.getState().openStage('p', stage));
  const { worked, faults } = useWorked(plan);
  return (
    <>
      <StageList id="p" plan={plan} worked={worked} faults={faults} edit={(work) => setPlan(work)} />
      {worked ? <Sums worked={worked} /> : null}
    </>
  );
}

const sum = (name: string) =>
  screen.getByLabelText(new RegExp(`^${name}: `)).props.accessibilityLabel ??
  screen.getByLabelText(new RegExp(`^${name}: `)).props['aria-label'];

beforeEach(() => useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' }));

describe('the stages', () => {
  it('say their decision in a line when closed, and open one at a time', () => {
    show(<Board start={phone} stage="" />);
    for (const { name } of STAGES) expect(screen.getByLabelText(name)).toBeTruthy();
    expect(screen.getByText(/field phone in its bumper, 78 × 164 × 14 mm/)).toBeTruthy();
    expect(screen.getByText(/^snug, 0 % around, within \d+ mm/)).toBeTruthy();
    expect(screen.getByText(/flap 60 mm; button loop for a 20 mm button/)).toBeTruthy();
    expect(screen.queryByLabelText('Ease (around)')).toBeNull();
    fireEvent.press(screen.getByLabelText('Fit'));
    expect(screen.getByLabelText('Ease (around)')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Thing'));
    expect(screen.queryByLabelText('Ease (around)')).toBeNull();
    expect(screen.getByLabelText('Width')).toBeTruthy();
  });

  it('follow every change at once: a wider thing, more stitches', () => {
    show(<Board start={phone} stage="thing" />);
    expect(sum('Stitches in a row')).toMatch(/: 16/);
    fireEvent.changeText(screen.getByLabelText('Width'), '4 in');
    expect(sum('Stitches in a row')).toMatch(/: 20/);
  });

  it('show no sums of another plan while an entry is wrong, and say which stage wants mending', () => {
    show(<Board start={phone} stage="thing" />);
    fireEvent.changeText(screen.getByLabelText('Edge radius'), '9');
    expect(screen.getByText(/9 mm is more than half the depth/)).toBeTruthy();
    expect(screen.getByText('Fix an entry here')).toBeTruthy();
    expect(screen.queryByLabelText(/^Stitches in a row/)).toBeNull();
    fireEvent.changeText(screen.getByLabelText('Edge radius'), '3');
    expect(sum('Stitches in a row')).toMatch(/: \d+/);
  });

  it('take a fit, drop the picked count with it, and take a typed ease back', () => {
    show(<Board start={{ ...phone, picks: { width: 17 } }} stage="fit" />);
    expect(sum('Stitches in a row')).toMatch(/: 17/);
    fireEvent.press(screen.getByText('snug'));
    expect(sum('Stitches in a row')).toMatch(/: 16/);
    fireEvent.changeText(screen.getByLabelText('Ease (around)'), '20');
    expect(sum('Stitches in a row')).toMatch(/: 19/);
    fireEvent.changeText(screen.getByLabelText('Ease (around)'), '');
    expect(sum('Stitches in a row')).toMatch(/: 16/);
  });

  it('take a fitting off together with what needs it, and bring both back', () => {
    show(<Board start={phone} stage="fittings" />);
    fireEvent.press(screen.getByLabelText('Remove: Flap'));
    expect(screen.queryByLabelText('Button diameter')).toBeNull();
    expect(sum('Rows')).toMatch(/: 70/);
    choose('Add a fitting', 'Button loop');
    expect(screen.getByLabelText('Remove: Flap')).toBeTruthy();
    expect(screen.getByLabelText('Button diameter')).toBeTruthy();
  });

  it('give up the swatch for an estimate, marked as one', () => {
    show(
      <Board
        start={{
          ...phone,
          fabric: { ...phone.fabric, gauge: { stitches: phone.fabric.gauge!.stitches!.slice(0, 1) } },
        }}
        stage="fabric"
      />,
    );
    fireEvent.press(screen.getByLabelText('How it was measured'));
    expect(screen.queryByText(/No swatch yet/)).toBeNull();
    fireEvent.press(screen.getByLabelText('Remove: Stitches (width)'));
    expect(screen.getByText(/No swatch yet/)).toBeTruthy();
    expect(screen.getByLabelText(/^Stitches to 10 cm: .*estimate/)).toBeTruthy();
  });
});

describe('the count tags', () => {
  it('tell one less, best and one more, and pass on the one taken', () => {
    const onPick = jest.fn();
    show(<CountTags estimate={false} choice={reckon(phone).choices[0]!} onPick={onPick} />);
    expect(screen.getByLabelText(/^15 stitches, .* too tight$/)).toBeTruthy();
    expect(screen.getByLabelText(/^16 stitches, .* best, fits$/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^17 stitches/));
    expect(onPick).toHaveBeenCalledWith(17);
  });

  it('speak in inches where inches are used', () => {
    useSettings.getState().set({ units: 'in' });
    show(<CountTags estimate={false} choice={reckon(phone).choices[0]!} onPick={jest.fn()} />);
    expect(screen.getByLabelText(/^16 stitches, 3 11\/16 in/)).toBeTruthy();
  });
});

describe('workings', () => {
  it('open a figure, go on into its terms and come back', () => {
    const worked = reckon(phone);
    show(<WorkingsPanel />);
    expect(screen.queryByText('Formula')).toBeNull();
    act(() => useWorkingsTrail.getState().ask('Inside circumference', worked.inside.girth));
    show(<WorkingsPanel />);
    expect(screen.getAllByText('inside = 2F − πt').length).toBeGreaterThan(0);
    fireEvent.press(screen.getAllByLabelText(/^F: .*Its workings$/)[0]!);
    expect(useWorkingsTrail.getState().trail.map(({ name }) => name)).toEqual(['Inside circumference', 'F']);
    act(() => useWorkingsTrail.getState().back());
    expect(useWorkingsTrail.getState().trail).toHaveLength(1);
    act(() => useWorkingsTrail.getState().close());
  });

  it('do not lead on where a term was simply taken', () => {
    const { ask, into } = useWorkingsTrail.getState();
    act(() => ask('Girth', reckon(phone).thing.girth));
    into({ name: 'W', value: 78, unit: 'mm', kind: 'measured', from: 'ruler' });
    expect(useWorkingsTrail.getState().trail).toHaveLength(1);
    act(() => useWorkingsTrail.getState().close());
  });
});

describe('a clash', () => {
  const held = { body: phone, revision: 1, dirty: false };

  it('is silent until there is one, then offers both', () => {
    const settle = jest.fn();
    serverHas('plans', { a: phone });
    useLibrary.setState({ settle });
    show(<Clash kind="plans" id="a" held={held} />);
    expect(screen.queryByText(/another device/)).toBeNull();
    show(<Clash kind="plans" id="a" held={{ ...held, theirs: { revision: 2, body: phone } }} />);
    fireEvent.press(screen.getByText('Use the other version'));
    expect(settle).toHaveBeenCalledWith('plans', 'a', 'theirs');
  });

  it('says why the server would not take a change, and that it is kept', () => {
    show(<Clash kind="plans" id="a" held={{ ...held, refused: 'title: Empty.' }} />);
    expect(screen.getByText(/still on this device/)).toBeTruthy();
    expect(screen.getByText('title: Empty.')).toBeTruthy();
  });
});

describe('advice', () => {
  it('says by word, not by colour alone, what kind it is, and its repair', () => {
    show(
      <AdviceList
        advice={[
          { id: 'a', severity: 'question', text: 'So much?', repair: 'Look again.' },
          { id: 'b', severity: 'warning', text: 'It puckers.', repair: 'Larger hook.' },
        ]}
      />,
    );
    for (const text of ['Please check', 'Warning', 'Look again.', 'Larger hook.'])
      expect(screen.getByText(text)).toBeTruthy();
  });
});

describe('a new plan', () => {
  it('is named after its thing and can be reckoned as it is', () => {
    const plan = planFor(phone.thing, phone.fabric);
    expect(plan.title).toBe('Pouch for the field phone in its bumper');
    expect(reckonFor(plan, reader).faults).toEqual([]);
  });

  it('is not reckoned twice for the same reader, and again for another', () => {
    const first = reckonFor(phone, reader);
    expect(reckonFor(phone, readerOf({ ...reader }))).toBe(first);
    expect(reckonFor(phone, { ...reader, terms: 'UK' })).not.toBe(first);
  });

  it('answers faults where it cannot be reckoned', () => {
    const spoilt = { ...phone, fittings: [{ kind: 'button-loop' }] };
    expect(() => reckon(spoilt)).toThrow(PlanProblem);
    expect(reckonFor(spoilt, reader)).toMatchObject({ worked: null, faults: [{ path: 'fittings[0].kind' }] });
  });
});

it('every stage answers with a line for every plan, and for one that cannot be worked out', () => {
  const say = {
    length: (mm: number) => `${mm} mm`,
    number: String,
    difference: String,
    gauge: () => '',
    term: (id: string) => id,
  };
  for (const plan of Object.values(TERN_POINT.plans)) {
    for (const { summary } of STAGES) {
      expect(summary(plan, reckon(plan), say).length).toBeGreaterThan(0);
      expect(summary(plan, null, say)).not.toMatch(/undefined|NaN/);
    }
  }
});
