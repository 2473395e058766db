import fc from 'fast-check';
import { anyPlanOf, reckonOrRefuse } from '../shapes/fixtures/anyPlan';
import { PlanProblem } from '../base/figure';
import { STARTS, readStart } from '../plan/starts';
import { FIRST_FABRIC } from '../plan/newPlan';
import { reckon } from '../reckon/reckon';
import type { Worked } from '../reckon/types';

/** Widths of first rows as they are told, each with what it would be by its own count. */
function firstRows({ steps, pieces }: Pick<Worked, 'steps' | 'pieces'>): { told: number; own: number }[] {
  return steps.flatMap((step) => {
    const [, mm] =
      /^(?:.*\. )?Laid flat, the row is about ([\d.]+) mm (?:wide|long)/.exec(step.check?.look ?? '') ?? [];
    const piece = pieces.find(({ id }) => id === step.piece);
    if (!mm || !piece || step.ends === null) return [];
    return [{ told: Number(mm), own: (piece.width.value * step.ends) / piece.stitches }];
  });
}

it('a row that takes in is told as wide as what is left', () => {
  const tote = STARTS.find(({ id }) => id === 'bottle-tote')!;
  const rows = firstRows(reckon(readStart(tote, {}, FIRST_FABRIC, 'mm').plan!));
  expect(rows).toHaveLength(1);
  expect(rows[0]!.told).toBeCloseTo(rows[0]!.own, 0);
});

it('every first row is told as wide as its own count is', () => {
  fc.assert(
    fc.property(fc.constantFrom('strip-across', 'two-panels', 'layered').chain(anyPlanOf), (plan) => {
      const worked = reckonOrRefuse(plan);
      if (worked instanceof PlanProblem) return;
      for (const { told, own } of firstRows(worked)) expect(Math.abs(told - own)).toBeLessThan(2.51);
    }),
    { numRuns: 60 },
  );
});
