import fc from 'fast-check';
import { anyFormed } from '../../plan/fixtures/anyForm';
import type { Plan } from '../../plan/plan';
import { workOut } from '../../reckon/build';
import { PlanProblem } from '../../base/figure';
import { reckon } from '../../reckon/reckon';
import { metresIn, ONE_YARN, takenBy, takesOf, type Takes } from './takes';

function madeOrSkipped(plan: Plan): { takes: Takes; worked: ReturnType<typeof reckon> } {
  try {
    const worked = reckon(plan);
    return { takes: takesOf(plan, workOut(plan), worked), worked };
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    fc.pre(false);
    throw error;
  }
}

it('what is done and what is left are the whole, at every step: minutes, stitches, metres of each colour', () => {
  fc.assert(
    fc.property(anyFormed, fc.double({ min: 0, max: 1, noNaN: true }), (plan, share) => {
      const { takes, worked } = madeOrSkipped(plan);
      const { supplies } = worked;
      const at = Math.floor(share * takes.steps.length);
      const place = new Map(takes.steps.map(({ id }, index) => [id, index]));
      const done = takenBy(takes, ({ id }) => place.get(id)! < at);
      const left = takenBy(takes, ({ id }) => place.get(id)! >= at);
      expect(done.minutes + left.minutes).toBeCloseTo(supplies.time.value, 6);
      expect(done.stitches + left.stitches).toBeCloseTo(supplies.stitches, 6);
      expect(metresIn(done) + metresIn(left)).toBeCloseTo(supplies.yarn.metres.value, 6);
      const needs =
        supplies.byColour.length > 0 ? supplies.byColour : [{ name: ONE_YARN, metres: supplies.yarn.metres.value }];
      for (const { name, metres } of needs)
        expect((done.metres.get(name) ?? 0) + (left.metres.get(name) ?? 0)).toBeCloseTo(metres, 6);
      for (const { minutes, stitches, metres } of takes.each.values())
        for (const one of [minutes, stitches, ...metres.values()]) expect(one).toBeGreaterThanOrEqual(0);
    }),
    { numRuns: Number(process.env.RUNS ?? 120) },
  );
});

describe('of two panels', () => {
  const panels = (more: object = {}): Plan =>
    ({
      format: 'keep-snug.plan/1',
      title: 'two',
      thing: { kind: 'slab', width: { mm: 80 }, height: { mm: 160 }, depth: { mm: 10 } },
      fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
      shape: { kind: 'two-panels', edging: 1, ...more },
      fit: { name: 'snug' },
      fittings: [],
    }) as Plan;

  it('the second is still to come when the first is done', () => {
    const { takes, worked } = madeOrSkipped(panels());
    const first = takenBy(
      takes,
      ({ copy, section, again }) => copy === undefined && !again && section !== 'joining' && section !== 'finishing',
    );
    const second = takenBy(takes, ({ copy }) => copy !== undefined);
    expect(second.minutes / first.minutes).toBeCloseTo(1, 1);
    expect(metresIn(second) / metresIn(first)).toBeCloseTo(1, 1);
    expect(metresIn(second)).toBeGreaterThan(0.4 * worked.supplies.yarn.metres.value);
  });

  it('each takes of its own colour', () => {
    const { takes } = madeOrSkipped(panels({ secondColour: 'sand' }));
    const second = takenBy(takes, ({ copy, row }) => copy !== undefined && row !== null);
    expect([...second.metres.keys()]).toEqual(['sand']);
  });
});
