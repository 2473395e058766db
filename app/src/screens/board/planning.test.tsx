import {
  chance,
  fittingDefinition,
  mainColour,
  reckon,
  shapeDefinition,
  stitchDefinition,
  type Plan,
  duration,
  notionsText,
  yarnText,
} from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { useEffect, useState } from 'react';
import { choose, show } from '@/fixtures/show';
import { useBoard } from '@/data/board';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { GaugeChart } from '@/screens/yarn/GaugeChart';
import { AdviceList } from '@/ui/notices/AdviceList';
import { Cautions } from '@/ui/notices/Cautions';
import { ChanceOfFit, failures, HowSure } from './ChanceOfFit';
import { StageList } from './StageList';
import { lastsText, Supplies } from './Supplies';
import { useWorked } from '@/reading/useWorked';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const phone = planOf('Field phone');
const mockChance = jest.fn();
jest.mock('@/platform/useReckonWorker', () => ({
  useChance: (plan: unknown) => mockChance(plan),
}));

let now: Plan;

function Board({ start, stage }: { start: Plan; stage: string }) {
  const [plan, setPlan] = useState(start);
  useState(() => useBoard.getState().openStage('p', stage));
  useEffect(() => {
    now = plan;
  }, [plan]);
  const { worked, faults } = useWorked(plan);
  const edit = (work: (old: Plan) => Plan) => setPlan(work);
  return (
    <>
      <StageList id="p" plan={plan} worked={worked} faults={faults} edit={edit} />
      {worked ? <AdviceList advice={worked.advice} edit={edit} /> : null}
      {worked ? <Cautions cautions={worked.cautions} edit={edit} /> : null}
    </>
  );
}

beforeEach(() => {
  useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' });
  useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, yarns: {}, swatches: {} } }));
});

describe('the shape', () => {
  it('is chosen from all there are; its options and fittings follow', () => {
    show(<Board start={phone} stage="shape" />);
    choose('Shape', shapeDefinition('ring-tube')!.name);
    expect(now.shape).toEqual({ kind: 'ring-tube' });
    expect(now.fittings).toEqual([]);
    expect(screen.getByLabelText('The chain becomes')).toBeTruthy();
  });

  it('that cannot hold the item says why, at its own field', () => {
    show(<Board start={phone} stage="shape" />);
    choose('Shape', shapeDefinition('disc-wall')!.name);
    expect(screen.getByText(/Its base is round, and this is flat/)).toBeTruthy();
    expect(screen.getByText('Fix an entry here')).toBeTruthy();
  });
});

