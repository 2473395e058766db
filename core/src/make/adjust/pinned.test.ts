import fc from 'fast-check';
import { attempted } from '../../base/figure';
import { anyFormed } from '../../plan/fixtures/anyForm';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { TERN_POINT } from '../../demo';
import { changedWays } from './mend';
import { pinned, unpinned } from './pinned';

it('a make follows the very same rows, on counts that stay; what it came to by itself is free again', () => {
  fc.assert(
    fc.property(anyFormed, (plan) => {
      const worked = attempted(() => reckon(plan));
      fc.pre(worked !== undefined);
      const held = pinned(plan);
      expect(reckon(held).steps).toEqual(worked!.steps);
      expect(unpinned(held)).toEqual(plan);
    }),
    { numRuns: 80 },
  );
});

it('a count the maker picked stays picked', () => {
  const plan: Plan = {
    format: 'keep-snug.plan/1',
    title: 'picked',
    thing: { kind: 'slab', width: { mm: 80 }, height: { mm: 160 }, depth: { mm: 12 } },
    fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [],
    picks: { width: 21 },
  };
  expect(pinned(plan).picks).toEqual({ width: 21 });
  expect(unpinned(pinned(plan)).picks).toEqual({ width: 21 });
});

it('a make that holds its counts does not find its plan changed', () => {
  for (const plan of Object.values(TERN_POINT.plans) as Plan[])
    expect(changedWays(pinned(plan), [], plan).map(({ id }) => id)).toEqual(['carry-on']);
});
