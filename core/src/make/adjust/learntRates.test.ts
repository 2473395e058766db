import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import type { Happening, KeptEvent } from '../log';
import { checkPlan } from '../../out/formats';
import { reckon } from '../../reckon/reckon';
import { handFrom } from '../../craft/fabric';
import { finishDoubts } from './finishDoubts';
import { honestyOf } from './honesty';
import { fabricMade } from './learnt';
import { rateFrom, ratesMade, strapGrowthFrom, strapLoop, yarnUseFrom } from './learntRates';

const phone = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Field phone pouch')!;
const { supplies, outside } = reckon(phone);

const finished = (said: Omit<Extract<Happening, { kind: 'finished' }>, 'kind'>): KeptEvent[] => [
  { id: 'f', make: 'm', device: 'd', at: '2026-05-01T18:00:00.000Z', n: 1, kind: 'finished', ...said },
];

it('what a finished make took is held against what such a piece usually takes', () => {
  expect(ratesMade(phone, [])).toEqual({});
  expect(ratesMade(phone, finished({}))).toEqual({});
  const { time, yarn } = ratesMade(
    phone,
    finished({
      minutes: 1.5 * supplies.time.value,
      grams: supplies.yarn.grams.value + 0.2 * supplies.yarn.stitchGrams,
    }),
  );
  expect(time).toBeCloseTo(1.5, 6);
  expect(yarn).toBeCloseTo(1.2, 6);
  // wider stitches take more yarn by themselves
  const wide = ratesMade(
    phone,
    finished({ asMade: { width: 1.1 * outside.width.value }, grams: 1.2 * supplies.yarn.grams.value }),
  );
  expect(wide.yarn).toBeLessThan(1.19);
});

it('pace and yarn of the next plan follow the makes, the more the more there are', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.6, max: 1.8, noNaN: true }), fc.integer({ min: 1, max: 12 }), (ratio, count) => {
      const makes = Array.from({ length: count }, () => ({ time: ratio, yarn: ratio }));
      const [rate, use] = [rateFrom(makes)!, yarnUseFrom(makes)!];
      const further = rateFrom([...makes, ...makes])!;
      const off = ({ perMinute }: { perMinute: number }) => Math.abs(Math.log(22 / perMinute / ratio));
      expect(off(further)).toBeLessThanOrEqual(off(rate) + 1e-12);
      expect(further.spread).toBeLessThan(rate.spread);
      const plan = { ...phone, fabric: { ...phone.fabric, rate, yarnUse: use } };
      expect(checkPlan(plan).ok).toBe(true);
      const next = reckon(plan).supplies;
      expect(next.time.value > supplies.time.value).toBe(ratio > 1);
      expect(next.yarn.grams.value > supplies.yarn.grams.value).toBe(ratio > 1);
      expect(next.yarn.grams.sd!).toBeLessThan(next.yarn.grams.value * 0.15);
    }),
    { numRuns: 40 },
  );
  expect([rateFrom([{}]), yarnUseFrom([{ yarn: 4 }])]).toEqual([undefined, undefined]);
});

it('honesty of the chances is told with its interval, and never of fewer than five', () => {
  const makes = (count: number, fitted: number, said: number) =>
    Array.from({ length: count }, (_, index) => ({ said, fitted: index < fitted }));
  expect(honestyOf(makes(4, 4, 0.8))).toEqual([]);
  const [middle] = honestyOf([...makes(10, 8, 0.8), ...makes(3, 3, 0.95)]);
  expect(middle).toMatchObject({ from: 0.7, to: 0.9, makes: 10, fitted: 8 });
  // Wilson, 8 of 10
  expect([middle!.least, middle!.most].map((share) => Math.round(1000 * share))).toEqual([490, 943]);
  const [all] = honestyOf(makes(6, 6, 1));
  expect(all!.from).toBe(0.9);
  expect(all!.most).toBeCloseTo(1, 9);
});

