import fc from 'fast-check';
import { PlanProblem } from '../base/figure';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { anyPlanOf } from '../shapes/fixtures/anyPlan';
import { cutApart } from './cutRows';
import { cutStretches } from './drawn';
import type { CutPart, View } from './parts';

const [OAT, KELP] = ['#E6D8B8', '#56663A'];

/** A plan in two rows of each, where it can be made. */
function striped(plan: Plan): ReturnType<typeof reckon> | undefined {
  const { bands: _b, yarns: _y, ...fabric } = plan.fabric;
  const colours = ['oat', 'kelp'].map((name) => ({ name, rows: 2 }));
  try {
    return reckon({ ...plan, fabric: { ...fabric, colours }, palette: { oat: { hex: OAT }, kelp: { hex: KELP } } });
  } catch (fault) {
    if (fault instanceof PlanProblem) return undefined;
    throw fault;
  }
}

const cutsOf = (views: readonly View[]): CutPart[] =>
  views.flatMap(({ parts }) => parts.filter((part): part is CutPart => part.type === 'cut'));

const long = (points: CutPart['points']): number =>
  points.slice(1).reduce((sum, [x, y], at) => sum + Math.hypot(x - points[at]![0], y - points[at]![1]), 0);

describe.each(SHAPES.map(({ id }) => [id]))('%s in stripes, cut through', (shape) => {
  it('is of as many colours as its rows along the cut, and none of it is left bare', () => {
    fc.assert(
      fc.property(anyPlanOf(shape), (plan) => {
        const worked = striped(plan);
        fc.pre(worked !== undefined);
        const cuts = cutsOf(worked!.views);
        expect(cuts.length).toBeGreaterThan(0);
        for (const cut of cuts) {
          const stretches = cutStretches(cut);
          expect(stretches.reduce((sum, { points }) => sum + long(points), 0)).toBeCloseTo(long(cut.points), 4);
          for (const { hex } of stretches) expect([OAT, KELP]).toContain(hex);
        }
        // rows that follow each other along the cut show both; a strip worked sideways is cut along one of its rows
        const seen = new Set(cuts.flatMap((cut) => cutStretches(cut).map(({ hex }) => hex)));
        const used = worked!.supplies.byColour.length;
        if (worked!.pieces[0]!.rows > 4 && shape !== 'strip-along') expect(seen.size).toBe(used);
        if (shape === 'strip-along') expect(seen.size).toBe(1);
      }),
      { numRuns: 15 },
    );
  });
});

it('what is met up to a length and beyond it is all that is met', () => {
  const row = (mm: number) => ({ mm, role: 'back' as const, row: 1, share: [0.5, 0.5] as const });
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 50 })), fc.integer({ min: 0, max: 600 }), (all, at) => {
      const whole = all.reduce((sum, mm) => sum + mm, 0);
      const [near, far] = cutApart(all.map(row), at).map((rows) => rows.reduce((sum, { mm }) => sum + mm, 0));
      expect(near).toBeCloseTo(Math.min(at, whole), 6);
      expect(near! + far!).toBeCloseTo(whole, 6);
    }),
  );
});
