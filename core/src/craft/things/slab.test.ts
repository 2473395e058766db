import fc from 'fast-check';
import { METHODS, measureFigure } from './measure';
import { checkThing, workThing } from './index';

const size = fc.double({ min: 1, max: 3000, noNaN: true });
const work = (W: number, D: number, r: number) =>
  workThing({ kind: 'slab', width: { mm: W }, height: { mm: 100 }, depth: { mm: D }, edgeRadius: { mm: r } });

describe('girth of a slab', () => {
  it('is the rectangle’s perimeter where the edges are square', () => {
    fc.assert(fc.property(size, size, (W, D) => Math.abs(work(W, D, 0).girth.value - 2 * (W + D)) < 1e-6));
  });

  it('is the stadium’s where the edges are half the depth', () => {
    fc.assert(
      fc.property(size, size, (W, D) => {
        expect(work(W, D, D / 2).girth.value).toBeCloseTo(2 * (W - D) + Math.PI * D, 6);
      }),
    );
  });

  it('shrinks as the edges get rounder', () => {
    fc.assert(fc.property(size, size, (W, D) => work(W, D, D / 2).girth.value < work(W, D, D / 4).girth.value));
  });

  it('spreads as its measures do: two sides of each, by ruler', () => {
    // 2 sd for W, 2 for D, (8 − 2π) for r, in quadrature
    expect(work(78, 14, 5).girth.sd).toBeCloseTo(Math.hypot(2, 2, 8 - 2 * Math.PI), 6);
  });

  it('is worked through by hand for the field phone', () => {
    // 2 (78 + 14) − (8 − 2π) 5 = 184 − 8.58
    expect(work(78, 14, 5).girth.value).toBeCloseTo(175.42, 2);
  });
});

it('refuses an edge rounder than half the depth, naming value, limit and repair', () => {
  const faults = checkThing({
    kind: 'slab',
    width: { mm: 78 },
    height: { mm: 164 },
    depth: { mm: 14 },
    edgeRadius: { mm: 9 },
  });
  expect(faults).toEqual([
    { path: 'edgeRadius.mm', message: expect.stringMatching(/\{typed:9\}.*\{most:7\}.*\{most:7\} or less/) },
  ]);
});

it('gives each way of measuring its own spread', () => {
  const spread = Object.fromEntries(METHODS.map(({ id }) => [id, measureFigure({ mm: 80, by: id }).sd]));
  expect(spread).toEqual({ calliper: 0.2, published: 0.5, ruler: 1, tape: 2, string: 3, photograph: 1, eye: 8 });
  // a photograph tells how well it knows what it tells
  expect(measureFigure({ mm: 80, by: 'photograph', sd: 0.4 }).sd).toBe(0.4);
});
