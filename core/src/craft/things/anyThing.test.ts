import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { PlanProblem } from '../../base/figure';
import { checkPlan } from '../../out/formats';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { THINGS, thingDefinition, usualMethod, type ThingSpec } from './index';

const plans = Object.values(TERN_POINT.plans);
const planOf = (kind: string): Plan => plans.find(({ thing }) => thing.kind === kind)!;

/** What comes of a plan: what it reckons to, or the entries that cannot be. */
function outcome(plan: Plan) {
  const checked = checkPlan(plan);
  if (!checked.ok) return { errors: checked.errors };
  try {
    return { worked: reckon(checked.value) };
  } catch (error) {
    if (error instanceof PlanProblem) return { errors: error.errors };
    throw error;
  }
}

const withThing = (plan: Plan, change: object): Plan => ({ ...plan, thing: { ...plan.thing, ...change } as ThingSpec });

describe.each(THINGS.map(({ id }) => [id]))('a thing of the kind %s', (id) => {
  const definition = thingDefinition(id)!;
  const plan = planOf(id);

  it('is in the sample data, and works out', () => {
    expect(plan).toBeDefined();
    expect(outcome(plan).worked).toBeDefined();
  });

  it('of any size is worked out in finite numbers, or refused at an entry in whole sentences', () => {
    const keys = definition.measures.map(({ key }) => key);
    if (keys.length === 0) return;
    const sizes = fc.dictionary(fc.constantFrom(...keys), fc.double({ min: 0.1, max: 6000, noNaN: true }));
    fc.assert(
      fc.property(sizes, (chosen) => {
        const change = Object.fromEntries(Object.entries(chosen).map(([key, mm]) => [key, { mm, by: 'ruler' }]));
        const { worked, errors } = outcome(withThing(plan, change));
        if (worked) {
          const { girth, width, height, depth } = worked.thing;
          for (const { value, sd } of [girth, width, height, depth]) {
            expect(Number.isFinite(value) && value >= 0).toBe(true);
            expect(Number.isFinite(sd ?? 0)).toBe(true);
          }
          for (const { stitches, rows } of worked.pieces) expect(Math.min(stitches, rows)).toBeGreaterThan(0);
          return;
        }
        expect(errors!.length).toBeGreaterThan(0);
        for (const { path, message } of errors!) {
          expect(path).toMatch(/^[a-z]/);
          expect(message).toMatch(/\.$/);
          expect(message).not.toMatch(/NaN|Infinity|undefined/);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('names the limits of each of its measures', () => {
    for (const { key, min, max } of definition.measures)
      for (const [mm, said] of [
        [min - 0.5, ['too small', String(min)]],
        [max + 1, ['too large', String(max)]],
      ] as const) {
        const { errors } = outcome(withThing(plan, { [key]: { mm, by: 'ruler' } }));
        const fault = errors!.find(({ path }) => path.startsWith(`thing.${key}`))!;
        for (const word of said) expect(fault.message).toContain(word);
      }
  });

  it('takes no measure that is no number, no text for one, and no way of measuring there is not', () => {
    const [field] = definition.measures;
    if (!field) return;
    for (const wrong of [{ mm: '78' }, { mm: null }, { mm: 78, by: 'guess' }, 78, 'wide']) {
      const { errors } = outcome(withThing(plan, { [field.key]: wrong }));
      expect(errors!.map(({ path }) => path).join(' ')).toContain(`thing.${field.key}`);
    }
  });

  it('has a usual way of measuring each', () => {
    for (const { key } of definition.measures) expect(usualMethod(definition, key)).toMatch(/^[a-z]/);
  });
});
