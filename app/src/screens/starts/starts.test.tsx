import { FIRST_FABRIC, reckon, STARTS, startDefinition } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { serverHas } from '@/fixtures/serverHas';
import { choose, show } from '@/fixtures/show';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useStartDrafts } from '@/data/startDraft';
import { Starts } from './Starts';
import { StartPage } from './StartPage';

const mockGo = { push: jest.fn(), navigate: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => mockGo }));

const plansNow = () => Object.entries(useLibrary.getState().shelves.plans);
const planNow = () => plansNow()[0]!;
const open = (id: string) => show(<StartPage start={startDefinition(id)!} />);
const type = (label: string, text: string) => fireEvent.changeText(screen.getByLabelText(label), text);

beforeEach(() => {
  useSettings.getState().set({ units: 'mm', terms: 'US', hand: 'right' });
  useStartDrafts.setState({ byStart: {} });
  useLibrary.setState({
    shelves: { ...useLibrary.getState().shelves, plans: {}, yarns: {}, swatches: {}, things: {} },
  });
  Object.values(mockGo).forEach((go) => go.mockClear());
});

it('the shelf has every cover, and the way to what is none of them', () => {
  show(<Starts />);
  const [shelf] = screen.root.findAll(({ type: is, props }) => (is as unknown) === 'View' && Boolean(props.onLayout));
  fireEvent(shelf!, 'layout', { nativeEvent: { layout: { width: 350, height: 600, x: 0, y: 0 } } });
  for (const { name, says } of STARTS) expect(screen.getByLabelText(`${name}: ${says}`)).toBeTruthy();
  fireEvent.press(screen.getByLabelText(/^Hook case: /));
  expect(mockGo.push).toHaveBeenLastCalledWith('/start/hook-case');
  fireEvent.press(screen.getByText('Something else: measure it'));
  expect(mockGo.push).toHaveBeenLastCalledWith('/new');
});

describe('one cover', () => {
  it('becomes a plan by its measures, as they were typed', () => {
    open('phone-pouch');
    type('Width', '78');
    type('Height', '16,4 cm');
    type('Depth', '14');
    const made = reckon(planTyped());
    expect(screen.getByText(new RegExp(`Strip: ${made.pieces[0]!.summary}`))).toBeTruthy();
    fireEvent.press(screen.getByText('Plan it'));
    const [id, { body }] = planNow();
    expect(body.thing).toMatchObject({ width: { mm: 78 }, height: { mm: 164, typed: '16,4 cm' } });
    expect(mockGo.replace).toHaveBeenLastCalledWith(`/plan/${id}`);
    expect(useStartDrafts.getState().byStart).toEqual({});
  });

  it('says what is missing at its line once it is pressed, and makes no plan', () => {
    open('phone-pouch');
    type('Width', '78');
    expect(screen.getByText(/Drawn as one often is/)).toBeTruthy();
    fireEvent.press(screen.getByText('Plan it'));
    expect(plansNow()).toEqual([]);
    expect(screen.getAllByText(/Nothing typed/).length).toBe(2);
  });

  it('keeps what was typed while one looks elsewhere', () => {
    const { unmount } = open('glasses-case');
    type('Width', '54');
    unmount();
    open('glasses-case');
    expect(screen.getByLabelText('Width').props.value).toBe('54');
  });

  it('asks in the house’s unit, and whether another one was meant', () => {
    useSettings.getState().set({ units: 'in' });
    open('phone-pouch');
    type('Width', '78');
    expect(screen.getByText('Did you mean mm?')).toBeTruthy();
    fireEvent.press(screen.getByText('Use 78 mm'));
    expect(screen.getByLabelText('Width').props.value).toBe('78 mm');
  });

  it('says what a line is read as, whatever is wrong with another', () => {
    open('phone-pouch');
    type('Depth', 'zz');
    type('Width', '5');
    expect(screen.getByText('5 is read as 5 mm.')).toBeTruthy();
  });

  it('takes a yarn of the box with the swatch that was worked of it, or another by how thick it is', () => {
    serverHas('yarns', TERN_POINT.yarns);
    serverHas('swatches', TERN_POINT.swatches);
    open('shopping-tote');
    choose('Yarn', Object.values(TERN_POINT.yarns)[0]!.name);
    fireEvent.press(screen.getByText('Plan it'));
    const [, { body }] = planNow();
    expect(body.fabric.yarn!.name).toBe(Object.values(TERN_POINT.yarns)[0]!.yarn.name);
    expect(body.fabric.gauge?.stitches?.length).toBeGreaterThan(0);
  });

  it('of a thicker yarn is worked on a larger hook', () => {
    open('gift-bag');
    choose('How thick the yarn is', /^bulky/);
    expect(screen.getByLabelText('Hook').props.value).toBe('5.5 mm');
    fireEvent.press(screen.getByText('Plan it'));
    expect(plansNow()[0]![1].body.fabric).toMatchObject({ hookMm: 5.5, yarn: { category: 5 } });
  });
});

/** The phone pouch as it was typed above. */
function planTyped() {
  const { plan } = startDefinition('phone-pouch')!;
  return {
    format: 'keep-snug.plan/1' as const,
    title: 'Phone pouch',
    ...plan,
    fittings: [...plan.fittings!],
    thing: { ...plan.thing, width: { mm: 78 }, height: { mm: 164, typed: '16,4 cm' }, depth: { mm: 14 } },
    fabric: FIRST_FABRIC,
  };
}
