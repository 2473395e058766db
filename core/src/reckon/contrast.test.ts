import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { hexOf, lightness, mainColour, SEQUENCES, stripeNames, usualHex } from '../craft/fabric';
import type { Plan } from '../plan/plan';
import type { Cloth } from '../drawing';
import { reckon } from './reckon';

const plans = Object.values(TERN_POINT.plans);
const phone = plans.find(({ title }) => title.includes('Field phone pouch'))!;
const flap: Plan = {
  ...phone,
  fittings: [
    { kind: 'flap', overlapMm: 60 },
    { kind: 'edging', colour: 'kelp' },
  ],
};
const inStripes: Plan = {
  ...phone,
  fabric: {
    ...phone.fabric,
    colours: [
      { name: 'oat', rows: 3 },
      { name: 'rose', rows: 3 },
    ],
  },
};
const cloths = (plan: Plan): Cloth[] =>
  reckon(plan).views.flatMap(({ parts }) => parts.filter((part): part is Cloth => part.type === 'cloth'));
const hexes = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('lightness', () => {
  it('is that of grey from black to white', () => {
    expect(lightness('#000000')).toBe(0);
    expect(lightness('#FFFFFF')).toBeCloseTo(100, 6);
    // CIE 1976 of the middle of sRGB
    expect(lightness('#777777')).toBeCloseTo(50, 0);
    fc.assert(
      fc.property(hexes, (hex) => {
        expect(lightness(hex)).toBeGreaterThanOrEqual(0);
        expect(lightness(hex)).toBeLessThanOrEqual(100.0001);
      }),
    );
  });

  it('of a name is that of the colour it is', () => {
    expect(lightness(usualHex('light blue')!)).toBeGreaterThan(lightness(usualHex('blue')!));
    expect(lightness(usualHex('dark green')!)).toBeLessThan(lightness(usualHex('green')!));
    expect(usualHex('the third one')).toBeUndefined();
  });
});

describe('neighbours', () => {
  const striped = (hex: string, other: string): Plan => ({
    ...inStripes,
    palette: { oat: { hex }, rose: { hex: other } },
  });
  const alike = (plan: Plan) => reckon(plan).advice.filter(({ id }) => id === 'colours-alike');

  it('that are as light as each other are told by name', () => {
    expect(alike(striped('#4C7A45', '#A8512B'))).toHaveLength(1);
    expect(alike(striped('#4C7A45', '#A8512B'))[0]!.text).toMatch(/Oat and rose/);
    expect(alike(striped('#E6D8B8', '#4A5A68'))).toHaveLength(0);
  });

  it('are a border and what it lies on too', () => {
    const palette = { oat: { hex: '#808080' }, kelp: { hex: '#7A8578' } };
    expect(alike({ ...flap, palette })).toHaveLength(1);
    expect(alike({ ...flap, palette: { ...palette, kelp: { hex: '#202020' } } })).toHaveLength(0);
  });
});

