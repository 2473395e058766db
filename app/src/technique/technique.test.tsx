import { PLAN_FORMAT, reckon, type Plan } from '@keep-snug/core';
import { techniqueOf, TECHNIQUES } from '@keep-snug/core/techniques';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { Stitches } from '@/screens/stitches/Stitches';
import { ChartPicture } from './ChartPicture';
import { ClothPicture } from './ClothPicture';
import { LinkedWords } from '@/ui/layout/LinkedWords';
import { TechniquePanel } from './TechniquePanel';
import { TechniqueView } from './TechniqueView';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/stitches',
  useRouter: () => ({ push: jest.fn(), navigate: mockNavigate }),
}));
// a box is laid out by the browser
jest.mock('@/ui/layout/useBox', () => ({ useBox: () => ({ box: { width: 340, height: 300 }, onLayout: jest.fn() }) }));

const still = (matches: boolean) => {
  globalThis.matchMedia = (() => ({ matches })) as unknown as typeof matchMedia;
};

beforeEach(() => {
  still(false);
  mockNavigate.mockClear();
  act(() => useTechniqueTrail.getState().close());
  useSettings.getState().set({ terms: 'US', units: 'mm', hand: 'right', voice: 'full', turningChain: 'plain' });
});

describe('a word in a text', () => {
  it('opens how it is done, and leads on and back', () => {
    show(
      <>
        <LinkedWords text="Whip stitch the row ends, then fasten off." />
        <TechniquePanel />
      </>,
    );
    fireEvent.press(screen.getByLabelText('fasten off: how it is done'));
    expect(screen.getByText('Fasten off')).toBeTruthy();
    expect(useTechniqueTrail.getState().trail).toEqual(['fasten-off']);
    act(() => useTechniqueTrail.getState().show('tail'));
    expect(screen.getByText('Leaving a tail')).toBeTruthy();
    fireEvent.press(screen.getByText('Back to Fasten off'));
    expect(useTechniqueTrail.getState().trail).toEqual(['fasten-off']);
    fireEvent.press(screen.getByLabelText('Close'));
    expect(useTechniqueTrail.getState().trail).toEqual([]);
  });

  it('is a link the first time it comes, and none in its own explanation', () => {
    show(<LinkedWords text="Chain 3, then chain 2." />);
    expect(screen.getAllByLabelText(/how it is done/)).toHaveLength(1);
    screen.unmount();
    show(<LinkedWords text="Chain 3, then chain 2." except="chain" />);
    expect(screen.queryAllByLabelText(/how it is done/)).toHaveLength(0);
  });

  it('is reached and opened by the keys, without the room behind hearing of it', () => {
    show(<LinkedWords text="Fasten off." />);
    const heard = { key: 'Enter', preventDefault: jest.fn(), stopPropagation: jest.fn() };
    fireEvent(screen.getByLabelText(/how it is done/), 'keyDown', heard);
    expect(useTechniqueTrail.getState().trail).toEqual(['fasten-off']);
    expect(heard.stopPropagation).toHaveBeenCalled();
    fireEvent(screen.getByLabelText(/how it is done/), 'keyDown', { ...heard, key: 'Tab' });
    expect(useTechniqueTrail.getState().trail).toHaveLength(1);
  });
});

