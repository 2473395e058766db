import { TERN_POINT } from '../demo';
import { reckon } from '../reckon/reckon';
import { repeat } from './repeat';
import { onHook, type YarnRun } from '../craft/fabric';

const RUNS: YarnRun[] = [
  { name: 'kelp', stitches: 3 },
  { name: 'sand', stitches: 12 },
  { name: 'rust', stitches: 5 },
  { name: 'foam', stitches: 14 },
];
const PLANS = Object.values(TERN_POINT.plans);
const round = PLANS.find(({ shape }) => shape.kind === 'disc-wall')!;

it.each(PLANS.map((plan) => [plan.title, plan] as const))(
  '%s: a sum, an effect, a grid as large as its piece',
  (_, plan) => {
    const told = repeat({ plan, runs: RUNS, seed: 3 });
    expect(told.sum).toBe(34);
    expect(told.grid.length).toBeGreaterThan(0);
    expect(told.grid.length).toBeLessThanOrEqual(60);
    expect(told.grid.flat().every((run) => run >= 0 && run < RUNS.length)).toBe(true);
    expect(told.slopeDegrees).toBeGreaterThan(0);
    for (const { chance, effect, picks, hookMm } of told.options) {
      const taken =
        hookMm === plan.fabric.hookMm
          ? { ...plan, picks: { ...plan.picks, ...picks } }
          : { ...plan, fabric: onHook(plan.fabric, hookMm), picks };
      const picked = reckon(taken).choices.find(({ id }) => id in picks)!;
      expect(picked.broken ?? []).toEqual([]);
      expect(chance).toBeGreaterThanOrEqual(0);
      expect(chance).toBeLessThanOrEqual(1);
      expect(effect).not.toBe('scattered');
    }
  },
);

it('finds counts for the effect that is wanted, the surest to fit first', () => {
  const { options } = repeat({ plan: round, runs: RUNS, effect: 'spiral-right' });
  for (const { effect } of options) expect(effect).toBe('spiral-right');
  const chances = options.map(({ chance }) => chance);
  expect(chances).toEqual([...chances].sort((a, b) => b - a));
});

it('some sample comes to each of the effects that a choice of counts allows', () => {
  const found = new Set(PLANS.flatMap((plan) => repeat({ plan, runs: RUNS }).options.map(({ effect }) => effect)));
  expect([...found].sort()).toEqual(['plaid', 'spiral-left', 'spiral-right', 'stacked']);
});

it('runs in mm of yarn are as many stitches as the fabric makes of them', () => {
  const inMm = repeat({
    plan: round,
    runs: [
      { name: 'a', mm: 300 },
      { name: 'b', mm: 600 },
    ],
  });
  const twice = repeat({
    plan: round,
    runs: [
      { name: 'a', mm: 600 },
      { name: 'b', mm: 1200 },
    ],
  });
  expect(twice.sum).toBeCloseTo(2 * inMm.sum, 6);
  expect(inMm.sum).toBeGreaterThan(10);
});

it('the same seed gives the same grid', () => {
  expect(repeat({ plan: round, runs: RUNS, seed: 9 })).toEqual(repeat({ plan: round, runs: RUNS, seed: 9 }));
});
