import { reckon, stitchPattern, type Plan, type View } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import { useBoard } from '@/data/board';
import { useSettings } from '@/data/settings';
import { Handles } from './Handles';
import { layOut, mirrored } from '@keep-snug/core/drawn';

const phone = Object.values(TERN_POINT.plans)[0]!;
const worked = reckon(phone);
const flat = worked.views.find(({ id }) => id === 'flat')!;
const layout = layOut(flat, 900, 280, false);

let plan: Plan;
const edit = jest.fn((work: (old: Plan) => Plan) => {
  plan = work(plan);
});

function knobs(view: View = flat, hand: 'right' | 'left' = 'right') {
  return show(
    <Handles view={view} choices={worked.choices} layout={layout} edit={edit} mirrored={hand === 'left'} units="mm" />,
  );
}

const knob = (name: string) => screen.getByLabelText(`${name}, drawn`);
const target = { setPointerCapture: jest.fn(), focus: jest.fn() };
const at = (x: number, y: number, pointerId = 1) => ({
  clientX: x,
  clientY: y,
  pointerId,
  currentTarget: target,
  stopPropagation: jest.fn(),
  preventDefault: jest.fn(),
});
const key = (name: string) => ({ key: name, preventDefault: jest.fn(), stopPropagation: jest.fn() });

beforeEach(() => {
  plan = phone;
  edit.mockClear();
  target.setPointerCapture.mockClear();
  useSettings.getState().set({ units: 'mm', hand: 'right' });
  useBoard.setState({ dragging: false });
});

describe('a knob', () => {
  it('says what it draws, how much there is, in the unit in use', () => {
    knobs();
    expect(knob('Width').props).toMatchObject({ 'aria-valuenow': 16, 'aria-valuetext': '16 stitches, 94 mm' });
    expect(knob('Flap').props['aria-valuetext']).toMatch(/ mm$/);
  });

  it('drawn by a hand picks the whole count under it, once for each', () => {
    knobs();
    fireEvent(knob('Width'), 'pointerDown', at(0, 100));
    expect(useBoard.getState().dragging).toBe(true);
    const stitch = worked.fabric.stitchWidth.value * layout.scale;
    fireEvent(knob('Width'), 'pointerMove', at(0, 100 + 2 * stitch));
    expect(plan.picks).toEqual({ width: 18 });
    fireEvent(knob('Width'), 'pointerUp', at(0, 100 + 2 * stitch));
    expect(useBoard.getState().dragging).toBe(false);
    expect(edit).toHaveBeenCalledTimes(1);
  });

  it('does nothing for less than half a stitch, nor for a hand that only passes over it', () => {
    knobs();
    fireEvent(knob('Width'), 'pointerMove', at(0, 500));
    fireEvent(knob('Width'), 'pointerDown', at(0, 100));
    fireEvent(knob('Width'), 'pointerMove', at(0, 101));
    fireEvent(knob('Width'), 'pointerUp', at(0, 101));
    expect(edit).not.toHaveBeenCalled();
  });

  it('lets go when the browser takes the hand away', () => {
    for (const end of ['pointerCancel', 'lostPointerCapture']) {
      const { unmount } = knobs();
      fireEvent(knob('Width'), 'pointerDown', at(0, 100));
      fireEvent(knob('Width'), end, at(0, 100));
      expect(useBoard.getState().dragging).toBe(false);
      fireEvent(knob('Width'), 'pointerMove', at(0, 400));
      expect(edit).not.toHaveBeenCalled();
      unmount();
    }
  });

  it('lets go when it is gone', () => {
    const { unmount } = knobs();
    fireEvent(knob('Width'), 'pointerDown', at(0, 100));
    unmount();
    expect(useBoard.getState().dragging).toBe(false);
  });

  it.each([
    ['ArrowUp', 17],
    ['ArrowRight', 17],
    ['ArrowDown', 15],
    ['ArrowLeft', 15],
  ])('takes %s for a stitch', (name, count) => {
    knobs();
    const event = key(name);
    fireEvent(knob('Width'), 'keyDown', event);
    expect(plan.picks).toEqual({ width: count });
    expect(event.preventDefault).toHaveBeenCalled();
  });

  it('leaves other keys to the page', () => {
    knobs();
    const event = key('Tab');
    fireEvent(knob('Width'), 'keyDown', event);
    expect(edit).not.toHaveBeenCalled();
    expect(event.preventDefault).not.toHaveBeenCalled();
  });

  it('draws the flap by its entry, and the plan still works out', () => {
    knobs();
    for (let step = 0; step < 3; step += 1) fireEvent(knob('Flap'), 'keyDown', key('ArrowRight'));
    const flap = plan.fittings!.find(({ kind }) => kind === 'flap')!;
    expect(flap.overlapMm).toBeGreaterThan(0);
    expect(reckon(plan).pieces[0]!.rows).toBeGreaterThan(worked.pieces[0]!.rows);
  });

  it('grows to the left for the left hand', () => {
    const view = mirrored(flat);
    knobs(view, 'left');
    const before = Number(knob('Flap').props['aria-valuenow']);
    fireEvent(knob('Flap'), 'pointerDown', at(400, 100));
    fireEvent(knob('Flap'), 'pointerMove', at(340, 100));
    const flap = plan.fittings!.find(({ kind }) => kind === 'flap')!;
    expect(Number(flap.overlapMm)).toBeGreaterThan(before);
  });
});

it('every stitch pattern has signs for its chart, row by row', () => {
  const { symbols } = stitchPattern(phone.fabric.stitch, phone.fabric.pattern);
  expect(symbols.length).toBeGreaterThan(0);
  for (const line of symbols) expect(line.length).toBeGreaterThan(0);
});
