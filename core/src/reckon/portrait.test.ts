import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { bandsMade, bandsSeen, portraitSvg, type Side, type SidePart, type InkNode, UNDYED } from '../drawing/portrait';
import { anyPlanOf, reckonOrRefuse } from '../shapes/fixtures/anyPlan';
import { shapeDefinition, SHAPES } from '../shapes';
import { belongsOn, FITTINGS, fittingDefinition, giverOf } from '../fittings';
import { PlanProblem } from '../base/figure';
import type { Plan } from '../plan/plan';
import { portraitOf, shareMade } from './portrait';
import type { View } from '../drawing';
import { reckon } from './reckon';
import type { Worked } from './types';

const SAMPLES = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

const flat = (nodes: readonly InkNode[]): InkNode[] => nodes.flatMap((node) => [node, ...flat(node.children)]);

const weaveOf = ({ fabric }: Plan) => ({
  weave: { stitch: fabric.stitch, pattern: fabric.pattern } as Parameters<typeof bandsSeen>[1]['weave'],
  hexOf: () => UNDYED,
});

const seen = (side: Side, type: SidePart['type']) => side.parts.filter((part) => part.type === type);

const isDrawn = ({ parts }: Pick<View, 'parts'>) => parts.some((part) => part.type === 'dots' && part.draws);

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
    // a cord draws all in that lies by it: as it was worked it is seen open
    const side = sides.find(({ id }) => id === (isDrawn(folded) ? 'open' : 'front'))!;
    for (const type of ['button', 'loop', 'dots', 'line'] as const)
      expect(seen(side, type)).toEqual(folded.parts.filter((part) => part.type === type));
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

  it('is pressed out by half of what it lacks at each side, its stitches as many', () => {
    const other = { ...plan, picks: { [id]: narrow.count } };
    const worked = reckon(other);
    const { sides, paint } = portraitOf(other, worked, 'right');
    const [straight, bowed] = [sides[0]!.box, paint(sides[0]!, '').box];
    const least = straight.width + -worked.choices[0]!.options.find(({ chosen }) => chosen)!.easeMm;
    expect(bowed.width).toBeGreaterThanOrEqual(least);
  });

  it('is hatched where it lacks, and only then', () => {
    expect(red(plan)).toBe(0);
    expect(red({ ...plan, picks: { [id]: narrow.count } })).toBe(1);
  });
});

describe('a cord that is drawn tight', () => {
  const plan = SAMPLES.find(([title]) => title === 'Wash house soap bag')![1];
  const worked = reckon(plan);
  const { sides, paint } = portraitOf(plan, worked, 'right');
  const [front, open] = [sides[0]!, sides.find(({ id }) => id === 'open')!];
  const clothOf = (side: Side) => side.parts.find((part) => part.type === 'cloth')!;

  it('closes over what it holds, and opens as it was worked', () => {
    expect(seen(front, 'thing')).toEqual([]);
    expect(seen(open, 'thing')).toHaveLength(1);
    expect(clothOf(open).gather).toBeUndefined();
  });

  it('has every stitch of every row, in the width of the bundle', () => {
    const cloth = clothOf(front);
    const { neck, at } = cloth.gather!;
    // front and back, each as wide as the piece and as thick as its fabric, in one round
    const bundle = 2 * Math.sqrt((2 * cloth.w * worked.fabric.thickness.value) / Math.PI);
    expect(neck * cloth.w).toBeCloseTo(Math.min(bundle, 0.8 * cloth.w), 6);
    const bands = bandsMade(cloth, { ...weaveOf(plan), weave: { ...weaveOf(plan).weave } } as never);
    expect(bands.reduce((sum, { rows }) => sum + rows, 0)).toBe(cloth.rows.count);
    for (const { stitches } of bands) expect(stitches).toBe(cloth.rows.stitches);
    const tied = bands.find(({ box }) => box.y <= at && box.y + box.h > at)!;
    expect(tied.box.w).toBeLessThan(cloth.w * (neck + 0.2));
  });

  it('is drawn through no piece that is still being worked', () => {
    const begun = portraitOf(plan, worked, 'right', { [worked.pieces[0]!.id]: 5 });
    for (const side of begun.sides)
      for (const part of side.parts) if (part.type === 'cloth') expect(part.gather).toBeUndefined();
  });

  it('keeps its holes on the fabric', () => {
    const cloth = clothOf(front);
    const dots = front.parts.find((part) => part.type === 'dots');
    const half = (cloth.gather!.neck * cloth.w) / 2;
    for (const [x] of dots!.points) expect(Math.abs(x - cloth.x - cloth.w / 2)).toBeLessThanOrEqual(half);
  });

  it('is painted in few elements for all that', () => {
    expect(flat(paint(front, '').nodes).length).toBeLessThan(400);
  });
});

describe('a packet pulled open', () => {
  const plan = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'packet')!;
  const { sides } = portraitOf(plan, reckon(plan), 'right');

  it('shows what it holds in its slit, and nowhere past its edges', () => {
    const open = sides.find(({ id }) => id === 'open')!;
    const thing = open.parts.find((part) => part.type === 'thing');
    const cloth = open.parts.find((part) => part.type === 'cloth')!;
    expect(thing!.y).toBeGreaterThan(cloth.y);
    expect(thing!.y + thing!.h).toBeLessThan(cloth.y + cloth.h);
    expect(open.parts.at(-1)).toBe(thing);
  });
});

