import * as fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { belongsOn, fittingDefinition } from '../fittings';
import type { Plan } from './plan';
import { SHAPES, shapeDefinition } from '../shapes';
import { checkPlan } from '../out/formats';
import { withShape } from './withShape';

const PLANS = Object.values(TERN_POINT.plans);
const anyPlan = fc.constantFrom(...PLANS);
const anyShapes = fc.array(fc.constantFrom(...SHAPES.map(({ id }) => id)), { minLength: 1, maxLength: 5 });
const kinds = ({ fittings = [], parked = [] }: Plan) => [...fittings, ...parked].map(({ kind }) => kind).sort();

describe('another shape', () => {
  it('loses no fitting, parks only what does not belong, and leaves a plan of the form', () => {
    fc.assert(
      fc.property(anyPlan, anyShapes, (plan, shapes) => {
        const changed = shapes.reduce(withShape, plan);
        const shape = shapeDefinition(changed.shape.kind)!;
        expect(kinds(changed)).toEqual(kinds(plan));
        for (const { kind } of changed.fittings ?? []) expect(belongsOn(shape, fittingDefinition(kind)!)).toBe(true);
        expect(checkPlan(changed).ok).toBe(true);
      }),
    );
  });

  it('gives back on return what was left off, as it was set', () => {
    fc.assert(
      fc.property(anyPlan, anyShapes, (plan, shapes) => {
        const back = [...shapes, plan.shape.kind].reduce(withShape, plan);
        expect(new Set(back.fittings)).toEqual(new Set(plan.fittings ?? []));
        expect(back.parked).toBeUndefined();
      }),
    );
  });
});
