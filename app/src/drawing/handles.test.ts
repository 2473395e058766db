import { reckon, type Choice, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { drawnCount, drawnValue, handlesOf, rangeOf, stepsOf } from './handles';
import { zoomedAt, WHOLE } from './useZoom';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const phone = reckon(planOf('Field phone'));
const viewOf = (worked: typeof phone, id: string) => worked.views.find((view) => view.id === id)!;

describe('what can be drawn', () => {
  it('is the width by its choice, the front’s height and the flap by their entries', () => {
    const handles = handlesOf(viewOf(phone, 'flat'), phone.choices);
    expect(handles.map(({ choice, drive }) => choice?.id ?? drive?.path).sort()).toEqual([
      'fit.coverMm',
      'fittings[0].overlapMm',
      'width',
    ]);
  });

  it('is offered once, and nothing on a view that only shows', () => {
    expect(handlesOf(viewOf(phone, 'cut'), phone.choices)).toEqual([]);
    const twin = reckon(planOf('hook wrap'));
    expect(handlesOf(viewOf(twin, 'flat'), twin.choices).filter(({ choice }) => choice)).toHaveLength(1);
  });
});

it('goes between two ends that can both be reached', () => {
  for (const handle of handlesOf(viewOf(phone, 'flat'), phone.choices)) {
    const { min, max } = rangeOf(handle);
    expect(min).toBeLessThan(max);
    const reached = (mm: number) => (handle.choice ? drawnCount(handle.choice, mm) : drawnValue(handle.drive, mm));
    expect([reached(-1e5), reached(1e5)]).toEqual([min, max]);
  }
});

describe('dragging a count', () => {
  const width = phone.choices[0]!;

  it('clicks to whole stitches, nearest to where the hand is', () => {
    expect(drawnCount(width, 0)).toBe(16);
    expect(drawnCount(width, 2.8)).toBe(16);
    expect(drawnCount(width, 3.1)).toBe(17);
    expect(drawnCount(width, -12)).toBe(14);
  });

  it('keeps to the stitch’s multiple, and never goes below it', () => {
    const worked = reckon({
      ...planOf('Field phone'),
      fabric: { ...planOf('Field phone').fabric, stitch: 'half-double-v', gauge: {} },
    });
    const choice = worked.choices[0]!;
    expect(stepsOf(choice).count).toBe(2);
    for (const mm of [-500, -20, -7, 0, 7, 20, 300]) {
      const count = drawnCount(choice, mm);
      expect(count % 2).toBe(0);
      expect(count).toBeGreaterThan(0);
    }
  });

  it('brings a count picked beside the multiple back to it', () => {
    const choice: Choice = reckon({ ...planOf('soap'), picks: { round: 30 } }).choices[0]!;
    const { count } = stepsOf(choice);
    expect((drawnCount(choice, 0) - choice.options.find(({ best }) => best)!.count) % count).toBe(0);
  });
});

describe('drawing an entry', () => {
  const drive = { path: 'fit.coverMm', value: 2, step: 5, min: 0, max: 500 };

  it('goes row by row, within what the plan takes', () => {
    expect(drawnValue(drive, 4)).toBe(7);
    expect(drawnValue(drive, 2)).toBe(2);
    expect(drawnValue(drive, -40)).toBe(0);
    expect(drawnValue(drive, 9000)).toBe(500);
  });
});

describe('zooming', () => {
  it('keeps what is under the finger where it is', () => {
    const at = { x: 120, y: 80 };
    const zoom = zoomedAt(WHOLE, 3, at);
    // the point of the drawing that lay there lies there still
    expect(zoom.x + at.x * zoom.by).toBeCloseTo(at.x, 9);
    expect(zoom.y + at.y * zoom.by).toBeCloseTo(at.y, 9);
  });

  it('is never smaller than whole, and comes back to its place', () => {
    expect(zoomedAt({ by: 2, x: -40, y: 10 }, 0.1, { x: 5, y: 5 })).toEqual(WHOLE);
    expect(zoomedAt(WHOLE, 1000, { x: 0, y: 0 }).by).toBe(40);
  });
});