describe('the fabric', () => {
  it('takes another stitch with the swatch of the one before as no more than that, and shows what can be set of it', () => {
    show(<Board start={phone} stage="fabric" />);
    choose('Stitch', stitchDefinition('net')!.name.US);
    expect(now.fabric).toMatchObject({ stitch: 'net' });
    expect(now.fabric.gauge).toMatchObject({ stitch: 'single' });
    fireEvent.press(screen.getByLabelText('Measure a swatch'));
    expect(screen.getByText(/follow from your swatch in single crochet/)).toBeTruthy();
    expect(screen.getByText('Measure stitches of a swatch')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Chains in a loop'), '7');
    expect(now.fabric.pattern).toEqual({ chains: 7 });
  });

  it('takes a maker’s own pattern once a swatch of it is measured', () => {
    show(<Board start={phone} stage="fabric" />);
    choose('Stitch', stitchDefinition('own')!.name.US);
    expect(screen.getByText('Fix an entry here')).toBeTruthy();
    for (const [one, length] of [
      ['stitches', '12 cm'],
      ['rows', '10 cm'],
    ] as const) {
      fireEvent.press(screen.getByText(`Measure ${one} of a swatch`));
      fireEvent.changeText(screen.getByLabelText(`Length of the ${one}`), length);
      expect(now.fabric.gauge?.[one]).toEqual([expect.objectContaining({ count: 20, typed: length })]);
    }
    fireEvent.changeText(screen.getByLabelText('Its name'), 'little shells');
    fireEvent.changeText(screen.getByLabelText('Multiple of'), '6');
    expect(now.fabric.pattern).toEqual({ name: 'little shells', repeat: 6 });
    expect(reckon(now).pieces[0]!.stitches % 6).toBe(0);
  });

  it('takes stripes as a list, one more and one less', () => {
    show(<Board start={{ ...phone, fabric: { ...phone.fabric, stitch: 'stripes', gauge: {} } }} stage="fabric" />);
    fireEvent.press(screen.getByText('Add another'));
    expect(now.fabric.pattern!.rows).toEqual(['single', 'single', 'double', 'double']);
    fireEvent.press(screen.getByLabelText('Remove 1'));
    expect(now.fabric.pattern!.rows).toEqual(['single', 'double', 'double']);
    choose('1', /^treble/);
    expect(now.fabric.pattern!.rows).toEqual(['treble', 'double', 'double']);
  });

  it('is striped in colours, each for its rows', () => {
    show(<Board start={phone} stage="colours" />);
    // they begin with the yarn there is, and another beside it
    fireEvent.press(screen.getByText('Add stripes'));
    expect(now.fabric.colours).toEqual([
      { name: mainColour(phone.fabric), rows: 4 },
      { name: 'colour 2', rows: 4 },
    ]);
    fireEvent.press(screen.getByText('Add a colour'));
    fireEvent.changeText(screen.getByLabelText('Colour 1'), 'oat');
    fireEvent.changeText(screen.getByLabelText('Rows of colour 1'), '6');
    expect(now.fabric.colours).toEqual([
      { name: 'oat', rows: 6 },
      { name: 'colour 2', rows: 4 },
      { name: 'colour 3', rows: 4 },
    ]);
    fireEvent.press(screen.getByLabelText('Remove colour 2'));
    expect(now.fabric.colours).toHaveLength(2);
  });

  it('tells the same counts on another hook, larger and looser or smaller and firmer', () => {
    show(<Board start={phone} stage="fabric" />);
    fireEvent.press(screen.getByLabelText('How it was measured'));
    expect(screen.getByText(/^4\.5 mm: \d+ % larger, looser/)).toBeTruthy();
    expect(screen.getByText(/^3\.5 mm: \d+ % smaller, firmer/)).toBeTruthy();
  });

  it('may be begun with a chain alone that reaches round', () => {
    show(<Board start={{ ...phone, fabric: { ...phone.fabric, gauge: {} } }} stage="fabric" />);
    fireEvent.press(screen.getByLabelText('Measure a swatch'));
    fireEvent.press(screen.getByLabelText('Measure something else'));
    fireEvent.press(screen.getByText('Measure with a chain around the item'));
    // nothing is assumed before it is counted
    expect(now.fabric.gauge?.chains).toBeUndefined();
    expect(screen.getByText('reach just around the item')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('How many chains'), '23');
    expect(now.fabric.gauge!.chains).toEqual([{ count: 23, reaches: 'round' }]);
  });
});

describe('fittings', () => {
  it('are added with what they need, changed, and taken off with what needs them', () => {
    show(<Board start={{ ...phone, fittings: [] }} stage="fittings" />);
    choose('Add a fitting', fittingDefinition('magnet')!.name);
    expect(now.fittings).toEqual([{ kind: 'flap' }, { kind: 'magnet' }]);
    fireEvent.changeText(screen.getByLabelText('Magnet diameter'), '12');
    expect(now.fittings![1]).toEqual({ kind: 'magnet', acrossMm: 12 });
    fireEvent.press(screen.getByLabelText('Remove: Flap'));
    expect(now.fittings).toEqual([]);
  });

  it('that do not belong here say where they would', () => {
    show(<Board start={phone} stage="fittings" />);
    const where = /^Side handles: They are left open in a round\. It goes on “Tube in the round”/;
    expect(screen.queryByText(where)).toBeNull();
    fireEvent.press(screen.getByLabelText('Not available for this shape'));
    expect(screen.getByText(where)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Use “Tube in the round” with Side handles'));
    expect(now.shape.kind).toBe('ring-tube');
    expect(now.fittings).toEqual([{ kind: 'handles' }]);
    expect(now.parked!.map(({ kind }) => kind)).toEqual(['flap', 'button-loop']);
  });

  it('with a wrong entry keep it, and tell it at its field', () => {
    show(<Board start={phone} stage="fittings" />);
    fireEvent.changeText(screen.getByLabelText('Button diameter'), '75');
    expect(screen.getAllByText(/A button of 75 mm is more than half the flap/).length).toBeGreaterThan(0);
  });
});

describe('advice', () => {
  it('with a repair is made by one press', () => {
    show(<Board start={{ ...phone, fittings: [{ kind: 'flap' }, { kind: 'button-loop', chains: 3 }] }} stage="" />);
    fireEvent.press(screen.getByText(/^Chain \d+\.$/));
    expect(now.fittings![1]).toEqual({ kind: 'button-loop' });
    expect(screen.queryByText(/does not pass over its button/)).toBeNull();
  });
});

describe('cautions', () => {
  it('are set aside and shown again', () => {
    show(<Board start={phone} stage="" />);
    fireEvent.press(screen.getByLabelText(/^Hide here: What is charged gets warm/));
    expect(now.setAside).toEqual(['charging']);
    expect(screen.queryByText(/What is charged gets warm/)).toBeNull();
    fireEvent.press(screen.getByText('Show 1 hidden'));
    expect(screen.getByText(/What is charged gets warm/)).toBeTruthy();
  });

  it('are all there where none can be set aside', () => {
    show(<Cautions cautions={reckon({ ...phone, setAside: ['charging'] }).cautions} />);
    expect(screen.getByText(/What is charged gets warm/)).toBeTruthy();
    expect(screen.queryByText('Hide here')).toBeNull();
  });
});

describe('the chance of fit', () => {
  it('is said in hundreds, with the ways it fails and what would help most', () => {
    const drawn = chance(phone, 4000);
    // which of two near helps comes first is the draw's luck; what it leads to is not
    const found = { ...drawn, helps: drawn.helps.filter(({ id }) => id === 'measure-first-rows') };
    expect(found.helps).toHaveLength(1);
    mockChance.mockReturnValue({ found, stale: false });
    show(<ChanceOfFit id="p" plan={phone} edit={jest.fn()} />);
    expect(screen.getByText(`Fits ${Math.round(100 * found.share)} times in 100`)).toBeTruthy();
    expect(screen.getByText(/^too tight \d+, too loose \d+/)).toBeTruthy();
    fireEvent.press(screen.getByText(/^Measure the first rows: fits \d+, about 3 minutes$/));
    expect(useBoard.getState().stages.p).toBe('fabric');
  });

  it('is not shown before it is known, and says when hardly anything fails', () => {
    mockChance.mockReturnValue({ found: null, stale: true });
    show(<ChanceOfFit id="p" plan={phone} edit={jest.fn()} />);
    expect(screen.queryByText(/times in 100/)).toBeNull();
    expect(failures({ ...chance(phone, 1000), tight: 0, loose: 0, short: 1 })).toMatch(/hardly ever/);
  });
});

describe('how sure it is, in a line', () => {
  const line = (plan: Plan) => {
    mockChance.mockReturnValue({ found: chance(plan, 4000), stale: false });
    return show(<HowSure id="p" plan={plan} edit={jest.fn()} />);
  };

  it('of an estimate says what would firm it up, and the rest behind a press', () => {
    line({ ...phone, fabric: { ...phone.fabric, gauge: {} } });
    expect(screen.getByText(/^Estimated\. Crochet ten rows, measure them, and about \d+ of 100 fit\.$/)).toBeTruthy();
    expect(screen.queryByText(/too tight/)).toBeNull();
    fireEvent.press(screen.getByText('How sure'));
    expect(screen.getByText(/too tight/)).toBeTruthy();
    fireEvent.press(screen.getByText('Less'));
    expect(screen.queryByText(/too tight/)).toBeNull();
  });

  it('of a swatch says how often it fits', () => {
    line(phone);
    expect(screen.getByText(/^Fits \d+ times in 100\.$/)).toBeTruthy();
  });

  it('of measures that do not say how they were counted is not said before they do', () => {
    const stitches = [{ count: 20, overMm: 118 }];
    const open: Plan = { ...phone, fabric: { ...phone.fabric, gauge: { stitches } } };
    mockChance.mockReturnValue({ found: chance(open, 1000), stale: false });
    let said = open;
    show(<HowSure id="p" plan={open} edit={(work) => (said = work(open))} />);
    expect(screen.queryByText(/Fits/)).toBeNull();
    expect(screen.getByText('How were the 20 stitches counted?')).toBeTruthy();
    fireEvent.press(screen.getByText('I counted the whole ones in that length'));
    expect(said.fabric.gauge!.stitches).toEqual([{ count: 20, overMm: 118, counted: 'whole' }]);
  });
});

describe('a measure', () => {
  it('is two fields, and which they are says how it was counted', () => {
    show(<Board start={{ ...phone, fabric: { ...phone.fabric, gauge: {} } }} stage="fabric" />);
    fireEvent.press(screen.getByLabelText('Measure a swatch'));
    fireEvent.press(screen.getByText('Measure stitches of a swatch'));
    fireEvent.changeText(screen.getByLabelText('Length of the stitches'), '118');
    expect(now.fabric.gauge!.stitches).toEqual([expect.objectContaining({ count: 20, overMm: 118, counted: 'edges' })]);
    fireEvent.press(screen.getByText('how many in a length'));
    expect(now.fabric.gauge!.stitches![0]).toMatchObject({ overMm: 118, counted: 'whole' });
    fireEvent.changeText(screen.getByLabelText('Length counted in'), '10 cm');
    fireEvent.changeText(screen.getByLabelText('Whole stitches in it'), '17.5');
    expect(now.fabric.gauge!.stitches![0]).toMatchObject({ count: 17.5, overMm: 100, counted: 'whole' });
  });

  it('is taken with what the house measures with, said once and kept', () => {
    show(<Board start={{ ...phone, fabric: { ...phone.fabric, gauge: {} } }} stage="fabric" />);
    fireEvent.press(screen.getByLabelText('Measure a swatch'));
    fireEvent.press(screen.getByText('Measure stitches of a swatch'));
    fireEvent.changeText(screen.getByLabelText('Length of the stitches'), '118');
    choose('Measured with', 'calipers');
    expect(now.fabric.gauge!.stitches![0]!.by).toBe('calliper');
    fireEvent.press(screen.getByText('Measure rows of a swatch'));
    fireEvent.changeText(screen.getByLabelText('Length of the rows'), '100');
    expect(now.fabric.gauge!.rows![0]!.by).toBe('calliper');
    useSettings.getState().set({ measuredWith: 'ruler' });
  });
});

describe('what a piece is carried by', () => {
  it('brings what goes with it, and takes it off again', () => {
    show(<Board start={phone} stage="thing" />);
    choose('Carried by', 'The body');
    expect(now.fittings!.map(({ kind }) => kind)).toContain('strap');
    fireEvent.press(screen.getByText('Take it off again'));
    expect(now.fittings!.map(({ kind }) => kind)).not.toContain('strap');
    expect(now.carrier?.kind).toBe('body');
  });
});

describe('supplies in words', () => {
  it('say yarn, balls, whether it lasts, what to have at hand', () => {
    const worked = reckon(planOf('tote'));
    show(<Supplies worked={worked} />);
    expect(yarnText(worked.supplies)).toMatch(/^about \d+ m \(\d+ yd\), \d+ g; buy \d balls$/);
    expect(screen.getByText(/^kelp: about \d+ m, \d+ g, \d+ rows$/)).toBeTruthy();
    expect(notionsText(worked.supplies.notions)).toMatch(/hook \(5 mm\), tapestry needle/);
    expect([lastsText(0.99), lastsText(0.2), lastsText(0.7)]).toEqual([
      'You have enough yarn (99 in 100).',
      'You do not have enough yarn (it lasts 20 times in 100).',
      'It may just last (70 times in 100).',
    ]);
  });

  it('say time as people do', () => {
    expect([3, 52, 60, 131, 600].map(duration)).toEqual(['15 minutes', '45 minutes', '1 hour', '2 hours', '10 hours']);
  });
});

describe('the gauge chart', () => {
  const yarn = Object.values(TERN_POINT.yarns)[0]!;
  const swatches = Object.values(TERN_POINT.swatches).filter(({ name }) => name.startsWith('oat'));

  it('tells the hand against the estimate, in words as well', () => {
    show(<GaugeChart yarn={yarn} swatches={swatches} />);
    expect(screen.getByText('Your gauge is 7 % tighter than the estimate.')).toBeTruthy();
  });

  it('is not there without a swatch in single', () => {
    show(<GaugeChart yarn={yarn} swatches={swatches.map((swatch) => ({ ...swatch, stitch: 'double' }))} />);
    expect(screen.queryByText(/Your hand/)).toBeNull();
  });
});
