import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { phi, prior } from '../../base/figure';
import type { Plan } from '../../plan/plan';
import { reckon } from '../reckon';
import { stripeNames } from '../../craft/fabric';
import { chanceBelow } from './index';

const plans = Object.values(TERN_POINT.plans);
const titled = plans.map((plan) => [plan.title, plan] as const);
const planOf = (title: string): Plan => plans.find((plan) => plan.title.includes(title))!;
const phone = planOf('Field phone');
const plain = (plan: Plan): Plan => ({ ...plan, fittings: [] });
const suppliesOf = (plan: Plan) => reckon(plan).supplies;
const withYarn = (yarn: Partial<Plan['fabric']['yarn']>, plan = phone): Plan => ({
  ...plan,
  fabric: { ...plan.fabric, yarn: { ...plan.fabric.yarn, ...yarn } },
});

describe('yarn', () => {
  it.each(titled)('of %s is more than nothing, in metres as in grams, with a spread', (_, plan) => {
    const { yarn, stitches } = suppliesOf(plan);
    for (const { value, sd } of [yarn.metres, yarn.grams]) {
      expect(value).toBeGreaterThan(0);
      expect(sd! / value).toBeGreaterThan(0.02);
      expect(sd! / value).toBeLessThan(0.2);
    }
    // the thriftiest stitch takes twice its width of yarn, the hungriest some ten times
    const eachMm = (1000 * yarn.metres.value) / stitches / reckon(plan).fabric.stitchWidth.value;
    expect(eachMm).toBeGreaterThan(1);
    expect(eachMm).toBeLessThan(15);
  });

  it.each([2, 3])('of %i strands held together weighs as much a metre, and takes more metres', (strands) => {
    const one = suppliesOf(phone).yarn;
    const many = suppliesOf(withYarn({ strands })).yarn;
    expect(many.grams.value / many.metres.value).toBeCloseTo(one.grams.value / one.metres.value, 6);
    expect(many.metres.value).toBeGreaterThan(1.5 * one.metres.value);
  });

  it('a larger thing never takes less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 200, noNaN: true }),
        fc.double({ min: 1, max: 1.5, noNaN: true }),
        (w, by) => {
          const wide = (mm: number): Plan => ({ ...phone, thing: { ...phone.thing, width: { mm } } as Plan['thing'] });
          const [small, large] = [plain(wide(w)), plain(wide(w * by))].map(
            (plan) => suppliesOf(plan).yarn.metres.value,
          );
          expect(large).toBeGreaterThanOrEqual(small! - 1e-9);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('comes in whole balls, never one too few', () => {
    for (const ballGrams of [10, 25, 50, 100]) {
      const { balls, grams } = suppliesOf(withYarn({ ballGrams })).yarn;
      expect(balls! * ballGrams).toBeGreaterThanOrEqual(grams.value - 1e-6);
      expect((balls! - 1) * ballGrams).toBeLessThan(grams.value);
    }
  });

  it('left over lasts the more surely the more there is of it', () => {
    const { grams } = suppliesOf(phone).yarn;
    const chances = [0.5, 0.9, 1, 1.1, 2].map(
      (share) => suppliesOf(withYarn({ gramsLeft: share * grams.value })).yarn.enough!,
    );
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(chances[2]).toBeCloseTo(0.5, 5);
    expect(chances[0]).toBeLessThan(0.01);
    expect(chances[4]).toBeGreaterThan(0.99);
  });

  it('from a weighed swatch is what the swatch took, and surer', () => {
    const weighed = { grams: 6, stitches: 300 };
    const plan = plain({ ...phone, fabric: { ...phone.fabric, weighed } });
    const { yarn, stitches } = suppliesOf(plan);
    const guessed = suppliesOf(plain(phone)).yarn;
    // the fabric alone, without tails, chains and seams
    expect(yarn.grams.value).toBeGreaterThan((weighed.grams / weighed.stitches) * stitches * 0.9);
    expect(yarn.grams.sd! / yarn.grams.value).toBeLessThan(guessed.grams.sd! / guessed.grams.value);
  });

  it('a net is weighed by its loops, Vs by their Vs', () => {
    for (const stitch of ['net', 'half-double-v', 'double-v', 'crossed-double']) {
      const fabric = { ...phone.fabric, stitch, gauge: {} };
      const base = plain({ ...phone, fabric });
      const made = reckon(base);
      const told = made.steps.flatMap(({ counted, kind }) =>
        counted !== null && (kind === 'row' || kind === 'round') ? [counted] : [],
      );
      // what the sheet counts of each row, but its chains
      const units = told.reduce(
        (sum, words) => sum + (words.match(/\d+ (?!chain)/g) ?? []).reduce((all, one) => all + Number(one.trim()), 0),
        0,
      );
      if (units === 0) continue;
      const grams = 0.2;
      const weighed = suppliesOf(
        plain({ ...phone, fabric: { ...fabric, weighed: { grams: grams * 100, stitches: 100 } } }),
      );
      expect(weighed.yarn.grams.value / (units * grams)).toBeGreaterThan(0.95);
      expect(weighed.yarn.grams.value / (units * grams)).toBeLessThan(1.25);
    }
  });

  it('balls suffice nine times in ten', () => {
    const { grams } = suppliesOf(phone).yarn;
    const one = (ballGrams: number) =>
      suppliesOf({ ...phone, fabric: { ...phone.fabric, yarn: { ...phone.fabric.yarn, ballGrams } } }).yarn.balls;
    expect(one(grams.value + 1.29 * grams.sd!)).toBe(1);
    expect(one(grams.value + 1.2 * grams.sd!)).toBe(2);
  });

  it('a swatch twice as heavy for its stitches takes near twice the yarn', () => {
    const of = (grams: number) =>
      suppliesOf(plain({ ...phone, fabric: { ...phone.fabric, weighed: { grams, stitches: 400 } } })).yarn.grams.value;
    expect(of(12) - of(8)).toBeCloseTo(of(8) - of(4), 6);
    expect(of(8) / of(4)).toBeGreaterThan(1.7);
    expect(of(8) / of(4)).toBeLessThan(2);
  });
});

describe('colours', () => {
  const colours = [
    { name: 'sand', rows: 3 },
    { name: 'kelp', rows: 2 },
    { name: 'foam', rows: 1 },
  ];

  it('follow each other for their rows', () => {
    expect(stripeNames({ colours }, [1, 1, 1, 1, 1, 1])).toEqual(['sand', 'sand', 'sand', 'kelp', 'kelp', 'foam']);
  });

  it.each(titled)('of %s share out all its yarn and all its rows', (_, plan) => {
    const { supplies, pieces } = reckon({ ...plan, fabric: { ...plan.fabric, colours } });
    const sum = (of: (need: (typeof supplies.byColour)[number]) => number) =>
      supplies.byColour.reduce((all, need) => all + of(need), 0);
    expect(sum(({ metres }) => metres)).toBeCloseTo(supplies.yarn.metres.value, 6);
    expect(sum(({ grams }) => grams)).toBeCloseTo(supplies.yarn.grams.value, 6);
    expect(sum(({ rows }) => rows)).toBeGreaterThanOrEqual(pieces.reduce((all, { times }) => all + times, 0));
    for (const { metres } of supplies.byColour) expect(metres).toBeGreaterThanOrEqual(0);
  });

  it('are none where there is one', () => {
    expect(suppliesOf(phone).byColour).toEqual([]);
  });
});

describe('time', () => {
  it.each(titled)('of %s is its stitches at the hands’ rates and its finishing', (_, plan) => {
    const { time, stitches } = suppliesOf(plan);
    // from one stitch in two seconds to one in eight, and not more than three hours of sewing up
    expect(time.value).toBeGreaterThan(stitches / 30);
    expect(time.value).toBeLessThan(stitches / 7.5 + 180);
    expect(time.sd!).toBeGreaterThan(0);
  });
});

describe('notions', () => {
  it.each(titled)('of %s are told once each, with the hook first', (_, plan) => {
    const { notions } = suppliesOf(plan);
    const names = notions.map(({ name, size }) => `${name} ${size}`);
    expect(notions[0]).toMatchObject({ name: 'hook', count: 1 });
    expect(new Set(names).size).toBe(names.length);
    for (const { count } of notions) {
      expect(count).toBeGreaterThan(0);
      expect(Number.isInteger(count)).toBe(true);
    }
  });

  it('of two pouches’ buttons alike are one entry of two', () => {
    const flap = { kind: 'flap' };
    const notions = suppliesOf({ ...phone, fittings: [flap, { kind: 'snap' }] }).notions;
    const snap = notions.find(({ name }) => name.includes('snap'))!;
    expect(snap.count).toBeGreaterThanOrEqual(1);
  });

  it('hold a second hook where the chain is worked with another', () => {
    const plan = { ...phone, fabric: { ...phone.fabric, chainHookMm: phone.fabric.hookMm + 1 } };
    expect(suppliesOf(plan).notions.map(({ name }) => name)).toContain('hook for the chain');
    expect(suppliesOf(phone).notions.map(({ name }) => name)).not.toContain('hook for the chain');
  });
});

describe('the chance of lasting', () => {
  it('is the normal law', () => {
    // Abramowitz and Stegun, table 26.1
    for (const [z, share] of [
      [0, 0.5],
      [1, 0.841345],
      [1.96, 0.975002],
      [-1, 0.158655],
      [3, 0.99865],
    ] as const)
      expect(phi(z)).toBeCloseTo(share, 5);
  });

  it('mirrors itself, grows, and stays a chance', () => {
    const z = fc.double({ min: -8, max: 8, noNaN: true });
    fc.assert(
      fc.property(z, z, (a, b) => {
        expect(phi(a) + phi(-a)).toBeCloseTo(1, 6);
        expect(phi(Math.min(a, b))).toBeLessThanOrEqual(phi(Math.max(a, b)) + 1e-7);
        expect(phi(a)).toBeGreaterThanOrEqual(0);
        expect(phi(a)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('of a figure without spread is yes or no', () => {
    expect(chanceBelow(10, prior(9, 'g', 0, 'test'))).toBe(1);
    expect(chanceBelow(10, prior(11, 'g', 0, 'test'))).toBe(0);
    expect(chanceBelow(10, prior(10, 'g', 2, 'test'))).toBeCloseTo(0.5, 6);
  });
});
