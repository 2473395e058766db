import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';

it('a strip worked sideways is refused in a mesh, whose rows leave no stitch to fold at', () => {
  const mesh: Plan = {
    ...Object.values(TERN_POINT.plans)[0]!,
    fabric: { stitch: 'net', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
    shape: { kind: 'strip-along' },
    fittings: [],
  };
  expect(() => reckon(mesh)).toThrow(/no stitch to fold at.*Choose another stitch/);
  expect(() => reckon({ ...mesh, shape: { kind: 'strip-across' } })).not.toThrow();
});
