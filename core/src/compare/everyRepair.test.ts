import fc from 'fast-check';
import { applyChange } from '../plan/change';
import { TERN_POINT } from '../demo';
import { PlanProblem } from '../base/figure';
import { checkPlan } from '../out/formats';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

/** Plans a step away from the sample ones, each of which may want a piece of advice. */
const STRAINS: Readonly<Record<string, (plan: Plan) => Plan>> = {
  'as it is': (plan) => plan,
  'on a fine hook': (plan) => ({ ...plan, fabric: { ...plan.fabric, hookMm: 2, gauge: {} } }),
  'on a thick hook': (plan) => ({ ...plan, fabric: { ...plan.fabric, hookMm: 9, gauge: {} } }),
  'of thin yarn': (plan) => ({
    ...plan,
    fabric: { ...plan.fabric, gauge: {}, yarn: { ...plan.fabric.yarn, metresPer100g: 700 } },
  }),
  'with little yarn': (plan) => ({ ...plan, fabric: { ...plan.fabric, yarn: { ...plan.fabric.yarn, gramsLeft: 3 } } }),
  gripping: (plan) => ({ ...plan, fit: { name: 'grips' } }),
};

/** What a plan is advised; nothing where it cannot be reckoned at all. */
function adviceOf(plan: Plan) {
  try {
    return reckon(plan).advice;
  } catch (error) {
    if (error instanceof PlanProblem) return [];
    throw error;
  }
}

describe.each(PLANS)('advice on %s', (_, sample) => {
  it.each(Object.keys(STRAINS))('%s is worded whole, and its repair leaves a plan of its form', (name) => {
    const plan = STRAINS[name]!(sample);
    for (const { id, text, repair, change } of adviceOf(plan)) {
      expect([id, text.endsWith('.') || text.endsWith('?'), repair.endsWith('.')]).toEqual([id, true, true]);
      if (!change) continue;
      const mended = applyChange(plan, change);
      expect([id, checkPlan(mended).ok]).toEqual([id, true]);
      expect(mended).not.toEqual(plan);
    }
  });
});

/** What is only said once, or hangs on more than one entry: its repair is a step, not the whole way. */
const STEPS: readonly string[] = [];

it.each(PLANS)('what is repaired on %s is said no more', (_, sample) => {
  for (const strain of Object.values(STRAINS)) {
    const plan = strain(sample);
    for (const { id, at, change } of adviceOf(plan)) {
      if (!change || STEPS.includes(id)) continue;
      const left = adviceOf(applyChange(plan, change)).filter((one) => one.id === id && one.at === at);
      expect([id, left.map(({ text }) => text)]).toEqual([id, []]);
    }
  }
});

it('a change reaches only what it names, and leaves the plan it came from alone', () => {
  const [, phone] = PLANS[0]!;
  const before = JSON.stringify(phone);
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 0, max: 1 }), (overlapMm, index) => {
      const changed = applyChange(phone, { [`fittings[${index}].overlapMm`]: overlapMm, 'fit.coverMm': 4 });
      expect(changed.fittings![index]).toEqual({ ...phone.fittings![index], overlapMm });
      expect(changed.fittings![1 - index]).toBe(phone.fittings![1 - index]);
      expect(changed.fit).toEqual({ ...phone.fit, coverMm: 4 });
      expect(changed.thing).toBe(phone.thing);
      expect(JSON.stringify(phone)).toBe(before);
    }),
  );
});

it('a change to nothing takes the entry out', () => {
  const [, phone] = PLANS[0]!;
  const with4 = applyChange(phone, { 'fit.coverMm': 4 });
  expect(applyChange(with4, { 'fit.coverMm': undefined })).toEqual(phone);
});
