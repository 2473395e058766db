import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { PlanProblem, type PlanFault } from '../../base/figure';
import { checkPlan } from '../../out/formats';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { SHAPES } from '../../shapes';
import { anyPlanOf } from '../../shapes/fixtures/anyPlan';
import { MOST_COURSES, MOST_STITCHES } from './index';
import type { Worked } from '../../reckon/types';

const plans = Object.values(TERN_POINT.plans);
const planOf = (kind: string): Plan => plans.find(({ shape }) => shape.kind === kind)!;

function outcome(plan: Plan): Worked | readonly PlanFault[] {
  try {
    return reckon(plan);
  } catch (error) {
    if (error instanceof PlanProblem) return error.errors;
    throw error;
  }
}

const messages = (plan: Plan) => {
  const came = outcome(plan);
  return 'format' in came ? '' : came.map(({ message }) => message).join(' ');
};

describe('a disc', () => {
  const flask = planOf('disc-wall');
  const disc = (rounds: number): Plan => ({
    ...flask,
    // 10 mm of fabric for every round: the base is as many rounds as its radius has of them
    thing: { kind: 'loose', width: { mm: Math.min(5000, 10 * rounds * Math.PI) }, height: { mm: 100 } },
    fabric: {
      ...flask.fabric,
      stitch: 'single',
      gauge: { roundStitches: [{ count: 20, overMm: 200 }], rounds: [{ count: 20, overMm: (20 * 1600) / rounds }] },
    },
    shape: { kind: 'disc-wall', start: 3, each: 2 },
    fittings: [],
  });

  it('of 500 rounds is made, round by round', () => {
    const came = outcome(disc(500)) as Worked;
    const base = came.pieces[0]!.sections.find(({ name }) => name === 'base')!;
    expect(base.rows).toBeGreaterThan(450);
    expect(came.pieces[0]!.roundCounts!.slice(0, 3)).toEqual([3, 5, 7]);
  });

  it('of 2,000 rounds is refused, with what would help', () => {
    expect(messages(disc(2000))).toMatch(/stitches in a row or round are more than the 2000.*thicker yarn/);
  });
});

it.each(SHAPES.map(({ id }) => [id]))('%s never builds more than the bounds allow, whatever the gauge', (shape) => {
  const fine = fc.double({ min: 0.05, max: 1, noNaN: true });
  fc.assert(
    fc.property(anyPlanOf(shape), fine, (plan, mm) => {
      const measures = [{ count: 20, overMm: 20 * mm }];
      const gauge = { stitches: measures, rows: measures, roundStitches: measures, rounds: measures };
      const came = outcome({ ...plan, fabric: { ...plan.fabric, stitch: 'single', gauge } });
      if (!('format' in came)) return;
      for (const { stitches, rows, roundCounts = [] } of came.pieces) {
        expect(Math.max(stitches, ...roundCounts)).toBeLessThanOrEqual(MOST_STITCHES);
        expect(rows).toBeLessThanOrEqual(MOST_COURSES);
      }
    }),
    { numRuns: 25 },
  );
});

it('a saddle is one piece: its pockets and the way over count together', () => {
  const fine = [{ count: 20, overMm: 9.5 }];
  const saddle = planOf('saddle');
  const came = messages({
    ...saddle,
    thing: { kind: 'slab', width: { mm: 10 }, height: { mm: 3600 }, depth: { mm: 0 } },
    fabric: {
      ...saddle.fabric,
      stitch: 'single',
      gauge: { stitches: fine, rows: fine, roundStitches: fine, rounds: fine },
    },
    shape: { kind: 'saddle' },
  });
  expect(came).toMatch(/rows or rounds in a piece are more than the 5000/);
});

describe('lists', () => {
  const wrap = planOf('two-panels');
  const tool = { length: { mm: 150 }, grip: { mm: 9 } };
  const tools = (entries: number, count: number) => Array.from({ length: entries }, () => ({ ...tool, count }));

  it('of more than 200 single things are refused, alone and within a set', () => {
    expect(messages({ ...wrap, thing: { kind: 'tools', tools: tools(10, 21) } })).toMatch(
      /210 things are more than the 200/,
    );
    const members = Array.from({ length: 3 }, () => ({ kind: 'tools', tools: tools(4, 20) }));
    expect(messages({ ...planOf('saddle'), thing: { kind: 'set', members } })).toMatch(
      /240 things are more than the 200/,
    );
  });

  it('of picks are bounded like all others', () => {
    const picks = Object.fromEntries(Array.from({ length: 21 }, (_, index) => [`pick ${index}`, 5]));
    const checked = checkPlan({ ...wrap, picks });
    expect(checked.ok ? [] : checked.errors).toEqual([
      { path: 'picks', message: expect.stringMatching(/More than 20/) },
    ]);
  });

  it('a picked count beyond the bounds is refused at the pick', () => {
    expect(outcome({ ...wrap, picks: { width: 2001 } })).toEqual([
      { path: 'picks.width', message: expect.stringMatching(/^2001 stitches/) },
    ]);
  });
});
