import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { SHAPES, type Part, type View } from '..';

const phone = Object.values(TERN_POINT.plans)[0]!;
const every = Object.values(TERN_POINT.plans)
  .filter(({ shape }) => shape.kind === 'strip-across')
  .map((plan) => [plan.title, plan] as const);
type Cloth = Extract<Part, { type: 'cloth' }>;
const cloths = (view: View) => view.parts.filter((part): part is Cloth => part.type === 'cloth');
const inView = (plan: Plan, id: View['id']) => reckon(plan).views.find((view) => view.id === id)!;

describe('the flat drawing', () => {
  it.each(every)('tiles %s with its sections, end to end, as wide as the piece', (_, plan) => {
    const view = inView(plan, 'flat');
    let reached = 0;
    for (const cloth of cloths(view)) {
      expect(cloth.x).toBeCloseTo(reached, 6);
      expect(cloth.h).toBeCloseTo(view.height, 6);
      reached += cloth.w;
    }
    expect(reached).toBeCloseTo(view.width, 6);
  });

  it.each(every)('dimensions every section of %s, and its width with the count', (_, plan) => {
    const { views, pieces } = reckon(plan);
    const dimensions = views[0]!.parts.filter((part) => part.type === 'dimension');
    const along = dimensions.filter((d) => d.along === 'x');
    expect(along.map(({ mm }) => mm)).toEqual(pieces[0]!.sections.map(({ mm }) => mm));
    expect(dimensions.find((d) => d.along === 'y')).toMatchObject({
      mm: pieces[0]!.width.value,
      count: `${pieces[0]!.stitches} stitches`,
      choice: 'width',
    });
  });

  it('folds between sections, and lays the item on the back', () => {
    const view = inView(phone, 'flat');
    const folds = view.parts.flatMap((part) => (part.type === 'fold' ? [part.x1] : []));
    const [front, back] = cloths(view) as [Cloth, Cloth];
    expect(folds).toHaveLength(3);
    expect(folds[0]).toBeCloseTo(front.w, 6);
    const thing = view.parts.find((part) => part.type === 'thing')!;
    expect(thing.x).toBeGreaterThan(back.x);
    expect(thing.x + thing.w).toBeLessThanOrEqual(back.x + back.w + reckon(phone).fabric.rowHeight.value);
    expect(thing.y + thing.h / 2).toBeCloseTo(view.height / 2, 6);
  });
});

describe('the folded drawing', () => {
  it.each(every)('shows %s as wide as the piece, its flap no lower than its bottom', (_, plan) => {
    const { views, pieces } = reckon(plan);
    const view = views[1]!;
    expect(view.width).toBeCloseTo(pieces[0]!.width.value, 6);
    for (const cloth of cloths(view)) expect(cloth.y + cloth.h).toBeLessThanOrEqual(view.height + 1e-6);
  });

  it('is open at the top where there is no flap, and says so in words', () => {
    const view = inView({ ...phone, fittings: [] }, 'folded');
    expect(cloths(view).map(({ role }) => role)).toEqual(['front']);
    expect(view.text).toMatch(/open at the top/);
  });
});

describe('what is told in words for those who do not see it', () => {
  it('names size and count of every section, in the reader’s unit', () => {
    const text = inView({ ...phone, schools: { units: 'cm' } }, 'flat').text;
    expect(text).toMatch(/16 stitches, 9\.4 cm wide; 87 rows, 43\.5 cm long/);
    expect(text).toMatch(/front 35 rows.*back 35 rows.*top fold 5 rows.*flap 12 rows/);
    expect(text).not.toMatch(/[{}]/);
  });
});

