import { handFrom } from './hand';
import { workFabric } from './fabric';
import type { FabricSpec } from './types';

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

it('is the mean of what was measured against what was estimated, shrunk by how few they are', () => {
  const of = (...ratios: number[]) => handFrom(ratios.map((ratio) => swatch(ratio)))!;
  const [one, two, many] = [of(0.9), of(0.9, 0.94), of(...Array<number>(40).fill(0.9))];
  expect(one.width).toBeGreaterThan(0.9);
  expect(one.width).toBeLessThan(0.93);
  expect(two.makes).toBe(2);
  expect(many.width).toBeCloseTo(0.9, 2);
  expect(many.height).toBeCloseTo(0.9, 2);
});

it('takes what was measured as it was measured: long and short swatches of one hand teach the same, and are shrunk once', () => {
  const short = (ratio: number): FabricSpec => {
    const { gauge, ...rest } = swatch(ratio);
    const few = (list: readonly { overMm?: number; count: number }[]) =>
      list.map(({ overMm, count }) => ({ count: 10, overMm: (10 * overMm!) / count, by: 'tape' as const }));
    return { ...rest, gauge: { stitches: few(gauge!.stitches!), rows: few(gauge!.rows!) } };
  };
  for (const ratio of [0.85, 0.93, 1.1]) {
    const [long, brief] = [handFrom([swatch(ratio)])!, handFrom([short(ratio)])!];
    expect(brief.width).toBeCloseTo(long.width, 5);
    expect(brief.height).toBeCloseTo(long.height, 5);
    // one make of an unknown hand: 0.12² − 0.05² of it is the hand's, the rest the make's
    expect(Math.log(long.width) / Math.log(ratio)).toBeCloseTo((0.12 ** 2 - 0.05 ** 2) / 0.12 ** 2, 3);
  }
});

it('is surer the more makes it is judged from, unless they disagree, and never surer than makes are alike', () => {
  const same = (count: number) => handFrom(Array.from({ length: count }, () => swatch(0.9)))!;
  expect(same(4).spread).toBeLessThan(same(1).spread);
  expect(handFrom([swatch(0.7), swatch(1.2)])!.spread).toBeGreaterThan(same(2).spread);
  // twenty alike are still no swatch of the next
  const next = workFabric({ stitch: 'single', hookMm: 4, yarn: oat, hand: same(20) }).stitchWidth;
  const swatched = workFabric(swatch(0.9)).stitchWidth;
  expect(next.sd! / next.value).toBeGreaterThan(swatched.sd! / swatched.value);
  expect(same(200).spread).toBeGreaterThan(0.025);
});

it('narrows the next estimate', () => {
  const hand = handFrom([swatch(0.9), swatch(0.9), swatch(0.9)])!;
  const plain = { stitch: 'single', hookMm: 6, yarn: oat };
  const [blind, known] = [workFabric(plain).stitchWidth, workFabric({ ...plain, hand }).stitchWidth];
  expect(known.sd! / known.value).toBeLessThan(blind.sd! / blind.value);
  expect(known.value / blind.value).toBeCloseTo(0.91, 1);
});

/** A normal draw from a seed that moves on. */
function normals(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return (state + 1) / 4294967297;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

it('a hand 12 % tight that scatters by 5 %: its sixth plan without a swatch is as sure as it says', () => {
  const normal = normals(20_261_127);
  const make = () => Math.exp(Math.log(0.88) + 0.05 * normal());
  const off = Array.from({ length: 600 }, () => {
    const hand = handFrom(Array.from({ length: 5 }, () => swatch(make())))!;
    const { stitchWidth } = workFabric({ stitch: 'single', hookMm: 4, yarn: oat, hand });
    const truth = make() * workFabric({ stitch: 'single', hookMm: 4, yarn: oat }).stitchWidth.value;
    return Math.log(truth / stitchWidth.value) / (stitchWidth.sd! / stitchWidth.value);
  });
  const rms = Math.sqrt(off.reduce((sum, z) => sum + z * z, 0) / off.length);
  expect(rms).toBeGreaterThan(0.85);
  expect(rms).toBeLessThan(1.15);
});
