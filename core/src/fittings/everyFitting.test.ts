import fc from 'fast-check';
import { PlanProblem } from '../base/figure';
import { refereePiece } from '../pattern/refereePiece';
import { workFaults } from '../piece/referee';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { anyPlanWith } from './fixtures/anyPlanWith';
import { belongsOn, figureName, FITTINGS, fittingDefinition, whyNotOn } from './index';
import { workOut } from '../reckon/build';
import { allPieces, stepsAfter, workOf } from '../reckon/steps';

function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  return value && typeof value === 'object' ? Object.values(value).flatMap(numbersIn) : [];
}

describe.each(FITTINGS.map(({ id }) => [id]))('%s, on any shape it can belong to', (kind) => {
  it('keeps counts true, numbers finite and nothing sewn shut, or is refused at its field', () => {
    let placed = 0;
    fc.assert(
      fc.property(anyPlanWith(kind), (plan) => {
        try {
          const worked = reckon(plan);
          placed += 1;
          for (const { id } of worked.pieces) expect(refereePiece(worked.steps, id).faults).toEqual([]);
          const { steps: _steps, ...sums } = worked;
          expect(numbersIn(sums).every(Number.isFinite)).toBe(true);
          const told = worked.fittings.find((fitting) => fitting.kind === kind)!;
          expect(told.place.length).toBeGreaterThan(5);
          for (const key of Object.keys(told.figures))
            expect([key, figureName(fittingDefinition(kind)!, key)]).toEqual([key, expect.stringMatching(/^[A-Z]/)]);
          const out = workOut(plan);
          const pieces = allPieces(out);
          // what makes stitches is work, and never words alone
          for (const { does, text = '' } of stepsAfter(out))
            if (!does)
              expect(text).not.toMatch(
                /\{(single|slip|double|half-double|reverse)\}|chain \d|join the yarn|fasten off/i,
              );
          expect(workFaults(workOf(out), pieces)).toEqual([]);
          expect(new Set(worked.steps.map(({ id }) => id)).size).toBe(worked.steps.length);
        } catch (error) {
          if (!(error instanceof PlanProblem)) throw error;
          for (const { path, message } of error.errors) {
            expect(path).toMatch(/^[a-z]/);
            expect(message).toMatch(/[.?]$/);
          }
        }
      }),
      { numRuns: 60 },
    );
    // most of what is drawn can be made: a law that is hardly ever asked is not held
    expect(placed).toBeGreaterThanOrEqual(5);
  });

  it('belongs to some shapes, and says of the others where it would', () => {
    const fitting = fittingDefinition(kind)!;
    const [some, others] = [true, false].map((on) => SHAPES.filter((shape) => belongsOn(shape, fitting) === on));
    expect(some!.length).toBeGreaterThan(0);
    for (const shape of some!) expect(whyNotOn(shape, fitting)).toBeUndefined();
    for (const shape of others!) {
      const why = whyNotOn(shape, fitting)!;
      expect(why).toMatch(/^[A-Z].{15,}\. It goes on “/);
      expect(some!.every(({ name }) => why.includes(`“${name}”`))).toBe(true);
      expect(why).not.toContain(`“${shape.name}”`);
    }
  });
});
