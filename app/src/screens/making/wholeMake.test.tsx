import { reckon, type Make, type MakeEvent } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { screen } from '@testing-library/react-native';
import { nothingHere, serverHasEvents } from '@/fixtures/serverHas';
import { show } from '@/fixtures/show';
import { useSettings } from '@/data/settings';
import { MakeRoom } from './MakeRoom';
import { courseWord } from '@/reading/useProgress';

jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: jest.fn(), navigate: jest.fn(), replace: jest.fn() }),
}));
jest.mock('@/platform/useAwake', () => ({ useAwake: jest.fn() }));

const ID = 'e0000000-0000-4000-8000-00000000000e';
const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

const makeOf = (plan: Make['plan']): Make => ({
  format: 'keep-snug.make/1',
  title: plan.title,
  planId: 'b0000000-0000-4000-8000-000000000001',
  plan,
  startedAt: '2026-03-01T10:00:00.000Z',
});

function ticked(steps: readonly { id: string }[]): void {
  const events = steps.map(({ id }, index): MakeEvent => ({
    id: `tick ${index}`,
    make: ID,
    device: 'here',
    at: new Date(Date.UTC(2026, 2, 1) + index * 60_000).toISOString(),
    n: index + 1,
    kind: 'ticked',
    step: id,
  }));
  nothingHere();
  serverHasEvents(events);
}

beforeEach(() => {
  useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' });
  nothingHere();
});

describe.each(PLANS)('a make of %s', (_, plan) => {
  const { steps } = reckon(plan);
  const room = (done: number) => {
    ticked(steps.slice(0, done));
    return show(<MakeRoom id={ID} held={{ body: makeOf(plan), revision: 1, base: null } as never} />);
  };

  it('tells each of its places: what to do, the row, the count it ends on', () => {
    const middle = [0, Math.floor(steps.length / 3), Math.floor(steps.length / 2), steps.length - 1];
    for (const at of middle) {
      const step = steps[at]!;
      const { unmount } = room(at);
      expect(screen.getAllByText(step.text).length).toBeGreaterThan(0);
      if (step.row) expect(screen.getByText(`${courseWord(step)} ${step.row} of ${step.of}`)).toBeTruthy();
      if (step.row && step.ends !== null)
        expect(screen.getAllByText(step.counted ?? String(step.ends)).length).toBeGreaterThan(0);
      expect(JSON.stringify(screen.toJSON())).not.toMatch(/NaN|Infinity|undefined/);
      unmount();
    }
  });

  it('is done when all is done', () => {
    room(steps.length);
    expect(screen.getByText('All done')).toBeTruthy();
  });
});
