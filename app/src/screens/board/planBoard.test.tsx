import { reckon, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useBoard } from '@/data/board';
import { useHistory } from '@/data/history';
import { serverHas } from '@/fixtures/serverHas';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { PlanBoard } from './PlanBoard';

const mockGo = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
let mockWide = false;
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => mockGo }));
jest.mock('@/theme/useWide', () => ({ useWide: () => mockWide, useLow: () => false, useNarrow: () => false }));
jest.mock('./useBoardKeys', () => ({ useBoardKeys: jest.fn() }));
jest.mock('@/platform/useReckonWorker', () => ({
  useChance: () => ({ found: null, stale: false }),
  useWays: () => ({ soFar: null, is: 'looking' }),
}));

const PLANS = Object.entries(TERN_POINT.plans).map(([id, plan]) => [plan.title, id, plan] as const);
const [, phoneId, phone] = PLANS[0]!;

/** The board as its route shows it: of whatever stands on the shelf. */
function Room({ id, stage }: { id: string; stage?: string }) {
  const isHere = useLibrary((state) => state.shelves.plans[id] !== undefined);
  return isHere ? <PlanBoard id={id} {...(stage ? { stage } : {})} /> : null;
}

const planNow = (id: string): Plan => useLibrary.getState().shelves.plans[id]!.body;
const countShown = (count: number) => screen.queryAllByText(new RegExp(`: ${count} stitches`)).length > 0;
const edit = (id: string, work: (plan: Plan) => Plan) => act(() => useHistory.getState().edit(id, work));

beforeEach(() => {
  mockWide = false;
  useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' });
  useBoard.setState({ stages: {}, view: 'flat', dragging: false });
  useHistory.setState({ byPlan: {} });
  useLibrary.setState(({ shelves }) => ({ shelves: { ...shelves, plans: {}, makes: {} } }));
  serverHas('plans', Object.fromEntries(PLANS.map(([, id, body]) => [id, body])));
  Object.values(mockGo).forEach((go) => go.mockClear());
});

describe.each(PLANS)('the board of %s', (_, id, plan) => {
  const worked = reckon(plan);

  it.each([false, true])('shows its counts and all its stages (wide: %s), every number one', (wide) => {
    mockWide = wide;
    show(<Room id={id} />);
    for (const { summary } of worked.pieces)
      expect(screen.getAllByText(new RegExp(summary.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))).length).toBeGreaterThan(0);
    for (const stage of ['Thing', 'Fabric', 'Shape', 'Fit', 'Fittings'])
      expect(screen.getAllByLabelText(stage).length).toBeGreaterThan(0);
    expect(/NaN|Infinity|\[object/.test(JSON.stringify(screen.toJSON()))).toBe(false);
  });
});

