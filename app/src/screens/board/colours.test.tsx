import { usualHex, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { useEffect, useState } from 'react';
import { show } from '@/fixtures/show';
import { useSettings } from '@/data/settings';
import { STAGES } from './stages';
import { reckonFor, useReader } from '@/reading/useWorked';

const tote = Object.values(TERN_POINT.plans).find(({ title }) => title.includes('tote'))!;
let now: Plan = tote;

function Stage({ start }: { start: Plan }) {
  const [plan, setPlan] = useState(start);
  const reader = useReader();
  const { worked, faults } = reckonFor(plan, reader);
  useEffect(() => {
    now = plan;
  }, [plan]);
  const { Body } = STAGES.find(({ id }) => id === 'colours')!;
  return <Body plan={plan} worked={worked} faults={faults} edit={(work) => setPlan(work)} />;
}

/** Of a list that opens over its line. */
function choose(label: string, option: string) {
  fireEvent.press(screen.getByLabelText(label));
  fireEvent.press(screen.getByText(option));
}

beforeEach(() => useSettings.setState({ units: 'mm' }));

describe('colours', () => {
  it('are striped by a rule, and by rows again', () => {
    show(<Stage start={tote} />);
    choose('Stripes', 'by a ratio');
    expect(now.fabric.sequence).toEqual({ by: 'ratio', colours: [{ name: 'kelp' }, { name: 'sand' }] });
    expect(now.fabric.colours).toBeUndefined();
    fireEvent.changeText(screen.getByLabelText('Parts of colour 1'), '3');
    expect(now.fabric.sequence!.colours[0]).toEqual({ name: 'kelp', part: 3 });
    fireEvent.press(screen.getByText('Remove the stripes'));
    expect(now.fabric.sequence).toBeUndefined();
  });

  it('at random are thrown again', () => {
    show(<Stage start={tote} />);
    choose('Stripes', 'at random');
    fireEvent.press(screen.getByText('Throw again'));
    const first = now.fabric.sequence!.seed;
    fireEvent.press(screen.getByText('Throw again'));
    expect(now.fabric.sequence!.seed).not.toBe(first);
  });

  it('look as a word or a number says; what is none is told at its line', () => {
    show(<Stage start={tote} />);
    fireEvent.changeText(screen.getByLabelText('Look of sand'), 'slate');
    expect(now.palette!.sand!.hex).toBe('#4A5A68');
    expect(screen.getByText(/about as light as each other/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Look of sand'), '#abcdef');
    expect(now.palette!.sand!.hex).toBe('#abcdef');
    fireEvent.changeText(screen.getByLabelText('Look of sand'), 'wibble');
    expect(screen.getByText(/“wibble” is not a colour/)).toBeTruthy();
    // what was set before the first letter, never a part of what was typed
    expect(now.palette!.sand!.hex).toBe(tote.palette!.sand!.hex);
  });

  it('leave tails at a change, done with as chosen', () => {
    show(<Stage start={tote} />);
    choose('Tails at a change', 'work over them');
    expect(now.fabric.tails).toBe('over');
    expect(screen.getByText(/^Nothing left to do at the end/)).toBeTruthy();
  });

  it('are weighed, each by itself, and keep it when their look is said anew', () => {
    show(<Stage start={tote} />);
    fireEvent.changeText(screen.getByLabelText('Grams of sand'), '40');
    expect(now.palette!.sand!.gramsLeft).toBe(40);
    fireEvent.changeText(screen.getByLabelText('Look of sand'), 'slate');
    fireEvent.changeText(screen.getByLabelText('Look of sand'), '');
    expect(now.palette!.sand).toEqual({ hex: usualHex('sand'), gramsLeft: 40 });
    fireEvent.changeText(screen.getByLabelText('Grams of sand'), '');
    expect(now.palette!.sand).not.toHaveProperty('gramsLeft');
  });

  it('belong to pieces and fittings by themselves', () => {
    const edged: Plan = {
      ...tote,
      fabric: { ...tote.fabric, colours: [] },
      fittings: [{ kind: 'edging' }, { kind: 'handles' }],
    };
    show(<Stage start={edged} />);
    // handles are rows of the bag itself
    expect(screen.queryByLabelText('Colour of side handles')).toBeNull();
    fireEvent.changeText(screen.getByLabelText(/^Colour of .*edging/), 'rose');
    expect(now.fittings![0]!.colour).toBe('rose');
    fireEvent.changeText(screen.getByLabelText(/^Colour of .*edging/), '');
    expect(now.fittings![0]).not.toHaveProperty('colour');
    fireEvent.changeText(screen.getByLabelText('Colour of pouch'), 'moss');
    expect(Object.values(now.fabric.pieceColours!)).toEqual(['moss']);
    // but its top may be in another
    fireEvent.changeText(screen.getByLabelText('Colour of the top, with side handles'), 'rose');
    expect(now.fittings![1]!.topColour).toBe('rose');
    fireEvent.changeText(screen.getByLabelText('Colour of the top, with side handles'), '');
    expect(now.fittings![1]).not.toHaveProperty('topColour');
  });

  it('scraps are joined, ordered, and told where they run out', () => {
    show(<Stage start={tote} />);
    fireEvent.press(screen.getByText('Make it from scraps'));
    fireEvent.press(screen.getByText('Add a scrap'));
    fireEvent.changeText(screen.getByLabelText('Grams of scrap 2'), '60');
    expect(screen.getByText(/scrap 1: runs out in round \d+/)).toBeTruthy();
    expect(screen.getByText(/^Together they last \d+ times in 100/)).toBeTruthy();
    fireEvent.press(screen.getByText('Largest first'));
    expect(now.fabric.scraps!.map(({ grams }) => grams)).toEqual([60, 20]);
    fireEvent.press(screen.getByLabelText('Scrap 2 earlier'));
    expect(now.fabric.scraps!.map(({ grams }) => grams)).toEqual([20, 60]);
  });
});
