// first: what stands in a list is in every form made from it
import { SLANT } from './fixtures/madeUp';
import Ajv from 'ajv/dist/2020';
import { stitchPattern } from '../craft/fabric';
import { FITTINGS, whyNotOn } from '../fittings';
import { mend, yarnLeft } from '../make/adjust';
import { stepsToMake, type Happening, type KeptEvent } from '../make/log';
import { checkPlan, formatsTables, publishedPlanSchema } from '../out/formats';
import { planFor } from '../plan/newPlan';
import { term } from '../pattern';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { SHAPES, shapeDefinition } from '../shapes';
import { outlineOf, sizesOf, type ThingSpec } from '../craft/things';
import { ways } from '../compare/ways';
import { patternFile } from '../written/file';
import { chartOf } from '../written/chart';

const thing: ThingSpec = {
  kind: 'tile',
  name: 'tile',
  width: { mm: 80 },
  height: { mm: 120 },
  depth: { mm: 10 },
};
const fabric = { stitch: 'shell-ridge', pattern: { shells: 4 }, hookMm: 4, yarn: { metresPer100g: 190 } };
const plan: Plan = planFor(thing, fabric);
const tables = formatsTables();

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const event = (n: number, what: Happening): KeptEvent => ({
  id: uuid(n),
  make: uuid(900),
  device: uuid(901),
  at: '2026-05-01T18:00:00.000Z',
  n,
  ...what,
});

describe('a made-up stitch, thing, shape, fitting and caution, each one object', () => {
  it('are in the form of a plan: taken, and refused with a wrong option', () => {
    expect(checkPlan(plan)).toEqual({ ok: true, value: plan });
    const wrong = {
      ...plan,
      fabric: { ...fabric, pattern: { shells: 40 } },
      fittings: [{ kind: 'patch', patchMm: 400 }],
      thing: { ...thing, width: 7 },
    };
    const checked = checkPlan(wrong);
    expect(checked.ok ? [] : checked.errors.map(({ path }) => path).sort()).toEqual([
      'fabric.pattern.shells',
      'fittings[0].patchMm',
      'thing.width',
    ]);
  });

  it('are in the published schema', () => {
    const validate = new Ajv({ strict: false }).compile(publishedPlanSchema());
    expect(validate(plan)).toBe(true);
    expect(validate({ ...plan, fabric: { ...fabric, pattern: { shells: 40 } } })).toBe(false);
    expect(validate({ ...plan, fabric: { ...fabric, pattern: { chains: 5 } } })).toBe(false);
  });

  it('are in the tables of the formats, with what follows from each other', () => {
    expect(tables.stitches).toContain('| `shell-ridge` | US shell ridge, UK shell ridge (UK) | `shells`');
    expect(tables.things).toContain('| `tile` | Roof tile: a tile off the hut |');
    expect(tables.shapes).toMatch(/`envelope`.*Takes .*tile/);
    expect(tables.shapes).toMatch(/`strip-across`.*Takes .*tile/);
    expect(tables.fittings).toMatch(/`patch`.*On .*envelope/);
    expect(tables.fittings).toMatch(/`drawstring`.*envelope/);
    expect(tables.cautions).toContain('| `stickiness` | sticky |');
  });

  it('make a plan: begun as the item says, worked, placed, warned of', () => {
    expect(plan).toMatchObject({ title: 'Hood for the tile', shape: { kind: 'envelope' }, fit: { name: 'roomy' } });
    const worked = reckon(plan);
    expect(worked.fittings[0]).toMatchObject({ kind: 'patch', figures: { across: { value: 25 } } });
    expect(worked.cautions.map(({ id }) => id)).toContain('stickiness');
    expect(reckon({ ...plan, fittings: [] }).cautions.map(({ id }) => id)).not.toContain('stickiness');
  });

  it('are drawn and said: symbol, outline, sizes, names in both terms', () => {
    expect(stitchPattern('shell-ridge').symbols).toEqual([[SLANT]]);
    expect(outlineOf(thing)).toMatchObject({ width: 33, height: 44 });
    expect(sizesOf(thing, { length: String, number: String })).toBe('as a tile is');
    expect([term('shell-ridge', 'US'), term('shell-ridge', 'UK')]).toEqual(['shell ridge', 'shell ridge (UK)']);
    const folded = reckon(plan).views.find(({ id }) => id === 'folded')!;
    expect(folded.parts).toContainEqual({ type: 'words', x: 5, y: 5, text: 'patch' });
  });

  it('are among the ways, and say where they do not belong', () => {
    const found = ways({ plan, shapes: SHAPES.map(({ id }) => id) }).ways;
    expect(found.find(({ shape }) => shape === 'envelope')).toMatchObject({ possible: true });
    const patch = FITTINGS.find(({ id }) => id === 'patch')!;
    expect(whyNotOn(shapeDefinition('packet')!, patch)).toMatch(/lies flat\. It goes on .*“Envelope”/);
  });

  it('are written as a pattern, charted, weighed and gone on with', () => {
    const worked = reckon(plan);
    const written = patternFile('txt', plan, worked, { terms: 'UK', units: 'mm', voice: 'full' });
    expect(written).toContain('shell ridge (UK)');
    const [{ id: piece, rows }] = worked.pieces as [(typeof worked.pieces)[0]];
    const chart = chartOf(worked.steps, { piece, from: 1, to: rows })!;
    expect(chart.courses[1]!.signs.length).toBeGreaterThan(5);
    const done = stepsToMake(worked.steps).slice(0, 9);
    const events = [
      ...done.map(({ id }, index) => event(index + 1, { kind: 'ticked', step: id, under: null })),
      event(20, { kind: 'weighed', grams: 40 }),
    ];
    const made = mend(plan, events);
    expect(made.state.done).toHaveLength(9);
    expect(yarnLeft(plan, worked, events)).toMatchObject({ grams: 40 });
  });
});
