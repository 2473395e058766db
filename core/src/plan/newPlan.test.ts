import fc from 'fast-check';
import { reckon } from '../reckon/reckon';
import type { ThingSpec } from '../craft/things';
import { FIRST_FABRIC, planFor } from './newPlan';
import { withThing } from './withThing';

const mm = (min: number, max: number) => fc.integer({ min, max }).map((value) => ({ mm: value }));

/** Things as people have them, small and large. */
const anyUsualThing: fc.Arbitrary<ThingSpec> = fc.oneof(
  fc.record({ kind: fc.constant('slab'), width: mm(35, 300), height: mm(30, 400), depth: mm(2, 40) }),
  fc.record({ kind: fc.constant('spectacles'), width: mm(100, 170), height: mm(25, 75), depth: mm(15, 60) }),
  fc.record({ kind: fc.constant('cylinder'), height: mm(60, 330), diameter: mm(30, 130) }),
  fc.record({ kind: fc.constant('loose'), width: mm(60, 400), height: mm(60, 400) }),
  fc.record({
    kind: fc.constant('tools'),
    tools: fc.array(fc.record({ length: mm(100, 240), grip: mm(4, 18), count: fc.integer({ min: 1, max: 12 }) }), {
      minLength: 1,
      maxLength: 3,
    }),
  }),
) as fc.Arbitrary<ThingSpec>;

it('what is proposed for a thing can always be reckoned, whatever its size', () => {
  fc.assert(
    fc.property(anyUsualThing, fc.constantFrom(2.5, 3.5, 4, 5, 6), (thing, hookMm) => {
      const { pieces, steps } = reckon(planFor(thing, { ...FIRST_FABRIC, hookMm }));
      expect(pieces.length).toBeGreaterThan(0);
      expect(steps.length).toBeGreaterThan(2);
    }),
    { numRuns: 200 },
  );
});

it('what is low gets a smaller button, or none', () => {
  const closing = (height: number) =>
    planFor({ kind: 'spectacles', width: { mm: 140 }, height: { mm: height }, depth: { mm: 30 } }, FIRST_FABRIC)
      .fittings;
  expect(closing(70)).toEqual([{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 15 }]);
  expect(closing(50)).toEqual([{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 12 }]);
  expect(closing(35)).toEqual([{ kind: 'flap' }]);
});

it('another thing takes the name with it, unless somebody typed one', () => {
  const thing = (name: string) => ({ kind: 'slab', name, width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } });
  const plan = planFor(thing('My phone'), FIRST_FABRIC);
  expect(withThing(plan, thing('reading glasses')).title).toBe('Pouch for the reading glasses');
  expect(withThing({ ...plan, title: `${plan.title} (copy 2)` }, thing('tide table')).title).toBe(
    'Pouch for the tide table',
  );
  expect(withThing({ ...plan, title: 'For the hut' }, thing('tide table')).title).toBe('For the hut');
});

it.each([
  ['field phone', 'Pouch for the field phone'],
  ['the night watch’s flask', 'Pouch for the night watch’s flask'],
  ['My phone', 'Pouch for my phone'],
  ['Ann’s phone', 'Pouch for Ann’s phone'],
])('a cover for %s is called %s', (name, title) => {
  const thing = { kind: 'slab', name, width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } };
  expect(planFor(thing, FIRST_FABRIC).title).toBe(title);
});