describe('colours by a rule', () => {
  const some = fc
    .array(fc.constantFrom('oat', 'kelp', 'rose', 'slate'), { minLength: 2, maxLength: 4 })
    .map((names) => [...new Set(names)]);
  const ends = fc.array(fc.integer({ min: 4, max: 80 }), { minLength: 8, maxLength: 120 });

  it.each(SEQUENCES.map(({ id }) => [id]))('%s gives every row one of them, the same each time', (by) => {
    fc.assert(
      fc.property(some, ends, fc.integer({ min: 1, max: 9 }), (names, counts, part) => {
        const sequence = { by, colours: names.map((name, index) => ({ name, part: index === 0 ? part : 1 })) };
        const rows = stripeNames({ sequence }, counts)!;
        expect(rows).toHaveLength(counts.length);
        for (const name of rows) expect(names).toContain(name);
        expect(stripeNames({ sequence }, counts)).toEqual(rows);
      }),
    );
  });

  it('by a ratio shares the rows out, by grams the stitches', () => {
    const colours = [
      { name: 'oat', part: 3 },
      { name: 'kelp', part: 1 },
    ];
    const count = (rows: readonly string[], weights: readonly number[]) =>
      rows.reduce((sum, name, index) => sum + (name === 'oat' ? weights[index]! : 0), 0);
    const even = Array.from({ length: 80 }, () => 20);
    expect(count(stripeNames({ sequence: { by: 'ratio', colours } }, even)!, even) / 1600).toBeCloseTo(0.75, 6);
    const twice = stripeNames({ sequence: { by: 'ratio', colours, times: 2 } }, even)!;
    expect(twice.filter((name, index) => name !== twice[index - 1])).toEqual(['oat', 'kelp', 'oat', 'kelp']);
    const growing = Array.from({ length: 40 }, (_, index) => 6 * (index + 1));
    const whole = growing.reduce((sum, one) => sum + one, 0);
    expect(count(stripeNames({ sequence: { by: 'grams', colours } }, growing)!, growing) / whole).toBeCloseTo(0.75, 1);
  });

  it('at random no stripe follows on itself, and another seed is another order', () => {
    const colours = ['oat', 'kelp', 'rose'].map((name) => ({ name }));
    const counts = Array.from({ length: 100 }, () => 20);
    const rows = (seed: number) =>
      stripeNames({ sequence: { by: 'random', colours, seed, least: 2, most: 4 } }, counts)!;
    const lengths = rows(7)
      .join(' ')
      .match(/(\w+)( \1)*/g)!
      .map((run) => run.split(' ').length);
    for (const length of lengths.slice(0, -1)) expect([2, 3, 4]).toContain(length);
    expect(rows(7)).not.toEqual(rows(8));
  });
});

describe('a palette', () => {
  it.each(plans.map((plan) => [plan.title, plan] as const))('%s is drawn in it on every view', (_, plan) => {
    const main = mainColour(plan.fabric);
    for (const cloth of cloths({ ...plan, palette: { [main]: { hex: '#123456' } } })) expect(cloth.hex).toBe('#123456');
  });

  it.each(plans.map((plan) => [plan.title, plan] as const))(
    '%s: a piece told by its looks has them on every row',
    (_, plan) => {
      for (const { hues, rows } of reckon({ ...plan, palette: { [mainColour(plan.fabric)]: { hex: '#123456' } } })
        .pieces)
        if (hues) expect(hues.reduce((sum, run) => sum + run.rows, 0)).toBe(rows);
    },
  );

  it('leaves a plan that says no colours in the tints of its parts', () => {
    for (const cloth of cloths(phone)) expect(cloth.hex).toBeUndefined();
  });

  it('is not needed where several are named and each is known by its name', () => {
    const striped = (...names: string[]): Plan => ({
      ...phone,
      fabric: { ...phone.fabric, colours: names.map((name) => ({ name, rows: 4 })) },
    });
    const hexes = (plan: Plan) =>
      new Set(cloths(plan).flatMap(({ rows: { bands = [] } }) => bands.map(({ hex }) => hex)));
    expect(hexes(striped('oat', 'kelp'))).toEqual(new Set([usualHex('oat'), usualHex('kelp')]));
    const [piece] = reckon(striped('oat', 'kelp')).pieces;
    expect(piece!.hues!.slice(0, 2)).toEqual([
      { rows: 4, hex: usualHex('oat') },
      { rows: 4, hex: usualHex('kelp') },
    ]);
    // one that nobody knows leaves them all as they were
    expect(reckon(striped('oat', 'aunt’s own')).pieces[0]!.hues).toBeUndefined();
    expect(hexes(striped('oat', 'aunt’s own'))).toEqual(new Set([undefined]));
  });

  it('a fitting in a colour of its own says so, is drawn so, and takes of it', () => {
    const plan: Plan = { ...flap, palette: { kelp: { hex: '#56663A' } } };
    const worked = reckon(plan);
    const step = worked.steps.find(({ text }) => /, join kelp /.test(text));
    expect(step).toBeDefined();
    const { byColour, yarn } = worked.supplies;
    expect(byColour.map(({ name }) => name).sort()).toEqual(['kelp', 'oat']);
    expect(byColour.reduce((sum, { metres }) => sum + metres, 0)).toBeCloseTo(yarn.metres.value, 6);
    const borders = worked.views.flatMap(({ parts }) => parts.filter(({ type }) => type === 'border'));
    expect(borders.some(({ hex }) => hex === '#56663A')).toBe(true);
  });

  it('a piece in a colour of its own is worked in it throughout', () => {
    const wrap = plans.find(({ shape }) => shape.kind === 'two-panels') ?? phone;
    const [piece] = reckon(wrap).pieces;
    const worked = reckon({ ...wrap, fabric: { ...wrap.fabric, pieceColours: { [piece!.id]: 'rose' } } });
    expect(worked.supplies.byColour.find(({ name }) => name === 'rose')!.rows).toBeGreaterThan(0);
    expect(worked.steps[0]!.text).toMatch(/With rose:/);
    const drawn = reckon({
      ...wrap,
      palette: { rose: { hex: '#C9798B' } },
      fabric: { ...wrap.fabric, pieceColours: { [piece!.id]: 'rose' } },
    });
    const faces = drawn.views.flatMap(({ parts }) => parts.filter((part): part is Cloth => part.type === 'cloth'));
    expect(faces.some(({ hex }) => hex === '#C9798B')).toBe(true);
  });

  it('the second of two panels is drawn in its own', () => {
    const base = plans.find(({ shape }) => shape.kind === 'two-panels') ?? { ...phone, shape: { kind: 'two-panels' } };
    const plan: Plan = {
      ...base,
      shape: { ...base.shape, secondColour: 'rose' },
      palette: { rose: { hex: '#C9798B' } },
    };
    const backs = cloths(plan).filter(({ role }) => role === 'back');
    expect(backs.length).toBeGreaterThan(0);
    for (const { hex } of backs) expect(hex).toBe('#C9798B');
  });

  it('looks as it says, else as its yarn, else as the name usually does', () => {
    const spec = { ...phone.fabric, yarn: { ...phone.fabric.yarn, hex: '#ABCDEF' } };
    expect(hexOf({ oat: { hex: '#010203' } }, spec, 'oat')).toBe('#010203');
    expect(hexOf(undefined, spec, 'oat')).toBe('#ABCDEF');
    expect(hexOf(undefined, phone.fabric, 'rose')).toBe(usualHex('rose'));
    expect(hexOf(undefined, phone.fabric, 'the other one')).toBeUndefined();
  });
});

