import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { SHAPES } from '../../shapes';
import { anyPlanOf } from '../../shapes/fixtures/anyPlan';
import { patternFile } from '../../written';
import { plansFrom } from './plansIn';

const plan = Object.values(TERN_POINT.plans)[0]!;
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
const anyPlan: fc.Arbitrary<Plan> = fc.constantFrom(...SHAPES.map(({ id }) => id)).chain(anyPlanOf);

describe('plans from a file', () => {
  it('are those that were saved, whatever they are of', () => {
    fc.assert(
      fc.property(anyPlan, (saved) => {
        const { plans, faults } = plansFrom(JSON.stringify(saved, null, 2), 'saved.json');
        expect([plans.map(plain), faults]).toEqual([[plain(saved)], []]);
      }),
      { numRuns: 200 },
    );
  });

  it('come back from the plan file a pattern is saved as', () => {
    for (const saved of Object.values(TERN_POINT.plans)) {
      const text = patternFile('json', saved, reckon(saved), { terms: 'UK', units: 'in', voice: 'short' });
      expect(plansFrom(text, 'plan.json').plans.map(plain)).toEqual([plain(saved)]);
    }
  });

  it('come many at once, and one that cannot be read keeps no other out', () => {
    const list = [plan, { ...plan, fit: { name: 'snug', easeMm: '3' } }, plan];
    const { plans, faults } = plansFrom(JSON.stringify(list), 'all.json');
    expect(plans).toHaveLength(2);
    expect(faults).toEqual([{ at: 'all.json, plan 2: fit.easeMm', message: expect.stringMatching(/“3” is text/) }]);
  });

  it.each<[what: string, text: string, message: RegExp]>([
    ['an empty file', '', /It is empty\. Choose a plan file/],
    ['one that was cut off', JSON.stringify(plan).slice(0, 300), /does not hold JSON, or was cut off/],
    ['a picture', '\u0089PNG\r\n', /does not hold JSON/],
    ['a number', '7', /not an object/],
    [
      'a plan of a newer program',
      JSON.stringify({ ...plan, format: 'keep-snug.plan/2' }),
      /newer Keep Snug \(keep-snug\.plan\/2\)\. Update/,
    ],
    ['a file of everything', JSON.stringify({ format: 'keep-snug.everything/1' }), /Bring it back in Settings/],
    ['what is none at all', '{"format":"x"}', /“x” is not known here/],
    ['too many plans', `[${Array.from({ length: 501 }, () => '1').join(',')}]`, /It holds 501 plans/],
  ])('%s is told with what to do', (_what, text, message) => {
    const { plans, faults } = plansFrom(text, 'a.json');
    expect(plans).toEqual([]);
    expect(faults.length).toBeGreaterThan(0);
    expect(faults.map((fault) => fault.message).join(' ')).toMatch(message);
    for (const { at } of faults) expect(at).toMatch(/^a\.json/);
  });

  it('of any text are never a throw', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        expect(plansFrom(text, 'x').plans.every(({ format }) => format === PLAN_FORMAT)).toBe(true);
      }),
    );
  });
});
