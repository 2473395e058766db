import { reckon, type Plan, tapeOf } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useSettings } from '@/state/settings';
import { Sheet } from './Sheet';
import { linesOf, sheetText } from './sheetText';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn(), navigate: jest.fn() }) }));
jest.mock('@/sheet/usePrintStyle', () => ({ usePrintStyle: jest.fn() }));

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const shown = () => JSON.stringify(screen.toJSON());

beforeEach(() => useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' }));

describe.each(PLANS)('the sheet of %s', (_, plan) => {
  const worked = reckon(plan);

  it('holds all its steps and notions, and no number that is not one', () => {
    show(<Sheet id="plan" plan={plan} />);
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

  it('is its title and all its lines in plain text', () => {
    const text = sheetText(worked);
    expect(text.startsWith(`${plan.title}\n\n`)).toBe(true);
    expect(text.split('\n')).toHaveLength(linesOf(worked.steps).length + 2);
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
    show(<Sheet id="plan" plan={phone} />);
    const text = shown();
    expect(text).toMatch(/double crochet/);
    expect(text).not.toMatch(/single crochet|\bgauge\b/);
  });

  it('measure in inches where inches are used', () => {
    useSettings.getState().set({ units: 'in' });
    show(<Sheet id="plan" plan={phone} />);
    expect(shown()).toMatch(/\d\S* in round/);
    expect(shown()).not.toMatch(/\d mm round/);
  });

  it('say a plan that cannot be worked out, and where it is mended', () => {
    const broken: Plan = { ...phone, thing: { ...phone.thing, edgeRadius: { mm: 90 } } as Plan['thing'] };
    show(<Sheet id="plan" plan={broken} />);
    expect(screen.getByText(/cannot be worked out yet.*mend the entry/)).toBeTruthy();
  });

  it('share out stripes by colour', () => {
    const colours = [
      { name: 'sand', rows: 4 },
      { name: 'kelp', rows: 2 },
    ];
    show(<Sheet id="plan" plan={{ ...phone, fabric: { ...phone.fabric, colours } }} />);
    expect(screen.getByText(/^sand \d+ g, kelp \d+ g$/)).toBeTruthy();
  });
});
