import { TERN_POINT } from '../../demo';
import { FITTINGS, giverOf } from '../../fittings';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { SHAPES } from '../../shapes';
import { CARRIERS, HAZARDS, THINGS, workThing, type Hazard } from '../things';
import { CAUTIONS, cautionsOf } from './index';

const plans = Object.values(TERN_POINT.plans);
const phone = plans.find(({ title }) => title.includes('Field phone'))!;
const shown = (...hazards: Hazard[]) => cautionsOf(new Set(hazards)).map(({ id }) => id);

it('there is a caution for every hazard, and one only', () => {
  expect(CAUTIONS.map(({ hazard }) => hazard).sort()).toEqual([...HAZARDS].sort());
  for (const hazard of HAZARDS) expect(shown(hazard)).toHaveLength(1);
  expect(shown()).toEqual([]);
});

it('every hazard is brought by something', () => {
  const brought = new Set<Hazard>([
    ...FITTINGS.flatMap(({ hazards }) => hazards ?? []),
    ...CARRIERS.flatMap(({ hazards }) => hazards({ kind: 'bar', width: { mm: 90 } })),
    ...plans.flatMap(({ thing }) => workThing(thing).hazards),
    'long-work',
  ]);
  expect([...brought].sort()).toEqual([...HAZARDS].sort());
});

describe('a caddy', () => {
  const caddy = plans.find(({ shape }) => shape.kind === 'saddle')!;
  const cautionsOn = (plan: Plan) => reckon(plan).cautions.map(({ id }) => id);

  it('is warned of for its buttons where it has any, and for none on an arm it only lies over', () => {
    expect(cautionsOn(caddy)).toEqual(expect.arrayContaining(shown('small-part')));
    const { carrier, ...rest } = caddy;
    const arm = { ...carrier!, width: { mm: 90 } } as Record<string, unknown>;
    delete arm.diameter;
    expect(cautionsOn({ ...rest, carrier: arm } as unknown as Plan)).not.toEqual(
      expect.arrayContaining(shown('small-part')),
    );
  });

  it('tells the gauge of its rows beside that of its rounds', () => {
    expect(reckon(caddy).gauges.map(({ worked }) => worked)).toEqual(['rounds', 'rows']);
    const pouch = plans.find(({ shape }) => shape.kind === 'ring-tube')!;
    expect(new Set(reckon(pouch).gauges.map(({ worked }) => worked)).size).toBe(1);
  });
});

describe.each(FITTINGS.filter(({ hazards }) => hazards).map((fitting) => [fitting.id, fitting] as const))(
  '%s',
  (_, fitting) => {
    const on = SHAPES.find(
      ({ offers, needsCarrier }) => !needsCarrier && fitting.asks.every((ask) => offers.includes(ask)),
    )!;
    const given = giverOf(fitting);
    const plan: Plan = {
      ...phone,
      shape: { kind: on.id },
      carrier: { kind: 'bar', diameter: { mm: 40 }, dropFront: { mm: 60 }, dropBack: { mm: 60 }, loop: { mm: 900 } },
      fittings: [
        ...(given ? [{ kind: given.id }] : []),
        { kind: fitting.id, ...(fitting.id === 'strap' ? { loopMm: 900 } : {}) },
      ],
    };

    it('is warned of by what it brings', () => {
      const ids = reckon(plan).cautions.map(({ id }) => id);
      expect(ids).toEqual(expect.arrayContaining(shown(...fitting.hazards!)));
    });
  },
);

describe('warmth', () => {
  const hazardsOf = (width: number, height: number, depth: number) =>
    workThing({ kind: 'slab', width: { mm: width }, height: { mm: height }, depth: { mm: depth } }).hazards;

  it('goes with what has the size of a phone, and with nothing else', () => {
    for (const width of [54.9, 55, 75, 95, 95.1])
      for (const height of [109.9, 110, 150, 190, 190.1])
        for (const depth of [3.9, 4, 9, 22, 22.1]) {
          const isPhone = width >= 55 && width <= 95 && height >= 110 && height <= 190 && depth >= 4 && depth <= 22;
          expect(hazardsOf(width, height, depth).includes('charging')).toBe(isPhone);
        }
  });

  it('goes with a phone among other things too', () => {
    const member = { kind: 'slab', width: { mm: 75 }, height: { mm: 150 }, depth: { mm: 9 } };
    expect(workThing({ kind: 'set', members: [member] }).hazards).toEqual(['charging']);
  });
});

it('long sittings begin past two and a half hours', () => {
  for (const plan of plans) {
    const { supplies, cautions } = reckon(plan);
    expect(cautions.some(({ id }) => id === 'long-sittings')).toBe(supplies.time.value > 150);
  }
});

it('every kind of thing says what it brings', () => {
  expect(THINGS.map(({ id }) => id).every((id) => plans.some(({ thing }) => thing.kind === id))).toBe(true);
});

it.each(plans.map((plan) => [plan.title, plan] as const))('%s shows each once, none by chance', (_, plan) => {
  const ids = reckon(plan).cautions.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(reckon({ ...plan, title: 'magnets, cords and points' }).cautions.map(({ id }) => id)).toEqual(ids);
});

it.each(plans.map((plan) => [plan.title, plan] as const))('%s keeps what is set aside in its place', (_, plan) => {
  const all = reckon(plan).cautions;
  for (const { id } of all) {
    const { cautions } = reckon({ ...plan, setAside: [id] });
    expect(cautions.map((one) => one.id)).toEqual(all.map((one) => one.id));
    expect(cautions.filter(({ setAside }) => setAside).map((one) => one.id)).toEqual([id]);
  }
});

it('a gauge is told in the stitch that a shape is worked in', () => {
  const strip = plans.find(({ shape }) => shape.kind === 'strip-across')!;
  const purse = plans.find(({ shape }) => shape.kind === 'cluster-panels')!;
  const single = { ...purse, fabric: { ...strip.fabric, stitch: 'single' } };
  expect(reckon(single).gauges[0]!.stitch).toBe('cluster');
  expect(reckon(strip).gauges[0]!.stitch).toBe(strip.fabric.stitch);
});

it('what is said to be charged is warned of whatever its size, and what is said not to be is not', () => {
  const of = (charges: string | undefined, width: number) =>
    workThing({
      kind: 'slab',
      width: { mm: width },
      height: { mm: 150 },
      depth: { mm: 9 },
      ...(charges ? { charges } : {}),
    }).hazards;
  expect(of('yes', 210)).toEqual(['charging']);
  expect(of('no', 75)).toEqual([]);
  expect(of('by-size', 75)).toEqual(of(undefined, 75));
});
