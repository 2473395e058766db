import fc from 'fast-check';
import type { Instruction } from '../../craft/fabric';
import { PlanProblem } from '../../base/figure';
import { mergedCourse, type Step } from '../../pattern';
import { placesOf, refereeRow, type WorkedPlace } from '../../pattern/referee';
import type { Plan } from '../../plan/plan';
import { SHAPES } from '../../shapes';
import { anyPlanOf, reckonOrRefuse } from '../../shapes/fixtures/anyPlan';
import { readShort } from './read';
import { shortCourse } from './write';

/** Instructions as they are told: equal neighbours as one, within repeats too. */
const told = (list: readonly Instruction[]): Instruction[] =>
  mergedCourse(list).map((one) => (one.do === 'repeat' ? { ...one, of: told(one.of) } : one));

/** Every row of a piece in the short voice, read back with the row below in hand. */
function readBack(steps: readonly Step[], terms: 'US' | 'UK'): number {
  let there: WorkedPlace[] = [];
  let rows = 0;
  for (const step of steps) {
    if (step.makes) there = placesOf(step.makes.count, step.makes.kind);
    if (step.makes || !step.row || !step.work) continue;
    const below = step.turned ? [...there].reverse() : there;
    const kind = step.kind === 'round' ? 'round' : 'row';
    const text = shortCourse(step.work, kind, { terms });
    expect([text, readShort(text, { terms }, below)]).toEqual([text, told(step.work)]);
    const worked = refereeRow(step.work, below);
    if (!worked.ok) throw new Error(worked.fault);
    there = worked.places;
    rows += 1;
  }
  return rows;
}

const anyPlan: fc.Arbitrary<Plan> = fc.constantFrom(...SHAPES.map(({ id }) => id)).chain(anyPlanOf);

it('is read back to the same instructions: every shape, stitch and school', () => {
  let rows = 0;
  fc.assert(
    fc.property(anyPlan, fc.constantFrom('US' as const, 'UK' as const), (plan, terms) => {
      const worked = reckonOrRefuse({ ...plan, schools: { ...plan.schools, terms } });
      if (worked instanceof PlanProblem) return;
      for (const { id } of worked.pieces)
        rows += readBack(
          worked.steps.filter(({ piece }) => piece === id),
          terms,
        );
    }),
    { numRuns: 300 },
  );
  expect(rows).toBeGreaterThan(1000);
});
