import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import {
  fabricFromSwatch,
  STITCHES,
  withStitch,
  withSwatch,
  workFabric,
  type FabricSpec,
  type WorkedIn,
} from './index';

const phone = Object.values(TERN_POINT.plans)[0]!;
const yarn = phone.fabric.yarn;
const double = {
  stitch: 'double',
  hookMm: 4,
  gauge: { stitches: [{ count: 20, overMm: 124 }], rows: [{ count: 10, overMm: 106 }] },
};
const worked = (fabric: FabricSpec): ReturnType<typeof reckon> => reckon({ ...phone, fabric } as Plan);
const advice = (fabric: FabricSpec) => worked(fabric).advice.find(({ id }) => id === 'swatch-of-another-stitch');

describe('a swatch in another stitch', () => {
  const fabric = withSwatch({ stitch: 'single', hookMm: 4, yarn }, double);

  it('is never taken for one in the plan’s own: it says so, in the terms of the reader', () => {
    expect(fabric.gauge).toMatchObject({ stitch: 'double' });
    expect(advice(fabric)!.text).toMatch(/Your swatch is in double crochet, and this is worked in single crochet/);
    const uk = reckon({ ...phone, fabric, schools: { terms: 'UK' } }).advice.map(({ text }) => text);
    expect(uk.join(' ')).toMatch(/Your swatch is in treble, and this is worked in double crochet/);
  });

  it('informs the estimate by the proportion of the two, and less surely', () => {
    const { stitchWidth, rowHeight } = workFabric(fabric);
    // 6.2 mm of double is 5.90 of single; 10.6 of double is 5.18 of single
    expect(stitchWidth.value).toBeCloseTo(6.2 / 1.05, 0);
    expect(rowHeight.value).toBeCloseTo((10.6 * 0.88) / 1.8, 0);
    const own = workFabric({ ...fabric, stitch: 'double', gauge: double.gauge });
    expect(stitchWidth.sd! / stitchWidth.value).toBeGreaterThan(own.stitchWidth.sd! / own.stitchWidth.value);
    expect(stitchWidth.sd! / stitchWidth.value).toBeLessThan(0.07);
    expect(worked(fabric).pieces[0]!.stitches).toBe(16);
  });

  it('is one of the plan’s own again once the plan is worked in it', () => {
    const back = withStitch(fabric, 'double');
    expect(back.gauge).toEqual(double.gauge);
    expect(advice(back)).toBeUndefined();
  });
});

it('a plan that changes its stitch keeps what was measured, under the name of its own stitch', () => {
  const fabric = fabricFromSwatch({ ...double, pattern: undefined } as never, yarn);
  const changed = withStitch(withStitch(fabric, 'single'), 'half-double');
  expect(changed).toMatchObject({ stitch: 'half-double', gauge: { ...double.gauge, stitch: 'double' } });
  expect(withStitch({ stitch: 'double', hookMm: 4, yarn }, 'single')).toEqual({ stitch: 'single', hookMm: 4, yarn });
});

it('a swatch keeps what was set of its stitch', () => {
  const net = { stitch: 'net', hookMm: 4, pattern: { chains: 7 }, gauge: double.gauge };
  expect(fabricFromSwatch(net, yarn)).toEqual({ ...net, yarn });
  expect(withSwatch({ stitch: 'net', pattern: { chains: 5 }, hookMm: 4, yarn }, net).gauge).toMatchObject({
    stitch: 'net',
    pattern: { chains: 7 },
  });
});

describe('the same yarn in another stitch', () => {
  const plain = STITCHES.filter(({ wantsSwatch }) => !wantsSwatch).map(({ id }) => id);
  const step = fc.tuple(fc.constantFrom(...plain), fc.constantFrom<WorkedIn>('rows', 'rounds'));
  const measures = fc.option(
    fc.record({ count: fc.integer({ min: 10, max: 40 }), overMm: fc.double({ min: 40, max: 250, noNaN: true }) }),
  );

  it('is the same whatever was asked for on the way to it', () => {
    fc.assert(
      fc.property(
        step,
        fc.array(step, { maxLength: 4 }),
        step,
        measures,
        measures,
        ([stitch, way], steps, [to, toWay], wide, tall) => {
          const gauge = { stitches: wide ? [wide] : [], rounds: tall ? [tall] : [] };
          const from = workFabric({ stitch, hookMm: 4, yarn, gauge }, way);
          const far = steps.reduce((fabric, [id, by]) => fabric.also(id, by), from);
          const sizes = ({ stitchWidth, rowHeight, thickness, cover }: typeof far) =>
            [stitchWidth, rowHeight, thickness, cover].map(({ value, sd }) => [value, sd]);
          expect(sizes(far.also(to, toWay))).toEqual(sizes(from.also(to, toWay)));
          expect(sizes(far.also(stitch, way))).toEqual(sizes(from));
        },
      ),
    );
  });
});
