import { TERN_POINT } from '../demo';
import { parsePlan } from '../out/formats';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';

describe('a pattern of the maker’s own with words', () => {
  const plan = (words: string | undefined): Plan => ({
    ...Object.values(TERN_POINT.plans)[0]!,
    fittings: [],
    fabric: {
      stitch: 'own',
      hookMm: 4,
      yarn: { metresPer100g: 190 },
      pattern: { name: 'kelp', rowsInRepeat: 2, repeat: 2, ...(words === undefined ? {} : { words }) },
      gauge: { stitches: [{ count: 20, overMm: 100 }], rows: [{ count: 20, overMm: 90 }] },
    },
  });
  const rows = (words: string | undefined) =>
    reckon(plan(words)).steps.flatMap(({ row, text }) => (row && row <= 4 ? text : []));

  it('stand in every row they are of, without the number and the stop a pattern gives itself', () => {
    const [first, second, third] = rows('Row 1: Spike, single; repeat.\n2) Single in each');
    expect(first).toMatch(/row 1 of “kelp” over \d+ chains \(Spike, single; repeat\)/i);
    expect(second).toMatch(/row 2 of “kelp” over \d+ stitches \(Single in each\)/i);
    expect(third).toMatch(/row 1 of “kelp” over \d+ stitches \(Spike, single; repeat\)/i);
  });

  it('are left out where there are none, and a row without a line has none', () => {
    expect(rows(undefined).join()).not.toContain('(');
    const [first, second] = rows('Spike in each');
    expect(first).toContain('(Spike in each)');
    expect(second).not.toContain('(');
  });

  it('come through a file and back', () => {
    const own = plan('a\nb');
    expect(parsePlan(JSON.stringify(own))).toEqual(own);
  });
});
