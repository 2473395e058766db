import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { chosen } from '../base/figure';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { FITTINGS, giverOf } from './index';
import { loopLength } from './closures/buttonLoop';
import type { Worked } from '../reckon/types';

const phone = Object.values(TERN_POINT.plans)[0]!;
const fittingOf = (worked: Worked, kind: string) => worked.fittings.find((fitting) => fitting.kind === kind)!;
const withFittings = (fittings: Plan['fittings'], change: Partial<Plan> = {}) =>
  reckon({ ...phone, ...change, fittings });

describe('a flap', () => {
  it('covers a third of the front unless told otherwise', () => {
    const { value } = fittingOf(withFittings([{ kind: 'flap' }]), 'flap').figures.length!;
    expect(Math.abs(value - 164 / 3)).toBeLessThanOrEqual(5);
  });

  it('is at least 35 mm where it closes, even on a small thing', () => {
    const small = { thing: { ...phone.thing, height: { mm: 60 } } };
    const closed = fittingOf(withFittings([{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 10 }], small), 'flap');
    const open = fittingOf(withFittings([{ kind: 'flap' }], small), 'flap');
    expect(closed.figures.length!.value).toBeGreaterThan(32);
    expect(open.figures.length!.value).toBeLessThan(25);
  });

  it('reaches down the front as far as asked, to within half a row, whatever is asked', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 160, noNaN: true }), (overlapMm) => {
        const worked = withFittings([{ kind: 'flap', overlapMm }]);
        const edge = fittingOf(worked, 'flap').figures.edgeBelowFrontTop!.value;
        expect(Math.abs(edge - overlapMm)).toBeLessThanOrEqual(worked.fabric.rowHeight.value / 2 + 1e-6);
      }),
    );
  });

  it('adds its rows to the strip and its turn over the top', () => {
    const names = (worked: Worked) => worked.pieces[0]!.sections.map(({ name }) => name);
    expect(names(withFittings([{ kind: 'flap' }]))).toEqual(['front', 'back', 'turn', 'flap']);
    expect(names(withFittings([]))).toEqual(['front', 'back']);
  });
});

describe('a button loop', () => {
  const size = (mm: number) => chosen(mm, 'mm', 'test');

  it('is long enough for the button to pass edge on, and to reach its middle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (across, thick) => {
          const { value } = loopLength(size(across), size(thick));
          expect(value * 1.03).toBeGreaterThanOrEqual(2 * (across + thick) - 1e-9);
          expect(value).toBeGreaterThanOrEqual(2 * (2 + across / 2) - 1e-9);
        },
      ),
    );
  });

  it('is worked by hand for a 20 mm button 4 mm thick', () => {
    expect(loopLength(size(20), size(4)).value).toBeCloseTo(48 / 1.03, 9);
  });

  it('comes in whole chains, never fewer than are needed, never one too many', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 40, noNaN: true }), (buttonMm) => {
        const worked = withFittings([
          { kind: 'flap', overlapMm: 50 },
          { kind: 'button-loop', buttonMm },
        ]);
        const { asked, chains, length } = fittingOf(worked, 'button-loop').figures;
        expect(Number.isInteger(chains!.value)).toBe(true);
        expect(length!.value).toBeGreaterThanOrEqual(asked!.value - 1e-9);
        expect(length!.value - asked!.value).toBeLessThan(worked.fabric.chain.value);
      }),
    );
  });

  it('puts the button on the front, below the flap’s edge and above the bottom', () => {
    const worked = withFittings(phone.fittings);
    const { buttonBelowFrontTop } = fittingOf(worked, 'button-loop').figures;
    const edge = fittingOf(worked, 'flap').figures.edgeBelowFrontTop!.value;
    const front = worked.pieces[0]!.sections[0]!;
    expect(buttonBelowFrontTop!.value - 10).toBeGreaterThan(edge);
    expect(buttonBelowFrontTop!.value + 10).toBeLessThan(front.mm);
  });

  it('hangs at the middle of the edge in both drawings, over its button in the folded one', () => {
    const { views, pieces } = withFittings(phone.fittings);
    const [flat, folded] = views.map(({ parts }) => ({
      loop: parts.find((part) => part.type === 'loop')!,
      button: parts.find((part) => part.type === 'button')!,
    }));
    expect(flat!.loop).toMatchObject({ x: pieces[0]!.height.value, y: pieces[0]!.width.value / 2, towards: 'right' });
    expect(folded!.loop).toMatchObject({ x: pieces[0]!.width.value / 2, towards: 'down' });
    expect(folded!.loop.y + folded!.loop.reach).toBeCloseTo(folded!.button.y, 6);
    expect(flat!.button.x).toBeLessThan(pieces[0]!.sections[0]!.mm);
  });

  it('tells where it sits for odd and for even counts', () => {
    const place = (width: number) => fittingOf(reckon({ ...phone, picks: { width } }), 'button-loop').place;
    expect(place(16)).toMatch(/between the two middle stitches, 8 either side/);
    expect(place(17)).toMatch(/both ends in the middle stitch, 8 stitches either side/);
  });

  it('speaks the reader’s unit', () => {
    const worked = reckon({ ...phone, schools: { units: 'in' } });
    expect(worked.steps.find(({ id }) => id === 'sew-button')!.text).toMatch(/comes 3 \d+\/\d+ in below/);
  });
});

it('every fitting is whole: an id of its own, defaults inside their limits, needs that some other gives', () => {
  const ids = FITTINGS.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const fitting of FITTINGS) {
    const { options, needs } = fitting;
    expect([fitting.id, giverOf(fitting)?.gives]).toEqual([fitting.id, needs]);
    for (const option of options) {
      if ((option.kind !== 'length' && option.kind !== 'number') || option.default === undefined) continue;
      expect(option.default).toBeGreaterThanOrEqual(option.min);
      expect(option.default).toBeLessThanOrEqual(option.max);
    }
  }
});

it('a loop in a second panel’s edging is told by the last round’s own count', () => {
  const wrap = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'two-panels')!;
  for (const edging of [1, 3]) {
    const { steps, pieces } = reckon({
      ...wrap,
      shape: { kind: 'two-panels', edging },
      fittings: [{ kind: 'mouth-loop' }],
    });
    const { text } = steps.find(({ id }) => id === 'second-panel')!;
    const [, after, of] = /after (\d+) stitch(?:es)? of (\d+), chain/.exec(text)!.map(Number);
    // two more between the corners with every round
    expect(of).toBe(pieces[0]!.stitches - 2 + 2 * (edging - 1));
    expect(Math.abs(2 * after! - of!)).toBeLessThanOrEqual(1);
  }
});
