import fc from 'fast-check';
import { applyChange } from '../plan/change';
import { chance } from './chance';
import { PlanProblem } from '../base/figure';
import { checkPlan } from '../out/formats';
import { isMisfit, misfitAdvice, whatWouldFit } from './misfit';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from './reckon';
import { SHAPES } from '../shapes';
import { anyPlanOf } from '../shapes/fixtures/anyPlan';
import { workOut } from './build';

const coarse = (more: Partial<Plan> = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'x',
  thing: { kind: 'slab', width: { mm: 40 }, height: { mm: 90 }, depth: { mm: 6 } },
  fabric: { stitch: 'single', hookMm: 9, yarn: { metresPer100g: 60 } },
  shape: { kind: 'ring-tube' },
  fit: { name: 'grips' },
  ...more,
});

const adviceOf = (plan: Plan) => reckon(plan).advice.filter(({ id }) => id === 'no-count-fits');

it('says what would fit where no whole count does, each truly, the nearest hook first', () => {
  const plan = coarse();
  expect(isMisfit(plan, workOut(plan))).toBe(true);
  const found = whatWouldFit(plan);
  expect(found.length).toBeGreaterThan(1);
  for (const { change, plan: next, out } of found) {
    expect(isMisfit(next, out)).toBe(false);
    expect(checkPlan(applyChange(plan, change)).ok).toBe(true);
  }
  const [advice] = adviceOf(plan);
  expect(advice!.text).toMatch(/^No whole count fits: \d+ stitches come out \d+ % (smaller|larger)/);
  expect(advice!.repair).toMatch(/^Use an? [\d.]+ mm hook/);
  expect(adviceOf(applyChange(plan, advice!.change!))).toEqual([]);
});

describe('with what there is in the house', () => {
  const tried = whatWouldFit(coarse())
    .map(({ change }) => change['fabric.hookMm'])
    .find((mm) => mm !== undefined) as number;

  it('a hook at hand that fits comes before a nearer one that is to be bought, and says so', () => {
    const further = Array.from({ length: 25 }, (_, index) => 6 + index / 4).filter((mm) => mm !== tried);
    const owned = further.find((mm) =>
      whatWouldFit(coarse({ atHand: { hooksMm: [mm] } }))[0]!.text.includes('which you have'),
    )!;
    expect(owned).toBeDefined();
    const [advice] = adviceOf(coarse({ atHand: { hooksMm: [owned] } }));
    expect(advice!.change!['fabric.hookMm']).toBe(owned);
    expect(advice!.repair).toContain('which you have');
    expect(adviceOf(applyChange(coarse(), advice!.change!))).toEqual([]);
  });

  it('a yarn at hand that fits is offered on a hook that suits it; one that does not is not', () => {
    const yarns = [
      { name: 'thin oat', metresPer100g: 420 },
      { name: 'rope', metresPer100g: 20 },
    ];
    const texts = whatWouldFit(coarse({ atHand: { yarns } })).map(({ text }) => text);
    expect(texts.filter((text) => text.includes('thin oat'))).toHaveLength(1);
    expect(texts.join()).not.toContain('rope');
  });

  it('changes nothing of the chance itself', () => {
    const { share, seed } = chance(coarse(), 1000);
    expect(chance(coarse({ atHand: { hooksMm: [2, 3] } }), 1000)).toMatchObject({ share, seed });
  });
});

it('says nothing of a count that was picked: that is answered for where it is picked', () => {
  const plan = coarse({ fit: { name: 'roomy' } });
  const { choices } = reckon(plan);
  const worse = choices[0]!.options.find(({ best }) => !best)!.count;
  expect(adviceOf({ ...plan, picks: { [choices[0]!.id]: worse } })).toEqual([]);
});

it('its help is never empty where a change would fit', () => {
  const helps = chance(coarse(), 1000).helps.filter(({ id }) => id === 'change-plan');
  expect(helps.length).toBeGreaterThan(0);
  for (const { change, minutes } of helps) expect([Object.keys(change!).length > 0, minutes]).toEqual([true, 0]);
});

it.each(SHAPES.map(({ id }) => [id]))('%s is never silent about a best count that does not fit', (shape) => {
  fc.assert(
    fc.property(anyPlanOf(shape), (plan) => {
      try {
        const out = workOut(plan);
        expect(misfitAdvice(plan, out).length).toBe(isMisfit(plan, out) ? 1 : 0);
        for (const choice of out.built.choices) {
          const chosen = choice.options.find((option) => option.chosen)!;
          if (!chosen.best || chosen.verdict === 'fits') continue;
          const [advice] = misfitAdvice(plan, out);
          expect(advice!.repair.length).toBeGreaterThan(10);
        }
      } catch (error) {
        if (!(error instanceof PlanProblem)) throw error;
      }
    }),
    { numRuns: 25 },
  );
});

/** Plans whose counts fit round the thing, and that do not cover it, or swallow it. */
const BESIDE: readonly [string, Plan, string][] = [
  [
    'clusters round what is wider than tall',
    coarse({
      thing: { kind: 'slab', width: { mm: 150 }, height: { mm: 80 }, depth: { mm: 12 } },
      fabric: { stitch: 'cluster', hookMm: 4, yarn: { metresPer100g: 190 } },
      shape: { kind: 'cluster-panels' },
      fit: { name: 'roomy' },
    }),
    'clusters-too-tall',
  ],
  [
    'edged panels for what is low',
    coarse({
      thing: { kind: 'slab', width: { mm: 150 }, height: { mm: 14 }, depth: { mm: 6 } },
      fabric: { stitch: 'single', hookMm: 6, yarn: { metresPer100g: 90 } },
      shape: { kind: 'two-panels', edging: 4 },
      fit: { name: 'slides' },
    }),
    'too-deep',
  ],
  [
    'a base that grows too slowly',
    coarse({
      thing: { kind: 'cylinder', height: { mm: 160 }, diameter: { mm: 80 } },
      fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
      shape: { kind: 'disc-wall', each: 4, start: 4 },
      fit: { name: 'slides' },
    }),
    'base-cups',
  ],
];

it.each(BESIDE)('%s: told with what would fit, which does', (_, plan, id) => {
  expect(isMisfit(plan, workOut(plan))).toBe(true);
  const told = reckon(plan).advice.find((one) => one.id === id)!;
  expect(told.text).toMatch(/\d/);
  const mended = applyChange(plan, told.change!);
  expect(isMisfit(mended, workOut(mended))).toBe(false);
  expect(reckon(mended).advice.map((one) => one.id)).not.toContain(id);
  expect(chance(mended, 1000).share).toBeGreaterThan(chance(plan, 1000).share);
});
