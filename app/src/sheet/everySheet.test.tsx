import { reckon, type Plan, tapeOf } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useSettings } from '@/state/settings';
import { Sheet } from './Sheet';
import { linesOf, sheetText } from './sheetText';

jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: jest.fn(), navigate: jest.fn() }),
}));
jest.mock('@/sheet/usePrintStyle', () => ({ usePrintStyle: jest.fn() }));

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const BACK = { to: '/', name: 'the plan' } as const;
const READING = { terms: 'US', units: 'mm' } as const;
const shown = () => JSON.stringify(screen.toJSON());

beforeEach(() => useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' }));

describe.each(PLANS)('the sheet of %s', (_, plan) => {
  const worked = reckon(plan);

  it('holds all its steps and notions, and no number that is not one', () => {
    show(<Sheet back={BACK} plan={plan} />);
    const text = shown();
    for (const line of linesOf(worked.steps)) expect(screen.getAllByText(line.text).length).toBeGreaterThan(0);
    for (const { name } of worked.supplies.notions) expect(text).toContain(name);
    for (const caution of worked.cautions) expect(text).toContain(caution.text);
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
  });

  it('counts every row or round of every piece once, in order', () => {
    for (const piece of worked.pieces) {
      const labels = linesOf(worked.steps.filter((step) => step.piece === piece.id))
        .map(({ label }) => label)
        .filter(Boolean);
      const rows = labels.flatMap((label) => {
        const [from, to] = [...label.matchAll(/\d+/g)].map(Number) as [number, number?];
        return Array.from({ length: (to ?? from) - from + 1 }, (_row, index) => from + index);
      });
      expect(rows).toEqual(Array.from({ length: piece.rows }, (_row, index) => index + 1));
    }
  });

  it('is whole in plain text: terms, materials, every line, check and caution', () => {
    const text = sheetText(plan, worked, READING);
    expect(text.startsWith(`${plan.title}\nWritten in US crochet terms`)).toBe(true);
    for (const line of linesOf(worked.steps)) expect(text).toContain(line.text);
    for (const { check } of worked.steps) if (check) expect(text).toContain(check.look);
    for (const { name } of worked.supplies.notions) expect(text).toContain(name);
    for (const { text: caution } of worked.cautions) expect(text).toContain(caution);
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
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
    expect(text).not.toMatch(/single crochet|\bgauge\b/);
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
    expect(line.props.value).toBe(sheetText(phone, reckon(phone), READING));
  });

  it('share out stripes by colour', () => {
    const colours = [
      { name: 'sand', rows: 4 },
      { name: 'kelp', rows: 2 },
    ];
    show(<Sheet back={BACK} plan={{ ...phone, fabric: { ...phone.fabric, colours } }} />);
    expect(screen.getByText(/^sand \d+ g, kelp \d+ g$/)).toBeTruthy();
  });
});
