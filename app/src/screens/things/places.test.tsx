import {
  blankDraft,
  fabricFromSwatch,
  readDraft,
  thingDefinition,
  type LinesDraft,
  type Method,
  type ThingDraft,
} from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { choose, show } from '@/fixtures/show';
import { SettingsPage } from '@/screens/settings/SettingsPage';
import { Sheet } from '@/screens/sheet/Sheet';
import { useDraft } from '@/data/draft';
import { serverHas } from '@/fixtures/serverHas';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useLine } from '@/data/sync';
import { YarnBox } from '@/screens/yarn/YarnBox';
import { NewThing } from './NewThing';
import { Things } from './Things';

const mockGo = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => mockGo }));
jest.mock('@/screens/sheet/usePrintStyle', () => ({ usePrintStyle: jest.fn() }));

beforeEach(() => {
  useDraft.getState().clear();
  useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right', theme: 'device' });
  for (const kind of ['things', 'yarns', 'swatches', 'plans'] as const) {
    useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, [kind]: {} } }));
    serverHas(kind, TERN_POINT[kind]);
  }
  Object.values(mockGo).forEach((go) => go.mockClear());
});

const lines = (texts: Record<string, string>, ways: Record<string, Method> = {}): LinesDraft => ({ texts, ways });
const drafted = (texts: Record<string, string>, kind = 'slab', more: Partial<ThingDraft> = {}) =>
  readDraft({ ...blankDraft(thingDefinition(kind)!), texts, ...more }, 'mm');

describe('reading a new thing', () => {
  const texts = { width: '3 1/4', height: '16,4 cm', depth: '14' };

  it('takes every unit, keeps what was typed, and may leave out what is optional', () => {
    const { thing, faults } = drafted({ ...texts, name: 'phone' }, 'slab', { ways: { depth: 'calliper' } });
    expect(faults).toEqual({});
    expect(thing).toEqual({
      kind: 'slab',
      name: 'phone',
      width: { mm: 82.55, by: 'ruler', typed: '3 1/4' },
      height: { mm: 164, by: 'ruler', typed: '16,4 cm' },
      depth: { mm: 14, by: 'calliper', typed: '14' },
    });
  });

  it('finds what is missing, wrong, or does not go together, each at its line', () => {
    expect(Object.keys(drafted({}).faults)).toEqual(['width', 'height', 'depth']);
    expect(drafted({ ...texts, width: 'wide' }).faults).toEqual({ width: expect.stringMatching(/not a length/) });
    expect(drafted({ ...texts, edgeRadius: '9' }).faults).toEqual({ edgeRadius: expect.stringMatching(/7 mm/) });
  });

  it('takes a bottle by either measure, and asks for one of them', () => {
    expect(drafted({ height: '240', girth: '230' }, 'cylinder')).toMatchObject({
      faults: {},
      thing: { girth: { mm: 230, by: 'tape' } },
    });
    expect(drafted({ height: '240' }, 'cylinder').faults.diameter).toMatch(/“Diameter” or “Circumference”/);
    expect(drafted({ height: '240', diameter: '70', shoulderHeight: '300' }, 'cylinder').faults.shoulderHeight).toMatch(
      /240 mm or less/,
    );
  });

  it('takes tools one by one, with how many of each', () => {
    const [first, second] = [
      { length: '14 cm', grip: '10', count: '3' },
      { length: '160', grip: 'x' },
    ];
    const { thing, faults } = drafted({}, 'tools', { entries: [lines(first), lines(second)] });
    expect(thing.tools).toMatchObject([
      { length: { mm: 140 }, grip: { mm: 10, by: 'calliper' }, count: 3 },
      { length: { mm: 160 }, count: 1 },
    ]);
    expect(faults).toEqual({ 'tools[1].grip': expect.stringMatching(/not a length/) });
    const half = [lines({ ...first, count: '1.5' }), lines({ ...second, grip: '8' })];
    expect(drafted({}, 'tools', { entries: half }).faults).toEqual({
      'tools[0].count': expect.stringMatching(/whole/),
    });
  });

  it('takes what a set holds, each by the fields of its own kind', () => {
    const members: ThingDraft[] = [
      { ...blankDraft(thingDefinition('slab')!), texts: { width: '78', height: '164', depth: '14' } },
      { ...blankDraft(thingDefinition('tools')!), entries: [lines({ length: '140', grip: '10' })] },
    ];
    const { thing, faults } = drafted({}, 'set', { members });
    expect(faults).toEqual({});
    expect(thing.members).toMatchObject([{ kind: 'slab' }, { kind: 'tools', tools: [{ grip: { mm: 10 } }] }]);
    expect(drafted({}, 'set').faults.members).toMatch(/Nothing in it yet/);
  });
});

