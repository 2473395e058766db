import { ways, waysByShape, type Plan, type Way, duration } from '@keep-snug/core';
import { checkPlan } from '@keep-snug/core/formats';
import { atHandIn, fabricsAtHand } from '@/reading/useAtHand';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useHistory } from '@/data/history';
import { serverHas } from '@/fixtures/serverHas';
import { useLibrary } from '@/data/library';
import { askFor, bestOfEach, isTaken, ORDERS, sorted } from './comparing';
import { WaysRoom } from './WaysRoom';

const [planId, phone] = Object.entries(TERN_POINT.plans)[0]!;
const found = ways({ plan: phone, fits: ['snug'] });

const whole = { soFar: { ways: found, done: 10, of: 10 }, is: 'whole', stop: jest.fn(), takeUp: jest.fn() };
const mockWays = jest.fn();
const mockGo = { navigate: jest.fn(), push: jest.fn() };
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => mockGo }));
jest.mock('@/platform/useReckonWorker', () => ({ useWays: (ask: unknown) => mockWays(ask) }));

beforeEach(() => {
  mockGo.navigate.mockClear();
  mockWays.mockReturnValue(whole);
  useHistory.setState({ byPlan: {} });
  serverHas('plans', { [planId]: phone });
});

const planNow = () => useLibrary.getState().shelves.plans[planId]!.body;

describe('ways to make it', () => {
  it('stand beside each other, those that cannot be with their reasons', () => {
    show(<WaysRoom id={planId} plan={phone} />);
    expect(screen.getByText('Current plan')).toBeTruthy();
    expect(screen.getByText(/Its base is round, and this is flat/)).toBeTruthy();
    expect(screen.getAllByText(/Fits \d+ times in 100/).length).toBeGreaterThan(3);
  });

  it('are taken by a press, which is a step of the plan and leads back to the board', () => {
    show(<WaysRoom id={planId} plan={phone} />);
    fireEvent.press(screen.getByLabelText('Use this: Tube in the round'));
    expect(planNow().shape.kind).toBe('ring-tube');
    expect(mockGo.navigate).toHaveBeenCalledWith(`/plan/${planId}`);
    act(() => useHistory.getState().undo(planId));
    expect(planNow()).toEqual(phone);
  });

  it('can be put in another order, and asked for more hooks and fits', () => {
    show(<WaysRoom id={planId} plan={phone} />);
    fireEvent.press(screen.getByText('quickest first'));
    const shown = screen.getAllByText(/; about /).map((node) => String(node.props.children));
    const minutes = found.ways.filter(({ possible }) => possible).map((way) => way.minutes!);
    expect(shown[0]).toContain(duration(Math.min(...minutes)));
    fireEvent.press(screen.getByText('shapes, hooks and fits'));
    const ask = mockWays.mock.calls.at(-1)![0] as { hooksMm: number[]; fits: string[] };
    expect([ask.hooksMm.length, ask.fits.length]).toEqual([5, 4]);
  });

  it('say that they are being worked out, and what is wrong when there is nothing to compare', async () => {
    mockWays.mockReturnValue({ ...whole, soFar: null, is: 'looking' });
    const first = show(<WaysRoom id={planId} plan={phone} />);
    // what is quick is not told
    expect(screen.queryByText('Comparing shapes…')).toBeNull();
    expect(await screen.findByText('Comparing shapes…')).toBeTruthy();
    first.unmount();
    mockWays.mockReturnValue({ ...whole, soFar: null });
    show(<WaysRoom id={planId} plan={phone} />);
    expect(screen.getByText(/an entry that needs a fix/)).toBeTruthy();
  });
});

