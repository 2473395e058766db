import { TERN_POINT } from '../demo';
import { chance, seedOf } from '../reckon/chance';
import { FITS } from '../craft/fit';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { ways } from './ways';

const plans = Object.values(TERN_POINT.plans);
const phone = plans[0]!;
const flask = plans.find(({ thing }) => thing.kind === 'cylinder')!;

describe('ways to make it', () => {
  const found = ways({ plan: phone, hooksMm: [3.5, 4, 4.5] }).ways;

  it('are every shape, hook and fit, those that can be made first', () => {
    expect(found).toHaveLength(SHAPES.length * 3 * FITS.length);
    const firstImpossible = found.findIndex(({ possible }) => !possible);
    expect(found.slice(firstImpossible).every(({ possible }) => !possible)).toBe(true);
  });

  it('each say why, or why not', () => {
    expect(found.every(({ why }) => why.length > 10)).toBe(true);
    expect(found.find(({ shape }) => shape === 'disc-wall')).toMatchObject({
      possible: false,
      why: expect.stringMatching(/round/),
    });
    expect(found.find(({ shape }) => shape === 'saddle')).toMatchObject({
      possible: false,
      why: expect.stringMatching(/bar/),
    });
    expect(ways({ plan: flask }).ways.find(({ shape }) => shape === 'strip-across')!.why).toMatch(
      /round base with sides/,
    );
  });

  it('are ranked by the chance of fit within the fit that is wanted, what nothing speaks against first', () => {
    const possible = found.filter((way) => way.possible);
    const rank = ({ fit, but }: (typeof found)[number]) => (fit === phone.fit.name ? 0 : 2) + (but ? 1 : 0);
    possible.slice(1).forEach((way, index) => {
      const before = possible[index]!;
      expect(rank(way)).toBeGreaterThanOrEqual(rank(before));
      if (rank(way) === rank(before)) expect(way.chance!).toBeLessThanOrEqual(before.chance! + 0.021);
    });
  });

  it('what is at hand stands before what is to be got, where it fits at least every second time', () => {
    const ask = { plan: phone, hooksMm: [3.5, 4, 4.25, 4.5], fits: [phone.fit.name] };
    const told = ways({ ...ask, atHand: { hooksMm: [4.25] } }).ways.filter(({ possible }) => possible);
    expect(new Set(told.map(({ atHand }) => atHand))).toEqual(new Set([true, false]));
    for (const { hookMm, atHand } of told) expect(atHand).toBe([phone.fabric.hookMm, 4.25].includes(hookMm));
    const good = told.filter(({ chance, but }) => chance! >= 0.5 && !but).map(({ atHand }) => atHand);
    expect(good).toEqual([...good].sort((a, b) => Number(b) - Number(a)));
    // of what nobody told nothing is said
    expect(
      ways(ask).ways.every(({ atHand, hookMm }) => atHand === (hookMm === phone.fabric.hookMm ? true : undefined)),
    ).toBe(true);
  });

  it('yarns go on their own hooks where none is named', () => {
    const thin = { stitch: 'single', hookMm: 2.5, yarn: { name: 'thin', metresPer100g: 400 } };
    const told = ways({
      plan: phone,
      fabrics: [phone.fabric, thin],
      fits: [phone.fit.name],
      atHand: { yarns: [thin.yarn] },
    }).ways;
    for (const { yarn, hookMm, atHand } of told) {
      expect(hookMm).toBe(yarn === 'thin' ? 2.5 : phone.fabric.hookMm);
      expect(atHand).toBe(yarn === 'thin' ? undefined : true);
    }
  });

  it('never offer what is not meant for a thing without the reason', () => {
    const packet = found.find(({ shape, possible }) => shape === 'packet' && possible)!;
    expect(packet.but).toMatch(/lies open.*slides out/);
    const soft = { ...phone, thing: { ...phone.thing, soft: 0.4 } };
    expect(ways({ plan: soft }).ways.find(({ shape }) => shape === 'packet')!.but).toBeUndefined();
    const coins = {
      ...phone,
      thing: { kind: 'loose', width: { mm: 100 }, height: { mm: 120 } },
      fittings: [],
      fabric: { ...phone.fabric, stitch: 'net', gauge: {} },
    };
    const nets = ways({ plan: coins }).ways.filter(({ possible, shape }) => possible && shape !== 'cluster-panels');
    expect(nets.map(({ but }) => but)).toEqual(nets.map(() => expect.stringMatching(/fall through/)));
  });

  it('are said without a token', () => {
    const texts = found.flatMap(({ why, but, summary }) => [why, but, summary]).filter(Boolean);
    expect(texts.filter((text) => /[{}]/.test(text!))).toEqual([]);
  });

  it('can be taken: their plan reckons to what they promise', () => {
    for (const { plan, stitches, rows, metres } of found.filter(({ possible }) => possible).slice(0, 40)) {
      const worked = reckon(plan!);
      expect([worked.pieces[0]!.stitches, worked.pieces[0]!.rows]).toEqual([stitches, rows]);
      expect(worked.supplies.yarn.metres.value / metres!).toBeCloseTo(1, 1);
    }
  });

  it('keep what was measured, under the hook it was measured on', () => {
    const own = found.find(({ hookMm, possible }) => possible && hookMm === 4)!;
    const other = found.find(({ hookMm, possible }) => possible && hookMm === 3.5)!;
    expect(own.plan!.fabric.gauge).toEqual(phone.fabric.gauge);
    expect(other.plan!.fabric.gauge).toEqual({ ...phone.fabric.gauge, hookMm: 4 });
    expect(own.plan!.fabric.gauge!.hookMm).toBeUndefined();
  });
});

describe('the chance of a plan', () => {
  it('is the same whatever the plan is called and however it is read', () => {
    expect(chance({ ...phone, title: 'other', schools: { terms: 'UK', units: 'in' } })).toEqual(chance(phone));
    expect(seedOf({ ...phone, fit: { name: 'roomy' } })).not.toBe(seedOf(phone));
  });

  it('is finite for every plan of the sample data, and grows with a swatch where there is none', () => {
    for (const plan of plans) {
      const { share, draws, helps } = chance(plan, 4000);
      expect(draws).toBe(4000);
      expect(share).toBeGreaterThan(0);
      expect(share).toBeLessThanOrEqual(1);
      for (const help of helps) expect(help.share).toBeGreaterThan(share);
    }
    const unswatched = plans.find(({ fabric }) => !fabric.gauge)!;
    expect(chance(unswatched).helps.map(({ id }) => id)).toContain('swatch');
  });
});

it('the sample data has a plan of every shape', () => {
  expect(new Set(plans.map(({ shape }) => shape.kind))).toEqual(new Set(SHAPES.map(({ id }) => id)));
});
