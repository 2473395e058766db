import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { THINGS, workThing } from './index';
import { superellipseGirth } from './spectacles';

const size = fc.double({ min: 5, max: 300, noNaN: true });

describe('round a superellipse', () => {
  it('is round a circle at exponent 2, and longer the squarer the section', () => {
    expect(superellipseGirth(100, 100, 2)).toBeCloseTo(100 * Math.PI, 1);
    const lengths = [2, 2.5, 3, 4].map((p) => superellipseGirth(100, 40, p));
    expect([...lengths].sort((a, b) => a - b)).toEqual(lengths);
  });

  it('is right to a thousandth against a walk along its own equation', () => {
    const steps = 200_000;
    const y = (x: number) => 20 * (1 - (x / 50) ** 2.5) ** (1 / 2.5);
    let quarter = 0;
    for (let step = 0; step < steps; step += 1) {
      const [from, to] = [(50 * step) / steps, (50 * (step + 1)) / steps];
      quarter += Math.hypot(to - from, y(to) - y(from));
    }
    expect(Math.abs(superellipseGirth(100, 40) / (4 * quarter) - 1)).toBeLessThan(0.001);
  });

  it('lies between the ellipse and the rectangle, the same either way round, and grows with its sides', () => {
    fc.assert(
      fc.property(size, size, (W, D) => {
        const girth = superellipseGirth(W, D);
        expect(girth).toBeGreaterThan(superellipseGirth(W, D, 2));
        expect(girth).toBeLessThan(2 * (W + D));
        expect(girth).toBeCloseTo(superellipseGirth(D, W), 6);
        expect(superellipseGirth(2 * W, 2 * D)).toBeCloseTo(2 * girth, 6);
      }),
    );
  });
});

describe('folded glasses', () => {
  const given = { kind: 'spectacles', width: { mm: 60 }, height: { mm: 150 }, depth: { mm: 40 } };

  it('are modelled from width and depth, and by tape where one was laid', () => {
    expect(workThing(given).girth.value).toBeCloseTo(superellipseGirth(60, 40), 9);
    expect(workThing({ ...given, girth: { mm: 172, by: 'tape' } }).girth).toMatchObject({ value: 172, sd: 2 });
  });

  it('are sized in a folded strip, surer with the tape than without', () => {
    const plan = Object.values(TERN_POINT.plans).find(({ thing }) => thing.kind === 'spectacles')!;
    const { girth: _girth, ...untaped } = plan.thing;
    const [taped, modelled] = [reckon(plan), reckon({ ...plan, thing: untaped })];
    expect(taped.thing.girth.sd!).toBeLessThan(modelled.thing.girth.sd! + 1);
    expect(Math.abs(taped.inside.girth.value - taped.thing.girth.value - taped.wanted.girth.value)).toBeLessThanOrEqual(
      (10 / 9) * taped.fabric.stitchWidth.value,
    );
  });
});

it('every kind of thing is whole: an id of its own, measures with limits in order', () => {
  expect(new Set(THINGS.map(({ id }) => id)).size).toBe(THINGS.length);
  for (const { measures, list } of THINGS) {
    for (const { min, max, default: usual } of [...measures, ...(list?.measures ?? [])]) {
      expect(min).toBeLessThan(max);
      if (usual !== undefined) expect(usual).toBeGreaterThanOrEqual(min);
    }
  }
});