describe('joining', () => {
  const joined = (join: string) => reckon({ ...phone, shape: { kind: 'strip-across', join } });

  it('takes a quarter stitch from each side where it is sewn, and nothing where it is worked outside', () => {
    const inside = (join: string) => joined(join).inside.girth.value;
    const w = joined('single').fabric.stitchWidth.value;
    expect(joined('whip').pieces[0]!.stitches).toBe(joined('single').pieces[0]!.stitches + 1);
    expect(inside('slip')).toBeCloseTo(inside('single'), 9);
    expect(inside('mattress') - inside('single')).toBeCloseTo(2 * (1 - 0.5) * w, 6);
  });

  it('tells as many stitches up each side as its row ends are long', () => {
    const worked = joined('single');
    const step = worked.steps.find(({ id }) => id === 'join-sides')!;
    const [, stitches, rows] = /(\d+) single crochet along (\d+) row ends/.exec(step.text)!.map(Number);
    expect(rows).toBe(worked.pieces[0]!.sections[0]!.rows);
    expect(
      Math.abs(stitches! * worked.fabric.stitchWidth.value - rows! * worked.fabric.rowHeight.value),
    ).toBeLessThanOrEqual(worked.fabric.stitchWidth.value / 2);
  });

  it.each([
    ['single', /through both layers, .*: 30 single crochet/],
    ['slip', /both layers, .*: 30 slip stitches along/],
    ['whip', /whip stitch the row ends of both layers together/],
    ['mattress', /right side facing you, mattress stitch the row ends of both layers/],
  ])('is worded for %s', (join, words) => {
    expect(joined(join).steps.find(({ id }) => id === 'join-sides')!.text).toMatch(words);
  });
});

describe('depth', () => {
  it('grows each face by half of what the item is thicker', () => {
    const faces = (mm: number) => {
      const { pieces } = reckon({
        ...phone,
        fittings: [],
        thing: { ...phone.thing, depth: { mm }, edgeRadius: { mm: 0 } },
      });
      return pieces[0]!.sections.map((section) => section.mm);
    };
    const h = reckon(phone).fabric.rowHeight.value;
    const [thin, thick] = [faces(10), faces(50)];
    thin.forEach((mm, index) => expect(Math.abs(thick[index]! - mm - 20)).toBeLessThanOrEqual(h));
  });

  it('asks for more stitches round a thicker thing of the same width', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 15, max: 60, noNaN: true }),
        (thin, more) => {
          const count = (mm: number) =>
            reckon({ ...phone, fittings: [], thing: { ...phone.thing, depth: { mm }, edgeRadius: { mm: 0 } } })
              .pieces[0]!.stitches;
          expect(count(thin + more)).toBeGreaterThan(count(thin));
        },
      ),
      { numRuns: 40 },
    );
  });

  it('takes a thing with no depth at all, and one thicker than it is wide', () => {
    const flat = reckon({ ...phone, thing: { ...phone.thing, depth: { mm: 0 }, edgeRadius: { mm: 0 } } });
    expect(flat.thing.girth.value).toBe(156);
    const thick = reckon({ ...phone, thing: { ...phone.thing, depth: { mm: 120 } } });
    expect(thick.pieces[0]!.stitches).toBeGreaterThan(flat.pieces[0]!.stitches);
  });
});

it('every shape is whole: an id of its own, a summary, and things it takes', () => {
  expect(new Set(SHAPES.map(({ id }) => id)).size).toBe(SHAPES.length);
  for (const { summary, takes } of SHAPES) {
    expect(summary.length).toBeGreaterThan(10);
    expect(Object.values(takes)).toContain(true);
    // what it does not take it says why, and what to do instead
    for (const why of Object.values(takes)) if (why !== true) expect(why).toMatch(/\. [A-Z].*\.$/);
  }
});

it('ends level in front and behind at every height, where nothing goes on above', () => {
  for (const kind of ['strip-across', 'strip-along'])
    for (let height = 90; height < 116; height += 1) {
      const { pieces } = reckon({
        format: 'keep-snug.plan/1',
        title: 'slab',
        thing: { kind: 'slab', width: { mm: 110 }, height: { mm: height }, depth: { mm: 10 } },
        fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
        shape: { kind },
        fit: { name: 'snug' },
        fittings: [{ kind: 'zip' }],
      } as Plan);
      const [front, back] = pieces[0]!.sections;
      expect([front!.rows, front!.stitches]).toEqual([back!.rows, back!.stitches]);
    }
});
