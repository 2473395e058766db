import fc from 'fast-check';
import { attempted } from '../base/figure';
import { mend } from '../make/adjust';
import { patternFile, PATTERN_FILES, type PatternFile } from '../written';
import { anyFormed } from '../plan/fixtures/anyForm';
import type { Plan } from '../plan/plan';
import { chance } from '../reckon/chance';
import { reckon } from '../reckon/reckon';
import { repeat } from './repeat';
import { ways } from './ways';

/** What must never stand in anything a reader sees. */
const BROKEN = /NaN|Infinity|undefined|\{\w+[:}]/;

const runs = [
  { name: 'kelp', stitches: 14 },
  { name: 'sand', stitches: 9 },
];

/** Every way a plan is asked about, each answering or refusing with a remedy: anything else is thrown on. */
function byEveryDoor(plan: Plan): void {
  const worked = attempted(() => reckon(plan));
  const [one] = ways({ plan, shapes: [plan.shape.kind], hooksMm: [plan.fabric.hookMm], fits: [plan.fit.name] }).ways;
  expect(one!.why).not.toMatch(BROKEN);
  if (!worked) return;
  const { share } = chance(plan, 200);
  expect(share).toBeGreaterThanOrEqual(0);
  expect(share).toBeLessThanOrEqual(1);
  attempted(() => repeat({ plan, runs }));
  const mended = mend(plan, []);
  expect(mended.worked.pieces.length).toBe(worked.pieces.length);
  for (const as of Object.keys(PATTERN_FILES) as PatternFile[])
    for (const voice of ['full', 'short'] as const) {
      const text = patternFile(as, plan, worked, { terms: 'US', units: 'mm', voice });
      expect(text.length).toBeGreaterThan(100);
      if (as !== 'json') expect(text).not.toMatch(BROKEN);
    }
}

it('a plan that passes its form is answered or refused by every door', () => {
  fc.assert(fc.property(anyFormed, byEveryDoor), { numRuns: 15 });
});
