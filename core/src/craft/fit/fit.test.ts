import fc from 'fast-check';
import { workFabric } from '../fabric';
import { measured, PlanProblem } from '../../base/figure';
import { workThing } from '../things';
import { bottomGive, flapTurn, tubeGirth } from './allowances';
import { workFit } from './ease';
import { FITS, fitDefinition } from './fits';
import { verdict } from './verdict';

const mm = (value: number) => measured(value, 'mm', 1, 'test');
const length = fc.double({ min: 1, max: 2000, noNaN: true });
const thin = fc.double({ min: 0.5, max: 20, noNaN: true });
const phone = workThing({
  kind: 'slab',
  width: { mm: 78 },
  height: { mm: 164 },
  depth: { mm: 14 },
  edgeRadius: { mm: 5 },
});
const fabric = workFabric({ stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } });

describe('thickness and depth', () => {
  it('runs πt longer round the middle of the fabric than inside, whatever the section', () => {
    fc.assert(
      fc.property(length, thin, (g, t) => {
        const round = tubeGirth(mm(g), mm(0), mm(t));
        expect(round.value - g).toBeCloseTo(Math.PI * t, 9);
        expect(tubeGirth(mm(g), mm(0), mm(t), 3).value - g).toBeCloseTo(3 * Math.PI * t, 9);
        expect(tubeGirth(mm(g), mm(0), mm(t), 0).value).toBeCloseTo(g, 9);
      }),
    );
  });

  it('gives half the depth and a quarter turn to each face', () => {
    fc.assert(
      fc.property(length, thin, (D, t) => {
        expect(bottomGive(mm(D), mm(t)).value).toBeCloseTo(D / 2 + (Math.PI * t) / 4, 9);
      }),
    );
  });

  it('takes the flap over the depth, outside the front’s own layer, and down or over to where that ends', () => {
    fc.assert(
      fc.property(length, thin, fc.double({ min: 0, max: 200, noNaN: true }), (D, t, off) => {
        const turn = (over: number) => flapTurn(mm(D), mm(t), mm(over)).value;
        // level: the faces’ shares at the bottom, and a layer more
        expect(turn(0)).toBeCloseTo(2 * bottomGive(mm(D), mm(t)).value + t, 9);
        // a slope is longer than either of its legs, and shorter than both
        const [lower, higher] = [turn(-off), turn(off)].map((one) => one - (Math.PI * t) / 2);
        expect(lower).toBeGreaterThanOrEqual(D + Math.max(t, off) - 1e-9);
        expect(lower).toBeLessThanOrEqual(D + t + off + 1e-9);
        expect(higher).toBeGreaterThanOrEqual(t + Math.max(D, off) - 1e-9);
        expect(higher).toBeLessThanOrEqual(t + D + off + 1e-9);
      }),
    );
  });
});

describe('ease', () => {
  const ease = (name: (typeof FITS)[number]['id']) =>
    workFit({ name }, phone, fabric.stitch.factors.stretchAcross).girthEase.value;

  it('follows the fit: never past half the stretch, never under its least', () => {
    expect(ease('grips')).toBeCloseTo(-0.04 * phone.girth.value, 6);
    expect(ease('snug')).toBeCloseTo(0.01 * phone.girth.value, 6);
    expect(ease('slides')).toBeCloseTo(0.04 * phone.girth.value, 6);
    expect(ease('roomy')).toBeCloseTo(0.12 * phone.girth.value, 6);
    const card = workThing({ kind: 'slab', width: { mm: 30 }, height: { mm: 50 }, depth: { mm: 1 } });
    expect(workFit({ name: 'slides' }, card, fabric.stitch.factors.stretchAcross).girthEase.value).toBe(4);
    expect(workFit({ name: 'roomy' }, card, fabric.stitch.factors.stretchAcross).girthEase.value).toBe(12);
  });

  it('is what was typed, in percent or in mm', () => {
    expect(
      workFit({ name: 'snug', easePercent: -3 }, phone, fabric.stitch.factors.stretchAcross).girthEase.value,
    ).toBeCloseTo(-0.03 * phone.girth.value, 9);
    expect(workFit({ name: 'snug', easeMm: 7 }, phone, fabric.stitch.factors.stretchAcross).girthEase).toMatchObject({
      value: 7,
      kind: 'chosen',
    });
    expect(workFit({ name: 'snug', coverMm: 9 }, phone, fabric.stitch.factors.stretchAcross).coverEase.value).toBe(9);
  });

  it('refuses a typed ease that takes off more than half the girth', () => {
    expect(() => workFit({ name: 'grips', easeMm: -100 }, phone, fabric.stitch.factors.stretchAcross)).toThrow(
      PlanProblem,
    );
  });
});

describe('verdict', () => {
  const snug = fitDefinition('snug');

  it('lets half the stretch help a snug fit in, and six percent of slack keep it in', () => {
    expect(verdict(97, 100, 0.08, snug)).toBe('fits');
    expect(verdict(96, 100, 0.08, snug)).toBe('tight');
    expect(verdict(106, 100, 0.08, snug)).toBe('fits');
    expect(verdict(107, 100, 0.08, snug)).toBe('loose');
  });

  it('never calls a roomy bag loose', () => {
    fc.assert(
      fc.property(length, length, (inside, girth) => verdict(inside, girth, 0.08, fitDefinition('roomy')) !== 'loose'),
    );
  });
});
