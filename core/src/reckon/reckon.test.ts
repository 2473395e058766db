import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { LONGEST_PLAN, checkPlan, parsePlan } from '../out/formats';
import { FITS } from '../craft/fit';
import { PlanProblem, type PlanFault } from '../base/figure';
import { refereePiece } from '../pattern/refereePiece';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from './reckon';
import { reckonPicks } from './views';

const phone = Object.values(TERN_POINT.plans)[0]!;

const anyPlan: fc.Arbitrary<Plan> = fc
  .record({
    // the longest strip of the finest gauge stays within what is built
    W: fc.double({ min: 8, max: 1500, noNaN: true }),
    H: fc.double({ min: 8, max: 1500, noNaN: true }),
    D: fc.double({ min: 0, max: 400, noNaN: true }),
    round: fc.double({ min: 0, max: 0.5, noNaN: true }),
    hookMm: fc.double({ min: 1, max: 20, noNaN: true }),
    metres: fc.double({ min: 20, max: 1000, noNaN: true }),
    swatch: fc.option(
      fc.record({ count: fc.integer({ min: 10, max: 40 }), overMm: fc.double({ min: 40, max: 300, noNaN: true }) }),
    ),
    fit: fc.constantFrom(...FITS.map(({ id }) => id)),
    join: fc.constantFrom('single', 'slip', 'whip', 'mattress'),
    flap: fc.boolean(),
  })
  .map(({ W, H, D, round, hookMm, metres, swatch, fit, join, flap }) => ({
    format: PLAN_FORMAT,
    title: 'any',
    thing: {
      kind: 'slab',
      width: { mm: W },
      height: { mm: H },
      depth: { mm: D },
      edgeRadius: { mm: Math.min(W, D) * round },
    },
    fabric: {
      stitch: 'single',
      hookMm,
      yarn: { metresPer100g: metres },
      gauge: swatch ? { stitches: [swatch], rows: [swatch] } : {},
    },
    shape: { kind: 'strip-across', join },
    fit: { name: fit },
    fittings: flap ? [{ kind: 'flap' }] : [],
  }));

function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  return value && typeof value === 'object' ? Object.values(value).flatMap(numbersIn) : [];
}

function faultsOf(plan: Plan): readonly PlanFault[] {
  try {
    reckon(plan);
    return [];
  } catch (error) {
    if (error instanceof PlanProblem) return error.errors;
    throw error;
  }
}