describe('what there is of each colour', () => {
  const needs = reckon(inStripes).supplies.byColour;
  const rose = needs.find(({ name }) => name === 'rose')!;
  const withRose = (gramsLeft: number) =>
    reckon({ ...inStripes, palette: { rose: { hex: '#C9798B', gramsLeft } } }).supplies;

  it('is not told where none of them says it', () => {
    for (const { enough } of needs) expect(enough).toBeNull();
  });

  it('lasts half of the time at what it takes, surely at far more, and the whole as well as the scarcest', () => {
    const at = (grams: number) => withRose(grams).byColour.find(({ name }) => name === 'rose')!.enough;
    expect(at(rose.grams)).toBeCloseTo(0.5, 6);
    expect(at(10 * rose.grams)).toBeGreaterThan(0.99);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 3, noNaN: true }), (share) => {
        const { byColour, yarn } = withRose(share * rose.grams);
        const told = byColour.flatMap(({ enough }) => enough ?? []);
        expect(yarn.enough).toBe(Math.min(...told));
      }),
      { numRuns: 20 },
    );
  });

  it('reaches so many times over, nine times in ten, and the whole as far as the scarcest', () => {
    const supplies = withRose(3 * rose.grams);
    const told = supplies.byColour.find(({ name }) => name === 'rose')!;
    // a third of what there is lasts more often than nine times in ten only where less of it is asked
    expect(told.reach).toBeGreaterThan(2);
    expect(told.reach).toBeLessThan(3);
    expect(supplies.yarn.reach).toBe(told.reach);
  });

  it('of the main one is what there is of the yarn', () => {
    const left = { ...inStripes.fabric.yarn, gramsLeft: 1 };
    const plan = {
      ...inStripes,
      fabric: { ...inStripes.fabric, yarn: left },
      palette: { rose: { hex: '#C9798B', gramsLeft: 500 } },
    };
    const oat = reckon(plan).supplies.byColour.find(({ name }) => name === mainColour(plan.fabric))!;
    expect(oat.enough).toBeLessThan(0.01);
  });
});
