import fc from 'fast-check';
import { BATCH_ID, TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { batchOrder, batchTotals, variantPlan, yarnLabel, type BatchRecord } from './index';

const batch = TERN_POINT.batches[BATCH_ID]!;
const counts = fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: batch.variants.length });
const withCounts = (some: readonly number[]): BatchRecord => ({
  ...batch,
  variants: some.map((count, index) => ({ ...batch.variants[index]!, count })),
});

describe('a batch', () => {
  it('takes what its pieces take together', () => {
    fc.assert(
      fc.property(counts.map(withCounts), (some) => {
        const totals = batchTotals(some);
        const each = some.variants.map((variant) => ({
          count: variant.count,
          label: yarnLabel(variant.yarn!),
          supplies: reckon(variantPlan(some, variant)).supplies,
        }));
        const sum = (of: (one: (typeof each)[number]) => number) =>
          each.reduce((all, one) => all + one.count * of(one), 0);
        expect(totals.pieces).toBe(sum(() => 1));
        expect(totals.minutes.value).toBeCloseTo(
          sum(({ supplies }) => supplies.time.value),
          6,
        );
        for (const { name, grams, metres, balls } of totals.yarns) {
          const own = (of: (one: (typeof each)[number]) => number) => sum((one) => (one.label === name ? of(one) : 0));
          expect(grams.value).toBeCloseTo(
            own(({ supplies }) => supplies.yarn.grams.value),
            6,
          );
          expect(metres).toBeCloseTo(
            own(({ supplies }) => supplies.yarn.metres.value),
            6,
          );
          // nine times in ten
          expect(50 * balls!).toBeGreaterThanOrEqual(grams.value + 1.28 * grams.sd - 1e-6);
          expect(50 * (balls! - 1)).toBeLessThan(grams.value + 1.29 * grams.sd);
        }
      }),
      { numRuns: 25 },
    );
  });

  it('wants one hook and one needle for all, and what stays in a piece for each', () => {
    const { notions } = batchTotals({
      ...batch,
      plan: { ...batch.plan, fittings: [{ kind: 'tag' }] },
      variants: batch.variants.map((variant) => ({ ...variant, count: 2 })),
    });
    expect(notions.filter(({ name }) => name === 'hook')).toMatchObject([{ count: 1 }]);
    for (const { name, count } of notions) if (!/hook|needle|marker/.test(name)) expect(count % 24).toBe(0);
  });

  it('what there is of a yarn is not bought, and what is made needs none', () => {
    const all = batchTotals(batch).yarns;
    const has = batchTotals(batch, undefined, { there: (name) => (name === all[0]!.name ? 1000 : undefined) });
    expect(has.yarns[0]).toMatchObject({ there: 1000, balls: 0 });
    expect(has.yarns.slice(1).map(({ balls }) => balls)).toEqual(all.slice(1).map(({ balls }) => balls));
    const made = batchTotals(batch, undefined, { still: () => 0 });
    expect(made.yarns.map(({ metres, balls }) => [metres, balls])).toEqual(all.map(() => [0, 0]));
  });

  it('is worked yarn by yarn, every piece once', () => {
    const order = batchOrder(batch);
    expect(order).toHaveLength(12);
    expect(new Set(order.map(({ variant }) => variant)).size).toBe(12);
    const yarns = order.map(({ yarn }) => yarn);
    expect(yarns.filter((yarn, index) => yarn !== yarns[index - 1])).toHaveLength(4);
    // the next yarn begins with the size that the last one ended with
    const sizes = order.map(({ variant }) => variant.split('-')[0]);
    for (const at of [3, 6, 9]) expect(sizes[at]).toBe(sizes[at - 1]);
  });

  it('leaves its plan as it is where a variant says nothing', () => {
    const variant = { id: 'a', name: 'plain', count: 1 };
    const { title: _, ...plan } = variantPlan(batch, variant);
    const { title: _title, ...own } = batch.plan;
    expect(plan).toEqual(own);
  });
});
