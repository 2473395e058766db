import { borderCourses, edgesOf } from '../piece';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { edgingAround } from './common/stripWork';
import { workOut } from '../reckon/build';

/** A slab of 100 × 150 × 15 in a measured single, as it was audited by hand. */
const plan = (shape: Plan['shape'], more: Partial<Plan> = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'slab',
  thing: { kind: 'slab', width: { mm: 100 }, height: { mm: 150 }, depth: { mm: 15 } },
  fabric: {
    stitch: 'single',
    hookMm: 4,
    yarn: { metresPer100g: 190 },
    gauge: { stitches: [{ count: 20, overMm: 110 }], rows: [{ count: 20, overMm: 98 }] },
  },
  fit: { name: 'snug' },
  shape,
  ...more,
});

const metresOf = (shape: Plan['shape']) => reckon(plan(shape)).supplies.yarn.metres.value;

describe('the yarn of borders', () => {
  it.each([
    [{ kind: 'two-panels', edging: 1 }, 57.1],
    [{ kind: 'strip-across', edging: 5 }, 51],
  ])('of %j is counted', (shape, metres) => {
    // a row more or less is 2 % of it; without its borders a third would be missing
    expect(Math.abs(metresOf(shape) / metres - 1)).toBeLessThan(0.09);
  });

  it('grows with every round by two stitches in each of four corners, without which it would not lie flat', () => {
    const { built } = workOut(plan({ kind: 'two-panels', edging: 4 }));
    const [piece] = built.pieces;
    const edges = edgesOf(piece!);
    const counts = borderCourses(edgingAround(piece!, 4), ({ edge }) => edges[edge as 'left'])
      .map((parts) => parts.flatMap(({ instructions }) => instructions))
      .map((course) =>
        course.reduce((sum, one) => {
          if (one.do === 'group') return sum + 3;
          return one.do === 'work' || one.do === 'along' ? sum + one.times : sum;
        }, 0),
      );
    counts.slice(1).forEach((count, index) => expect(count - counts[index]!).toBe(8));
    // four rounds of 90 on the whole instead of 78 four times
    expect(metresOf({ kind: 'two-panels', edging: 4 })).toBeGreaterThan(51.8);
    expect(metresOf({ kind: 'two-panels', edging: 4 })).toBeLessThan(51.8 * 1.09);
  });
});

describe('what sits on a bordered strip', () => {
  const edged = (fittings: Plan['fittings'], edging = 3) =>
    reckon(
      plan(
        { kind: 'strip-across', edging },
        {
          thing: { kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } },
          ...(fittings ? { fittings } : {}),
        },
      ),
    );

  it('is not refused where flap and border together reach', () => {
    const worked = edged([{ kind: 'flap', overlapMm: 40 }, { kind: 'snap' }]);
    expect(worked.fittings.find(({ kind }) => kind === 'snap')!.figures.below!.value).toBeGreaterThan(25);
  });

  it('is placed from the border’s edge: deeper on the front the deeper that is', () => {
    const below = (edging: number) =>
      edged([{ kind: 'flap', overlapMm: 60 }, { kind: 'button-loop' }], edging).fittings[1]!.figures
        .buttonBelowFrontTop!.value;
    // the flap's own rows are as many fewer, to within a row
    expect(Math.abs(below(3) - below(0))).toBeLessThan(6);
  });

  it('an edging of the opening goes around the flap, and says how long its way is', () => {
    const { steps } = edged([{ kind: 'flap' }, { kind: 'edging', edging: 'loops' }], 0);
    const step = steps.find(({ id }) => id === 'work-edging')!;
    expect(step.text).not.toMatch(/around the opening/);
    expect(step.counted).toMatch(/^\d+ loops/);
    expect(2 * Number(/^\d+/.exec(step.counted!)![0])).toBeGreaterThan(60);
  });
});