describe('the board', () => {
  it('goes back a step and on again, as far as there are steps', () => {
    show(<Room id={phoneId} />);
    edit(phoneId, (plan) => ({ ...plan, picks: { width: 17 } }));
    edit(phoneId, (plan) => ({ ...plan, picks: { width: 18 } }));
    expect(countShown(18)).toBe(true);
    fireEvent.press(screen.getByLabelText('Undo'));
    expect(countShown(17)).toBe(true);
    fireEvent.press(screen.getByLabelText('Undo'));
    expect(countShown(16)).toBe(true);
    fireEvent.press(screen.getByLabelText('Undo'));
    expect(planNow(phoneId)).toEqual(phone);
    fireEvent.press(screen.getByLabelText('Redo'));
    expect(countShown(17)).toBe(true);
  });

  it('opens with the stage it was gone into for, from the first moment it is seen, until another is opened', () => {
    const isOpen = (name: string) => screen.getByLabelText(name).props.accessibilityState.expanded;
    show(<Room id={phoneId} stage="fabric" />);
    expect([isOpen('Fabric'), isOpen('Fit')]).toEqual([true, false]);
    expect(useBoard.getState().stages).toEqual({});
    fireEvent.press(screen.getByLabelText('Fittings'));
    expect([isOpen('Fabric'), isOpen('Fittings')]).toEqual([false, true]);
  });

  it('takes a new name, and keeps the old one while there is none', () => {
    show(<Room id={phoneId} />);
    const name = screen.getByLabelText('Name of the plan');
    fireEvent.changeText(name, '  Storm pouch ');
    expect(planNow(phoneId).title).toBe('Storm pouch');
    fireEvent.changeText(name, '   ');
    expect(planNow(phoneId).title).toBe('Storm pouch');
    fireEvent(name, 'blur');
    expect(screen.getByLabelText('Name of the plan').props.value).toBe('Storm pouch');
  });

  it('leads to the sheet, and to a make that is begun once', () => {
    show(<Room id={phoneId} />);
    fireEvent.press(screen.getByText('Pattern'));
    expect(mockGo.push).toHaveBeenLastCalledWith(`/sheet/${phoneId}`);
    fireEvent.press(screen.getByText('Start making'));
    const [makeId] = Object.keys(useLibrary.getState().shelves.makes);
    expect(mockGo.push).toHaveBeenLastCalledWith(`/make/${makeId}`);
    expect(screen.getByText('Continue')).toBeTruthy();
    fireEvent.press(screen.getByText('Continue'));
    expect(Object.keys(useLibrary.getState().shelves.makes)).toEqual([makeId]);
  });

  it('says what is missing in place of drawing, sums and chance while an entry is wrong, and lets no one go on', () => {
    show(<Room id={phoneId} />);
    edit(phoneId, (plan) => ({ ...plan, thing: { ...plan.thing, edgeRadius: { mm: 9 } } as Plan['thing'] }));
    expect(screen.getByText('No drawing yet')).toBeTruthy();
    expect(screen.getAllByText(/9 mm/).length).toBeGreaterThan(0);
    expect(countShown(16)).toBe(false);
    expect(screen.queryByText(/^Working out how often/)).toBeNull();
    fireEvent.press(screen.getByText('Open Thing'));
    expect(screen.getByLabelText('Edge radius')).toBeTruthy();
    fireEvent.press(screen.getByText('Pattern'));
    fireEvent.press(screen.getByText('Start making'));
    expect(mockGo.push).not.toHaveBeenCalled();
  });

  it('looks at one view at a time on a phone, and at all of them when wide', () => {
    const { views } = reckon(phone);
    const first = show(<Room id={phoneId} />);
    expect(screen.getByLabelText(views[0]!.text)).toBeTruthy();
    fireEvent.press(screen.getByText('Folded'));
    expect(screen.getByLabelText(views[1]!.text)).toBeTruthy();
    expect(screen.queryByLabelText(views[0]!.text)).toBeNull();
    first.unmount();
    mockWide = true;
    show(<Room id={phoneId} />);
    // the views stand in a place that has no size until the browser gives it one
    const [place] = screen.root.findAll(
      (node) => (node.type as unknown) === 'RCTScrollView' && Boolean(node.props.onLayout),
    );
    fireEvent(place!, 'layout', { nativeEvent: { layout: { width: 600, height: 700, x: 0, y: 0 } } });
    for (const { text } of views) expect(screen.getByLabelText(text)).toBeTruthy();
  });

  it('leads to other ways to make it', () => {
    mockWide = true;
    const { unmount } = show(<Room id={phoneId} />);
    fireEvent.press(screen.getByLabelText('Compare ways to make it'));
    expect(mockGo.push).toHaveBeenLastCalledWith(`/ways/${phoneId}`);
    unmount();
    // on a phone they stand in a menu, and what a plan is for at the thumb
    mockWide = false;
    show(<Room id={phoneId} />);
    expect(screen.queryByLabelText('Compare ways to make it')).toBeNull();
    expect(screen.getByLabelText(`More: ${phone.title}`)).toBeTruthy();
  });

  it('follows a hand that draws, and all of it once it lets go', () => {
    mockWide = true;
    show(<Room id={phoneId} />);
    act(() => useBoard.getState().drag(true));
    for (const width of [17, 18, 19]) edit(phoneId, (plan) => ({ ...plan, picks: { width } }));
    act(() => useBoard.getState().drag(false));
    expect(countShown(19)).toBe(true);
  });
});