describe('the field phone’s pouch, by hand', () => {
  const worked = reckon({
    ...phone,
    fabric: { ...phone.fabric, gauge: { stitches: [{ count: 20, overMm: 118 }], rows: [{ count: 24, overMm: 120 }] } },
  });
  const piece = worked.pieces[0]!;

  it('is 16 stitches wide and 87 rows long, in four sections', () => {
    // g 175.4 + 1 % + π × 4.34 = 190.8 round, 95.4 flat; / 5.91 = 16.2
    expect([piece.foundation.count, piece.stitches, piece.rows]).toEqual([17, 16, 87]);
    // front 164 + 2 + 7 + 3.4 = 176.4; back 174.4; turn 6.8 + √(14² + 2²) + 4.3 = 25.3; flap 61; each boundary over 5.004
    expect(piece.sections.map(({ name, rows }) => `${name} ${rows}`)).toEqual([
      'front 35',
      'back 35',
      'turn 5',
      'flap 12',
    ]);
  });

  it('offers one less and one more, each with what it does', () => {
    expect(worked.choices[0]!.options.map(({ count, verdict, best }) => [count, verdict, best])).toEqual([
      [15, 'tight', false],
      [16, 'fits', true],
      [17, 'loose', false],
    ]);
  });

  it('makes the loop long enough for its button and places the button where the loop lies straight', () => {
    const loop = worked.fittings.find(({ kind }) => kind === 'button-loop')!;
    // 2 (20 + 4) / 1.03 = 46.6; chains of 6.38
    expect(loop.figures.asked!.value).toBeCloseTo(46.6, 1);
    expect(loop.figures.chains!.value).toBe(8);
    const flap = worked.fittings.find(({ kind }) => kind === 'flap')!;
    expect(loop.figures.buttonBelowFrontTop!.value).toBeCloseTo(
      flap.figures.edgeBelowFrontTop!.value + loop.figures.length!.value / 2,
      6,
    );
  });

  it('comes down the front as far as the flap was asked to, to within the rounding of rows', () => {
    const edge = worked.fittings.find(({ kind }) => kind === 'flap')!.figures.edgeBelowFrontTop!.value;
    expect(Math.abs(edge - 61)).toBeLessThanOrEqual(worked.fabric.rowHeight.value / 2 + 1e-6);
  });

  it('ends with nothing sewn shut: sides, then the button through one layer, then tails', () => {
    const ids = worked.steps.map(({ id }) => id);
    expect(ids.slice(-6)).toEqual(['fasten-off-body', 'fold', 'join-sides', 'join-sides-2', 'sew-button', 'weave-in']);
    expect(worked.steps.find(({ id }) => id === 'sew-button')!.text).toMatch(/front layer only/);
  });

  it('follows another count', () => {
    const wider = reckon({ ...phone, picks: { width: 17 } });
    expect(wider.pieces[0]!.stitches).toBe(17);
    expect(wider.choices[0]!.options.filter(({ chosen }) => chosen).map(({ count }) => count)).toEqual([17]);
    expect(wider.advice.map(({ id }) => id)).toContain('picked-count-misfits');
    expect(wider.steps.find(({ row }) => row === 87)!.text).toMatch(/next 9 stitches.*slip stitch.*next 8 stitches/);
    // one far off is listed with its own neighbours, so that the choice goes on from it
    const far = reckon({ ...phone, picks: { width: 40 } }).choices[0]!.options;
    expect(far.map(({ count }) => count)).toEqual([15, 16, 17, 39, 40, 41]);
    expect(far.filter(({ chosen }) => chosen).map(({ count }) => count)).toEqual([40]);
  });
});

describe('any strip for any slab', () => {
  it('never shows a number that is not finite, nor a count below one', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const worked = reckon(plan);
        expect(numbersIn({ ...worked, steps: [] }).every(Number.isFinite)).toBe(true);
        for (const { stitches, rows, sections } of worked.pieces) {
          expect(Math.min(stitches, rows, ...sections.map((s) => s.rows))).toBeGreaterThanOrEqual(1);
        }
      }),
    );
  });

  it('is asked for to within a count: inside from the whole stitches, bottom and cover from the whole rows', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { inside, thing, wanted, fabric, pieces, ease } = reckon(plan);
        const off = inside.girth.value - (thing.girth.value + wanted.girth.value);
        // two faces, each at most 5/9 of a stitch off; two stitches are the least there are
        if (pieces[0]!.stitches > 2)
          expect(Math.abs(off)).toBeLessThanOrEqual((10 / 9) * fabric.stitchWidth.value + 1e-6);
        if (pieces[0]!.sections[0]!.rows > 1)
          expect(Math.abs(ease.cover.value - wanted.cover.value)).toBeLessThanOrEqual(
            fabric.rowHeight.value / 2 + 1e-6,
          );
      }),
    );
  });

  it('writes rows that work: each uses just what the one before made and ends on what it claims', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        expect(refereePiece(reckon(plan).steps, 'body').faults).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it('is the same twice, and leaves its plan as it was', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const before = JSON.stringify(plan);
        expect(JSON.stringify(reckon(plan))).toBe(JSON.stringify(reckon(plan)));
        expect(JSON.stringify(plan)).toBe(before);
      }),
      { numRuns: 30 },
    );
  });
});