it('a strap that hung longer than planned is made shorter the next time', () => {
  const sling = Object.values(TERN_POINT.plans).find(({ fittings }) => fittings?.some(({ kind }) => kind === 'strap'))!;
  const bare: typeof sling = {
    ...sling,
    fittings: sling.fittings!.map(
      ({ hangTestPercent: _, ...fitting }) => fitting as NonNullable<typeof sling.fittings>[number],
    ),
  };
  const worked = reckon(bare);
  const { loop, growth } = strapLoop(worked)!;
  const { strap } = ratesMade(bare, finished({ asMade: { strap: (loop * (1 + 2 * growth)) / (1 + growth) } }));
  expect(strap).toBeCloseTo(2, 6);
  const own = strapGrowthFrom([{ strap: strap! }, { strap: strap! }])!;
  expect(own.ratio).toBeGreaterThan(1.3);
  const next = { ...bare, fabric: { ...bare.fabric, strapGrowth: own } };
  expect(checkPlan(next).ok).toBe(true);
  const lengthOf = (plan: typeof sling) =>
    reckon(plan).fittings.find(({ kind }) => kind === 'strap')!.figures.length!.value;
  expect(lengthOf(next)).toBeLessThan(lengthOf(bare));
  expect([ratesMade(phone, finished({ asMade: { strap: 900 } })).strap, strapGrowthFrom([{}])]).toEqual([
    undefined,
    undefined,
  ]);
});

it('whatever a maker says of a finish, what is learnt from it is taken by the next plan', () => {
  const any = <Value>(of: fc.Arbitrary<Value>) => fc.option(of, { nil: undefined });
  const size = any(fc.double({ min: 1, max: 5000, noNaN: true }));
  const said = fc.record({
    minutes: any(fc.integer({ min: 1, max: 100_000 })),
    grams: any(fc.double({ min: 0.1, max: 100_000, noNaN: true })),
    width: size,
    height: size,
    strap: size,
  });
  fc.assert(
    fc.property(fc.array(said, { minLength: 1, maxLength: 3 }), (finishes) => {
      const told = finishes.map(({ minutes, grams, ...sizes }) =>
        finished({
          ...(minutes === undefined ? {} : { minutes }),
          ...(grams === undefined ? {} : { grams }),
          asMade: Object.fromEntries(Object.entries(sizes).filter(([, mm]) => mm !== undefined)),
        }),
      );
      const made = told.map((events) => ratesMade(phone, events));
      const [rate, yarnUse, strapGrowth] = [rateFrom(made), yarnUseFrom(made), strapGrowthFrom(made)];
      const hand = handFrom(told.flatMap((events) => fabricMade(phone, events) ?? []));
      const learnt = { rate, yarnUse, strapGrowth, hand };
      const known = Object.fromEntries(Object.entries(learnt).filter(([, value]) => value !== undefined));
      const next = { ...phone, fabric: { ...phone.fabric, ...known } };
      expect(checkPlan(next)).toMatchObject({ ok: true });
      expect(() => reckon(next)).not.toThrow();
    }),
    { numRuns: 60 },
  );
});

it('a finish far from what such a piece takes is asked about, and teaches nothing', () => {
  const [usualMinutes, usualGrams] = [supplies.time.value, supplies.yarn.grams.value];
  const asked = (said: object) => Object.keys(finishDoubts(phone, [], { kind: 'finished', ...said }));
  expect(asked({ minutes: 1.3 * usualMinutes, grams: usualGrams, asMade: { width: outside.width.value } })).toEqual([]);
  expect(finishDoubts(phone, [], { kind: 'finished', minutes: 1 }).minutes).toMatch(
    /^1 min\? Such a piece usually takes/,
  );
  expect(asked({ minutes: 1, grams: 40 * usualGrams, asMade: { width: 9 * outside.width.value } })).toEqual([
    'minutes',
    'grams',
    'width',
  ]);
  expect(rateFrom([ratesMade(phone, finished({ minutes: 1 }))])).toBeUndefined();
});
