import { patternText, reckon, tapeOf, type Plan } from '@keep-snug/core';
import { writtenPattern } from '@keep-snug/core/written';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useSettings } from '@/data/settings';
import { Sheet } from './Sheet';

jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: jest.fn(), navigate: jest.fn() }),
}));
jest.mock('./usePrintStyle', () => ({ usePrintStyle: jest.fn() }));

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const BACK = { to: '/', name: 'the plan' } as const;
const READING = { terms: 'US', units: 'mm' } as const;

beforeEach(() => useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right', voice: 'full' }));

/** Everything that is shown, in one line of text. */
function said(node: unknown): string {
  if (typeof node === 'string') return node;
  if (Array.isArray(node)) return node.map(said).join('');
  return node && typeof node === 'object' ? said((node as { children?: unknown }).children ?? '') : '';
}
const shown = () => said(screen.toJSON());

describe.each(PLANS)('the sheet of %s', (_, plan) => {
  const worked = reckon(plan);

  it.each(['full', 'short'] as const)('holds all its steps and notions, and no number that is not one: %s', (voice) => {
    useSettings.getState().set({ voice });
    show(<Sheet back={BACK} plan={plan} />);
    const text = shown();
    const pattern = writtenPattern(plan, worked, { ...READING, voice });
    for (const line of pattern.sections.flatMap(({ lines }) => lines)) expect(text).toContain(line.text);
    for (const { look } of pattern.sections.flatMap(({ lines }) =>
      lines.flatMap(({ before, after }) => [...before, ...after]),
    ))
      expect(text).toContain(look);
    for (const { name, size } of worked.supplies.notions) if (name !== 'hook') expect(text).toContain(size ?? name);
    for (const caution of worked.cautions) expect(text).toContain(caution.text);
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
    // no heading stands over nothing
    expect(screen.queryAllByText('Abbreviations')).toHaveLength(pattern.abbreviations.length > 0 ? 1 : 0);
    expect(screen.queryAllByText('Special stitches')).toHaveLength(pattern.special.length > 0 ? 1 : 0);
  });

  it('lies along one tape that only grows, each piece begun where the one before ended', () => {
    const { length, marks, starts } = tapeOf(worked);
    expect(Object.values(starts)).toEqual([...Object.values(starts)].sort((a, b) => a - b));
    expect(marks).toEqual([...marks].sort((a, b) => a - b));
    for (const mark of marks) expect(mark).toBeLessThanOrEqual(length);
  });
});

describe('the reader’s own words', () => {
  const phone = PLANS[0]![1];

  it('are all of one language', () => {
    useSettings.getState().set({ terms: 'UK' });
    show(<Sheet back={BACK} plan={phone} />);
    const text = shown();
    expect(text).toMatch(/double crochet/);
    // but for the line that tells one language in the other
    expect(text.replace('US single crochet', '')).not.toMatch(/single crochet|\bgauge\b/);
  });

  it('measure in inches where inches are used', () => {
    useSettings.getState().set({ units: 'in' });
    show(<Sheet back={BACK} plan={phone} />);
    expect(shown()).toMatch(/\d\S* in \(\S+ cm\) around/);
    expect(shown()).not.toMatch(/\d mm around/);
  });

  it('say a plan that cannot be worked out, and where it is mended', () => {
    const broken: Plan = { ...phone, thing: { ...phone.thing, edgeRadius: { mm: 90 } } as Plan['thing'] };
    show(<Sheet back={BACK} plan={broken} />);
    expect(screen.getByText(/an entry that needs a fix/)).toBeTruthy();
  });

  it('are offered as text where the page may not use the clipboard', async () => {
    show(<Sheet back={BACK} plan={phone} />);
    fireEvent.press(screen.getByText('Copy pattern'));
    const line = await screen.findByLabelText('Pattern as text');
    expect(line.props.value).toBe(patternText(writtenPattern(phone, reckon(phone), { ...READING, voice: 'full' })));
  });

  it('share out stripes by colour', () => {
    const colours = [
      { name: 'sand', rows: 4 },
      { name: 'kelp', rows: 2 },
    ];
    show(<Sheet back={BACK} plan={{ ...phone, fabric: { ...phone.fabric, colours } }} />);
    expect(shown()).toMatch(/sand \d+ g \(1 ball\), kelp \d+ g \(1 ball\)/);
  });
});
