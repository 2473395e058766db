import { PlanProblem } from '../base/figure';
import { FIRST_FABRIC, planFor } from '../plan/newPlan';
import { reckon } from '../reckon/reckon';
import { withShape } from '../plan/withShape';
import { SHAPES } from './index';
import type { Worked } from '../reckon/types';

describe('a loose thing in a bag that stands round', () => {
  it('is drawn no wider than its bag', () => {
    const thing = { kind: 'loose', width: { mm: 100 }, height: { mm: 140 } };
    const bag = planFor(thing, FIRST_FABRIC);
    for (const { id } of SHAPES) {
      const plan = withShape(bag, id);
      let worked: Worked;
      try {
        worked = reckon(plan);
      } catch (error) {
        expect(error).toBeInstanceOf(PlanProblem);
        continue;
      }
      for (const view of worked.views.filter(({ id: name }) => name !== 'flat')) {
        const things = view.parts.flatMap((part) => (part.type === 'thing' ? part : []));
        for (const { x, w } of things) {
          expect(x).toBeGreaterThanOrEqual(-0.01);
          expect(x + w).toBeLessThanOrEqual(view.width + 0.01);
        }
      }
    }
  });
});
