import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { bandsSeen, portraitSvg, type Side, type SidePart, type InkNode, UNDYED } from '../drawing/portrait';
import { anyPlanOf, reckonOrRefuse } from '../shapes/fixtures/anyPlan';
import { SHAPES } from '../shapes';
import { PlanProblem } from '../base/figure';
import type { Plan } from '../plan/plan';
import { portraitOf } from './portrait';
import { reckon } from './reckon';
import type { Worked } from './types';

const SAMPLES = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

const flat = (nodes: readonly InkNode[]): InkNode[] => nodes.flatMap((node) => [node, ...flat(node.children)]);

const weaveOf = ({ fabric }: Plan) => ({
  weave: { stitch: fabric.stitch, pattern: fabric.pattern } as Parameters<typeof bandsSeen>[1]['weave'],
  hexOf: () => UNDYED,
});

const seen = (side: Side, type: SidePart['type']) => side.parts.filter((part) => part.type === type);

/** All that is painted, as text. */
const written = (plan: Plan, worked: Worked, hand: 'left' | 'right' = 'right') => {
  const { sides, paint } = portraitOf(plan, worked, hand);
  return sides.map((side) => portraitSvg(paint(side, `${side.id}-`), { width: 400, height: 400 }, side.text));
};

describe.each(SAMPLES)('the portrait of %s', (_, plan) => {
  const worked = reckon(plan);
  const { sides, paint } = portraitOf(plan, worked, 'right');
  const folded = worked.views.find(({ id }) => id === 'folded')!;

  it('has a front and a back, and a number for every place', () => {
    expect(sides.map(({ id }) => id).slice(0, 2)).toEqual(['front', 'back']);
    for (const svg of written(plan, worked)) expect(svg).not.toMatch(/NaN|Infinity|undefined/);
  });

  it('shows as many stitches and rows as are drawn of each part', () => {
    for (const side of sides)
      for (const part of side.parts) {
        if (part.type !== 'cloth' || part.rows.stacked === 'out' || part.rows.rounds) continue;
        const bands = bandsSeen(part, weaveOf(plan));
        expect(bands.every(({ stitches }) => stitches === part.rows.stitches)).toBe(true);
        const along = part.rows.stacked === 'x' ? bands.map(({ box }) => box.w) : bands.map(({ box }) => box.h);
        const whole = part.rows.stacked === 'x' ? part.w : part.h;
        expect(along.reduce((sum, one) => sum + one, 0)).toBeCloseTo(whole, 6);
        if (!part.rows.bands) expect(bands[0]!.rows).toBe(part.rows.count);
      }
  });

  it('has button, loop and holes where the drawing has them', () => {
    const front = sides[0]!;
    for (const type of ['button', 'loop', 'dots', 'line'] as const)
      expect(seen(front, type)).toEqual(folded.parts.filter((part) => part.type === type));
  });

  it('defines each name once, and no name of another', () => {
    const ids = sides.flatMap((side) => flat(paint(side, `${side.id}-`).nodes).flatMap(({ props }) => props.id ?? []));
    expect(new Set(ids).size).toBe(ids.length);
    const used = sides.flatMap((side) =>
      flat(paint(side, `${side.id}-`).nodes).flatMap(({ props }) =>
        [props.fill, props.clipPath].flatMap((one) => /url\(#(.*)\)/.exec(String(one))?.[1] ?? []),
      ),
    );
    expect(used.filter((id) => !ids.includes(id))).toEqual([]);
  });

  it('lies within its box, mirrored for the left hand', () => {
    const left = portraitOf(plan, worked, 'left').sides[0]!;
    expect(left.box.width).toBeCloseTo(sides[0]!.box.width, 6);
    expect(seen(left, 'button')).toEqual(
      seen(sides[0]!, 'button').map((part) => ({ ...part, x: folded.width - (part as { x: number }).x })),
    );
  });

  it('is drawn in few elements', () => {
    expect(flat(paint(sides[0]!, '').nodes).length).toBeLessThan(400);
  });
});

describe('a portrait while it is made', () => {
  const plan = SAMPLES[0]![1];
  const worked = reckon(plan);
  const { id, rows } = worked.pieces[0]!;
  const filled = (made: number) => {
    const { sides, paint } = portraitOf(plan, worked, 'right', { [id]: made });
    return flat(paint(sides[0]!, '').nodes).filter(({ tag, props }) => tag === 'rect' && 'y' in props).length;
  };

  it('shows no yarn before the first row, some after it, all sections at the end', () => {
    expect(filled(0)).toBe(0);
    expect(filled(1)).toBe(1);
    expect(filled(rows)).toBe(2);
  });

  it('shows as many rows as are done', () => {
    const { sides, paint } = portraitOf(plan, worked, 'right', { [id]: 10 });
    const yarn = flat(paint(sides[0]!, '').nodes).find(({ tag, props }) => tag === 'rect' && 'y' in props)!;
    const all = portraitOf(plan, worked, 'right');
    const whole = flat(all.paint(all.sides[0]!, '').nodes).find(({ tag, props }) => tag === 'rect' && 'y' in props)!;
    // a little of the front has turned under the bottom
    const front = sides[0]!.parts.find((part) => part.type === 'cloth' && part.role === 'front') as {
      rows: { count: number };
    };
    expect(Number(yarn.props.height) / Number(whole.props.height)).toBeCloseTo(10 / front.rows.count, 2);
  });
});

describe('a portrait of what does not fit', () => {
  const plan = SAMPLES[0]![1];
  const { choices } = reckon(plan);
  const { id, options } = choices[0]!;
  const narrow = options.find(({ verdict }) => verdict === 'tight')!;
  const red = (other: Plan) => {
    const { sides, paint } = portraitOf(other, reckon(other), 'right');
    return flat(paint(sides[0]!, '').nodes).filter(({ props }) => props.stroke === '#B3362B').length;
  };

  it('is hatched where it lacks, and only then', () => {
    expect(red(plan)).toBe(0);
    expect(red({ ...plan, picks: { [id]: narrow.count } })).toBe(1);
  });
});

describe('portraits of all shapes', () => {
  it.each(SHAPES.map(({ id }) => id))('paints whatever %s is reckoned', (shape) => {
    fc.assert(
      fc.property(anyPlanOf(shape), (plan) => {
        const worked = reckonOrRefuse(plan);
        if (worked instanceof PlanProblem) return;
        for (const hand of ['right', 'left'] as const)
          for (const svg of written(plan, worked, hand)) expect(svg).not.toMatch(/NaN|Infinity|undefined/);
        const front = portraitOf(plan, worked, 'right').sides[0]!;
        const folded = worked.views.find(({ id }) => id === 'folded') ?? worked.views[0]!;
        // what is fastened to it sits where its figures say, on whatever it is
        for (const type of ['button', 'loop', 'dots', 'line'] as const)
          expect(seen(front, type)).toEqual(folded.parts.filter((part) => part.type === type));
        for (const part of front.parts) {
          if (part.type !== 'cloth' || part.rows.stacked === 'out' || part.rows.rounds) continue;
          const bands = bandsSeen(part, weaveOf(plan));
          expect(bands.reduce((sum, { rows }) => sum + rows, 0)).toBe(
            part.rows.bands?.reduce((sum, { rows }) => sum + rows, 0) ?? part.rows.count,
          );
        }
      }),
      { numRuns: 40 },
    );
  });
});