describe('ways that take a while', () => {
  const some = [...waysByShape({ plan: phone, fits: ['snug'] })];

  it('come shape by shape, and the last is all of them', () => {
    expect(some.map(({ done }) => done)).toEqual(some.map((_, index) => index + 1));
    expect(some.at(-1)!.ways).toEqual(found);
    for (const [index, { ways: now }] of some.entries())
      expect(now.ways).toHaveLength((found.ways.length * (index + 1)) / some.length);
  });

  it('say how far they are and can be stopped', async () => {
    mockWays.mockReturnValue({ ...whole, soFar: some[3], is: 'looking' });
    show(<WaysRoom id={planId} plan={phone} />);
    expect(await screen.findByText(`Comparing shapes: 4 of ${some.length}`)).toBeTruthy();
    expect(screen.getAllByText(/Fits \d+ times in 100/).length).toBeGreaterThan(0);
    fireEvent.press(screen.getByText('Stop'));
    expect(whole.stop).toHaveBeenCalled();
  });

  it('say where they stopped, and can be taken up again', () => {
    mockWays.mockReturnValue({ ...whole, soFar: some[3], is: 'stopped' });
    show(<WaysRoom id={planId} plan={phone} />);
    expect(screen.getByText(`Stopped after 4 of ${some.length} shapes.`)).toBeTruthy();
    fireEvent.press(screen.getByText('Compare all shapes'));
    expect(whole.takeUp).toHaveBeenCalled();
  });
});

describe('comparing', () => {
  const all = ways(askFor(phone, 'all')).ways;
  const possible = all.filter((way) => way.possible);
  const keys: Record<string, (way: Way) => number> = {
    chance: ({ chance }) => -chance!,
    time: ({ minutes }) => minutes!,
    yarn: ({ metres }) => metres!,
  };

  it.each(ORDERS.map(({ id }) => [id]))('%s: loses none, and the first is the best of its kind', (order) => {
    const list = sorted(possible, order);
    expect(new Set(list)).toEqual(new Set(possible));
    const key = keys[order];
    if (!key) return expect(list).toEqual(possible);
    const values = list.map(key);
    return expect(values).toEqual([...values].sort((a, b) => a - b));
  });

  it('shows two of a shape at the most, and always the plan’s own', () => {
    const shown = bestOfEach(all, phone);
    const count = (shape: string) => shown.filter((way) => way.shape === shape && !isTaken(way, phone)).length;
    for (const { shape } of all) expect(count(shape)).toBeLessThanOrEqual(2);
    expect(shown.filter((way) => isTaken(way, phone))).toHaveLength(1);
  });

  it('compares the hooks and yarns that there are, each yarn on the hook of its swatch', () => {
    expect(askFor(phone, 'hooks', { hooksMm: [phone.fabric.hookMm + 0.25, 9] }).hooksMm).toContain(
      phone.fabric.hookMm + 0.25,
    );
    const swatch = {
      name: 'oat on 3.25',
      yarn: 'oat',
      stitch: 'single',
      hookMm: 3.25,
      gauge: { stitches: [{ count: 20, overMm: 90 }] },
    };
    const held = <Body,>(body: Body) => ({ body, revision: 1, dirty: false });
    const box = {
      yarns: {
        oat: held({ name: 'oat', yarn: { metresPer100g: 200 } }),
        gone: held({ name: 'gone', yarn: { metresPer100g: 210 }, gramsLeft: 0 }),
      },
      swatches: { one: held(swatch) },
      makes: {},
    };
    const atHand = atHandIn(box);
    expect(atHand.hooksMm).toEqual([3.25]);
    const { fabrics } = askFor(phone, 'yarns', atHand, fabricsAtHand(phone.fabric, atHand, box));
    expect(fabrics!.map(({ yarn, hookMm }) => [yarn!.name, hookMm])).toEqual([
      [phone.fabric.yarn!.name, phone.fabric.hookMm],
      ['oat', 3.25],
    ]);
    expect(fabrics![1]!.gauge).toMatchObject({ stitches: [{ count: 20, overMm: 90 }] });
    expect(checkPlan({ ...phone, fabric: fabrics![1]!, atHand }).ok).toBe(true);
  });

  it('never asks for a hook that is none', () => {
    const fine: Plan = { ...phone, fabric: { ...phone.fabric, hookMm: 1.25 } };
    expect(askFor(fine, 'hooks').hooksMm).toEqual([1.25, 1.75, 2.25]);
  });
});
