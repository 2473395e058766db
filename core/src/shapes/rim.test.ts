import fc from 'fast-check';
import { attempted } from '../base/figure';
import { belongsOn, fittingDefinition } from '../fittings';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { SHAPES } from './index';

const THINGS: Readonly<Record<string, Plan['thing']>> = {
  slab: { kind: 'slab', width: { mm: 80 }, height: { mm: 160 }, depth: { mm: 12 } },
  cylinder: {
    kind: 'cylinder',
    height: { mm: 200 },
    diameter: { mm: 70 },
    shoulderHeight: { mm: 150 },
    neckDiameter: { mm: 30 },
  },
};

const planOf = (kind: string, thing: string, fittings: Plan['fittings'], more: object = {}): Plan => ({
  format: 'keep-snug.plan/1',
  title: 'any',
  thing: THINGS[thing]!,
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
  shape: { kind, ...more },
  fit: { name: 'snug' },
  fittings: fittings ?? [],
});

const edged = SHAPES.filter((shape) => belongsOn(shape, fittingDefinition('edging')!)).map(({ id }) => id);
/** Whose ends lie over each other, whose pockets are sized by themselves, and a swatch. */
const OTHERS = ['packet', 'saddle', 'practice'];
const anyEdging = fc.record({
  kind: fc.constant('edging'),
  edging: fc.constantFrom('slip', 'single', 'reverse', 'loops'),
  rounds: fc.integer({ min: 1, max: 5 }),
});

it('an edging at the mouth is in the depth, and the rows leave room for it', () => {
  let told = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...edged.filter((id) => !OTHERS.includes(id))),
      fc.constantFrom(...Object.keys(THINGS)),
      fc.boolean(),
      anyEdging,
      (shape, thing, flap, edging) => {
        const flapped = flap ? [{ kind: 'flap' }] : [];
        const plain = attempted(() => reckon(planOf(shape, thing, flapped)));
        const worked = attempted(() => reckon(planOf(shape, thing, [...flapped, edging])));
        fc.pre(plain !== undefined && worked !== undefined);
        told += 1;
        const row = worked!.fabric.rowHeight.value * (shape === 'cluster-panels' ? 3 : 1);
        const asked = worked!.thing.height.value + worked!.wanted.cover.value;
        expect(Math.abs(worked!.inside.depth.value - asked)).toBeLessThanOrEqual(row + 1e-6);
        const deep = worked!.fittings.find(({ kind }) => kind === 'edging')!.figures.depth!.value;
        // so much less is left to rows
        const rows = (of: typeof worked) => of!.pieces[0]!.height.value;
        const faces = flap || !shape.startsWith('strip') ? 1 : 2;
        const ends = flap && shape !== 'cluster-panels' && shape !== 'layered' ? 2 : faces;
        if (shape !== 'strip-along' && !shape.startsWith('cluster'))
          expect(Math.abs(rows(plain) - rows(worked) - ends * deep)).toBeLessThanOrEqual(2 * row + 1e-6);
        const reach = (of: typeof worked) =>
          of!.fittings.find(({ kind }) => kind === 'flap')?.figures.edgeBelowFrontTop?.value;
        if (reach(plain) !== undefined)
          expect(Math.abs(reach(worked)! - reach(plain)!)).toBeLessThanOrEqual(2 * row + 1e-6);
      },
    ),
    { numRuns: 120 },
  );
  expect(told).toBeGreaterThan(60);
});

it('every kind of edging is as high as its own stitch', () => {
  const deepOf = (edging: string, rounds: number) =>
    reckon(planOf('two-panels', 'slab', [{ kind: 'edging', edging, rounds }])).fittings[0]!.figures.depth!.value;
  const single = deepOf('single', 1);
  expect(deepOf('slip', 1) / single).toBeCloseTo(0.35 / 0.98, 6);
  expect(deepOf('reverse', 1) / single).toBeCloseTo(0.6 / 0.98, 6);
  expect(deepOf('loops', 1) / single).toBeCloseTo(0.9 / 0.98, 6);
  expect(deepOf('slip', 3) / single).toBeCloseTo(2 + 0.35 / 0.98, 6);
});

it('panels edged in slip stitch are as wide as that makes them, and a whip seam takes of them as of a strip', () => {
  const widthOf = (more: object) => reckon(planOf('two-panels', 'slab', [], { ...more })).outside.width.value;
  const girthOf = (more: object) => {
    const { inside, pieces } = reckon({ ...planOf('two-panels', 'slab', [], more), picks: { width: 20 } });
    expect(pieces[0]!.stitches).toBe(20);
    return inside.girth.value;
  };
  const { fabric } = reckon(planOf('two-panels', 'slab', []));
  expect(widthOf({ edging: 1, edgingOf: 'slip' })).toBeGreaterThan(0);
  const one = girthOf({ edging: 1, edgingOf: 'single', join: 'single' });
  const slip = girthOf({ edging: 1, edgingOf: 'slip', join: 'single' });
  const whip = girthOf({ edging: 1, edgingOf: 'single', join: 'whip' });
  expect(one - slip).toBeCloseTo(4 * fabric.stitchWidth.value * (0.98 - 0.35), 6);
  // a quarter stitch of each side of both layers
  expect(one - whip).toBeCloseTo(4 * 0.25 * fabric.stitchWidth.value, 6);
});
