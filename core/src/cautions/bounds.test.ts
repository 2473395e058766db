import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import type { Plan } from '../plan';
import { reckon } from '../reckon';
import type { WorkedThing } from '../things';
import type { CautionContext } from './definition';
import { CAUTIONS } from './index';

const plans = Object.values(TERN_POINT.plans);
const phone = plans.find(({ title }) => title.includes('Field phone'))!;
const caution = (id: string) => CAUTIONS.find((one) => one.id === id)!;
const about = (change: Partial<CautionContext>): CautionContext => ({
  plan: phone,
  thing: { kind: 'slab' } as WorkedThing,
  fittings: new Set(),
  placed: [],
  minutes: 60,
  ...change,
});

describe('cords', () => {
  it.each(['strap', 'drawstring', 'ties', 'hanging-loop'])('are warned of with %s', (kind) => {
    expect(caution('cords-and-children').applies(about({ fittings: new Set([kind]) }))).toBe(true);
  });

  it('are not where nothing hangs', () => {
    expect(caution('cords-and-children').applies(about({ fittings: new Set(['flap', 'pocket']) }))).toBe(false);
  });
});

describe('what can be swallowed', () => {
  it.each(['button-loop', 'buttonhole', 'snap', 'magnet', 'tabs', 'bobble'])('is warned of with %s', (kind) => {
    expect(caution('small-parts').applies(about({ fittings: new Set([kind]) }))).toBe(true);
  });

  it('magnets have one of their own besides', () => {
    const shown = CAUTIONS.filter(({ applies }) => applies(about({ fittings: new Set(['magnet']) }))).map(
      ({ id }) => id,
    );
    expect(shown).toEqual(expect.arrayContaining(['magnets', 'small-parts']));
  });
});

describe('warmth', () => {
  const sized = (width: number, height: number, depth: number): CautionContext =>
    about({
      plan: {
        ...phone,
        thing: { kind: 'slab', width: { mm: width }, height: { mm: height }, depth: { mm: depth } } as Plan['thing'],
      },
    });

  it('goes with what has the size of a phone, and with nothing else', () => {
    const around = { min: 20, max: 320, noNaN: true };
    fc.assert(
      fc.property(fc.double(around), fc.double(around), fc.double({ min: 1, max: 40, noNaN: true }), (w, h, d) => {
        const isPhone = w >= 55 && w <= 95 && h >= 110 && h <= 190 && d >= 4 && d <= 22;
        expect(caution('charging').applies(sized(w, h, d))).toBe(isPhone);
      }),
      { numRuns: 300 },
    );
    expect(caution('charging').applies(sized(75, 150, 9))).toBe(true);
  });

  it('does not go with a thing of another kind, or one without a size', () => {
    expect(caution('charging').applies(about({ plan: { ...phone, thing: { kind: 'loose' } as Plan['thing'] } }))).toBe(
      false,
    );
    expect(caution('charging').applies(about({ plan: { ...phone, thing: { kind: 'slab' } as Plan['thing'] } }))).toBe(
      false,
    );
  });
});

it('long sittings begin past two and a half hours', () => {
  const of = (minutes: number) => caution('long-sittings').applies(about({ minutes }));
  expect([0, 149, 150, 151, 900].map(of)).toEqual([false, false, false, true, true]);
});

describe('points', () => {
  it('are those of tools, alone or among others', () => {
    const want = { name: 'x', girth: 30, height: 90, depth: 8, tip: 2, massG: 0, tool: true } as never;
    const { applies } = caution('points');
    expect(applies(about({ thing: { kind: 'tools' } as WorkedThing }))).toBe(true);
    expect(applies(about({ thing: { kind: 'set', wants: [want] } as unknown as WorkedThing }))).toBe(true);
    expect(applies(about({ thing: { kind: 'set', wants: [] } as unknown as WorkedThing }))).toBe(false);
  });
});

it.each(plans.map((plan) => [plan.title, plan] as const))('%s shows each once, none by chance', (_, plan) => {
  const shown = reckon(plan).cautions.map(({ id }) => id);
  expect(new Set(shown).size).toBe(shown.length);
  expect(reckon({ ...plan, title: 'magnets, cords and points' }).cautions.map(({ id }) => id)).toEqual(shown);
});

it.each(plans.map((plan) => [plan.title, plan] as const))('%s keeps what is set aside in its place', (_, plan) => {
  const all = reckon(plan).cautions;
  for (const { id } of all) {
    const { cautions } = reckon({ ...plan, setAside: [id] });
    expect(cautions.map((one) => one.id)).toEqual(all.map((one) => one.id));
    expect(cautions.filter(({ setAside }) => setAside).map((one) => one.id)).toEqual([id]);
  }
});
