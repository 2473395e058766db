import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { add, chosen, derive, measured, prior, type Figure, type Term, type Workings } from './index';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const KINDS = ['law', 'prior', 'measured', 'chosen'];

function isFigure(value: object): value is Figure {
  return 'workings' in value && 'kind' in value && 'unit' in value;
}

/** Every figure within a value, with the path it lies at. */
function figuresIn(value: unknown, path = ''): [path: string, figure: Figure | Term][] {
  if (typeof value !== 'object' || value === null) return [];
  const own = isFigure(value) ? [[path, value as Figure] as [string, Figure]] : [];
  return [...own, ...Object.entries(value).flatMap(([key, inner]) => figuresIn(inner, `${path}.${key}`))];
}

function deepest({ terms }: Workings): number {
  return 1 + Math.max(0, ...terms.map(({ workings }) => (workings ? deepest(workings) : 0)));
}

describe.each(PLANS)('the figures of %s', (_, plan) => {
  const figures = figuresIn(reckon(plan));

  it('are many, each with a number, a unit, a kind and a formula', () => {
    expect(figures.length).toBeGreaterThan(30);
    for (const [path, { value, unit, kind, workings }] of figures) {
      expect([path, Number.isFinite(value)]).toEqual([path, true]);
      expect([path, unit.length > 0, KINDS.includes(kind)]).toEqual([path, true, true]);
      expect([path, workings!.formula.length > 0]).toEqual([path, true]);
    }
  });

  it('have a spread that is none or a positive one, and tell of every term where it is from', () => {
    for (const [path, { sd, workings }] of figures) {
      expect([path, sd === undefined || (Number.isFinite(sd) && sd >= 0)]).toEqual([path, true]);
      for (const term of workings!.terms)
        expect([path, term.name, term.from.length > 0]).toEqual([path, term.name, true]);
    }
  });

  it('stand on no term that is surer of the whole than they are', () => {
    for (const [path, { sd, workings }] of figures) {
      const uncertain = workings!.terms.some((term) => (term.sd ?? 0) > 0);
      if (sd !== undefined && workings!.terms.length > 0) expect([path, uncertain]).toEqual([path, true]);
    }
  });

  it('can be followed down to what was measured, taken or chosen, in a dozen steps', () => {
    for (const [path, { workings }] of figures) expect([path, deepest(workings!) < 14]).toEqual([path, true]);
  });
});

describe('the spread of a figure', () => {
  const spread = fc.double({ min: 0.01, max: 10, noNaN: true });
  const value = fc.double({ min: -1000, max: 1000, noNaN: true });

  it('of a sum is that of independent terms, in any order', () => {
    fc.assert(
      fc.property(value, value, spread, spread, (a, b, sa, sb) => {
        const [x, y] = [measured(a, 'mm', sa, 'ruler'), measured(b, 'mm', sb, 'ruler')];
        expect(add(x, y).value).toBeCloseTo(a + b, 9);
        expect(add(x, y).sd).toBeCloseTo(Math.hypot(sa, sb), 6);
        expect(add(y, x).sd).toBeCloseTo(add(x, y).sd!, 6);
      }),
    );
  });

  it('of a multiple is that multiple of it', () => {
    fc.assert(
      fc.property(value, spread, fc.double({ min: -20, max: 20, noNaN: true }), (a, sd, by) => {
        const figure = derive('mm', `${by} a`, { a: measured(a, 'mm', sd, 'ruler') }, (v) => by * v.a);
        expect(figure.sd ?? 0).toBeCloseTo(Math.abs(by) * sd, 6);
      }),
    );
  });

  it('is none where nothing is uncertain', () => {
    const figure = derive(
      'mm',
      'a + b',
      { a: chosen(3, 'mm', 'typed'), b: chosen(4, 'mm', 'typed') },
      (v) => v.a + v.b,
    );
    expect(figure).toMatchObject({ value: 7, kind: 'chosen' });
    expect(figure.sd).toBeUndefined();
  });

  it('makes the whole an estimate when most of it is one', () => {
    const rough = prior(100, 'mm', 9, 'guess');
    const fine = measured(100, 'mm', 0.2, 'calliper');
    expect(add(rough, fine).kind).toBe('prior');
    expect(add(fine, prior(100, 'mm', 0.01, 'guess')).kind).toBe('measured');
  });
});
