import { handFrom } from './hand';
import { workFabric, type FabricSpec } from './fabric';

const oat = { metresPer100g: 190, category: 4 };
const swatch = (ratio: number, hookMm = 4): FabricSpec => {
  const plain = { stitch: 'single', hookMm, yarn: oat };
  const { stitchWidth, rowHeight } = workFabric(plain);
  return {
    ...plain,
    gauge: {
      stitches: [{ count: 40, overMm: 40 * stitchWidth.value * ratio, by: 'calliper' }],
      rows: [{ count: 40, overMm: 40 * rowHeight.value * ratio, by: 'calliper' }],
    },
  };
};

it('is not known before anything was measured', () => {
  expect(handFrom([])).toBeUndefined();
  expect(handFrom([{ stitch: 'single', hookMm: 4, yarn: oat }])).toBeUndefined();
});

it('is not judged from a pattern of one’s own, which has no estimate', () => {
  const own = { ...swatch(0.9), stitch: 'own', gauge: { stitches: [{ count: 20, overMm: 110 }] } };
  expect(handFrom([own])).toBeUndefined();
  expect(handFrom([own, swatch(0.9)])!.makes).toBe(1);
});

it('is the mean of what was measured against what was estimated', () => {
  const hand = handFrom([swatch(0.9), swatch(0.94, 5)])!;
  expect(hand.width).toBeCloseTo(0.92, 2);
  expect(hand.height).toBeCloseTo(0.92, 2);
  expect(hand.makes).toBe(2);
});

it('is surer the more makes it is judged from, unless they disagree', () => {
  const same = (count: number) => handFrom(Array.from({ length: count }, () => swatch(0.9)))!.spread;
  expect(same(4)).toBeCloseTo(same(1) / 2, 6);
  expect(handFrom([swatch(0.7), swatch(1.2)])!.spread).toBeGreaterThan(same(2));
});

it('narrows the next estimate', () => {
  const hand = handFrom([swatch(0.9), swatch(0.9), swatch(0.9)])!;
  const plain = { stitch: 'single', hookMm: 6, yarn: oat };
  const [blind, known] = [workFabric(plain).stitchWidth, workFabric({ ...plain, hand }).stitchWidth];
  expect(known.sd! / known.value).toBeLessThan(blind.sd! / blind.value);
  expect(known.value / blind.value).toBeCloseTo(0.9, 1);
});
