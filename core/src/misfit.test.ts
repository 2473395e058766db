import fc from 'fast-check';
import { applyChange } from './change';
import { chance } from './chance';
import { PlanProblem } from './figure';
import { checkPlan } from './formats';
import { isMisfit, misfitAdvice, whatWouldFit } from './misfit';
import { PLAN_FORMAT, type Plan } from './plan';
import { reckon } from './reckon';
import { SHAPES } from './shapes';
import { anyPlanOf } from './shapes/fixtures/anyPlan';
import { workOut } from './workOut';

const coarse = (more: Partial<Plan> = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'x',
  thing: { kind: 'slab', width: { mm: 40 }, height: { mm: 90 }, depth: { mm: 6 } },
  fabric: { stitch: 'single', hookMm: 9, yarn: { metresPer100g: 60 } },
  shape: { kind: 'ring-tube' },
  fit: { name: 'grips' },
  ...more,
});

const adviceOf = (plan: Plan) => reckon(plan).advice.filter(({ id }) => id === 'no-count-fits');

it('says what would fit where no whole count does, each truly, the nearest hook first', () => {
  const plan = coarse();
  expect(isMisfit(workOut(plan))).toBe(true);
  const found = whatWouldFit(plan);
  expect(found.length).toBeGreaterThan(1);
  for (const { change, out } of found) {
    expect(isMisfit(out)).toBe(false);
    expect(checkPlan(applyChange(plan, change)).ok).toBe(true);
  }
  const [advice] = adviceOf(plan);
  expect(advice!.text).toMatch(/^No whole count fits: \d+ stitches come out \d+ % (smaller|larger)/);
  expect(advice!.repair).toMatch(/^Use an? [\d.]+ mm hook/);
  expect(adviceOf(applyChange(plan, advice!.change!))).toEqual([]);
});

it('says nothing of a count that was picked: that is answered for where it is picked', () => {
  const plan = coarse({ fit: { name: 'roomy' } });
  const { choices } = reckon(plan);
  const worse = choices[0]!.options.find(({ best }) => !best)!.count;
  expect(adviceOf({ ...plan, picks: { [choices[0]!.id]: worse } })).toEqual([]);
});

it('its help is never empty where a change would fit', () => {
  const helps = chance(coarse(), 1000).helps.filter(({ id }) => id === 'change-plan');
  expect(helps.length).toBeGreaterThan(0);
  for (const { change, minutes } of helps) expect([Object.keys(change!).length > 0, minutes]).toEqual([true, 0]);
});

it.each(SHAPES.map(({ id }) => [id]))('%s is never silent about a best count that does not fit', (shape) => {
  fc.assert(
    fc.property(anyPlanOf(shape), (plan) => {
      try {
        const out = workOut(plan);
        expect(misfitAdvice(plan, out).length).toBe(isMisfit(out) ? 1 : 0);
        for (const choice of out.built.choices) {
          const chosen = choice.options.find((option) => option.chosen)!;
          if (!chosen.best || chosen.verdict === 'fits') continue;
          const [advice] = misfitAdvice(plan, out);
          expect(advice!.repair.length).toBeGreaterThan(10);
        }
      } catch (error) {
        if (!(error instanceof PlanProblem)) throw error;
      }
    }),
    { numRuns: 25 },
  );
});
