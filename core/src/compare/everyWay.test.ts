import { TERN_POINT } from '../demo';
import { checkPlan } from '../out/formats';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { ways } from './ways';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

describe.each(PLANS)('the ways to make %s', (_, plan) => {
  const found = ways({ plan, hooksMm: [plan.fabric.hookMm], fits: [plan.fit.name] }).ways;

  it('are one for every shape, the possible ones first', () => {
    expect(found.map(({ shape }) => shape).sort()).toEqual(SHAPES.map(({ id }) => id).sort());
    const possible = found.map((way) => way.possible);
    expect(possible).toEqual([...possible].sort((a, b) => Number(b) - Number(a)));
    expect(possible[0]).toBe(true);
  });

  it('each say why or why not in a sentence', () => {
    for (const { shape, why } of found) {
      expect([shape, why.length > 8]).toEqual([shape, true]);
      expect(why).not.toMatch(/NaN|undefined|[{}]/);
    }
  });

  it('that can be made are whole plans: of their form, reckoned, with a chance and something to draw', () => {
    for (const way of found.filter(({ possible }) => possible)) {
      expect([way.shape, checkPlan(way.plan).ok]).toEqual([way.shape, true]);
      expect(reckon(way.plan!).pieces.length).toBeGreaterThan(0);
      expect(way.chance).toBeGreaterThanOrEqual(0);
      expect(way.chance).toBeLessThanOrEqual(1);
      expect(way.metres).toBeGreaterThan(0);
      expect(way.minutes).toBeGreaterThan(0);
      expect(way.view!.width).toBeGreaterThan(0);
    }
  });

  it('hold the plan’s own shape among those that can be made', () => {
    expect(found.find(({ shape }) => shape === plan.shape.kind)).toMatchObject({ possible: true });
  });
});