describe('joins as they are seen', () => {
  const plan = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'strip-across')!;
  const joinedBy = (join: string) => {
    const joined: Plan = { ...plan, shape: { ...plan.shape, join } };
    const { sides, paint } = portraitOf(joined, reckon(joined), 'right');
    const edges = sides[0]!.parts.filter((part) => part.type === 'ribbon' && part.on === 'edge');
    return { edges, svg: portraitSvg(paint(sides[0]!, ''), { width: 100, height: 100 }, '') };
  };

  it.each(['single', 'slip', 'reverse', 'whip', 'mattress'])('%s lies along both sides', (join) => {
    expect(joinedBy(join).edges).toHaveLength(2);
  });

  it('looks another way for each', () => {
    const seenAs = ['single', 'slip', 'reverse', 'whip', 'mattress'].map((join) => joinedBy(join).svg);
    expect(new Set(seenAs).size).toBe(seenAs.length);
  });
});

describe('a portrait of what came out', () => {
  const plan = SAMPLES[0]![1];
  const { sides, paint } = portraitOf(plan, reckon(plan), 'right');
  const front = sides[0]!;

  it('is as wide and high as was measured, within what was planned', () => {
    const share = shareMade([
      { of: 'width', planned: 100, made: 90 },
      { of: 'height', planned: 200, made: 210 },
      { of: 'girth', planned: 200 },
      { of: 'depth', planned: 190 },
    ])!;
    expect(share).toEqual({ width: 0.9, height: 1.05 });
    const planned = paint(front, '').box;
    const { box, nodes } = paint(front, '', { share });
    expect(box.width).toBeCloseTo(planned.width, 1);
    // it stands on its lower edge
    expect(box.height).toBeGreaterThan(planned.height * 1.03);
    const cloths = front.parts.filter(({ type }) => type === 'cloth').length;
    expect(nodes.filter(({ props }) => props.strokeDasharray)).toHaveLength(cloths);
  });

  it('takes a girth for a width that was not measured, and nothing for nothing', () => {
    expect(shareMade([{ of: 'girth', planned: 200, made: 220 }])).toEqual({ width: 1.1, height: 1 });
    expect(shareMade([{ of: 'width', planned: 200 }])).toBeUndefined();
  });
});

describe('a portrait with nothing in it', () => {
  it.each(SAMPLES)('of %s shows no thing, and is as large', (_, plan) => {
    const { sides, paint } = portraitOf(plan, reckon(plan), 'right');
    for (const side of sides) {
      const [whole, empty] = [paint(side, ''), paint(side, '', { empty: true })];
      expect(empty.box).toEqual(whole.box);
      const things = seen(side, 'thing').length;
      expect(flat(whole.nodes).length - flat(empty.nodes).length).toBeGreaterThanOrEqual(things);
      expect(flat(empty.nodes).some(({ props }) => props.fill === '#6D7B82')).toBe(false);
    }
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
        const { sides } = portraitOf(plan, worked, 'right');
        const folded = worked.views.find(({ id }) => id === 'folded') ?? worked.views[0]!;
        const front = sides.find(({ id }) => id === (isDrawn(folded) ? 'open' : 'front'))!;
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

describe('portraits of every fitting on every shape of the sample data', () => {
  const carriers = {
    bar: { kind: 'bar', diameter: { mm: 40 }, dropFront: { mm: 60 }, dropBack: { mm: 60 } },
    body: { kind: 'body', loop: { mm: 1500 } },
  } as const;
  const ofEachShape = SHAPES.flatMap(({ id }) => SAMPLES.find(([, { shape }]) => shape.kind === id)?.[1] ?? []);
  const known = new Set<string>();

  it.each(FITTINGS.map(({ id }) => [id]))(
    '%s: its stitches are its courses’, what is fastened lies where it is planned',
    (kind) => {
      const fitting = fittingDefinition(kind)!;
      const needed = giverOf(fitting);
      for (const plain of ofEachShape) {
        if (!belongsOn(shapeDefinition(plain.shape.kind)!, fitting)) continue;
        const plan = {
          ...plain,
          // a second layer hangs on loops that only one stitch leaves free
          fabric: kind === 'second-layer' ? { ...plain.fabric, stitch: 'single-back-loop', pattern: {} } : plain.fabric,
          carrier: plain.carrier ?? carriers[kind === 'strap' ? 'body' : 'bar'],
          fittings: [...(needed ? [{ kind: needed.id }] : []), { kind }],
        } as unknown as Plan;
        const worked = reckonOrRefuse(plan);
        if (worked instanceof PlanProblem) continue;
        known.add(kind);
        const { sides, paint } = portraitOf(plan, worked, 'right');
        const folded = worked.views.find(({ id }) => id === 'folded') ?? worked.views[0]!;
        const side = sides.find(({ id }) => id === (isDrawn(folded) ? 'open' : 'front'))!;
        for (const type of ['button', 'loop', 'dots', 'line'] as const)
          expect(seen(side, type)).toEqual(folded.parts.filter((part) => part.type === type));
        // what is laid out in tiles, in their columns, to the half stitch of an odd round: a course, the half of a round that is seen, a section of a course along
        const counts = [
          ...worked.steps.flatMap(({ ends }) => (ends === null ? [] : [ends, ends / 2])),
          ...worked.pieces.flatMap(({ sections }) => sections.map((section) => section.stitches)),
        ];
        for (const part of side.parts) {
          if (part.type !== 'cloth' || part.rows.stacked === 'out') continue;
          const painted = paint({ ...side, parts: [part] }, '');
          const laid = flat(painted.nodes).filter(
            ({ tag, props }) => tag === 'rect' && String(props.fill).startsWith('url(#t'),
          );
          const widths = laid.map(({ props }) => Number(props.width));
          for (const wide of widths.length > 1 && part.rows.bands?.some(({ runs }) => runs) ? [] : widths)
            expect(Math.min(...counts.map((count) => Math.abs(count - wide)))).toBeLessThanOrEqual(0.5);
        }
      }
      expect(known.has(kind)).toBe(true);
    },
  );
});