describe('a stitch move by move', () => {
  const single = techniqueOf('single')!;

  it('is stepped on and back, and begins anew after its last picture', () => {
    show(<TechniqueView technique={single} />);
    expect(screen.getByText('Begin with 1 loop on the hook.')).toBeTruthy();
    fireEvent.press(screen.getByText('Next'));
    expect(screen.getByText('Insert the hook in the next stitch, under both top loops.')).toBeTruthy();
    expect(screen.getByText('Move 1 of 3')).toBeTruthy();
    fireEvent.press(screen.getByText('Back'));
    expect(screen.getByText('Before')).toBeTruthy();
    for (let move = 0; move < 4; move += 1) fireEvent.press(screen.getByLabelText('Next move'));
    expect(screen.getByText('Done')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Show the first move'));
    expect(screen.getByText('Before')).toBeTruthy();
  });

  it('is told in abbreviations and in UK words where they are set', () => {
    useSettings.getState().set({ voice: 'short', terms: 'UK' });
    show(<TechniqueView technique={single} />);
    fireEvent.press(screen.getByText('Next'));
    fireEvent.press(screen.getByText('Next'));
    expect(screen.getByText('yrh, draw up a lp (2 lps)')).toBeTruthy();
  });

  it('stands still side by side where less movement is asked for', () => {
    still(true);
    show(<TechniqueView technique={single} />);
    expect(screen.queryByText('Next')).toBeNull();
    for (const number of ['0. Begin', '1. Insert', '2. Yarn over', '3. Yarn over', '4. Upright'])
      expect(screen.getByText(new RegExp(`^${number}`))).toBeTruthy();
  });
});

describe('what is shown of a technique', () => {
  it.each(TECHNIQUES.map((one) => [one.id, one] as const))('%s has its mistake and its repair', (_id, technique) => {
    show(<TechniqueView technique={technique} />);
    expect(screen.getByText('The usual mistake')).toBeTruthy();
    expect(JSON.stringify(screen.toJSON())).not.toMatch(/undefined|NaN|\[object|\{(US|single|double)\}/);
  });

  it('is the reader’s own way of it first', () => {
    useSettings.getState().set({ turningChain: 'counts' });
    show(<TechniqueView technique={techniqueOf('turning-chain')!} />);
    expect(screen.getByText('It counts as a stitch (as set)')).toBeTruthy();
    expect(screen.getByText('It does not count')).toBeTruthy();
  });

  it('points at what is asked about in four rows of it', () => {
    show(<ClothPicture stitch="single" />);
    expect(screen.getByText(/The row ends in the last upright V/)).toBeTruthy();
    fireEvent.press(screen.getByText('Ridge'));
    expect(screen.getByText(/Two rows of short stitches make one ridge/)).toBeTruthy();
  });
});

describe('a practice swatch', () => {
  it('is begun from its stitch as a make of its own, in a yarn of the box', () => {
    const yarn = useLibrary.getState().add('yarns', { name: 'moss wool', yarn: { name: 'moss wool', category: 3 } });
    show(<TechniqueView technique={techniqueOf('spike')!} />);
    fireEvent.press(screen.getByText('Practise it on a swatch'));
    fireEvent.press(screen.getByText('Start the swatch'));
    expect(mockNavigate).toHaveBeenCalledWith(expect.stringMatching(/^\/make\//));
    const [made] = Object.values(useLibrary.getState().shelves.makes);
    expect(made!.body.plan).toMatchObject({
      format: PLAN_FORMAT,
      title: 'Practice swatch: spike stitch',
      shape: { kind: 'practice' },
      fabric: { stitch: 'spike', yarn: { name: 'moss wool' } },
    });
    useLibrary.getState().remove('yarns', yarn);
  });

  it('of an edging it is plain rows, edged in it', () => {
    show(<TechniqueView technique={techniqueOf('reverse-single')!} />);
    fireEvent.press(screen.getByText('Practise it on a swatch'));
    fireEvent.press(screen.getByText('Start the swatch'));
    const made = Object.values(useLibrary.getState().shelves.makes).map(({ body }) => body.plan);
    expect(made.at(-1)).toMatchObject({
      title: 'Practice swatch: reverse single crochet',
      shape: { kind: 'practice', edge: 'reverse' },
      fabric: { stitch: 'single' },
    });
  });

  it('is not offered for what is no fabric', () => {
    show(<TechniqueView technique={techniqueOf('fasten-off')!} />);
    expect(screen.queryByText('Practise it on a swatch')).toBeNull();
  });
});

describe('the list of all of them', () => {
  it('is found by a word or an abbreviation, and says where nothing is', () => {
    show(<Stitches />);
    fireEvent.changeText(screen.getByLabelText('Search stitches'), 'mattress');
    expect(screen.getByLabelText('Mattress stitch')).toBeTruthy();
    expect(screen.queryByLabelText('Whip stitch')).toBeNull();
    fireEvent.changeText(screen.getByLabelText('Search stitches'), 'zzz');
    expect(screen.getByText(/Nothing here is called “zzz”/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Search stitches'), 'sc2tog');
    fireEvent.press(screen.getByLabelText('Single crochet 2 together'));
    expect(useTechniqueTrail.getState().trail).toEqual(['single-together']);
  });
});

describe('a chart', () => {
  const phone = Object.values(TERN_POINT.plans)[0]!;
  const chart = (plan: Plan, piece: string, from: number, to: number) => {
    const worked = reckon(plan);
    show(<ChartPicture steps={worked.steps} piece={piece} from={from} to={to} now={from} />);
  };

  it('numbers its rows and has a key that opens its stitches', () => {
    chart(phone, 'body', 1, 6);
    expect(screen.getByLabelText('Chart, rows 1 to 6')).toBeTruthy();
    fireEvent.press(screen.getByText('single crochet'));
    expect(useTechniqueTrail.getState().trail).toEqual(['single']);
    fireEvent.press(screen.getByText('Hide the key'));
    expect(screen.queryByText('single crochet')).toBeNull();
  });

  it('is nothing of rows that are not there', () => {
    chart(phone, 'body', 700, 710);
    expect(screen.queryByLabelText(/^Chart/)).toBeNull();
  });
});