describe('a plan drawn on', () => {
  it.each(Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const))(
    'shows of %s what the reckoning of each count picked shows',
    (_, plan) => {
      const draw = reckonPicks(plan);
      const [choice] = reckon(plan).choices;
      for (const { count } of choice!.options) {
        const picks = { ...plan.picks, [choice!.id]: count };
        const { views, choices } = reckon({ ...plan, picks });
        expect(draw(picks)).toEqual({ views, choices });
      }
    },
  );

  it('refuses what the reckoning refuses', () => {
    const misplaced: Plan = { ...phone, shape: { kind: 'saddle' } };
    expect(() => reckonPicks(misplaced)).toThrow(PlanProblem);
  });
});

describe('plans that cannot be reckoned', () => {
  const withFittings = (fittings: Plan['fittings']) => faultsOf({ ...phone, fittings });

  it.each([
    ['a loop without its flap', withFittings([{ kind: 'button-loop' }]), 'fittings[0].kind', /needs a flap/],
    ['two flaps', withFittings([{ kind: 'flap' }, { kind: 'flap' }]), 'fittings[1].kind', /already/],
    [
      'a flap past the bottom',
      withFittings([{ kind: 'flap', overlapMm: 400 }]),
      'fittings[0].overlapMm',
      /400 mm.*164 mm or less/,
    ],
    [
      'a button wider than half the flap',
      withFittings([{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 70 }]),
      'fittings[1].buttonMm',
      /70 mm.*or less/,
    ],
    [
      'a button below the bottom',
      withFittings([{ kind: 'flap', overlapMm: 160 }, { kind: 'button-loop' }]),
      'fittings[1].buttonMm',
      /Let the flap reach .* or less/,
    ],
  ])('says where and how to mend %s', (_, faults, path, message) => {
    expect(faults).toEqual([{ path, message: expect.stringMatching(message) }]);
  });

  it.each<[string, unknown, string]>([
    ['a wrong format name', { ...phone, format: 'other/1' }, 'format'],
    ['an unknown shape', { ...phone, shape: { kind: 'cone' } }, 'shape.kind'],
    ['a string where a number belongs', { ...phone, thing: { ...phone.thing, width: { mm: '78' } } }, 'thing.width.mm'],
    ['nothing at all wide', { ...phone, thing: { ...phone.thing, width: { mm: 0 } } }, 'thing.width.mm'],
    ['less than nothing', { ...phone, thing: { ...phone.thing, depth: { mm: -1 } } }, 'thing.depth.mm'],
    ['ten kilometres', { ...phone, thing: { ...phone.thing, width: { mm: 1e7 } } }, 'thing.width.mm'],
    [
      'a swatch of no stitches',
      { ...phone, fabric: { ...phone.fabric, gauge: { stitches: [{ count: 0, overMm: 100 }] } } },
      'fabric.gauge.stitches[0].count',
    ],
    ['a yarn without a size', { ...phone, fabric: { ...phone.fabric, yarn: {} } }, 'fabric.yarn.metresPer100g'],
    ['two eases', { ...phone, fit: { name: 'snug', easeMm: 1, easePercent: 1 } }, 'fit'],
    ['a list for a plan', [], 'plan'],
  ])('names the path of %s', (_, plan, path) => {
    const checked = checkPlan(plan);
    expect(checked.ok ? [] : checked.errors.map((e) => e.path)).toContain(path);
  });

  it('reads text: not JSON, and too much of it', () => {
    expect(() => parsePlan('{"format":')).toThrow(/plan: Not JSON/);
    expect(() => parsePlan(' '.repeat(LONGEST_PLAN + 1))).toThrow(/at most/);
    expect(parsePlan(JSON.stringify(phone))).toEqual(phone);
  });
});

describe('advice', () => {
  it('warns of a chain too tight for the opening it becomes', () => {
    const tight = { ...phone.fabric, gauge: { ...phone.fabric.gauge, chains: [{ count: 20, overMm: 95 }] } };
    expect(reckon({ ...phone, fabric: tight }).advice.map(({ id }) => id)).toContain('foundation-puckers');
  });
});