describe('a new thing', () => {
  it('says what is missing only when asked to go on, then makes a plan and keeps the item', async () => {
    show(<NewThing />);
    expect(screen.queryByText(/No name yet/)).toBeNull();
    fireEvent.press(screen.getByText('Plan a cover'));
    expect(await screen.findByText(/No name yet/)).toBeTruthy();
    expect(screen.getAllByText(/Nothing typed yet/)).toHaveLength(3);
    for (const [name, text] of [
      ['Name', 'chart loupe'],
      ['Width', '60'],
      ['Height', '70'],
      ['Depth', '25'],
    ] as const) {
      fireEvent.changeText(screen.getByLabelText(name), text);
    }
    fireEvent.press(screen.getByText('Plan a cover'));
    await waitFor(() => expect(mockGo.replace).toHaveBeenCalled());
    expect(mockGo.replace).toHaveBeenCalledWith(expect.stringMatching(/^\/plan\/.*stage=fabric$/));
    const { plans, things } = useLibrary.getState().shelves;
    expect(Object.values(things).map(({ body }) => body.name)).toContain('chart loupe');
    expect(Object.values(plans).map(({ body }) => body.title)).toContain('Pouch for the chart loupe');
    expect(useDraft.getState().draft.texts).toEqual({});
  });

  it('may be of another kind, with that kind’s own measures', async () => {
    show(<NewThing />);
    expect(screen.queryByLabelText('Circumference by tape')).toBeNull();
    fireEvent.press(screen.getByText('Glasses, folded'));
    expect(screen.queryByLabelText('Edge radius')).toBeNull();
    for (const [name, text] of [
      ['Name', 'sun glasses'],
      ['Width', '55'],
      ['Height', '150'],
      ['Depth', '35'],
    ] as const) {
      fireEvent.changeText(screen.getByLabelText(name), text);
    }
    fireEvent.changeText(screen.getByLabelText('Circumference by tape'), '5 in');
    fireEvent.press(screen.getByText('Plan a cover'));
    await waitFor(() => expect(mockGo.replace).toHaveBeenCalled());
    const kept = Object.values(useLibrary.getState().shelves.things).find(({ body }) => body.name === 'sun glasses')!;
    expect(kept.body.thing).toMatchObject({ kind: 'spectacles', girth: { mm: 127, by: 'tape', typed: '5 in' } });
  });

  it('may be one from the shelf', () => {
    show(<NewThing />);
    fireEvent.changeText(screen.getByPlaceholderText('Search items'), 'NOTEBOOK ring');
    fireEvent.press(screen.getByText('ringing notebook'));
    expect(mockGo.replace).toHaveBeenCalledTimes(1);
  });
});

describe('the things', () => {
  it('stand beside each other with their sizes, in the unit in use', () => {
    show(<Things />);
    expect(screen.getByText('148 × 210 × 16 mm, 328 mm around')).toBeTruthy();
    act(() => useSettings.getState().set({ units: 'in' }));
    expect(screen.getByText('3 1/4 × 5 1/2 × 5/16 in, 7 1/8 in around')).toBeTruthy();
  });
});

describe('the yarn box', () => {
  it('shows each yarn with its swatches against the estimate', () => {
    show(<YarnBox />);
    expect(screen.getByText('worsted (4), 190 m in 100 g, cotton, 92 g left')).toBeTruthy();
    expect(screen.getAllByText(/^Swatch: single crochet/)).toHaveLength(4);
    expect(screen.getAllByText(/tighter than the estimate/).length).toBeGreaterThan(0);
  });

  it('asks a new swatch for its measures, and takes nothing for measured before', () => {
    show(<YarnBox />);
    fireEvent.press(screen.getByLabelText('Add a swatch of oat cotton'));
    const added = () => Object.values(useLibrary.getState().shelves.swatches).at(-1)!.body;
    expect(screen.getByText('not measured yet')).toBeTruthy();
    expect(added().gauge).toEqual({});
    fireEvent.changeText(screen.getByLabelText('How many stitches'), '18');
    expect(added().gauge).toEqual({});
    fireEvent.changeText(screen.getByLabelText('Length of the stitches'), '10,8 cm');
    expect(added().gauge.stitches).toEqual([expect.objectContaining({ count: 18, overMm: 108, typed: '10,8 cm' })]);
    expect(screen.queryByText('not measured yet')).toBeNull();
    choose('Stitch', 'double crochet');
    expect(added().stitch).toBe('double');
  });

  it('keeps the colours that repeat along a yarn, and a plan in it has them', () => {
    const yarn = () => Object.values(useLibrary.getState().shelves.yarns)[0]!.body;
    const { name } = yarn();
    show(<YarnBox />);
    fireEvent.press(screen.getByLabelText(`Edit: ${name}`));
    fireEvent.press(screen.getByText('This yarn’s colours repeat'));
    fireEvent.press(screen.getByText('Add a run'));
    fireEvent.changeText(screen.getByLabelText('Length of run 2'), '14');
    expect(yarn().yarn.runs).toMatchObject([{ stitches: 10 }, { stitches: 14 }]);
    expect(screen.getByText(/2 runs of colour, over and over/)).toBeTruthy();
    const swatch = { name: 'by two', yarn: '', stitch: 'single', hookMm: 4, gauge: {} } as const;
    expect(fabricFromSwatch(swatch, yarn().yarn).yarn!.runs).toHaveLength(2);
    fireEvent.press(screen.getByLabelText('Remove run 1'));
    fireEvent.press(screen.getByLabelText('Remove run 1'));
    expect(yarn().yarn).not.toHaveProperty('runs');
  });

  it('shows a swatch of a pattern of one’s own even without its rows', () => {
    const { add, shelves } = useLibrary.getState();
    const [yarn] = Object.keys(shelves.yarns);
    const gauge = { stitches: [{ count: 20, overMm: 110 }] };
    add('swatches', { name: 'little shells', yarn: yarn!, stitch: 'own', hookMm: 4, gauge });
    show(<YarnBox />);
    expect(screen.getByText('not measured yet')).toBeTruthy();
  });
});

describe('the sheet', () => {
  const plan = Object.values(TERN_POINT.plans)[0]!;

  it('holds materials, every section and the counts, in either terms', () => {
    show(<Sheet back={{ to: '/', name: 'the plan' }} plan={plan} />);
    for (const name of ['Front', 'Back', 'Top fold', 'Flap', 'Joining', 'Closing', 'Finishing'])
      expect(screen.getByText(name)).toBeTruthy();
    expect(screen.getByText(/in single crochet with a 4 mm hook/)).toBeTruthy();
    fireEvent.press(screen.getByText('UK'));
    expect(screen.getByText(/in double crochet with a 4 mm hook/)).toBeTruthy();
    expect(screen.getByText('Tension')).toBeTruthy();
  });

  it('says an estimated gauge is one', () => {
    show(<Sheet back={{ to: '/', name: 'the plan' }} plan={Object.values(TERN_POINT.plans)[3]!} />);
    expect(screen.getByText(/Estimated: work a swatch first/)).toBeTruthy();
  });
});

describe('settings', () => {
  it('are taken at once, and tell what is kept where', () => {
    show(<SettingsPage />);
    fireEvent.press(screen.getByText('low light'));
    fireEvent.press(screen.getByText('inches'));
    expect(useSettings.getState()).toMatchObject({ theme: 'lamp', units: 'in' });
    act(() => useLine.setState({ reached: false }));
    expect(screen.getByText(/You are offline/)).toBeTruthy();
    act(() => useLine.setState({ reached: true }));
  });
});
